import { airJoints } from '../hold/index.ts';
import { litres, say, type Sentence } from '../quantity/index.ts';
import { estimateOf, lineOf, splitKey, UNIT, type Connection, type VehicleSlice } from '../vehicle/index.ts';

/** What stands or is pushed behind a joint, and from how many litres on. */
export interface Wets {
  /** In words. */
  text: Sentence;
  /** L that have to be in it. */
  litres: number;
  /** Is so much in it for certain? */
  now: boolean;
  /** May so much be in it? */
  perhaps: boolean;
  /** Does a hold of the tank under a little air prove it as well? */
  byHold: boolean;
}

/** Litres above what the pick-up leaves that a pump needs to push fuel against the joints. Common practice, no source. */
export const TO_PUSH = 5;
/** Share of what it holds from which filler, breather and vents are wet. Common practice, no source. */
const FULL = 0.95;
/** Lines through which fuel is pushed or drawn; the others are only wet once it is full. */
const PUSHED: readonly Connection['kind'][] = ['feed', 'return', 'heater'];

/**
 * What wets a joint: a pump that pushes, for which fuel has to cover the pick-up; or fuel up to it, for which it has to be full.
 *
 * @example wetsOf(state, 'line:filler').litres // 76 of 80: near full
 */
export function wetsOf(
  { vehicle, fuel }: Pick<VehicleSlice, 'vehicle'> & { fuel: { aboard: { lo: number; hi: number } } },
  key: string,
): Wets {
  const line = lineOf(vehicle, splitKey(key).id);
  const pushed = line !== undefined && PUSHED.includes(line.kind);
  const least = pushed
    ? estimateOf(vehicle, vehicle.tank.unusable).hi + TO_PUSH
    : FULL * estimateOf(vehicle, vehicle.tank.litres).typ;
  return {
    text: pushed ? say`pump or engine running, ${litres(least, least)} in it` : say`near full, ${litres(least, least)}`,
    litres: least,
    now: fuel.aboard.lo >= least,
    perhaps: fuel.aboard.hi >= least,
    byHold: key === UNIT || (line !== undefined && airJoints.includes(line.kind)),
  };
}
