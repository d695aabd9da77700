import type { LedgerSlice } from '../ledger/index.ts';
import { fluidLines, keyOf, UNIT, type Connection, type VehicleSlice } from '../vehicle/index.ts';

/** Lines that stand open to the air above the fuel: what a hold of the tank reaches. */
export const airJoints: readonly Connection['kind'][] = ['vent', 'evap', 'filler', 'breather'];

/** The ring as an opening of its own: the newest time it was closed; null where it never was opened, or is open. @example ringOpening(state) // 'unit:unit@e7' */
export function ringOpening({ rings }: Pick<LedgerSlice, 'rings'>): string | null {
  const last = rings.at(-1);
  return last?.state === 'closed' && rings.some(({ state }) => state === 'opened') ? `${UNIT}@${last.in}` : null;
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
  const ring = ringOpening({ rings });
  return [
    ...openings.filter(({ key, closedIn }) => keys.has(key) && closedIn !== null).map(({ id }) => id),
    ...(ring === null ? [] : [ring]),
  ];
}
