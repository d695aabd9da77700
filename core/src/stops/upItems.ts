import { present } from '../errors/index.ts';
import type { Span } from '../estimate/index.ts';
import { commonPractice } from '../basis/index.ts';
import type { TankState } from '../hang/index.ts';
import type { LedgerItem } from '../ledger/index.ts';
import { estimateOf, splitKey, type Connection, type Way } from '../vehicle/index.ts';
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
    hint: makingHint(line),
    minutes: minutesOf(state, way, { lo: 1, typ: 3, hi: 8 }),
  };
}

const hints: Record<string, string> = {
  support: 'on its pad, arrow to the front, started by hand, tightened evenly in rounds',
  clip: 'click it back on the rail',
  obstruction: 'back with its bolts and its wires',
};

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
  const { kind, id } = splitKey(key);
  const { connections, obstructions } = state.vehicle;
  const ways =
    kind === 'clip'
      ? connections.flatMap((c) => c.clips).find((k) => k.id === id)?.ways
      : obstructions.find((o) => o.id === id)?.restore;
  const way = ways?.find((w) => w.id === by) ?? ways?.[0];
  return {
    key,
    name: item.name,
    tag: item.tag,
    way: way?.id ?? item.way,
    by: null,
    lastChance,
    sure: true,
    hint: hints[kind]!,
    minutes: minutesOf(state, way, { lo: 2, typ: 4, hi: 10 }),
  };
}

const minutesOf = (state: TankState, way: Way | undefined, else_: Span): UpItem['minutes'] =>
  way ? estimateOf(state.vehicle, way.minutes) : { ...else_, basis: commonPractice };

/**
 * The jack carries until the straps do, so they go on before anything else at home.
 *
 * @example jackFirst(items)[0]?.key // 'support:front'
 */
export function jackFirst(items: readonly UpItem[]): UpItem[] {
  const rank = ['support', 'line', 'clip', 'obstruction'];
  const of = (key: string) => rank.indexOf(splitKey(key).kind);
  return [...items].sort((a, b) => of(a.key) - of(b.key));
}
