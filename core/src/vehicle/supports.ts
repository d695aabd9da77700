import { commonPractice } from '../basis/index.ts';
import type { Support } from './types.ts';
import type { Way } from './ways.ts';

/** Taken off from below with the tank home, by one pair of hands. Minutes: common practice, no source. */
const usual = (id: string, minutes: Way['minutes']): Way => ({
  id,
  reachFrom: { lo: 0, typ: 0, hi: 0 },
  reachTo: { lo: 0, typ: 0, hi: 0 },
  minutes,
  people: 1,
  hands: 1,
  from: 'below',
  tools: [],
  after: [],
});

/** How a support comes off. @example waysOff(strap)[0]?.id // 'strap-1-off' */
export const waysOff = ({ id, off }: Support): readonly Way[] =>
  off ?? [usual(`${id}-off`, { lo: 3, typ: 5, hi: 15, basis: commonPractice })];

/**
 * How it goes back on. What coming off waited for says nothing of going back; in which state others are then does.
 *
 * @example waysOn(strap)[0]?.id // 'strap-1-on'
 */
export const waysOn = ({ id, off, on }: Support): readonly Way[] =>
  on ??
  off?.map((way) => ({ ...way, after: [] })) ?? [usual(`${id}-on`, { lo: 4, typ: 6, hi: 12, basis: commonPractice })];
