import { present } from '../errors/index.ts';
import {
  isOn,
  MOVE_MINUTES,
  portDrop,
  reachOf,
  slackOf,
  tiltLimitOf,
  TILT_MINUTES,
  type Sureness,
  type TankState,
} from '../hang/index.ts';
import { gridDown, GRID, HOME } from '../pose/index.ts';
import type { RouteModel, RouteReach, RouteThing, RouteWay } from '../route/index.ts';
import {
  byJack,
  estimateOf,
  keyOf,
  keyOfId,
  madeBeforeKeyOn,
  OPEN_REACH,
  waitsOf,
  waysOn,
  type Range,
  type Way,
} from '../vehicle/index.ts';
import { makeWays } from '../ledger/index.ts';
import { testReaches } from './testStop.ts';

/**
 * How the ranges are taken on the way up. `surest`: every figure at its bad end wherever that leaves a thing a window to
 * be made in, else as likely. `typical` and `best`: all figures there.
 */
export type UpView = 'surest' | 'typical' | 'best';

/** The look at the joints with the key on is a thing of its own. */
export const TEST = 'test';

interface Window {
  way: Way;
  from: number;
  to: number;
}

/**
 * Where the key is turned on the way up: nowhere any more; where all top joints are seen and reached at once, certainly or
 * as likely; where no pose shows them all, anywhere under way once everything live is made; or only at home.
 */
export type KeyOn = 'done' | 'surely seen' | 'likely seen' | 'made' | 'home';

/**
 * The way up as a question for the exact search, read backwards: from home, with everything made, down to where the tank
 * hangs. A thing may be made only where it is reached and its own length holds; from then on it binds. Made first means,
 * backwards, still in place. Going up only gives room, so no margin is kept.
 *
 * @example solve(ascentModel(state, 'surest')).route
 */
export function ascentModel(state: TankState, view: UpView, keyOn: KeyOn = 'done'): RouteModel {
  const { vehicle } = state;
  const things: RouteThing[] = [];
  const limits: { x: number; at: number; freedBy: string[] }[] = [];
  const open = (key: string) => state.items.some((i) => i.key === key && i.state === 'open');
  const keysOf = (ids: readonly string[]) => ids.flatMap((id) => keyOfId(vehicle, id) ?? []);
  const first =
    keyOn !== 'done' ? vehicle.connections.filter(madeBeforeKeyOn).map((line) => keyOf('line', line.id)) : [];
  const wayOf = ({ way, from, to }: Window, key: string): RouteWay[] => {
    const { first: before, notYet, events } = waitsOf(way, 'up');
    const off = keysOf(notYet);
    // What must still be off and is back on already keeps this way shut.
    if (!off.every(open)) return [];
    return [
      {
        id: way.id,
        from,
        to,
        minutes: way.minutes.typ,
        people: way.people,
        after: [...(first.includes(key) ? [TEST] : []), ...off],
        before: [...keysOf(before).filter(open), ...(keyOn !== 'done' && isAfterTest(events) ? [TEST] : [])],
      },
    ];
  };
  const itemOf = (key: string) =>
    present(
      state.items.find((i) => i.key === key),
      'item',
      key,
    );
  /** The way something came off by is the way it goes back, where there is one. */
  const same = (key: string, ways: readonly Way[]): readonly Way[] => {
    const found = ways.filter((way) => way.id === itemOf(key).way);
    return found.length > 0 ? found : ways;
  };
  const put = (key: string, x: number, windows: readonly Window[]) =>
    things.push({ id: key, x, ways: windows.flatMap((w) => wayOf(w, key)) });

  for (const line of vehicle.connections) {
    const key = keyOf('line', line.id);
    const clips = line.clips.filter((clip) => open(keyOf('clip', clip.id)));
    const isOpen = open(key);
    if (!isOpen && !isOn(state, line.id)) continue;
    const lets = slackOf(state, line.id);
    const { windows, room } = windowsOf(isOpen ? makeWays(state, line.id, itemOf(key).way) : [], lets, view);
    // What is on hangs here: so far it lets the tank for certain.
    const least = isOpen ? 0 : Math.ceil(portDrop(state, state.pose, line));
    const loose = Math.max(least, room(lets));
    // With its clip back on, the line lets no more than it did with it.
    const held = clips.length > 0 ? room(estimateOf(vehicle, line.slack)) : loose;
    limits.push({ x: line.x, at: loose, freedBy: isOpen ? [key] : [] });
    if (held < loose) {
      const freedBy = [...clips.map((clip) => keyOf('clip', clip.id)), ...(isOpen ? [key] : [])];
      limits.push({ x: line.x, at: held, freedBy });
    }
    if (isOpen) put(key, line.x, windows);
    for (const clip of clips) put(keyOf('clip', clip.id), line.x, windowsOf(clip.ways, null, view).windows);
  }
  for (const thing of vehicle.obstructions) {
    const key = keyOf('obstruction', thing.id);
    if (!open(key)) continue;
    const { windows, room } = windowsOf(same(key, thing.restore), thing.blocksAt, view);
    if (windows.length === 0) continue;
    put(key, thing.x, windows);
    if (thing.blocksAt) limits.push({ x: thing.x, at: room(thing.blocksAt), freedBy: [key] });
  }
  const supports = vehicle.supports
    .map((s) => ({ support: s, key: keyOf('support', s.id) }))
    .filter((s) => open(s.key));
  for (const { support, key } of supports) {
    put(key, support.x, windowsOf(same(key, waysOn(support)), null, view).windows);
    // No drop is below zero: while it carries both ends are home.
    limits.push({ x: vehicle.length / 2, at: 0, freedBy: [key] });
  }
  if (keyOn !== 'done')
    things.push(
      testThing(
        state,
        keyOn,
        supports.map((s) => s.key),
      ),
    );
  const tilt = tiltLimitOf(vehicle);
  return {
    length: vehicle.length,
    clear: vehicle.clear,
    tilt: { second: tilt, first: tilt },
    start: HOME,
    goal: state.pose,
    must: things.map((t) => t.id),
    things,
    limits,
    moveMinutes: MOVE_MINUTES.typ,
    tiltMinutes: TILT_MINUTES,
    helperMinutes: state.shop.helperMinutes,
  };
}

