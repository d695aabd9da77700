import { present } from '../errors/index.ts';
import type { TankState } from '../hang/index.ts';
import { dropAt, GRID, inReach, level, type Pose } from '../pose/index.ts';
import { seek, usedWay, type Route, type RouteModel, type RouteStop } from '../route/index.ts';
import { splitKey } from '../vehicle/index.ts';
import { ascentModel, TEST, type KeyOn, type UpView } from './ascent.ts';

import { levelTest, tested } from './testStop.ts';

/** A way up and the question it answers. */
export interface WayUp {
  /** Stop by stop. */
  route: Route;
  /** The question it answers. */
  model: RouteModel;
  /** What the ranges were taken as. */
  view: UpView;
}

/** A state is never changed, so what was found for it holds. */
const found = new WeakMap<TankState, WayUp | null>();

/**
 * The way up with the least minutes, from where the tank hangs to home, by the test stop while the key is still to be
 * turned. Certain wherever a thing leaves room for that, else as likely; null where the figures allow none, or where the
 * search would take too long.
 *
 * @returns stops from below; what is made at each in order, what others are made after first
 * @example wayUp(state)?.route.stops.at(-1)!.pose // { f: 0, r: 0 }
 */
export function wayUp(state: TankState): WayUp | null {
  let known = found.get(state);
  if (known === undefined) found.set(state, (known = search(state)));
  return known;
}

/**
 * Where the key is turned: the highest pose of the way up at which every top joint is still seen and reached.
 *
 * @returns mm on the grid; null when no top joint was parted, or the key was turned already
 * @example testStop(state) // { f: 60, r: 60 }
 */
export function testStop(state: TankState): Pose | null {
  const mm = levelTest(state);
  if (mm === null || tested(state)) return null;
  const stop = wayUp(state)?.route.stops.find((s) => s.uses.some((u) => u.thing === TEST));
  return stop?.pose ?? level(mm);
}

/** Tried in turn: hands that surely get there come before a joint that is surely seen. */
const beforeTest: readonly (readonly [UpView, KeyOn])[] = [
  ['surest', 'surely seen'],
  ['surest', 'likely seen'],
  ['typical', 'likely seen'],
  ['surest', 'made'],
  ['typical', 'made'],
  ['surest', 'home'],
  ['typical', 'home'],
];
const afterTest: typeof beforeTest = [
  ['surest', 'done'],
  ['typical', 'done'],
];

function search(state: TankState): WayUp | null {
  for (const [view, keyOn] of tested(state) ? afterTest : beforeTest) {
    const model = ascentModel(state, view, keyOn);
    const route = routeUp(model);
    if (!route) continue;
    const stops = madeAsLowAsReached(model, route.stops);
    const surely = keyOn === 'done' || keyOn === 'surely seen';
    return { route: { ...route, stops: surely ? stops : keyAsLowAsMade(model, stops) }, model, view };
  }
  return null;
}

/**
 * Solves a question about the way up and turns its answer about, so that it begins below. Null where there is no way, or
 * none was found in time.
 *
 * @example routeUp(ascentModel(state, 'best'))?.minutes
 */
export function routeUp(model: RouteModel): Route | null {
  const { route } = seek(model);
  if (!route) return null;
  return { ...route, stops: [...route.stops].reverse().map((s) => ({ pose: s.pose, uses: [...s.uses].reverse() })) };
}

/**
 * The search makes everything as high as it can. People make a line as soon as a hand gets there: it can be seen, and
 * nothing is forgotten. So lines go to the first stop at which they cost no more and nothing forbids it; and the key is
 * turned as soon as it may be.
 */
