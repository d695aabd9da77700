import TinyQueue from 'tinyqueue';
import { wayCost, moveCost, tiltCost, unpack } from '../cost.ts';
import type { RouteModel } from '../types.ts';

/** A place the tank may hang at, and its drop at each x times the length, so that it stays whole. */
interface Pose {
  f: number;
  r: number;
}

/**
 * Least cost by trying everything: Dijkstra over every pose of the grid and every set of things done. Knows the rules and
 * nothing of the search; for tiny models only. A set of things is one whole number, a bit each; a state is pose and set.
 */
export function exhaustive(model: RouteModel): ReturnType<typeof unpack> | null {
  const { length, clear, tilt, start, goal } = model;
  const bits = new Map(model.things.map(({ id }, i) => [id, 1 << i]));
  const sets = 1 << bits.size;
  /** Bits of these; null where one of them is not there and so is never done. */
  const all = (ids: readonly string[]) => ids.reduce<number | null>((set, id) => orOf(set, bits.get(id)), 0);
  const any = (ids: readonly string[]) => ids.reduce((set, id) => set | (bits.get(id) ?? 0), 0);

  const poses: Pose[] = [];
  for (let f = 0; f <= clear; f += 5)
    for (let r = 0; r <= clear; r += 5) if (r - f <= tilt.second && f - r <= tilt.first) poses.push({ f, r });
  /** Those it may move to; it may begin at another one. */
  const reached = poses.length;
  const placeOf = ({ f, r }: Pose) => {
    const found = poses.findIndex((pose) => pose.f === f && pose.r === r);
    return found < 0 ? poses.push({ f, r }) - 1 : found;
  };
  const first = placeOf(start);
  const last = placeOf(goal);
  const turns = poses.map(({ f, r }) => r - f);
  const at = (pose: Pose, x: number) => pose.f * (length - x) + pose.r * x;

  const limits = model.limits.map(({ x, at: most, freedBy }) => ({
    freed: any(freedBy),
    kept: poses.map((pose) => at(pose, x) <= most * length),
  }));
  const ways = model.things.flatMap(({ id, x, ways: list }) =>
    list.flatMap((way) => {
      const after = all(way.after);
      if (after === null) return [];
      const inReach = (pose: Pose) => {
        const d = at(pose, x);
        if (d < way.from * length || d > way.to * length) return false;
        return !way.also?.some((a) => at(pose, a.x) < a.from * length || at(pose, a.x) > a.to * length);
      };
      const bit = bits.get(id) ?? 0;
      return [{ bit, after, before: any(way.before ?? []), cost: wayCost(way, model), reach: poses.map(inReach) }];
    }),
  );
  const must = all(model.must);

  const best = new Float64Array(poses.length * sets).fill(Infinity);
  const settled = new Uint8Array(poses.length * sets);
  /** Places it may move to with these done. */
  const open: (number[] | undefined)[] = new Array<number[] | undefined>(sets);
  const openWith = (done: number) =>
    (open[done] ??= poses.flatMap((_, p) =>
      p < reached && limits.every(({ freed, kept }) => kept[p] || (freed & done) !== 0) ? [p] : [],
    ));
  const arrived = new Set<number>();
  const steepest = 2 * clear + 1;

  const queue = new TinyQueue<{ state: number; cost: number }>([], (a, b) => a.cost - b.cost);
  const offer = (place: number, done: number, cost: number) => {
    const state = place * sets + done;
    if (best[state]! <= cost) return;
    best[state] = cost;
    queue.push({ state, cost });
  };
  offer(first, 0, 0);
  for (let now = queue.pop(); now; now = queue.pop()) {
    const { state, cost } = now;
    if (settled[state]) continue;
    settled[state] = 1;
    const done = state % sets;
    const place = (state - done) / sets;
    if (place === last && must !== null && (done & must) === must) return unpack(cost);
    for (const way of ways)
      if (!(done & way.bit) && way.reach[place] && (done & way.after) === way.after && !(done & way.before))
        offer(place, done | way.bit, cost + way.cost);
    // Whoever comes later with the same things done pays no less: from it only poses of its own tilt can be cheaper.
    const turn = turns[place]!;
    const inTilt = sets + done * steepest + turn + clear;
    const firstHere = !arrived.has(done);
    const firstInTilt = !arrived.has(inTilt);
    arrived.add(done).add(inTilt);
    if (!firstHere && !firstInTilt) continue;
    for (const to of openWith(done)) {
      const tilts = turns[to] !== turn;
      if (tilts && !firstHere) continue;
      offer(to, done, cost + moveCost(model) + (tilts ? tiltCost(model) : 0));
    }
  }
  return null;
}

const orOf = (set: number | null, bit: number | undefined) => (set === null || bit === undefined ? null : set | bit);
