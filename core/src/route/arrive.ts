import { add, bit, type Prepared } from './prepare.ts';
import { disjoint, fork, within, type State } from './state.ts';

/** Pays for something that was in reach at an earlier stop: from now on it was done there. */
export function payLate(p: Prepared, s: State, thing: number): void {
  const way = s.option[thing]! - 1;
  s.cost += p.ways[way]!.extra;
  add(s.done, thing);
  s.option[thing] = 0;
  s.late.push({ way, depth: s.optionAt[thing]! });
}

/** May this way be used now? */
const ready = (p: Prepared, s: State, way: number): boolean => {
  const w = p.ways[way]!;
  return !bit(s.done, w.thing) && within(w.after, s.done) && disjoint(w.before, s.done);
};

/** Is this still to be in place for something that is not done yet? Then doing it early may cost a way. */
const needed = (p: Prepared, s: State, thing: number): boolean => !within(p.neededBy[thing]!, s.done);

/**
 * Works a stop: what must be done and is at its cheapest here is done at once; a dearer way, or a thing that need not be
 * done, becomes an option. Doing it early never hurts, since it only takes ceilings away.
 */
function work(p: Prepared, s: State, reach: readonly number[]): void {
  for (let changed = true; changed;) {
    changed = false;
    for (const way of reach) {
      const w = p.ways[way]!;
      if (needed(p, s, w.thing) || !ready(p, s, way)) continue;
      if (w.cheapest) {
        add(s.done, w.thing);
        s.option[w.thing] = 0;
        s.uses.push(way);
        changed = true;
      } else {
        const had = s.option[w.thing]!;
        if (had !== 0 && p.ways[had - 1]!.extra <= w.extra) continue;
        s.option[w.thing] = way + 1;
        s.optionAt[w.thing] = s.depth;
      }
    }
  }
}

/**
 * All that may come of a stop: as it is; with something paid late because a way in reach waits for it; and, for things
 * that others need in place, done now or not yet.
 */
export function arrive(p: Prepared, at: State, reach: readonly number[]): State[] {
  const out: State[] = [];
  const seen = new Set<string>();
  const visit = (s: State): void => {
    work(p, s, reach);
    const key = `${s.done.join()}/${s.option.join()}/${s.cost}`;
    if (seen.has(key)) return;
    seen.add(key);
    out.push(s);
    for (const way of reach) {
      const w = p.ways[way]!;
      if (bit(s.done, w.thing)) continue;
      if (needed(p, s, w.thing)) {
        if (!disjoint(w.before, s.done)) continue;
        const waits = missing(s, w.after);
        if (waits.some((t) => s.option[t] === 0)) continue;
        const next = fork(s);
        for (const t of waits) payLate(p, next, t);
        next.cost += w.extra;
        add(next.done, w.thing);
        next.uses.push(way);
        visit(next);
        continue;
      }
      const waits = missing(s, w.after);
      if (waits.length === 0 || waits.some((t) => s.option[t] === 0) || !better(p, s, way)) continue;
      const next = fork(s);
      for (const t of waits) payLate(p, next, t);
      visit(next);
    }
  };
  visit(at);
  return out;
}

const missing = (s: State, after: readonly [number, number]): number[] => {
  const list: number[] = [];
  for (let word = 0; word < 2; word++) {
    const left = after[word]! & ~s.done[word]!;
    for (let i = 0; left >>> i !== 0 && i < 32; i++) if (left & (1 << i)) list.push(word * 32 + i);
  }
  return list;
};

/** Is the way cheaper than the option the thing has? */
const better = (p: Prepared, s: State, way: number): boolean => {
  const w = p.ways[way]!;
  const had = s.option[w.thing]!;
  return had === 0 || p.ways[had - 1]!.extra > w.extra;
};

/**
 * Can a must-thing no longer be done? Nothing of it is in hand, and all its ways need something in place that is off.
 *
 * @example isStranded(p, { ...state, done: after }) // true where the wire's only way needs the clip on
 */
export const isStranded = (p: Prepared, s: State): boolean =>
  p.waysOf.some(
    (ways, t) =>
      bit(p.must, t) &&
      !bit(s.done, t) &&
      s.option[t] === 0 &&
      ways.every((way) => !disjoint(p.ways[way]!.before, s.done)),
  );

/** Those of the ways in reach of which something new could come. @example usefulWays(p, state, group.ways) */
export const usefulWays = (p: Prepared, s: State, reach: readonly number[]): number[] =>
  reach.filter((way) => {
    const w = p.ways[way]!;
    if (bit(s.done, w.thing) || !disjoint(w.before, s.done)) return false;
    if (!needed(p, s, w.thing) && !better(p, s, way)) return false;
    return missing(s, w.after).every((t) => s.option[t] !== 0 || reach.some((other) => p.ways[other]!.thing === t));
  });
