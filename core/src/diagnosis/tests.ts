import { commonPractice } from '../basis/index.ts';
import type { Complaint } from '../order/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** Where a reading points: into the tank, elsewhere, or nowhere yet. */
type Points = 'tank' | 'elsewhere' | 'nowhere';

export interface Judged {
  verdict: Verdict;
  points: Points;
}

/** A quick test before a bolt is touched. */
export interface QuickTest {
  id: string;
  name: string;
  minutes: number;
  how: string;
  /** What is read: a quantity, or one of some words. */
  reads:
    | { dimension: 'voltage' | 'resistance'; unit: string; open?: boolean }
    | { words: { value: string; label: string }[] };
  /** @param value SI number, or the word that was chosen */
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
  text: string,
  next: string[] = [],
  figure?: string,
  limit?: string,
): Judged => ({
  points,
  verdict: {
    outcome,
    reasons: [{ text, basis: commonPractice, ...(figure ? { figure } : {}), ...(limit ? { limit } : {}) }],
    next,
  },
});
const volts = (v: number): string => `${Math.round(v * 100) / 100} V`;

const drop = (id: string, name: string, how: string, limit: number, where: string): QuickTest => ({
  id,
  name,
  minutes: id === 'ground' ? 3 : 7,
  how,
  reads: { dimension: 'voltage', unit: 'V' },
  judge: (value) => {
    const v = Number(value);
    if (v > limit)
      return say(
        'bad',
        'elsewhere',
        `${where} loses too much under load`,
        [`mend ${where} first, then test again`],
        volts(v),
        volts(limit),
      );
    return say('good', 'tank', `${where} is sound under load`, [], volts(v), volts(limit));
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
  name: string,
  minutes: number,
  how: string,
  yes: [string, Judged],
  no: [string, Judged],
): QuickTest => ({
  id,
  name,
  minutes,
  how,
  reads: words(yes[0], no[0]),
  judge: (value) => (value === 'yes' ? yes[1] : no[1]),
});

const fuse = chooses(
  'fuse',
  'fuse whole, relay clicks',
  2,
  'key on, hand on the relay',
  ['Both do', say('good', 'tank', 'fuse and relay work')],
  [
    'One does not',
    say('bad', 'elsewhere', 'fuse or relay does not work', ['find why it blew before a new one goes in']),
  ],
);
const hatch = chooses(
  'hatch',
  'a hatch over the unit',
  3,
  'under the carpet or the seat',
  [
    'There is one',
    say('doubtful', 'nowhere', 'the unit can be had from above', ['go in by the hatch: the tank stays up']),
  ],
  ['None', say('good', 'tank', 'no hatch')],
);

/** The ohms of a level sender at its plug, held against the file, else against two families that work. */
const sender: QuickTest = {
  id: 'senderOhms',
  name: 'sender ohms at the plug',
  minutes: 5,
  how: 'plug off, meter across the sender; “open” when it shows nothing',
  reads: { dimension: 'resistance', unit: 'Ω', open: true },
  judge: (value, vehicle) => {
    if (value === 'open')
      return say(
        'bad',
        'tank',
        'the sender is open where the float stands',
        ['look at plug and ground once more, then the tank comes down'],
        'open',
      );
    const ohms = Number(value);
    const figure = `${Math.round(ohms * 10) / 10} Ω`;
    const file = vehicle.sender;
    if (file) {
      const [lo, hi] = [Math.min(file.emptyOhms.lo, file.fullOhms.lo), Math.max(file.emptyOhms.hi, file.fullOhms.hi)];
      if (ohms < lo * 0.9 || ohms > hi * 1.1)
        return say('bad', 'tank', 'outside what this sender can give', [], figure, `${lo}–${hi} Ω`);
      return say(
        'good',
        'elsewhere',
        'within what this sender gives: look at gauge and wiring',
        ['ground the plug: does the needle move?'],
        figure,
        `${lo}–${hi} Ω`,
      );
    }
    const family = FAMILIES.find((f) => ohms >= f.lo && ohms <= f.hi);
    if (!family) return say('bad', 'tank', 'outside what working senders give', [], figure, '20–80 or 52–990 Ω');
    return say(
      'doubtful',
      'nowhere',
      `could be ${family.name}; the file has no figure`,
      ['put in ten litres: does it move?'],
      figure,
      `${family.lo}–${family.hi} Ω`,
    );
  },
};

const needle = chooses(
  'needle',
  'needle moves when the plug is grounded',
  3,
  'plug off, sender wire to ground, key on, for a moment',
  ['It moves', say('good', 'tank', 'gauge and wire work')],
  ['It does not', say('bad', 'elsewhere', 'gauge or wire does not work', ['follow the wire to the gauge'])],
);

const firstDrop = chooses(
  'firstDrop',
  'where the first drop stands',
  10,
  'wiped dry, cold light, engine running',
  ['On the tank', say('good', 'tank', 'the tank itself is wet first')],
  [
    'On a hose or joint above',
    say('bad', 'elsewhere', 'a hose or joint is wet first', ['mend it where it is; from above if a hand gets there']),
  ],
);

const sample = chooses(
  'sample',
  'sample in glass beside a clean one',
  10,
  'sealed, dated, ten minutes standing; never by taste',
  [
    'Water or dirt in it',
    say('bad', 'tank', 'it does not look clean; what it is stays unproven', ['do not put it back; keep the sample']),
  ],
  ['As the clean one', say('good', 'elsewhere', 'it looks clean', ['filter and lines first'])],
);

const filter = chooses(
  'filter',
  'free flow after the filter',
  5,
  'into a can, pump on for a moment, eyes covered',
  ['Flows freely', say('good', 'tank', 'filter lets through')],
  ['Hardly flows', say('bad', 'elsewhere', 'the filter may be blocked', ['new filter, then test again'])],
);

/** Tests for each complaint; cheapest first is worked out, not written here. Common practice, no source. */
export const quickTests: Record<Complaint, readonly QuickTest[]> = {
  pump: [
    fuse,
    drop(
      'feed',
      'volts lost in the feed, under load',
      'battery plus to the plug’s plus, pump running',
      FEED_DROP,
      'the feed wire',
    ),
    drop(
      'ground',
      'volts lost in the ground, under load',
      'plug’s ground to battery minus, pump running',
      GROUND_DROP,
      'the ground',
    ),
    filter,
    hatch,
  ],
  level: [sender, needle, hatch],
  leak: [firstDrop],
  rust: [
    chooses(
      'probe',
      'blunt tool through metal',
      5,
      'straps, seams, top edge',
      ['It goes through', say('bad', 'tank', 'metal is gone', ['two jacks: a strap may not hold'])],
      ['It holds', say('good', 'elsewhere', 'metal holds', ['clean and coat it where it is'])],
    ),
  ],
  badFuel: [sample, filter],
  hose: [
    firstDrop,
    chooses(
      'cap',
      'smell with the cap on and off',
      3,
      'cold vehicle, doors open',
      [
        'Only with the cap on',
        say('doubtful', 'nowhere', 'the vapour system holds pressure back', [
          'look along the vapour line to its canister',
        ]),
      ],
      ['Both', say('good', 'tank', 'a hose or joint lets out')],
    ),
  ],
  biggerTank: [],
};
