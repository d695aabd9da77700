import { usedWay } from '../route/index.ts';
import { portDrop, reachOf, type TankState } from '../hang/index.ts';
import { makeWindow, thingsIn, type LedgerItem, type MakeWindow } from '../ledger/index.ts';
import { deepest, HOME, inReach, isHome, level, type Pose } from '../pose/index.ts';
import {
  keyOf,
  keyOfId,
  lineOf,
  madeBeforeKeyOn,
  obstructionOf,
  splitKey,
  waitsOf,
  type Connection,
} from '../vehicle/index.ts';
import { TEST } from './ascent.ts';
import { levelTest, tested } from './testStop.ts';
import type { UpItem, UpStop } from './types.ts';
import { inHandOrder, lineItem, outItem, thingItem } from './upItems.ts';
import { wayUp, type WayUp } from './wayUp.ts';

interface Window extends MakeWindow {
  item: LedgerItem;
  line: Connection;
}

/** Where each open line can be made, the first to be lost first; what was put off until home is not among them. */
const windows = (state: TankState): Window[] =>
  state.items
    .filter((item) => item.kind === 'line' && item.state === 'open')
    .flatMap((item) => {
      const line = lineOf(state.vehicle, splitKey(item.key).id);
      return line ? [{ item, line, ...makeWindow(state, item) }] : [];
    })
    .sort((a, b) => b.from - a.from || (a.item.key < b.item.key ? -1 : 1));

/**
 * The next stop on the way up: the first part of the way with the least minutes, tilted where that is needed. What is
 * made there is made singly, the first to be lost from reach first. The test stop is a stop of its own; home is last.
 * Where the figures allow no way: as high as the tank may go, level, before the first open line is lost.
 *
 * @example nextUp(state).items[0].lastChance // true: make this before the tank goes higher
 */
export function nextUp(state: TankState): UpStop {
  // Where the key may be turned it is turned here, before the tank goes on.
  if (state.gates[4].passed && !tested(state)) return withLost(state, { kind: 'test', pose: state.pose, items: [] });
  const way = wayUp(state);
  return outFirst(state, withLost(state, way ? bySearch(state, way) : byWindows(state)));
}

/** The filler is not made over what is still in: a rag in the neck comes out first. */
function outFirst(state: TankState, stop: UpStop): UpStop {
  const at = stop.items.findIndex(({ key }) => lineOf(state.vehicle, splitKey(key).id)?.kind === 'filler');
  if (at < 0) return stop;
  const inside = thingsIn(state).map((item) => outItem(item));
  return { ...stop, items: [...stop.items.slice(0, at), ...inside, ...stop.items.slice(at)] };
}

/** The stop the search leads to: here while something is to be made here, else the next one. */
function bySearch(state: TankState, { route, model }: WayUp): Omit<UpStop, 'lostNext'> {
  const { stops } = route;
  const at = stops[0]!.uses.length > 0 || stops.length === 1 ? 0 : 1;
  const { pose, uses } = stops[at]!;
  const next = stops[at + 1];
  const kind = uses.some((u) => u.thing === TEST) ? 'test' : isHome(pose) ? 'home' : 'up';
  const list = windows(state);
  // What the key is turned before is put back afterwards.
  const test = uses.findIndex((u) => u.thing === TEST);
  const now = test < 0 ? uses : uses.slice(0, test);
  const items = now.flatMap((use): UpItem[] => {
    const { thing, way } = use;
    const used = usedWay(model, use);
    const { from, to } = used.way;
    const last = next !== undefined && !inReach(next.pose, { x: used.thing.x, from, to, length: model.length });
    const window = list.find((w) => w.item.key === thing);
    // One figure says by when, and whether that is here.
    const lost = window && next !== undefined && portDrop(state, next.pose, window.line) < window.from;
    if (window) return [itemOf(state, { w: window, pose, last: lost === true, way })];
    return [thingItem(state, { key: thing, by: way, lastChance: last })];
  });
  return { kind, pose, items: kind === 'home' ? atHome(state, items) : items };
}

