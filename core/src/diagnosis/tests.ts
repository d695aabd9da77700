import { commonPractice } from '../basis/index.ts';
import type { Complaint } from '../order/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** Where a reading points: into the tank, elsewhere, or nowhere yet. */
type Points = 'tank' | 'elsewhere' | 'nowhere';

/** What a reading says. */
export interface Judged {
  /** Good: it points to the tank or is sound; bad: mend something else first. */
  verdict: Verdict;
  /** Where it points. */
  points: Points;
}

/** A quick test before a bolt is touched. */
export interface QuickTest {
  /** Its id. */
  id: string;
  /** As people call it. */
  name: string;
  /** How long it takes, min. */
  minutes: number;
  /** Where the leads go and what to do. */
  how: string;
  /** What is read: a quantity, or one of some words. */
  reads:
    | { dimension: 'voltage' | 'resistance'; unit: string; open?: boolean }
    | { words: { value: string; label: string }[] };
  /** What a reading says: an SI number, or the word that was chosen. */
  judge: (value: number | string, vehicle: VehicleFile) => Judged;
}

/** Most that may be lost in the feed and in the ground under load, V. Common practice, no source. */
const FEED_DROP = 0.5;
const GROUND_DROP = 0.1;

/** Ohms at empty and full of working senders of two families; common practice, no source. */
const FAMILIES = [
  { name: 'an older family', lo: 20, hi: 80 },
  { name: 'another family', lo: 52, hi: 990 },
];

const say = (
  outcome: Verdict['outcome'],
  points: Points,
  { text, next = [], figure, limit }: { text: string; next?: string[]; figure?: string; limit?: string },
): Judged => ({
  points,
  verdict: {
    outcome,
    reasons: [{ text, basis: commonPractice, ...(figure ? { figure } : {}), ...(limit ? { limit } : {}) }],
    next,
  },
});
const volts = (v: number): string => `${Math.round(v * 100) / 100} V`;

const drop = (
  id: string,
  { name, how, limit, where }: { name: string; how: string; limit: number; where: string },
): QuickTest => ({
  id,
  name,
  minutes: id === 'ground' ? 3 : 7,
  how,
  reads: { dimension: 'voltage', unit: 'V' },
  judge: (value) => {
    const v = Number(value);
    if (v > limit)
      return say('bad', 'elsewhere', {
        text: `${where} loses too much under load`,
        next: [`mend ${where} first, then test again`],
        figure: volts(v),
        limit: volts(limit),
      });
    return say('good', 'tank', {
      text: `${where} is sound under load`,
      next: [],
      figure: volts(v),
      limit: volts(limit),
    });
  },
});

const words = (yes: string, no: string) => ({
  words: [
    { value: 'yes', label: yes },
    { value: 'no', label: no },
  ],
});

const chooses = (
  id: string,
  {
    name,
    minutes,
    how,
    yes,
    no,
  }: { name: string; minutes: number; how: string; yes: [string, Judged]; no: [string, Judged] },
): QuickTest => ({
  id,
  name,
  minutes,
  how,
  reads: words(yes[0], no[0]),
  judge: (value) => (value === 'yes' ? yes[1] : no[1]),
});

const fuse = chooses('fuse', {
  name: 'fuse whole, relay clicks',
  minutes: 2,
  how: 'key on, hand on the relay',
  yes: ['Both do', say('good', 'tank', { text: 'fuse and relay work' })],
  no: [
    'One does not',
    say('bad', 'elsewhere', {
      text: 'fuse or relay does not work',
      next: ['find why it blew before a new one goes in'],
    }),
  ],
});
const hatch = chooses('hatch', {
  name: 'a hatch over the unit',
  minutes: 3,
  how: 'under the carpet or the seat',
  yes: [
    'There is one',
    say('doubtful', 'nowhere', {
      text: 'the unit can be had from above',
      next: ['go in by the hatch: the tank stays up'],
    }),
  ],
  no: ['None', say('good', 'tank', { text: 'no hatch' })],
});

