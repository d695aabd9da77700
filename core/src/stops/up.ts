import { commonPractice } from '../basis/index.ts';
import { makeWindow, type MakeWindow } from '../job/back.ts';
import { keyOf, splitKey } from '../job/names.ts';
import type { LedgerItem } from '../job/types.ts';
import { estimateOf } from '../vehicle/index.ts';
import { makingHint } from './hints.ts';
import { drop } from './limits.ts';
import { gridUp } from './margins.ts';
import type { TankState, UpItem, UpStop } from './types.ts';

interface Window extends MakeWindow {
  item: LedgerItem;
}

/** Where each open line can be made, the first to be lost first. */
function windows(state: TankState): Window[] {
  return state.items
    .filter((item) => item.kind === 'line' && (item.state === 'open' || item.state === 'deferred'))
    .map((item) => ({ item, ...makeWindow(state, item) }))
    .sort((a, b) => b.from - a.from || (a.item.key < b.item.key ? -1 : 1));
}

/** The line has a joint on top of the tank, where nobody sees it once the tank is home. */
const isTop = (state: TankState, item: LedgerItem): boolean =>
  state.vehicle.connections.find((c) => keyOf('line', c.id) === item.key)?.side === 'top';

/**
 * The highest drop at which every top joint is still seen and reached: there the key is turned. mm; null when no top
 * joint was parted.
 */
export function testStop(state: TankState): number | null {
  const tops = state.items.filter(
    (item) => item.kind === 'line' && item.state !== 'deviation' && item.state !== 'scrapped' && isTop(state, item),
  );
  if (tops.length === 0) return null;
  const lowest = tops.map((item) => {
    const line = state.vehicle.connections.find((c) => keyOf('line', c.id) === item.key)!;
    const { way, to } = makeWindow(state, item);
    return { wanted: Math.max(gridUp(line.visibleFrom.hi), way ? gridUp(way.reachFrom.hi) : 0), room: to };
  });
  return Math.min(Math.max(...lowest.map((l) => l.wanted)), ...lowest.map((l) => l.room));
}

/**
 * The next stop on the way up: as high as the tank may go before the first open line is lost from reach; there
 * everything a hand reaches is made, singly. The test stop is a stop of its own; home is last.
 *
 * @example nextUp(state).items[0].lastChance // true: make this before the tank goes higher
 */
export function nextUp(state: TankState): UpStop {
  const open = windows(state);
  const test = testStop(state);
  const tested = state.gates[4].passed !== null;
  const here = drop(state);
  const first = open[0]?.from ?? 0;
  const target = Math.min(here, Math.max(first, tested ? 0 : (test ?? 0)));
  // Where every joint is reached at home, home is the test stop first: the key is never turned before gate 4.
  const kind = !tested && target <= (test ?? 0) ? 'test' : target === 0 ? 'home' : 'up';
  return upStopAt(state, target, kind, open);
}

/** The stop at a height: what can be made there, what is lost next. */
export function upStopAt(state: TankState, to: number, kind: UpStop['kind'], open: Window[] = windows(state)): UpStop {
  const reachable = open.filter((w) => w.from <= to && to <= w.to);
  const after = open.filter((w) => !reachable.includes(w));
  const higher = kind === 'home' ? -1 : Math.max(0, ...after.map((w) => w.from));
  const items: UpItem[] = reachable.map((w) => upItem(state, w, to > 0 && w.from > higher && w.from === to));
  if (kind === 'home') items.push(...homeItems(state));
  const next = open.find((w) => w.from > 0 && w.from <= to && !items[0]?.key.startsWith(w.item.key)) ?? null;
  return {
    kind,
    pose: { f: to, r: to },
    items: kind === 'home' ? supportsFirst(items) : items,
    lostNext: next ? { key: next.item.key, name: next.item.name, by: next.from } : null,
  };
}

function upItem(state: TankState, window: Window, lastChance: boolean): UpItem {
  const { item, from, sure, way } = window;
  const id = splitKey(item.key).id;
  const line = state.vehicle.connections.find((c) => c.id === id)!;
  return {
    key: item.key,
    name: item.name,
    tag: item.tag,
    way: way?.id ?? null,
    by: from > 0 ? from : null,
    lastChance,
    sure,
    hint: makingHint(line),
    minutes: way ? estimateOf(state.vehicle, way.minutes) : { lo: 1, typ: 3, hi: 8, basis: commonPractice },
  };
}

/** At home: straps, clips and what was in the way. */
function homeItems(state: TankState): UpItem[] {
  const hints: Record<string, string> = {
    support: 'on its pad, arrow to the front, started by hand, tightened evenly in rounds',
    clip: 'click it back on the rail',
    obstruction: 'back with its bolts and its wires',
  };
  return state.items
    .filter((item) => (item.state === 'open' || item.state === 'deferred') && item.kind in hints)
    .map((item) => {
      const { id } = splitKey(item.key);
      const restore = state.vehicle.obstructions.find((o) => o.id === id)?.restore;
      const way = restore?.find((w) => w.id === item.way) ?? restore?.[0];
      return {
        key: item.key,
        name: item.name,
        tag: item.tag,
        way: way?.id ?? item.way,
        by: null,
        lastChance: false,
        sure: true,
        hint: hints[item.kind]!,
        minutes: way ? estimateOf(state.vehicle, way.minutes) : { lo: 2, typ: 4, hi: 10, basis: commonPractice },
      };
    });
}

/** The jack carries until the straps do, so they go on before anything else at home. */
const supportsFirst = (items: UpItem[]): UpItem[] => {
  const rank = (key: string) =>
    key.startsWith('support') ? 0 : key.startsWith('line') ? 1 : key.startsWith('clip') ? 2 : 3;
  return [...items].sort((a, b) => rank(a.key) - rank(b.key));
};
