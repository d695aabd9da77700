import type { HangSlice } from '../hang/index.ts';
import { isUnsettled, type KernelState } from '../kernel/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import { deepest, type Pose } from '../pose/index.ts';
import { UNIT, type VehicleSlice } from '../vehicle/index.ts';
import type { GatesSlice } from './slice.ts';

/**
 * Does the tank start on its way back: from the bench, or from where it was worked on part-way?
 *
 * @example leavesBench(state, { from: { f: 320, r: 320 }, to: { f: 150, r: 150 } }) // true
 */
export const leavesBench = (
  { vehicle, goal }: VehicleSlice & Pick<HangSlice, 'goal'>,
  { from, to }: { from: Pose; to: Pose },
): boolean =>
  (deepest(from) >= vehicle.clear || (goal !== null && Math.min(from.f, from.r) >= goal)) &&
  deepest(to) < deepest(from);

/**
 * The gate that stands before the tank goes back to that place and was not passed: gate 3, as long as nobody closed the
 * ring. Null where none does.
 *
 * @example gateBeforeBack(state, nextUp(state).pose) // 3
 */
export const gateBeforeBack = (
  state: VehicleSlice &
    Pick<HangSlice, 'goal' | 'pose'> &
    Pick<LedgerSlice, 'ring'> &
    Pick<GatesSlice, 'gates'> &
    Pick<KernelState, 'twoDevices'>,
  to: Pose,
): 3 | null => {
  const closed = state.ring === 'closed' && !isUnsettled(state, UNIT);
  return state.gates[3].passed === null && !closed && leavesBench(state, { from: state.pose, to }) ? 3 : null;
};
