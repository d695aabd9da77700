import type { Complaint } from '../order/index.ts';
import { chooses, say, type QuickTest } from './judged.ts';
import { capLoose, flowLoad, fromCan, otherTank, suction } from './fades.ts';
import { needle, sender } from './level.ts';

/** Most that may be lost in the feed and in the ground under load, V. Common practice, no source. */
const FEED_DROP = 0.5;
const GROUND_DROP = 0.1;

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
      next: ['go in by the hatch: the tank stays in'],
    }),
  ],
  no: ['None', say('good', 'tank', { text: 'no hatch' })],
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
    {
      ...say('bad', 'tank', {
        text: 'it does not look clean; what it is stays unproven',
        next: ['do not put it back; keep the sample'],
      }),
      stands: true,
    },
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
      how: 'what holds it, seams, top edge',
      yes: [
        'It goes through',
        say('bad', 'tank', {
          text: 'metal is gone',
          next: ['carry it before anything is undone: what holds it may let go'],
        }),
      ],
      no: ['It holds', say('good', 'nowhere', { text: 'metal holds', next: ['clean and coat it where it is'] })],
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
  fades: [flowLoad, capLoose, fromCan, otherTank, suction, filter],
  addedPickup: [],
  screens: [flowLoad, suction, filter],
};
