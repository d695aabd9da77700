import type { Holder } from '@iron-cradle/core';

/** Most room drawn to scale, mm; more than a fist is plenty. */
export const FULL = 120;

/** A bar of the ladder, shares of its full length: solid for what the line gives for certain, hatched for what is only guessed. */
export function bar(holder: Pick<Holder, 'room'>): { solid: number; guessed: number } {
  const share = (mm: number) => Math.min(FULL, Math.max(0, mm)) / FULL;
  const solid = share(holder.room.lo);
  return { solid, guessed: share(holder.room.hi) - solid };
}
