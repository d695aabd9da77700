import type { Found } from '../verdict/index.ts';

/** What a hose rubs on under a vehicle. */
export const RUBS = ['frame', 'brake', 'exhaust', 'crossmember'] as const;
/** One of them. */
export type Rubs = (typeof RUBS)[number];

/** As people call them. */
export const rubWord: Record<Rubs, string> = {
  frame: 'the frame',
  brake: 'a brake line',
  exhaust: 'the exhaust',
  crossmember: 'a crossmember',
};

/**
 * What it lies on: nothing without a sleeve or a clip; a brake line and the exhaust never, sleeve or not. Common practice, no source.
 *
 * @example judgeRubs({ rubs: ['frame'], guarded: false })[0]?.outcome // 'bad'
 */
export function judgeRubs({ rubs = [], guarded = false }: { rubs?: readonly Rubs[]; guarded?: boolean }): Found[] {
  return rubs.map((on): Found => {
    if (on === 'exhaust' || on === 'brake')
      return {
        outcome: 'bad',
        text: `it lies on ${rubWord[on]}`,
        next: on === 'exhaust' ? 'clear of it by a hand, and a shield between' : 'another way: a clip keeps them apart',
      };
    return guarded
      ? { outcome: 'good', text: `sleeved where it lies on ${rubWord[on]}` }
      : { outcome: 'bad', text: `it rubs on ${rubWord[on]}`, next: 'a sleeve over it, or a clip that keeps it off' };
  });
}