function madeAsLowAsReached(model: RouteModel, stops: readonly RouteStop[]): RouteStop[] {
  const out = stops.map((s) => ({ pose: s.pose, uses: [...s.uses] }));
  const stopOf = new Map(out.flatMap((s, i) => s.uses.map((use) => [use.thing, i] as const)));
  const { length, clear } = model;
  /** Backwards they wait for it: they are made before it. */
  const waiting = (thing: string) =>
    model.things.filter((t) => t.ways.some((w) => w.after.includes(thing))).map((t) => t.id);
  for (let changed = true; changed;) {
    changed = false;
    for (const [thing, at] of stopOf) {
      if (splitKey(thing).kind !== 'line' && thing !== TEST) continue;
      const use = present(
        out[at]?.uses.find((u) => u.thing === thing),
        'stop',
        thing,
      );
      const { x } = usedWay(model, use).thing;
      const used = usedWay(model, use).way;
      const own = model.limits.filter((l) => l.freedBy.includes(thing));
      const holds = (pose: Pose) => own.every((l) => dropAt(pose, l.x, length) <= l.at);
      const first = out.findIndex(
        (stop, i) =>
          i < at &&
          // On the floor of the well nothing is made: there is the bench.
          Math.min(stop.pose.f, stop.pose.r) < clear &&
          (i === 0 || stop.uses.length > 0) &&
          inReach(stop.pose, { x, from: used.from, to: used.to, length }) &&
          out.slice(i, at).every((s) => holds(s.pose)) &&
          [...(used.before ?? []), ...waiting(thing)].every((id) => (stopOf.get(id) ?? 0) <= i),
      );
      if (first < 0) continue;
      out[at]!.uses = out[at]!.uses.filter((u) => u.thing !== thing);
      out[first]!.uses.push({ thing, way: used.id });
      stopOf.set(thing, first);
      changed = true;
    }
  }
  const isNeeded = (s: RouteStop, i: number) => i === 0 || i === out.length - 1 || s.uses.length > 0;
  return out.filter(isNeeded).map((s) => ({ pose: s.pose, uses: inOrder(model, s.uses) }));
}

/**
 * Where it is not certain that all top joints are seen, the key is turned as low as what is made at that stop lets: the
 * lower, the more of them are seen.
 */
function keyAsLowAsMade(model: RouteModel, stops: readonly RouteStop[]): RouteStop[] {
  const at = stops.findIndex((s) => s.uses.some((u) => u.thing === TEST));
  const before = stops[at - 1];
  if (!before) return [...stops];
  const { length } = model;
  const { pose: high, uses } = stops[at]!;
  // Home stays home: only lines are made lower than that.
  const isLast = at === stops.length - 1;
  const goes = uses.filter((u) => !isLast || u.thing === TEST || splitKey(u.thing).kind === 'line');
  const stays = uses.filter((u) => !goes.includes(u));
  const made = new Set([...stops.slice(0, at).flatMap((s) => s.uses), ...goes].map((u) => u.thing));
  const fits = (pose: Pose) =>
    pose.f <= before.pose.f &&
    pose.r <= before.pose.r &&
    goes.every((use) => {
      const { thing, way } = usedWay(model, use);
      const { from, to, also = [] } = way;
      return [{ x: thing.x, from, to }, ...also].every((r) =>
        inReach(pose, { x: r.x, from: r.from, to: r.to, length }),
      );
    }) &&
    model.limits.every((l) => l.freedBy.some((id) => !made.has(id)) || dropAt(pose, l.x, length) <= l.at);
  let pose = high;
  const lower = (p: Pose): Pose => ({ f: p.f + GRID, r: p.r + GRID });
  while (fits(lower(pose))) pose = lower(pose);
  if (pose === high) return [...stops];
  const home = isLast ? [{ pose: high, uses: stays }] : [];
  return [...stops.slice(0, at), { pose, uses: goes }, ...home, ...stops.slice(at + 1)];
}

/** In which order things are taken in hand at one place, where nothing else decides: the supports carry first. */
const rank = ['support', 'line', 'clip', TEST, 'obstruction'];
const rankOf = (thing: string): number => rank.indexOf(thing === TEST ? TEST : splitKey(thing).kind);

/**
 * What is lost first goes first, the key after the joints and before what was in the way; what a thing is made after
 * always before it.
 */
function inOrder(model: RouteModel, uses: readonly RouteStop['uses'][number][]): RouteStop['uses'] {
  const left = [...uses];
  const wayOf = (use: RouteStop['uses'][number]) => usedWay(model, use).way;
  const late = (use: RouteStop['uses'][number]) => Math.max(0, rankOf(use.thing) - 2);
  left.sort(
    (a, b) =>
      late(a) - late(b) ||
      wayOf(b).from - wayOf(a).from ||
      rankOf(a.thing) - rankOf(b.thing) ||
      (a.thing < b.thing ? -1 : 1),
  );
  const out: RouteStop['uses'] = [];
  const here = new Set(left.map((u) => u.thing));
  /** Forwards it comes after what it is made after, and before what, backwards, waits for it. */
  const waits = (u: RouteStop['uses'][number]) =>
    (wayOf(u).before ?? []).some((id) => here.has(id)) ||
    left.some((other) => other !== u && wayOf(other).after.includes(u.thing));
  while (left.length > 0) {
    const i = left.findIndex((u) => !waits(u));
    const [use] = left.splice(Math.max(0, i), 1);
    here.delete(use!.thing);
    out.push(use!);
  }
  return out;
}
