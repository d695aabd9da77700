import type { Span } from '../estimate/index.ts';
import {
  bindings,
  MOVE_MINUTES,
  reachOf,
  slackFreed,
  tiltLimitOf,
  TILT_MINUTES,
  waitsHere,
  type Margins,
  type Sureness,
  type TankState,
} from '../hang/index.ts';
import { isOff } from '../ledger/index.ts';
import { dropAt, gridDown, gridUp, isHome } from '../pose/index.ts';
import type { RouteModel, RouteThing, RouteWay } from '../route/index.ts';
import { keyOf, OPEN_REACH, waysOff, type Way } from '../vehicle/index.ts';

/**
 * How the ranges are taken.
 * `worst`: every figure at its bad end: a way found so holds whatever is true. `look`: worst until a look on the line
 * says otherwise, typical from then on. `typical` and `best`: all figures there.
 */
export type View = 'worst' | 'look' | 'typical' | 'best';

/** A look is a thing of its own: `look:feed`. The way that a look opens ends so. */
export const LOOKED = '~looked';

const readings: Record<View, Sureness> = { worst: 'surely', look: 'surely', typical: 'likely', best: 'kindly' };

/**
 * The way down from here as a question for the exact search: what is on, what it lets, where hands get to. Every ceiling
 * keeps the margin a jack may overshoot; limits go down to the grid, reaches inward.
 *
 * @example solve(routeModel(state, 'worst', state.shop)).route // null where nothing is certain
 */
export function routeModel(state: TankState, view: View, margins: Margins): RouteModel {
  const { vehicle } = state;
  const { clear } = vehicle;
  const things: RouteThing[] = [];
  const limits: { x: number; at: number; freedBy: string[] }[] = [];
  const must: string[] = [];
  const pick = (range: Span): number => range[view === 'best' ? 'hi' : view === 'typical' ? 'typ' : 'lo'];
  const under = (mm: number) => Math.max(0, gridDown(mm) - margins.overshoot);
  const wayOf = (
    way: Way,
    {
      seenAt,
      reading = readings[view],
      id = way.id,
      more = [],
    }: { seenAt?: number; reading?: Sureness; id?: string; more?: string[] } = {},
  ): RouteWay[] => {
    const waits = waitsHere(state, way);
    if (!waits) return [];
    return [
      {
        id,
        ...reachOf(way, reading, seenAt),
        minutes: way.minutes.typ,
        people: way.people,
        after: [...waits.first, ...more],
        before: waits.notYet,
      },
    ];
  };
  const list = (ways: readonly Way[], seenAt?: number) => ways.flatMap((way) => wayOf(way, { seenAt }));

  for (const { key, x, limit, line, obstruction } of bindings(state)) {
    const free = line?.clips.filter((clip) => !isOff(state, keyOf('clip', clip.id))) ?? [];
    const at = under(pick(limit));
    if (line || at < clear) must.push(key);
    if (!line) {
      things.push({ id: key, x, ways: list(obstruction?.clear ?? []) });
      limits.push({ x, at, freedBy: [key] });
      continue;
    }
    const clips = free.map((clip) => ({
      id: keyOf('clip', clip.id),
      clip,
      at: under(pick(slackFreed(state, limit, clip))),
    }));
    const more = (than: number) => clips.filter((c) => c.at > than).map((c) => c.id);
    for (const c of clips) {
      things.push({ id: c.id, x, ways: list(c.clip.ways) });
      limits.push({ x, at: Math.max(at, c.at), freedBy: [key, ...more(c.at)] });
    }
    const ways = list(line.part, state.reached[line.id]);
    const freedBy = [key, ...more(at)];
    const look = view === 'look' && limit.lo < limit.typ ? `look:${line.id}` : null;
    if (look) {
      const here = dropAt(state.pose, x, vehicle.length);
      const seen = gridUp(line.visibleFrom.hi);
      // What could be seen from here was asked already.
      const from = seen <= here ? gridUp(here + 1) : seen;
      things.push({
        id: look,
        x,
        ways: [{ id: look, from, to: OPEN_REACH, minutes: line.lookMinutes, people: 1, after: [] }],
      });
      limits.push({ x, at: under(limit.typ), freedBy: [...freedBy] });
      freedBy.push(look);
      for (const way of line.part)
        if (
          reachOf(way, 'likely').from < reachOf(way, 'surely').from ||
          reachOf(way, 'likely').to > reachOf(way, 'surely').to
        )
          ways.push(
            ...wayOf(way, {
              seenAt: state.reached[line.id],
              reading: 'likely',
              id: `${way.id}${LOOKED}`,
              more: [look],
            }),
          );
    }
    limits.push({ x, at, freedBy });
    things.push({ id: key, x, ways });
  }
  // At home the supports still carry; anywhere else they have let go, whatever the log says.
  if (isHome(state.pose))
    for (const support of vehicle.supports) {
      const key = keyOf('support', support.id);
      if (isOff(state, key)) continue;
      must.push(key);
      things.push({ id: key, x: support.x, ways: list(waysOff(support)) });
      // No drop is below zero, so the middle stays at zero only while both ends do.
      limits.push({ x: vehicle.length / 2, at: 0, freedBy: [key] });
    }
  // What never blocks is there only because something waits for it.
  for (const thing of vehicle.obstructions) {
    const key = keyOf('obstruction', thing.id);
    if (isOff(state, key) || things.some((t) => t.id === key)) continue;
    things.push({ id: key, x: thing.x, ways: list(thing.clear) });
  }
  const tilt = tiltLimitOf(vehicle);
  const known = new Set(things.map((t) => t.id));
  return {
    length: vehicle.length,
    clear,
    tilt: { second: tilt, first: tilt },
    start: state.pose,
    // Part-way nothing has to come off but what holds it there.
    goal: { f: state.goal ?? clear, r: state.goal ?? clear },
    must: state.goal === null ? must : [],
    // A way that waits for something this vehicle does not have can't be used.
    things: things.map((t) => ({
      ...t,
      ways: t.ways
        .filter((w) => w.after.every((id) => known.has(id)))
        .map((w) => ({ ...w, before: (w.before ?? []).filter((id) => known.has(id)) })),
    })),
    limits,
    moveMinutes: MOVE_MINUTES.typ,
    tiltMinutes: TILT_MINUTES,
    helperMinutes: state.shop.helperMinutes,
  };
}