/** The ohms of a level sender at its plug, held against the file, else against two families that work. */
const sender: QuickTest = {
  id: 'senderOhms',
  name: 'sender ohms at the plug',
  minutes: 5,
  how: 'plug off, meter across the sender; “open” when it shows nothing',
  reads: { dimension: 'resistance', unit: 'Ω', open: true },
  judge: (value, vehicle) => {
    if (value === 'open')
      return say('bad', 'tank', {
        text: 'the sender is open where the float stands',
        next: ['look at plug and ground once more, then the tank comes down'],
        figure: 'open',
      });
    const ohms = Number(value);
    const figure = `${Math.round(ohms * 10) / 10} Ω`;
    const file = vehicle.sender;
    if (file) {
      const [lo, hi] = [Math.min(file.emptyOhms.lo, file.fullOhms.lo), Math.max(file.emptyOhms.hi, file.fullOhms.hi)];
      if (ohms < lo * 0.9 || ohms > hi * 1.1)
        return say('bad', 'tank', {
          text: 'outside what this sender can give',
          next: [],
          figure,
          limit: `${lo}–${hi} Ω`,
        });
      return say('good', 'elsewhere', {
        text: 'within what this sender gives: look at gauge and wiring',
        next: ['ground the plug: does the needle move?'],
        figure,
        limit: `${lo}–${hi} Ω`,
      });
    }
    const family = FAMILIES.find((f) => ohms >= f.lo && ohms <= f.hi);
    if (!family)
      return say('bad', 'tank', {
        text: 'outside what working senders give',
        next: [],
        figure,
        limit: '20–80 or 52–990 Ω',
      });
    return say('doubtful', 'nowhere', {
      text: `could be ${family.name}; the file has no figure`,
      next: ['put in ten litres: does it move?'],
      figure,
      limit: `${family.lo}–${family.hi} Ω`,
    });
  },
};

const needle = chooses('needle', {
  name: 'needle moves when the plug is grounded',
  minutes: 3,
  how: 'plug off, sender wire to ground, key on, for a moment',
  yes: ['It moves', say('good', 'tank', { text: 'gauge and wire work' })],
  no: [
    'It does not',
    say('bad', 'elsewhere', { text: 'gauge or wire does not work', next: ['follow the wire to the gauge'] }),
  ],
});

const firstDrop = chooses('firstDrop', {
  name: 'where the first drop stands',
  minutes: 10,
  how: 'wiped dry, cold light, engine running',
  yes: ['On the tank', say('good', 'tank', { text: 'the tank itself is wet first' })],
  no: [
    'On a hose or joint above',
    say('bad', 'elsewhere', {
      text: 'a hose or joint is wet first',
      next: ['mend it where it is; from above if a hand gets there'],
    }),
  ],
});

const sample = chooses('sample', {
  name: 'sample in glass beside a clean one',
  minutes: 10,
  how: 'sealed, dated, ten minutes standing; never by taste',
  yes: [
    'Water or dirt in it',
    say('bad', 'tank', {
      text: 'it does not look clean; what it is stays unproven',
      next: ['do not put it back; keep the sample'],
    }),
  ],
  no: ['As the clean one', say('good', 'elsewhere', { text: 'it looks clean', next: ['filter and lines first'] })],
});

const filter = chooses('filter', {
  name: 'free flow after the filter',
  minutes: 5,
  how: 'into a can, pump on for a moment, eyes covered',
  yes: ['Flows freely', say('good', 'tank', { text: 'filter lets through' })],
  no: [
    'Hardly flows',
    say('bad', 'elsewhere', { text: 'the filter may be blocked', next: ['new filter, then test again'] }),
  ],
});

/** Tests for each complaint; cheapest first is worked out, not written here. Common practice, no source. */
export const quickTests: Record<Complaint, readonly QuickTest[]> = {
  pump: [
    fuse,
    drop('feed', {
      name: 'volts lost in the feed, under load',
      how: 'battery plus to the plug’s plus, pump running',
      limit: FEED_DROP,
      where: 'the feed wire',
    }),
    drop('ground', {
      name: 'volts lost in the ground, under load',
      how: 'plug’s ground to battery minus, pump running',
      limit: GROUND_DROP,
      where: 'the ground',
    }),
    filter,
    hatch,
  ],
  level: [sender, needle, hatch],
  leak: [firstDrop],
  rust: [
    chooses('probe', {
      name: 'blunt tool through metal',
      minutes: 5,
      how: 'straps, seams, top edge',
      yes: [
        'It goes through',
        say('bad', 'tank', { text: 'metal is gone', next: ['two jacks: a strap may not hold'] }),
      ],
      no: ['It holds', say('good', 'elsewhere', { text: 'metal holds', next: ['clean and coat it where it is'] })],
    }),
  ],
  badFuel: [sample, filter],
  hose: [
    firstDrop,
    chooses('cap', {
      name: 'smell with the cap on and off',
      minutes: 3,
      how: 'cold vehicle, doors open',
      yes: [
        'Only with the cap on',
        say('doubtful', 'nowhere', {
          text: 'the vapour system holds pressure back',
          next: ['look along the vapour line to its canister'],
        }),
      ],
      no: ['Both', say('good', 'tank', { text: 'a hose or joint lets out' })],
    }),
  ],
  biggerTank: [],
};
