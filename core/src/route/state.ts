import type { Group } from './groups.ts';
import type { Prepared } from './prepare.ts';

/** A point of the search: what is done and paid, what could have been done at a stop already made, and the tilts it may hang in. */
export interface State {
  /** Paid so far above the cheapest ways of all that must be done. */
  cost: number;
  /** What is done, two words of bits. */
  done: [number, number];
  /** By thing: the cheapest way reached at an earlier stop and not paid, plus one; 0 where there is none. */
  option: Int16Array;
  /** By thing: at which stop that was. */
  optionAt: Uint8Array;
  /** Tilts it may hang in here, two words of bits. */
  tilts: [number, number];
  /** Number of the stop. */
  depth: number;
  /** What this stop reaches; null at the start. */
  group: Group | null;
  /** Done at this stop, in order. */
  uses: number[];
  /** Paid late for something done at an earlier stop. */
  late: { way: number; depth: number }[];
  /** The tilt did not change on the way here. */
  sameTilt: boolean;
  /** Where it came from. */
  parent: State | null;
  /** Is everything done and the goal reached? */
  goal: boolean;
}

/** A copy that can be changed. @example fork(state).uses.push(3) */
export const fork = (s: State): State => ({
  ...s,
  done: [s.done[0], s.done[1]],
  option: s.option.slice(),
  optionAt: s.optionAt.slice(),
  uses: [...s.uses],
  late: [...s.late],
});

/** Everything of `a` is in `b`. @example within([1, 0], [3, 0]) // true */
export const within = (a: readonly [number, number], b: readonly [number, number]): boolean =>
  (a[0] & ~b[0]) === 0 && (a[1] & ~b[1]) === 0;

/** Have the two nothing in common? @example disjoint([1, 0], [2, 0]) // true */
export const disjoint = (a: readonly [number, number], b: readonly [number, number]): boolean =>
  (a[0] & b[0]) === 0 && (a[1] & b[1]) === 0;

/** Ceilings that no longer bind once these things are done. @example freed(p, state.done) */
export function freed(p: Prepared, done: readonly [number, number]): [number, number] {
  const out: [number, number] = [0, 0];
  for (let i = 0; i < p.limits.length; i++) if (!disjoint(p.limits[i]!.freed, done)) out[i >> 5]! |= 1 << (i & 31);
  return out;
}

/**
 * Is `b` never better than `a`? Then it need not be followed: `a` has done and could do all that `b` has and could, paid
 * no more, hangs in as many tilts (or could still change), and nothing more that it has done is needed in place.
 */
export function kills(p: Prepared, a: State, b: State): boolean {
  if (!within(b.done, a.done)) return false;
  if (a.cost > b.cost) return false;
  if (!within(b.tilts, a.tilts) && a.cost + p.tilt > b.cost) return false;
  for (let t = 0; t < p.things.length; t++) {
    const isDone = (a.done[t >> 5]! & (1 << (t & 31))) !== 0;
    const other = b.option[t]!;
    if (other > 0 && !isDone) {
      const own = a.option[t]!;
      if (own === 0 || p.ways[own - 1]!.extra > p.ways[other - 1]!.extra) return false;
    }
    if (isDone && (b.done[t >> 5]! & (1 << (t & 31))) === 0 && !within(p.neededBy[t]!, a.done)) return false;
  }
  return true;
}
