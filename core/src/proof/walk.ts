import type { LedgerSlice } from '../ledger/index.ts';
import { litres, say, type Sentence } from '../quantity/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import { estimateOf, lineOf, splitKey, type Connection, type VehicleSlice } from '../vehicle/index.ts';
import { jointsToSee, type Joint } from './kinds.ts';

/** What stands or is pushed behind a joint, and from how many litres on. */
export interface Wets {
  /** In words. */
  text: Sentence;
  /** L that have to be in it. */
  litres: number;
  /** Is so much in it for certain? */
  now: boolean;
}

/** One joint of the walk. */
export interface WalkJoint {
  /** Ledger key. */
  key: string;
  /** What wets it. */
  wets: Wets;
}

/** Joints that are seen at once. */
export interface WalkPlace {
  /** Where the head is; null: each by itself. */
  place: string | null;
  /** Those of it. */
  joints: WalkJoint[];
}

/** Litres above what the pick-up leaves that a pump needs to push fuel against the joints. Common practice, no source. */
export const TO_PUSH = 5;
/** Share of what it holds from which filler, breather and vents are wet. Common practice, no source. */
const FULL = 0.95;
/** Lines through which fuel is pushed or drawn; the others are only wet once it is full. */
const PUSHED: readonly Connection['kind'][] = ['feed', 'return', 'heater'];

type WalkFacts = VehicleSlice & LedgerSlice & Pick<FuelSlice, 'fuel'>;

/**
 * What wets a joint: a pump that pushes, for which fuel has to cover the pick-up; or fuel up to it, for which it has to be full.
 *
 * @example wetsOf(state, 'line:filler').litres // 76 of 80: near full
 */
export function wetsOf({ vehicle, fuel }: Pick<WalkFacts, 'vehicle' | 'fuel'>, key: string): Wets {
  const line = lineOf(vehicle, splitKey(key).id);
  const pushed = line !== undefined && PUSHED.includes(line.kind);
  const least = pushed
    ? estimateOf(vehicle, vehicle.tank.unusable).hi + TO_PUSH
    : FULL * estimateOf(vehicle, vehicle.tank.litres).typ;
  return {
    text: pushed ? say`pump or engine running, ${litres(least, least)} in it` : say`near full, ${litres(least, least)}`,
    litres: least,
    now: fuel.aboard.lo >= least,
  };
}

/**
 * The joints that were opened, by the place of the head from which they are seen at once; in each what can be proved now first.
 *
 * @example walkOf(state)[0] // { place: 'left arch', joints: [{ key: 'line:filler', wets: … }, …] }
 */
export function walkOf(state: WalkFacts): WalkPlace[] {
  const places = new Map<string, WalkPlace>();
  for (const key of jointsToSee(state)) {
    const place = lineOf(state.vehicle, splitKey(key).id)?.seenFrom ?? null;
    // Left out in the file: nobody knows what is seen beside it.
    const at = place ?? `alone ${key}`;
    const one = places.get(at) ?? { place, joints: [] };
    one.joints.push({ key, wets: wetsOf(state, key) });
    places.set(at, one);
  }
  return [...places.values()].map(({ place, joints }) => ({
    place,
    joints: [...joints.filter(({ wets }) => wets.now), ...joints.filter(({ wets }) => !wets.now)],
  }));
}

/**
 * The smallest fill that proves what is left: litres still to be put in, at the least that may be in it now; null where nothing is left.
 *
 * @example proofLitres(state, ['line:feed']) // 0: that one can be looked at now
 */
export function proofLitres(
  state: WalkFacts & { joints: readonly Joint[] },
): { litres: number; keys: string[] } | null {
  const left = jointsToSee(state).filter(
    (key) => state.joints.findLast((joint) => joint.key === key)?.verdict.outcome !== 'good',
  );
  if (left.length === 0) return null;
  const most = Math.max(...left.map((key) => wetsOf(state, key).litres));
  return { litres: Math.max(0, most - state.fuel.aboard.lo), keys: left.filter((key) => !wetsOf(state, key).now) };
}
