import { isExact, type Estimate } from '../estimate/index.ts';
import { measured } from '../basis/index.ts';
import { isOff } from '../ledger/index.ts';
import { dropAt, gridDown, type Pose } from '../pose/index.ts';
import { estimateOf, keyOf, type Connection, type Obstruction } from '../vehicle/index.ts';
import type { Margins } from './margins.ts';
import { attached, slackOf } from './model.ts';
import type { TankState } from './types.ts';

/** Limits that still bind: lines on their ports, and obstructions that stand in the way. */
export interface Binding {
  /** Ledger key. */
  key: string;
  /** What people call it. */
  name: string;
  /** mm from the first end. */
  x: number;
  /** Local drop at which it holds, mm. */
  limit: Estimate;
  /** Felt taut, or seen to hold: a creep does not pass it. mm */
  fast: number | null;
  /** The line, where it is one. */
  line?: Connection;
  /** The obstruction, where the file knows it. */
  obstruction?: Obstruction;
}

/** Something that keeps the tank from going further, with the room it leaves from here. */
export interface Holder {
  /** Ledger key. */
  key: string;
  /** What people call it. */
  name: string;
  /** Local drop at which it holds, mm. */
  limit: Estimate;
  /** From the pose asked about, mm. */
  room: Estimate;
  /** Felt or seen, not only guessed. */
  known: boolean;
}

/** Everything that binds now, lines first, in the order of the file. @example bindings(state)[0].name */
export function bindings(state: TankState): Binding[] {
  const { vehicle } = state;
  const lines = attached(state).map((line): Binding => ({
    key: keyOf('line', line.id),
    name: line.name,
    x: line.x,
    limit: slackOf(state, line.id),
    fast: state.taut[line.id] ?? null,
    line,
  }));
  const known = vehicle.obstructions.flatMap((thing): Binding[] => {
    const seen = state.extras.find((e) => e.id === thing.id);
    const limit = seen ? exact(seen.blocksAt) : thing.blocksAt && estimateOf(vehicle, thing.blocksAt);
    if (!limit) return [];
    const fast = seen?.blocksAt ?? null;
    return [{ key: keyOf('obstruction', thing.id), name: thing.name, x: thing.x, limit, fast, obstruction: thing }];
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
  return [...lines, ...[...known, ...extras].filter((b) => !isOff(state, b.key))];
}

const exact = (mm: number): Estimate => ({ lo: mm, typ: mm, hi: mm, basis: measured });

/** Deepest level drop that keeps the margin under this limit, whatever is true. mm on the grid @example safeUnder({ limit }, margins) // 20 */
export const safeUnder = (binding: Pick<Binding, 'limit'>, margins: Margins): number =>
  gridDown(binding.limit.lo) - margins.overshoot;

/** What holds the tank from a pose on, tightest first. @example holdersAt(bindings(state), state.pose, 1100)[0].room.lo */
export function holdersAt(list: readonly Binding[], pose: Pose, length: number): Holder[] {
  return list
    .map(({ key, name, x, limit, fast }): Holder => {
      const drop = dropAt(pose, x, length);
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
