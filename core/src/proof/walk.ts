import type { HoldSlice } from '../hold/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import { lineOf, splitKey, type VehicleSlice } from '../vehicle/index.ts';
import { jointsLeft, jointsToSee, placeSaid, type ProofSlice } from './kinds.ts';
import { wetsOf, type Wets } from './wets.ts';

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

type WalkFacts = VehicleSlice & LedgerSlice & Pick<FuelSlice, 'fuel'>;

/**
 * The joints that were opened, by the place of the head from which they are seen at once; in each what can be proved now first.
 *
 * @example walkOf(state)[0] // { place: 'left arch', joints: [{ key: 'line:filler', wets: … }, …] }
 */
export function walkOf(state: WalkFacts & Pick<ProofSlice, 'places'>): WalkPlace[] {
  const places = new Map<string, WalkPlace>();
  for (const key of jointsToSee(state)) {
    const place = placeSaid(state, key) ?? lineOf(state.vehicle, splitKey(key).id)?.seenFrom ?? null;
    // Said by nobody, and left out in the file: nobody knows what is seen beside it.
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
export function proofLitres(state: WalkFacts & ProofSlice & HoldSlice): { litres: number; keys: string[] } | null {
  const left = jointsLeft(state);
  if (left.length === 0) return null;
  const most = Math.max(...left.map((key) => wetsOf(state, key).litres));
  return { litres: Math.max(0, most - state.fuel.aboard.lo), keys: left.filter((key) => !wetsOf(state, key).now) };
}
