import { measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { defineSlice } from '../kernel/index.ts';
import { numbersOf } from './numbers.ts';
import { BLOCKS, MORE_TILT, REACH, SEALED, VARIANT } from './questions.ts';
import type { Range, VehicleFile, Way } from './types.ts';
import { asVariant } from './variant.ts';

/** The vehicle of the job, as far as it is known by now. */
export interface VehicleSlice {
  /** The file it was opened with, changed by what was found since. */
  vehicle: VehicleFile;
  /** The file the job was opened with, as it was then. */
  file: VehicleFile;
  /** Ledger key → number painted on it, for everything in the file the job was opened with. */
  numbers: Readonly<Record<string, number>>;
}

/** Most tilt that is ever planned, mm from end to end: steeper no jack holds a tank. Common practice, no source. */
export const MOST_TILT = 150;

/** A longer extension, a wheel off: one way is reached so many mm sooner and later. */
function reachFurther(vehicle: VehicleFile, wayId: string, mm: number): VehicleFile {
  const shift = (r: Range, by: number): Range => ({
    lo: Math.max(0, r.lo + by),
    typ: Math.max(0, r.typ + by),
    hi: Math.max(0, r.hi + by),
    basis: measured,
  });
  const further = (ways: Way[]): Way[] =>
    ways.map((w) => (w.id === wayId ? { ...w, reachFrom: shift(w.reachFrom, -mm), reachTo: shift(w.reachTo, mm) } : w));
  return {
    ...vehicle,
    connections: vehicle.connections.map((c) => ({ ...c, part: further(c.part), make: further(c.make) })),
    obstructions: vehicle.obstructions.map((o) => ({ ...o, clear: further(o.clear), restore: further(o.restore) })),
  };
}

/**
 * The vehicle once something was found out about it.
 *
 * @throws InputError for a variant the file does not have
 * @example foundOut(rail, { question: 'more tilt', of: null, value: 20 }).tiltLimit
 */
export function foundOut(
  vehicle: VehicleFile,
  { question, of, value }: { question: string; of: string | null; value: unknown },
): VehicleFile {
  if (question === REACH.id && typeof value === 'number') return reachFurther(vehicle, of ?? '', value);
  if (question === MORE_TILT.id && typeof value === 'number')
    return { ...vehicle, tiltLimit: Math.min(MOST_TILT, vehicle.tiltLimit + value) };
  if (question === VARIANT.id) return asVariant(vehicle, of ?? '', String(value));
  if (question === SEALED.id) return { ...vehicle, tank: { ...vehicle.tank, sealed: value === 'yes' } };
  if (question === BLOCKS.id && value === 'no')
    return {
      ...vehicle,
      obstructions: vehicle.obstructions.map((o) => (o.id === of ? { ...o, blocksAt: null } : o)),
    };
  return vehicle;
}

/** Holds the vehicle of the job. */
export const vehicleSlice = defineSlice<VehicleSlice>({
  name: 'vehicle',
  start: (opened) => {
    const { vehicle } = opened as { vehicle: VehicleFile };
    return { vehicle, file: vehicle, numbers: numbersOf(vehicle) };
  },
  hears: {
    answered: (own, { question, of, value }, { tell }) => {
      try {
        own.vehicle = foundOut(own.vehicle, { question, of, value });
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        tell('flagged', { text: `answer not taken: ${error.message}` });
      }
    },
  },
});
