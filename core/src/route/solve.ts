import TinyQueue from 'tinyqueue';
import { arrive, isStranded, payLate } from './arrive.ts';
import { boundOf } from './bound.ts';
import { unpack } from './cost.ts';
import { groupAt, groupsOf, type Group } from './groups.ts';
import { openStops } from './openStops.ts';
import { bit, prepare, type Prepared } from './prepare.ts';
import { fork, freed, kills, type State } from './state.ts';
import { stopsOf } from './stopsOf.ts';
import type { Route, RouteModel, Solved } from './types.ts';

interface SolveOptions {
  /** Called after so many states, 256 unless said otherwise, with their number; return false to give up. */
  every?: number;
  onLooked?: (looked: number) => boolean | void;
}

/** A search that was given up because it was asked to. */
export class Stopped extends Error {
  override readonly name = 'Stopped';
}

/**
 * The way with the least minutes, then the fewest moves, then the fewest minutes with two people: in which order, at
 * which heights and tilts everything is done so that no ceiling is broken and nothing is out of reach. Exact: A* over
 * what is done, where a thing that was in reach earlier may be paid for later.
 *
 * @returns `route: null` when there is no way
 * @throws InputError for a model that makes no sense; Stopped when `onLooked` returned false
 * @example solve(model).route?.minutes // 47.5
 */
export function solve(model: RouteModel, options: SolveOptions = {}): Solved {
  const p = prepare(model);
  const groups = groupsOf(p);
  const goal = fixed(p, model.goal);
  const start = fixed(p, model.start);
  const bound = boundOf(p, groups, goal);
  const queue = new TinyQueue<{ key: number; turn: number; state: State }>(
    [],
    (a, b) => a.key - b.key || b.turn - a.turn,
  );
  const alive: State[] = [];
  const dead = new Set<State>();
  let turn = 0;
  let looked = 0;

  const push = (state: State): void => {
    looked += 1;
    if (looked % (options.every ?? 256) === 0 && options.onLooked?.(looked) === false) throw new Stopped('given up');
    if (!state.goal) {
      for (const other of alive) if (!dead.has(other) && kills(p, other, state)) return;
      const left = bound(state);
      if (left === Infinity) return;
      for (const other of alive) if (!dead.has(other) && kills(p, state, other)) dead.add(other);
      alive.push(state);
      queue.push({ key: state.cost + left + p.move, turn: turn++, state });
    } else queue.push({ key: state.cost, turn: turn++, state });
  };
  /** Everything that comes of being at a stop, and of being at the goal. */
  const land = (state: State, reach: readonly number[], isGoal: boolean): void => {
    for (const next of arrive(p, state, reach)) {
      if (isGoal) {
        const end = finish(p, next);
        if (end) push(end);
      } else if (!isStranded(p, next)) push(next);
    }
  };

  const at: State = {
    cost: 0,
    done: [0, 0],
    option: new Int16Array(p.things.length),
    optionAt: new Uint8Array(p.things.length),
    tilts: start.tilts,
    depth: 0,
    group: start,
    uses: [],
    late: [],
    sameTilt: false,
    parent: null,
    goal: false,
  };
  const home = model.start.f === model.goal.f && model.start.r === model.goal.r;
  if (home) land(fork(at), start.ways, true);
  land(at, start.ways, false);

  for (let next = queue.pop(); next; next = queue.pop()) {
    const { state } = next;
    if (state.goal) return { route: routeOf(p, model, state), looked };
    if (dead.has(state)) continue;
    const off = freed(p, state.done);
    for (const group of [...openStops(p, state, { groups, off }), goal]) {
      const isGoal = group === goal;
      for (const paid of payFor(p, state, { group, off }))
        for (const moved of move(p, paid, { group, parent: state })) land(moved, group.ways, isGoal);
    }
  }
  return { route: null, looked };
}

/** A single pose as a group of its own. */
function fixed(p: Prepared, pose: { f: number; r: number }): Group {
  const tilt = p.tilts.indexOf(pose.r - pose.f);
  const tilts: [number, number] = [0, 0];
  const poses: Group['poses'] = [];
  // A start that hangs steeper than is allowed has no tilt of its own: any next pose changes it.
  if (tilt >= 0) tilts[tilt >> 5]! |= 1 << (tilt & 31);
  poses[Math.max(0, tilt)] = pose;
  return { ...groupAt(p, pose), tilts, poses, depth: pose.f + pose.r };
}

/** The state once it may hang in a group's poses: what breaks there is freed late, in every way that is possible. */
function payFor(p: Prepared, state: State, { group, off }: { group: Group; off: readonly [number, number] }): State[] {
  const left = [group.broken[0] & ~off[0], group.broken[1] & ~off[1]] as const;
  if (left[0] === 0 && left[1] === 0) return [{ ...state, late: [] }];
  const out: State[] = [];
  const visit = (s: State, from: number): void => {
    for (let i = from; i < p.limits.length; i++) {
      if (!bit(left, i)) continue;
      const { freed: by } = p.limits[i]!;
      if ((by[0] & s.done[0]) !== 0 || (by[1] & s.done[1]) !== 0) continue;
      for (let t = 0; t < p.things.length; t++) {
        if (!bit(by, t) || s.option[t] === 0) continue;
        const next = fork(s);
        payLate(p, next, t);
        visit(next, i + 1);
      }
      return;
    }
    out.push(s);
  };
  visit({ ...state, late: [] }, 0);
  return out;
}

/** One change of pose into a group: in the tilt it hangs in, and in another. */
function move(p: Prepared, s: State, { group, parent }: { group: Group; parent: State }): State[] {
  const both: [number, number] = [s.tilts[0] & group.tilts[0], s.tilts[1] & group.tilts[1]];
  const out: State[] = [];
  const next = (tilts: [number, number], cost: number, sameTilt: boolean): State => ({
    ...fork(s),
    cost: s.cost + cost,
    tilts: [tilts[0], tilts[1]],
    depth: s.depth + 1,
    group,
    uses: [],
    sameTilt,
    parent,
  });
  if (both[0] !== 0 || both[1] !== 0) out.push(next(both, p.move, true));
  if ((group.tilts[0] & ~s.tilts[0]) !== 0 || (group.tilts[1] & ~s.tilts[1]) !== 0)
    out.push(next(group.tilts, p.move + p.tilt, false));
  return out;
}

/** At the goal: whatever must be done and is not is paid late, or it is no goal. */
function finish(p: Prepared, state: State): State | null {
  const end = fork(state);
  end.goal = true;
  for (let t = 0; t < p.things.length; t++) {
    if (!bit(p.must, t) || bit(end.done, t)) continue;
    if (end.option[t] === 0) return null;
    payLate(p, end, t);
  }
  return end;
}

function routeOf(p: Prepared, model: RouteModel, end: State): Route {
  return { stops: stopsOf(p, model, end), ...unpack(end.cost + p.base) };
}
