import type { OrderSlice } from '../order/index.ts';
import { unitOf, type PartKind, type VehicleFile } from '../vehicle/index.ts';

/** Parts that went in on the bench, as far as anybody swapped one. */
export interface GoesIn {
  /** By part: what came out, then what went in for it; the last one goes back. */
  pieces: Readonly<Record<string, readonly { called: string | null }[]>>;
}

/** Complaints for which what comes is the unit, or parts of it: for the others it may be the tank. */
const OF_THE_UNIT: readonly OrderSlice['complaint'][] = ['pump', 'level'];

/**
 * Kinds of part that went in; null while none did, or where another tank may be what comes: then all of it is asked. A hose inside that
 * was split asks for no flange and no pressure of a pump that stays.
 *
 * @example kindsIn(state) // Set { 'hose' }
 */
export function kindsIn({
  complaint,
  vehicle,
  pieces,
}: { complaint: OrderSlice['complaint']; vehicle: VehicleFile } & GoesIn): ReadonlySet<PartKind> | null {
  if (!OF_THE_UNIT.includes(complaint)) return null;
  const { kind: closes, parts } = unitOf(vehicle);
  const kinds = parts.flatMap(({ id, kind }) => ((pieces[id]?.at(-1)?.called ?? null) === null ? [] : [kind]));
  if (kinds.length === 0) return null;
  // Where it is the unit itself, it brings its flange.
  const whole = closes === 'sender' && kinds.includes('sender');
  return new Set(whole ? [...kinds, 'flange' as const] : kinds);
}