/** Level, by windows alone: as high as nothing is lost, everything within reach made there. */
function byWindows(state: TankState): Omit<UpStop, 'lostNext'> {
  const open = windows(state);
  const done = tested(state);
  const test = levelTest(state) ?? 0;
  const live = open.some((w) => madeBeforeKeyOn(w.line));
  // What a line is made after goes back while a hand gets to it.
  const awaited = open.flatMap((w) => openFirst(state, w)).flatMap((key) => reachBack(state, key));
  const lost = Math.max(open[0]?.from ?? 0, ...awaited.map((a) => a.from));
  const to = Math.min(deepest(state.pose), Math.max(lost, done || live ? 0 : test));
  // The key is never turned before everything live is made, nor the tank strapped up before it was turned.
  const kind = done ? (to === 0 ? 'home' : 'up') : live || to > test ? 'up' : 'test';
  const pose = level(to);
  const near = open.filter((w) => w.from <= to && to <= w.to);
  const things = awaited.filter(({ from, to: least }) => from <= to && to <= least).map(({ key }) => key);
  const here = new Set([...near.map((w) => w.item.key), ...things]);
  const reachable = to === 0 ? near : near.filter((w) => openFirst(state, w).every((key) => here.has(key)));
  const higher = Math.max(0, ...open.filter((w) => !reachable.includes(w)).map((w) => w.from));
  const items = reachable.map((w) => itemOf(state, { w, pose, last: to > 0 && w.from > higher && w.from === to }));
  if (kind === 'home') return { kind, pose, items: atHome(state, items) };
  const more = things.map((key) => thingItem(state, { key, by: null, lastChance: false }));
  return { kind, pose, items: more.length > 0 ? inHandOrder(state, [...more, ...items]) : items };
}

/** What a line is made after and what is still off. */
const openFirst = (state: TankState, w: Window): string[] =>
  (w.way ? waitsOf(w.way, 'up').first : []).flatMap((id) => {
    const key = keyOfId(state.vehicle, id);
    return key !== null && state.items.some((i) => i.key === key && i.state === 'open') ? [key] : [];
  });

/** Level drops between which, as likely, something that was in the way goes back; empty for everything else. mm */
const reachBack = ({ vehicle }: TankState, key: string): { key: string; from: number; to: number }[] => {
  const ways = splitKey(key).kind === 'obstruction' ? (obstructionOf(vehicle, splitKey(key).id)?.restore ?? []) : [];
  const [first] = ways.map((way) => reachOf(way, 'likely')).sort((a, b) => a.from - b.from);
  return first ? [{ key, ...first }] : [];
};

const itemOf = (
  state: TankState,
  { w, pose, last, way = w.way?.id ?? null }: { w: Window; pose: Pose; last: boolean; way?: string | null },
): UpItem => {
  const here = portDrop(state, pose, w.line);
  return lineItem(state, {
    item: w.item,
    line: w.line,
    at: {
      way,
      by: w.from > 0 ? w.from : null,
      sure: w.sure && w.from <= here && here <= w.to,
      lastChance: last,
    },
  });
};

/** At home: what the way makes there, then all that is still off, in the order of hands. */
function atHome(state: TankState, items: readonly UpItem[]): UpItem[] {
  const rest = state.items.filter(
    (i) => (i.state === 'open' || i.state === 'deferred') && !items.some((item) => item.key === i.key),
  );
  const more = rest.flatMap((item): UpItem[] => {
    const line = state.vehicle.connections.find((c) => keyOf('line', c.id) === item.key);
    if (line) return [itemOf(state, { w: { item, line, ...makeWindow(state, item) }, pose: HOME, last: false })];
    return ['support', 'clip', 'obstruction'].includes(splitKey(item.key).kind)
      ? [thingItem(state, { key: item.key, by: item.way, lastChance: false })]
      : [];
  });
  return more.length === 0 ? [...items] : inHandOrder(state, [...items, ...more]);
}

/** What is lost from reach next, once what is first here is made. */
function withLost(state: TankState, stop: Omit<UpStop, 'lostNext'>): UpStop {
  const next = windows(state).find(
    (w) => w.from > 0 && w.from <= portDrop(state, stop.pose, w.line) && w.item.key !== stop.items[0]?.key,
  );
  return { ...stop, lostNext: next ? { key: next.item.key, name: next.item.name, by: next.from } : null };
}
