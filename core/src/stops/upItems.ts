import { present } from '../errors/index.ts';
import type { Span } from '../estimate/index.ts';
import { commonPractice } from '../basis/index.ts';
import type { TankState } from '../hang/index.ts';
import { isInNeck, type LedgerItem } from '../ledger/index.ts';
import {
  backHint,
  estimateOf,
  keyOfId,
  lineOf,
  obstructionOf,
  splitKey,
  supportOf,
  waitsOf,
  waysOn,
  type Connection,
  type Way,
} from '../vehicle/index.ts';
import { makingHint } from './hints.ts';
import type { UpItem } from './types.ts';

/** A line to be made: by which way, how high a hand still gets there. */
export function lineItem(
  state: TankState,
  { item, line, at }: { item: LedgerItem; line: Connection; at: Pick<UpItem, 'way' | 'by' | 'sure' | 'lastChance'> },
): UpItem {
  const way = line.make.find((w) => w.id === at.way);
  return {
    key: item.key,
    name: item.name,
    tag: item.tag,
    ...at,
    hint: way?.caution ?? makingHint(line),
    minutes: minutesOf(state, way, { lo: 1, typ: 3, hi: 8 }),
  };
}

/** How what is no line goes back, where its way does not say. */
function thingHint({ vehicle }: TankState, key: string): string {
  const { kind, id } = splitKey(key);
  const support = kind === 'support' ? supportOf(vehicle, id) : undefined;
  if (support) return backHint(support);
  return kind === 'clip' ? 'click it back on the rail' : 'back with its bolts and its wires';
}

/** Straps, clips and what was in the way: how they go back. */
export function thingItem(
  state: TankState,
  { key, by, lastChance }: { key: string; by: string | null; lastChance: boolean },
): UpItem {
  const item = present(
    state.items.find((i) => i.key === key),
    'item',
    key,
  );
  const ways = waysBack(state, key);
  const way = ways.find((w) => w.id === by) ?? ways[0];
  return {
    key,
    name: item.name,
    tag: item.tag,
    way: way?.id ?? item.way,
    by: null,
    lastChance,
    sure: true,
    hint: way?.caution ?? thingHint(state, key),
    minutes: minutesOf(state, way, { lo: 2, typ: 4, hi: 10 }),
  };
}

/** Something that was put in and comes out now. Minutes: common practice, no source. */
export const outItem = (item: LedgerItem): UpItem => ({
  key: item.key,
  name: item.name,
  tag: item.tag,
  way: null,
  by: null,
  lastChance: false,
  sure: true,
  hint: isInNeck(item) ? 'out of the neck, before the hose goes on' : 'still in: out before the filler is made',
  minutes: { lo: 0.5, typ: 1, hi: 2, basis: commonPractice },
});

const minutesOf = (state: TankState, way: Way | undefined, else_: Span): UpItem['minutes'] =>
  way ? estimateOf(state.vehicle, way.minutes) : { ...else_, basis: commonPractice };

/**
 * The order of hands: what a thing is made after before it; else supports first, since what carries it holds until they
 * do, then lines, clips and what was in the way.
 *
 * @example inHandOrder(state, items)[0]?.key // 'support:strap-1'
 */
export function inHandOrder(state: TankState, items: readonly UpItem[]): UpItem[] {
  const rank = ['support', 'line', 'clip', 'obstruction'];
  const left = [...items].sort((a, b) => rank.indexOf(splitKey(a.key).kind) - rank.indexOf(splitKey(b.key).kind));
  const keys = (ids: readonly string[]) => ids.map((id) => keyOfId(state.vehicle, id));
  const before = (item: UpItem) => keys(waitsHome(state, item).first);
  const after = (item: UpItem) => keys(waitsHome(state, item).notYet);
  const out: UpItem[] = [];
  while (left.length > 0) {
    const i = left.findIndex(
      (item) =>
        !left.some((other) => other !== item && (before(item).includes(other.key) || after(other).includes(item.key))),
    );
    out.push(...left.splice(Math.max(0, i), 1));
  }
  return out;
}

/** What an item waits for on the way back, by the way it is to be made. */
function waitsHome(state: TankState, { key, way }: UpItem): ReturnType<typeof waitsOf> {
  const ways = waysBack(state, key);
  const used = ways.find((w) => w.id === way) ?? ways[0];
  return used ? waitsOf(used, 'up') : { first: [], notYet: [], events: [] };
}

/** All ways by which a thing goes back. @example waysBack(state, 'line:vent').map((way) => way.id) */
export function waysBack({ vehicle }: TankState, key: string): readonly Way[] {
  const { kind, id } = splitKey(key);
  if (kind === 'line') return lineOf(vehicle, id)?.make ?? [];
  if (kind === 'clip') return vehicle.connections.flatMap((c) => c.clips).find((k) => k.id === id)?.ways ?? [];
  const support = kind === 'support' ? supportOf(vehicle, id) : undefined;
  return support ? waysOn(support) : (obstructionOf(vehicle, id)?.restore ?? []);
}
