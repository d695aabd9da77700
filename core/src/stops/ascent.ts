import { isOn } from '../job/apply/tank.ts';
import { keyOf } from '../job/names.ts';
import { solve, type Route, type RouteModel, type RouteThing, type RouteWay } from '../route/index.ts';
import { estimateOf, OPEN_REACH, type Range, type Way } from '../vehicle/index.ts';
import { gridDown, gridUp, HELPER_MINUTES, MOVE_MINUTES, TILT_MINUTES } from './margins.ts';
import type { TankState } from './types.ts';

/** How the ranges are taken on the way up. */
export type UpView = 'worst' | 'typical' | 'best';

/**
 * The way up as a question for the exact search, read backwards: from home, with everything made, down to where the tank
 * hangs. A thing may be made only where it is reached and its own length holds; from then on it binds. Made first means,
 * backwards, still in place. Going up only gives room, so no margin is kept.
 *
 * @example solve(ascentModel(state, 'typical')).route
 */
export function ascentModel(state: TankState, view: UpView): RouteModel {
  const { vehicle } = state;
  const things: RouteThing[] = [];
  const limits: { x: number; at: number; freedBy: string[] }[] = [];
  const room = (r: Range) => gridDown(view === 'worst' ? r.lo : view === 'typical' ? r.typ : r.hi);
  const open = (key: string) =>
    state.items.some((i) => i.key === key && (i.state === 'open' || i.state === 'deferred'));
  const keys = new Map([
    ...vehicle.connections.map((c) => [c.id, keyOf('line', c.id)] as const),
    ...vehicle.connections.flatMap((c) => c.clips.map((k) => [k.id, keyOf('clip', k.id)] as const)),
    ...vehicle.obstructions.map((o) => [o.id, keyOf('obstruction', o.id)] as const),
  ]);
  const wayOf = (way: Way): RouteWay => {
    const [from, to] =
      view === 'worst'
        ? [way.reachFrom.hi, way.reachTo.lo]
        : view === 'typical'
          ? [way.reachFrom.typ, way.reachTo.typ]
          : [way.reachFrom.lo, way.reachTo.hi];
    return {
      id: way.id,
      from: gridUp(from),
      to: to >= OPEN_REACH ? OPEN_REACH : gridDown(to),
      minutes: way.minutes.typ,
      people: way.people,
      after: [],
      before: way.after.map((id) => keys.get(id) ?? id).filter(open),
    };
  };
  for (const line of vehicle.connections) {
    const key = keyOf('line', line.id);
    const clips = line.clips.filter((clip) => open(keyOf('clip', clip.id)));
    const clipKeys = clips.map((clip) => keyOf('clip', clip.id));
    const loose = room(state.slack[line.id]!);
    // With its clip back on, the line lets no more than it did with it.
    const held = clips.length > 0 ? room(estimateOf(vehicle, line.slack)) : loose;
    const isOpen = open(key);
    if (!isOpen && !isOn(state, line.id)) continue;
    limits.push({ x: line.x, at: loose, freedBy: isOpen ? [key] : [] });
    if (held < loose) limits.push({ x: line.x, at: held, freedBy: [...clipKeys, ...(isOpen ? [key] : [])] });
    if (isOpen) {
      const parted = state.items.find((i) => i.key === key)!.way;
      const same = line.make.filter((way) => way.id === parted);
      things.push({ id: key, x: line.x, ways: (same.length > 0 ? same : line.make).map(wayOf) });
    }
    for (const clip of clips) things.push({ id: keyOf('clip', clip.id), x: line.x, ways: clip.ways.map(wayOf) });
  }
  for (const thing of vehicle.obstructions) {
    const key = keyOf('obstruction', thing.id);
    if (!open(key)) continue;
    const cleared = state.items.find((i) => i.key === key)!.way;
    const same = thing.restore.filter((way) => way.id === cleared);
    const ways = (same.length > 0 ? same : thing.restore).map(wayOf);
    if (ways.length === 0) continue;
    things.push({ id: key, x: thing.x, ways });
    if (thing.blocksAt) limits.push({ x: thing.x, at: room(thing.blocksAt), freedBy: [key] });
  }
  const tilt = Math.min(150, gridDown(vehicle.tiltLimit));
  return {
    length: vehicle.length,
    clear: vehicle.clear,
    tilt: { second: tilt, first: tilt },
    start: { f: 0, r: 0 },
    goal: state.pose,
    must: things.map((t) => t.id),
    things,
    limits,
    moveMinutes: MOVE_MINUTES.typ,
    tiltMinutes: TILT_MINUTES,
    helperMinutes: HELPER_MINUTES,
  };
}

/**
 * The way up with the least minutes, from where the tank hangs to home, null where the figures allow none.
 *
 * @returns stops from below; what is made at each in order, what others are made after first
 * @example routeUp(state, 'typical')?.stops.at(-1)!.pose // { f: 0, r: 0 }
 */
export function routeUp(state: TankState, view: UpView): Route | null {
  const { route } = solve(ascentModel(state, view));
  if (!route) return null;
  return { ...route, stops: [...route.stops].reverse().map((s) => ({ pose: s.pose, uses: [...s.uses].reverse() })) };
}
