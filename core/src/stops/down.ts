import { computed } from '../basis/index.ts';
import { total } from '../estimate/index.ts';
import {
  atGoal,
  bindings,
  CREEP,
  FIRST_STOP,
  holdersAt,
  MOVE_MINUTES,
  reachOf,
  safeUnder,
  type Binding,
  type Margins,
  type TankState,
} from '../hang/index.ts';
import { isOff } from '../ledger/index.ts';
import { deepest, dropAt, GRID, gridDown, isHome, level, samePose, type Pose } from '../pose/index.ts';
import { keyOf, type Support, type Way } from '../vehicle/index.ts';
import { actionsAt } from './actions.ts';
import { beforeDrained } from './gatesBefore.ts';
import { guide } from './guide.ts';
import type { Action, Stop } from './types.ts';

/**
 * The next stop on the way down. Where the figures allow a way, with a look where one helps, it is the first part of the
 * way with the least minutes, tilted where that is needed. Else: what can be done where the tank hangs; then the deepest
 * level drop that is safe whatever is true within the ranges; where that is less than 10 mm away, a creep; where nothing
 * lets it go, what holds. Part-way it ends where its top is to be worked on.
 *
 * @returns poses in mm on a 5 mm grid; at every pose but in a creep each binding limit keeps 10 mm under its low end
 * @example nextStop(foldJob(null, entries)!).pose // { f: 25, r: 25 }
 */
export function nextStop(state: TankState, margins: Margins = state.shop): Stop {
  const stop = planned(state, margins);
  // Gate 2 stands before the supports: until it is passed there is what can be done without it.
  const first = stop.kind === 'start' && state.gates[2].passed === null ? beforeDrained(state, stop.actions) : [];
  if (first.length > 0 && first.length < stop.actions.length)
    return stopAt(state, { pose: stop.pose, kind: 'start', margins, work: first });
  if (state.looked || deepest(stop.pose) < state.vehicle.clear || stop.kind === 'held') return stop;
  // Something that nobody listed may be on: nothing goes to the ground without one look from a stop.
  const { pose } = state;
  const from = isHome(pose) ? level(Math.min(FIRST_STOP, state.vehicle.clear)) : pose;
  return stopAt(state, { pose: from, kind: 'stop', margins, work: [] });
}

/** The next stop by the search, or by levels where it finds none. */
function planned(state: TankState, margins: Margins): Stop {
  const { pose } = state;
  if (atGoal(state)) return stopAt(state, { pose, kind: 'there', margins });
  const atHome = deepest(state.pose) === 0;
  const guided = guide(state, margins);
  const work = guided?.actions ?? inReach(state, pose, margins);
  if (work.length > 0) return stopAt(state, { pose, kind: atHome ? 'start' : 'stop', margins, work });
  // While a support is on it carries, and nothing moves.
  const carrying = atHome ? state.vehicle.supports.filter((s) => !isOff(state, keyOf('support', s.id))) : [];
  if (carrying.length > 0) return heldBy(state, carrying, margins);
  const binding = bindings(state);
  if (binding.length === 0)
    return stopAt(state, {
      pose: level(state.goal ?? state.vehicle.clear),
      kind: state.goal === null ? 'out' : 'stop',
      margins,
    });
  if (guided?.next) {
    const first = atHome ? towards(guided.next, { most: FIRST_STOP, state, margins }) : guided.next;
    if (isSafe(state, first, margins)) return stopAt(state, { pose: first, kind: 'stop', margins });
  }
  const target = deepestSafe(state, binding, margins);
  const here = deepest(state.pose);
  if (!samePose(pose, level(here)))
    return stopAt(state, { pose: level(Math.min(here, target)), kind: 'stop', margins });
  if (target >= here + CREEP || (here === 0 && target > 0))
    return stopAt(state, { pose: level(target), kind: 'stop', margins });
  const creepTo = Math.min(here + CREEP, state.goal ?? Infinity, ...binding.map((b) => gridDown(b.fast ?? b.limit.hi)));
  return creepTo > here
    ? stopAt(state, { pose: level(creepTo), kind: 'creep', margins })
    : stopAt(state, { pose, kind: 'held', margins });
}

/** Supports that can't come off where the tank hangs: it goes nowhere. */
function heldBy(state: TankState, supports: readonly Support[], margins: Margins): Stop {
  const stop = stopAt(state, { pose: state.pose, kind: 'held', margins });
  const limit = { lo: 0, typ: 0, hi: 0, basis: computed('a support is on') };
  const holders = supports.map(({ id, name }) => ({
    key: keyOf('support', id),
    name,
    limit,
    room: limit,
    known: true,
  }));
  return { ...stop, holders: [...holders, ...stop.holders] };
}

/** What can come off here; part-way only what holds the tank before its goal. */
const inReach = (state: TankState, pose: Pose, margins: Margins): Action[] =>
  actionsAt(state, pose, margins).filter((a) => holdsBefore(state, a, margins));

