import { keyOf } from './names.ts';
import type { VehicleFile } from './types.ts';

/**
 * The number of every thing in the file, as it is painted: in the order of the file, each connection with its clips,
 * then what is in the way, then the supports, then the unit. The same file always gives the same numbers, so that plan
 * sheet and paint pen agree before the first stop and two tablets never differ.
 *
 * @returns ledger key → number from 1 on
 * @example numbersOf(rail)['line:feed'] // 1
 */
export function numbersOf(vehicle: VehicleFile): Record<string, number> {
  const keys = [
    ...vehicle.connections.flatMap((line) => [
      keyOf('line', line.id),
      ...line.clips.map((clip) => keyOf('clip', clip.id)),
    ]),
    ...vehicle.obstructions.map((thing) => keyOf('obstruction', thing.id)),
    ...vehicle.supports.map((support) => keyOf('support', support.id)),
    UNIT,
  ];
  return Object.fromEntries(keys.map((key, i) => [key, i + 1]));
}

/** The pump and sender unit under its ring. */
export const UNIT = 'unit:unit';

/** Numbers the server gives out for what no file lists. */
export const SERVER_NUMBERS = { from: 100, to: 199 } as const;

/** Numbers a device gives out while the server is away: its own block of so many, from here on. */
const DEVICE_NUMBERS = { from: 200, each: 40 } as const;

/**
 * The n-th number of a device's block; null where the block is used up.
 *
 * @param block which block the server gave this device, from 0
 * @param n how many of it were given out already
 * @example deviceNumber(1, 0) // 240
 */
export const deviceNumber = (block: number, n: number): number | null =>
  n < DEVICE_NUMBERS.each ? DEVICE_NUMBERS.from + block * DEVICE_NUMBERS.each + n : null;
