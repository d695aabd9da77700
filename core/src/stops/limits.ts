import { isExact, type Estimate } from '../estimate/index.ts';
import { isOn, localDrop } from '../job/apply/tank.ts';
import type { Pose } from '../job/types.ts';
import { keyOf } from '../job/names.ts';
import { estimateOf, type Connection, type Obstruction, type Range, type Way } from '../vehicle/index.ts';
import { gridDown, gridUp, type Margins } from './margins.ts';
import type { Holder, TankState } from './types.ts';

/** Limits that still bind: lines on their ports, and obstructions that stand in the way. */
export interface Binding {
  key: string;
  name: string;
  x: number;
  limit: Estimate;
  /** Felt taut, or seen to hold: a creep does not pass it. */
  fast: number | null;
  line?: Connection;
  obstruction?: Obstruction;
}

const cleared = (state: TankState, key: string) =>
  state.items.some((item) => item.key === key && item.state !== 'closed');

/** Everything that binds now, lines first, in the order of the file. */
export function bindings(state: TankState): Binding[] {
  const { vehicle } = state;
  const lines = vehicle.connections
    .filter((line) => isOn(state, line.id))
    .map((line): Binding => ({
      key: keyOf('line', line.id),
      name: line.name,
      x: line.x,
      limit: state.slack[line.id]!,
      fast: state.taut[line.id] ?? null,
      line,
    }));
  const known = vehicle.obstructions
    .filter((thing) => thing.blocksAt !== null || state.extras.some((e) => e.id === thing.id))
    .map((thing): Binding => {
      const seen = state.extras.find((e) => e.id === thing.id);
      const limit = seen ? exact(seen.blocksAt) : estimateOf(vehicle, thing.blocksAt as Range);
      return {
        key: keyOf('obstruction', thing.id),
        name: thing.name,
        x: thing.x,
        limit,
        fast: seen ? seen.blocksAt : null,
        obstruction: thing,
      };
    });
  const extras = state.extras
    .filter((e) => !vehicle.obstructions.some((o) => o.id === e.id))
    .map((e): Binding => ({
      key: keyOf('obstruction', e.id),
      name: e.name,
      x: vehicle.length / 2,
      limit: exact(e.blocksAt),
      fast: e.blocksAt,
    }));
  return [...lines, ...[...known, ...extras].filter((b) => !cleared(state, b.key))];
}

const exact = (mm: number): Estimate => ({ lo: mm, typ: mm, hi: mm, basis: { kind: 'measured' } });

/** Deepest level drop that keeps the margin under this limit, whatever is true. mm on the grid */
export const safeUnder = (binding: Pick<Binding, 'limit'>, margins: Margins): number =>
  gridDown(binding.limit.lo) - margins.overshoot;

/** What holds the tank from a pose on, tightest first. */
export function holdersAt(list: readonly Binding[], pose: Pose, length: number): Holder[] {
  return list
    .map(({ key, name, x, limit, fast }): Holder => {
      const drop = localDrop(pose, x, length);
      const room = {
        lo: Math.max(0, limit.lo - drop),
        typ: Math.max(0, limit.typ - drop),
        hi: Math.max(0, limit.hi - drop),
        basis: limit.basis,
      };
      return { key, name, limit, room, known: fast !== null || isExact(limit) };
    })
    .sort((a, b) => a.room.lo - b.room.lo || a.room.typ - b.room.typ || (a.key < b.key ? -1 : 1));
}

/** Ids of everything that is done: parted lines, released clips, cleared obstructions. */
export const isDone = (state: TankState, id: string): boolean =>
  ['line', 'clip', 'obstruction'].some((kind) => isOff(state, `${kind}:${id}`));

export const isOff = (state: TankState, key: string): boolean => cleared(state, key);

/**
 * Can a hand use this way here for certain? Reach begins at its far end and ends at its near end, on the grid inward.
 *
 * @param seenAt local drop at which a hand was seen to reach it, if it was
 */
export function surelyReaches(way: Way, drop: number, seenAt: number | undefined): boolean {
  const from = Math.min(gridUp(way.reachFrom.hi), seenAt ?? Infinity);
  return drop >= from && drop <= Math.max(gridDown(way.reachTo.lo), seenAt ?? 0);
}

/** How far the lower end hangs, mm. */
export const drop = (state: TankState): number => Math.max(state.pose.f, state.pose.r);
export const samePose = (a: Pose, b: Pose): boolean => a.f === b.f && a.r === b.r;