/** Part-way, what lets the tank down to its goal for certain stays on. */
function holdsBefore(state: TankState, action: Action, margins: Margins): boolean {
  if (state.goal === null) return true;
  const binding = bindings(state).find(
    (b) => b.key === action.key || b.line?.clips.some((clip) => keyOf('clip', clip.id) === action.key),
  );
  return !binding || safeUnder(binding, margins) < state.goal;
}

/** Whatever is true, nothing pulls and nothing is struck here, the margin kept. */
const isSafe = (state: TankState, pose: Pose, margins: Margins): boolean =>
  bindings(state).every((b) => dropAt(pose, b.x, state.vehicle.length) <= safeUnder(b, margins));

/** The first move is never deep: on the way to a pose no further than so, level. */
function towards(pose: Pose, { most, state, margins }: { most: number; state: TankState; margins: Margins }): Pose {
  if (Math.max(pose.f, pose.r) <= most) return pose;
  return level(Math.min(most, deepestSafe(state, bindings(state), margins)));
}

/** Deepest level drop that keeps every margin, is no first stop below 25 mm, and passes no reach that would be lost. */
function deepestSafe(state: TankState, binding: readonly Binding[], margins: Margins): number {
  const here = deepest(state.pose);
  const first = here === 0 ? FIRST_STOP : Infinity;
  const lost = binding.flatMap((b) => (b.line ? lastChance(b.line.part, here) : []));
  return Math.max(
    0,
    Math.min(state.goal ?? state.vehicle.clear, first, ...lost, ...binding.map((b) => safeUnder(b, margins))),
  );
}

/** The lowest drop at which a line can still be parted, when all its ways end and have not ended yet. */
function lastChance(ways: readonly Way[], here: number): number[] {
  const end = Math.max(...ways.map((way) => gridDown(way.reachTo.lo)));
  return end > here ? [end] : [];
}

/**
 * A stop in a pose: what comes off there, what holds from there, what is only guessed.
 * Used for the plan's own stop and for a height the technician chose.
 *
 * @param work what comes off there, where the plan says so; else all that is in reach for certain
 * @example stopAt(state, { pose: { f: 40, r: 40 }, kind: 'stop' }).actions
 */
export function stopAt(
  state: TankState,
  { pose, kind, margins = state.shop, work }: { pose: Pose; kind: Stop['kind']; margins?: Margins; work?: Action[] },
): Stop {
  const { length } = state.vehicle;
  const at: TankState = { ...state, pose };
  const idle = kind !== 'start' && kind !== 'stop';
  const actions = idle ? [] : (work ?? plannedThere(at, state, margins) ?? inReach(at, pose, margins));
  const binding = bindings(at).filter((b) => !actions.some((a) => a.key === b.key));
  const to = (b: Binding) => dropAt(pose, b.x, length);
  const deeper = (b: Binding) => to(b) > dropAt(state.pose, b.x, length);
  const risky = kind === 'creep' ? [] : bindings(state).filter((b) => deeper(b) && safeUnder(b, margins) < to(b));
  const onLines = binding.filter((b) => b.line);
  const moves = samePose(state.pose, pose) ? [] : [MOVE_MINUTES];
  return {
    kind,
    from: state.pose,
    pose,
    actions,
    watch:
      kind === 'creep'
        ? bindings(state)
            .filter((b) => safeUnder(b, margins) < to(b))
            .map((b) => b.key)
        : [],
    risk: holdersAt(risky, pose, length)[0] ?? null,
    holders: holdersAt(binding, pose, length),
    needs: onLines.flatMap((b) => needOf(at, b, to(b))),
    unseen: onLines.filter((b) => b.line!.visibleFrom.hi > to(b)).map((b) => b.key),
    minutes: total([...moves, ...actions.map((a) => a.minutes)]),
  };
}

/** What the plan does once the tank hangs there; null where it has none. */
const plannedThere = (at: TankState, from: TankState, margins: Margins): Action[] | null =>
  samePose(at.pose, from.pose) ? null : (guide(at, margins)?.actions ?? null);

/** What a guessed line must give so that a hand reaches it before it is tight, mm. */
function needOf(state: TankState, binding: Binding, to: number): Stop['needs'] {
  const line = binding.line!;
  const reach = Math.min(...line.part.map((way) => reachOf(way, 'surely', state.reached[line.id]).from));
  if (binding.fast !== null || binding.limit.lo >= reach || reach <= to) return [];
  return [{ key: binding.key, name: binding.name, mm: reach }];
}

/** A whole number of grid steps within reach of the ± keys. @example stepHeight(40, 10, 200) // 50 */
export const stepHeight = (from: number, by: -10 | 10 | -5 | 5, clear: number): number =>
  Math.min(clear, Math.max(0, Math.round((from + by) / GRID) * GRID));