/** Where each way can be used in a view of the ranges, and how far the thing then lets the tank hang. */
function windowsOf(
  ways: readonly Way[],
  lets: Range | null,
  view: UpView,
): { windows: Window[]; room: (r: Range) => number } {
  const list = (reading: Sureness): Window[] => ways.map((way) => ({ way, ...reachOf(way, reading) }));
  if (view === 'best') return { windows: list('kindly'), room: (r) => gridDown(r.hi) };
  const sure = list('surely').filter((w) => w.from <= Math.min(w.to, lets ? gridDown(lets.lo) : OPEN_REACH));
  if (view === 'surest' && (sure.length > 0 || ways.length === 0))
    return { windows: sure, room: (r) => gridDown(r.lo) };
  return { windows: list('likely'), room: (r) => gridDown(r.typ) };
}

/** Does it wait for the look with the key on? The first fill comes after that. */
const isAfterTest = (events: readonly string[]): boolean => events.some((e) => e === 'test' || e === 'first-fill');

/**
 * Key on and look, once: under way, with all the places in reach; or at home, and there only once the supports carry. A
 * tank that hands hold is tried at home only: nobody holds a tank while a key turns.
 */
function testThing(state: TankState, keyOn: Exclude<KeyOn, 'done'>, supports: readonly string[]): RouteThing {
  const looks = keyOn === 'surely seen' || keyOn === 'likely seen';
  const reaches = looks ? testReaches(state, keyOn === 'surely seen') : [];
  const { length } = state.vehicle;
  const anywhere: RouteReach = { x: length / 2, from: 0, to: OPEN_REACH };
  const [first, ...also] = reaches.length > 0 ? reaches : [anywhere];
  const { x, from, to } = first ?? anywhere;
  const plain = { minutes: 0, people: 1, after: [] };
  const ends = [0, length].map((end) => ({ x: end, from: 0, to: 0 }));
  const home: RouteWay = { id: `${TEST}-home`, from: 0, to: 0, also: ends, ...plain, before: supports };
  const underWay: RouteWay = { id: TEST, from: Math.max(GRID, from), to, also, ...plain };
  const jack = byJack(state.vehicle);
  const atHome = !jack || (keyOn !== 'made' && reaches.every((r) => r.from <= 0));
  const onJack = jack && (keyOn === 'made' || reaches.length > 0);
  return { id: TEST, x, ways: [...(atHome ? [home] : []), ...(onJack ? [underWay] : [])] };
}
