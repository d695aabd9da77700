import { judgeSuction } from '../pump/index.ts';
import { chooses, say, type QuickTest } from './judged.ts';

/** Power that fades under load and comes back after standing: halved by what is cheapest to swap. Common practice, no source. */

/** Does the flow fall while it fades? */
export const flowLoad = chooses('flowLoad', {
  name: 'flow and pressure while it fades',
  minutes: 15,
  how: 'gauge where it can be read from the seat, up a hill or held on the brake; somebody else drives',
  yes: [
    'They fall',
    say('good', 'nowhere', { text: 'fuel falls short while it fades', next: ['cap loose, then an approved can'] }),
  ],
  no: [
    'They hold',
    say('bad', 'elsewhere', {
      text: 'fuel holds while it fades: it is not the fuel',
      next: ['air, ignition, exhaust, engine'],
    }),
  ],
});

/** Does it stay away with the cap loose? */
export const capLoose = chooses('capLoose', {
  name: 'the same drive with the filler cap loose',
  minutes: 10,
  how: 'a rag over it, no more than half a tank, a short way',
  yes: [
    'It stays away',
    say('bad', 'elsewhere', {
      text: 'with the cap loose it does not fade: the tank can’t breathe',
      next: ['another cap, then the vent line; the tank stays in'],
    }),
  ],
  no: ['It fades all the same', say('good', 'nowhere', { text: 'the tank breathes' })],
});

/** Does it run out of another can? */
export const fromCan = chooses('fromCan', {
  name: 'fed from an approved can, at the line behind the tank',
  minutes: 20,
  how: 'can fixed outside the cab, bonded, its own hose; standing under load, nobody underneath',
  yes: [
    'It runs well',
    say('good', 'tank', { text: 'behind the joint all is well: the tank, its pick-up or its screens' }),
  ],
  no: [
    'It fades too',
    say('bad', 'elsewhere', {
      text: 'it fades out of a clean can as well: in front of the tank',
      next: ['filter, pump, lines forward of the joint'],
    }),
  ],
});

/** Does it run on the other tank? */
export const otherTank = chooses('otherTank', {
  name: 'switched over to the other tank, where there is one',
  minutes: 5,
  how: 'valve over, the same drive',
  yes: ['It runs well', say('good', 'tank', { text: 'only this tank does it' })],
  no: ['It fades too', say('doubtful', 'nowhere', { text: 'both tanks do it: valve, filter or pump, or both alike' })],
});

/** Suction at the inlet of an outside pump. */
export const suction: QuickTest = {
  id: 'suction',
  name: 'suction at the pump’s inlet, while it fades',
  minutes: 10,
  // A pump in the tank has no inlet a gauge could be put in front of.
  applies: ({ fuelSystem }) => fuelSystem?.place !== 'tank',
  how: 'a vacuum gauge on a tee in front of an outside pump; bar under the air',
  reads: { dimension: 'pressure', unit: 'bar' },
  judge: (value) => {
    const under = Number(value);
    if (!(under >= 0 && under < 1))
      return say('unknown', 'nowhere', { text: 'no pump draws that', next: ['read it again, under the air'] });
    const verdict = judgeSuction(under);
    return {
      verdict,
      points: verdict.outcome === 'good' ? 'elsewhere' : verdict.outcome === 'bad' ? 'tank' : 'nowhere',
    };
  },
};
