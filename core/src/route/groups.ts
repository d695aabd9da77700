import { dropTimesLength, GRID, inReach, type Pose } from '../pose/index.ts';
import type { Prepared } from './prepare.ts';

/** Poses that reach the same ways and break the same ceilings, with one pose for each tilt they come in. */
export interface Group {
  /** Indexes of the ways in reach. */
  ways: number[];
  /** Ceilings that would be broken here, two words of bits. */
  broken: [number, number];
  /** Which tilts, two words of bits, and the pose at each. */
  tilts: [number, number];
  /** The pose at each tilt. */
  poses: (Pose | undefined)[];
  /** How deep its highest pose hangs, both ends together, mm. */
  depth: number;
}

/**
 * What a pose reaches and breaks.
 *
 * @example groupAt(p, { f: 40, r: 40 }).ways // indexes of what a hand reaches there
 */
export function groupAt(p: Prepared, pose: Pose): Pick<Group, 'ways' | 'broken'> {
  const ways: number[] = [];
  p.ways.forEach((way, i) => {
    if (way.reaches.every(({ x, from, to }) => inReach(pose, { x, from, to, length: p.length }))) ways.push(i);
  });
  const broken: [number, number] = [0, 0];
  p.limits.forEach((limit, i) => {
    if (dropTimesLength(pose, limit.x, p.length) > limit.at * p.length) broken[i >> 5]! |= 1 << (i & 31);
  });
  return { ways, broken };
}

/**
 * On a fixed tilt every ceiling and every reach is one interval of the first end's drop, so that only the drops where a
 * reach begins matter: any other pose reaches no more and breaks no less than the next one above it.
 *
 * @example groupsOf(prepare(model)).length // places that differ in what is reached
 */
export function groupsOf(p: Prepared): Group[] {
  const found = new Map<string, Group>();
  const { length, clear } = p;
  p.tilts.forEach((tilt, t) => {
    const low = Math.max(0, -tilt);
    const high = Math.min(clear, clear - tilt);
    const begins = new Set<number>();
    for (const way of p.ways) {
      // d(x) = f + tilt·x/L ≥ from  ⇔  f ≥ from − tilt·x/L, on the grid upwards.
      const begin = Math.max(...way.reaches.map(({ x, from }) => from - (tilt * x) / length));
      const at = Math.max(low, Math.ceil(begin / GRID - 1e-9) * GRID);
      if (at <= high) begins.add(at);
    }
    const seen: { ways: number[]; broken: [number, number] }[] = [];
    for (const f of [...begins].sort((a, b) => a - b)) {
      const pose = { f, r: f + tilt };
      const { ways, broken } = groupAt(p, pose);
      if (ways.length === 0 || seen.some((s) => covers(s, { ways, broken }))) continue;
      seen.push({ ways, broken });
      const key = `${ways.join()}/${broken.join()}`;
      let group = found.get(key);
      if (!group) found.set(key, (group = { ways, broken, tilts: [0, 0], poses: [], depth: Infinity }));
      group.tilts[t >> 5]! |= 1 << (t & 31);
      group.poses[t] = pose;
      group.depth = Math.min(group.depth, pose.f + pose.r);
    }
  });
  return [...found.values()];
}

/** Reaches all the other reaches, breaks nothing the other does not break. */
const covers = (a: Pick<Group, 'ways' | 'broken'>, b: Pick<Group, 'ways' | 'broken'>): boolean =>
  (a.broken[0] & ~b.broken[0]) === 0 &&
  (a.broken[1] & ~b.broken[1]) === 0 &&
  b.ways.every((way) => a.ways.includes(way));
