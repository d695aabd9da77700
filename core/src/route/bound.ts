import type { Group } from './groups.ts';
import { bit, type Prepared } from './prepare.ts';
import { freed, within, type State } from './state.ts';

/** At least so much more must be paid before the goal, moves to stops included, the last move to the goal not. */
type Bound = (s: State) => number;

/**
 * Two bounds that never say too much, the larger counts. *Layers*: if every pose that is allowed now were used at once,
 * and then every pose that is allowed after that, how often would it take? *Stops as facilities*: each thing brings a
 * budget to the stops where it can be done; no stop may collect more than a move costs (dual of facility location).
 */
export function boundOf(p: Prepared, groups: readonly Group[], goal: Group): Bound {
  const doers = p.things.map((): { group: number; extra: number }[] => []);
  const all = [...groups, goal];
  all.forEach((group, g) => {
    const best = new Map<number, number>();
    for (const way of group.ways) {
      const { thing, extra } = p.ways[way]!;
      if (extra < (best.get(thing) ?? Infinity)) best.set(thing, extra);
    }
    for (const [thing, extra] of best) if (!holdsItself(p, group, thing)) doers[thing]!.push({ group: g, extra });
  });
  const order = p.things
    .map((_, t) => t)
    .filter((t) => bit(p.must, t))
    .sort((a, b) => doers[a]!.length - doers[b]!.length || a - b);
  const room = new Float64Array(all.length);

  const facilities = (s: State): number => {
    room.fill(p.move);
    room[all.length - 1] = 0;
    let sum = 0;
    for (const t of order) {
      if (bit(s.done, t)) continue;
      const option = s.option[t]!;
      let budget = option > 0 ? p.ways[option - 1]!.extra : Infinity;
      for (const { group, extra } of doers[t]!) budget = Math.min(budget, extra + room[group]!);
      if (budget === Infinity) return Infinity;
      sum += budget;
      for (const { group, extra } of doers[t]!) if (budget > extra) room[group]! -= budget - extra;
    }
    return sum;
  };

  const layers = (s: State): number => {
    const done: [number, number] = [s.done[0], s.done[1]];
    const put = (t: number): boolean => {
      if (bit(done, t)) return false;
      done[t >> 5]! |= 1 << (t & 31);
      return true;
    };
    for (let t = 0; t < p.things.length; t++) if (s.option[t]! > 0) put(t);
    for (let count = 0; ; count++) {
      const off = freed(p, done);
      if (within(goal.broken, off) && finishedAt(p, goal, done)) return count * p.move;
      let grew = false;
      const before: [number, number] = [done[0], done[1]];
      for (const group of groups) {
        if (!within(group.broken, off)) continue;
        for (const way of group.ways) {
          const w = p.ways[way]!;
          // What it waits for may come in the same layer: the order within is left open, so the bound stays below.
          if (within(w.after, before) || waitsWithin(p, group, { after: w.after, done: before }))
            grew = put(w.thing) || grew;
        }
      }
      if (!grew) return Infinity;
    }
  };
  return (s) => Math.max(layers(s), facilities(s));
}

/** Broken here, and only the thing itself takes the ceiling away: it can't be done here. */
const holdsItself = (p: Prepared, group: Group, thing: number): boolean =>
  p.limits.some(
    (limit, i) =>
      bit(group.broken, i) &&
      limit.freed[thing >> 5] === 1 << (thing & 31) &&
      limit.freed[thing >> 5 === 0 ? 1 : 0] === 0,
  );

const waitsWithin = (
  p: Prepared,
  group: Group,
  { after, done }: { after: readonly [number, number]; done: [number, number] },
): boolean => {
  const have: [number, number] = [done[0], done[1]];
  for (const way of group.ways) have[p.ways[way]!.thing >> 5]! |= 1 << (p.ways[way]!.thing & 31);
  return within(after, have);
};

const finishedAt = (p: Prepared, goal: Group, done: readonly [number, number]): boolean => {
  const have: [number, number] = [done[0], done[1]];
  for (const way of goal.ways) have[p.ways[way]!.thing >> 5]! |= 1 << (p.ways[way]!.thing & 31);
  return within(p.must, have);
};
