import { judgeDriver, stopsOf } from '../sender/index.ts';
import { unitOf, type VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { BenchSlice } from './slice.ts';

/**
 * The driver’s word held against what was found of the sender that came out; null while nobody asked.
 *
 * @example driverStands(state)?.outcome // 'good': what was found explains it
 */
export function driverStands({ driver, pieces, vehicle }: BenchSlice & VehicleSlice): Verdict | null {
  if (!driver) return null;
  const sender = unitOf(vehicle).parts.find(({ kind }) => kind === 'sender');
  const words = sender ? (pieces[sender.id]?.[0]?.words ?? []) : [];
  const whole = words.findLast((word) => word.sweep !== undefined && word.verdict.outcome !== 'unknown');
  const swept = whole ?? words.findLast((word) => word.sweep !== undefined);
  const arm = words.findLast((word) => word.how !== 'swept' && word.verdict.outcome !== 'good');
  const text = arm?.verdict.reasons[0]?.text;
  return judgeDriver(driver, {
    kept: swept?.sweep ?? null,
    whole: whole !== undefined,
    arm: typeof text === 'string' ? text : text ? 'arm or float' : null,
    stops: stopsOf(vehicle.sender),
  });
}
