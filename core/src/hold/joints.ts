import { standingRings, type LedgerSlice } from '../ledger/index.ts';
import { fluidLines, keyOf, UNIT, type Connection, type VehicleSlice } from '../vehicle/index.ts';

/** Lines that stand open to the air above the fuel: what a hold of the tank reaches. */
export const airJoints: readonly Connection['kind'][] = ['vent', 'evap', 'filler', 'breather'];

/**
 * The ring’s closings that stand, as openings of their own; none where it never was opened, or may be open.
 *
 * @example ringOpenings(state) // ['unit:unit@e7']
 */
export function ringOpenings<T extends LedgerSlice['rings'][number]>({ rings }: { rings: readonly T[] }): string[] {
  const standing = standingRings({ rings });
  const shut = standing.length > 0 && standing.every(({ state }) => state === 'closed');
  return shut && rings.some(({ state }) => state === 'opened') ? standing.map((one) => `${UNIT}@${one.in}`) : [];
}

/**
 * Openings that a hold proves: the ring, and at home the closed joints of vents, filler and breather besides.
 *
 * @example openingsHeld(state, 'home') // ['line:vent@e12', 'unit:unit@e20']
 */
export function openingsHeld(
  { vehicle, openings, rings }: VehicleSlice & Pick<LedgerSlice, 'openings' | 'rings'>,
  where: 'bench' | 'home',
): string[] {
  const lines = where === 'bench' ? [] : fluidLines(vehicle).filter(({ kind }) => airJoints.includes(kind));
  const keys = new Set(lines.map(({ id }) => keyOf('line', id)));
  return [
    ...openings.filter(({ key, closedIn }) => keys.has(key) && closedIn !== null).map(({ id }) => id),
    ...ringOpenings({ rings }),
  ];
}
