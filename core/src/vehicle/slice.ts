import { measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { defineSlice } from '../kernel/index.ts';
import { numbersOf } from './numbers.ts';
import { pumpOf } from './pump.ts';
import { BLOCKS, MORE_TILT, PUMP, REACH, SEALED, VARIANT } from './questions.ts';
import type { FuelSystem, PumpKind, VehicleFile } from './types.ts';
import type { Range, Way } from './ways.ts';
import { asUsual, asVariant } from './variant.ts';
import { widened } from './widened.ts';

/** The vehicle of the job, as far as it is known by now. */
export interface VehicleSlice {
  /** The file it was opened with, changed by what was found since. */
  vehicle: VehicleFile;
  /** The file the job was opened with, as it was then. */
  file: VehicleFile;
  /** Ledger key → number painted on it, for everything in the file the job was opened with. */
  numbers: Readonly<Record<string, number>>;
  /** What was found out of it since, oldest first. */
  found: readonly Found[];
}

/** An answer that tells something of the vehicle. */
interface Found {
  /** Id of the question. */
  question: string;
  /** What it was asked of; null where it is asked of nothing. */
  of: string | null;
  /** What was answered. */
  value: unknown;
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

/** Its fuel system, also where an older file only says how it is fed. */
const systemOf = (vehicle: VehicleFile): FuelSystem => vehicle.fuelSystem ?? { pump: pumpOf(vehicle) };

/**
 * The vehicle once something was found out about it.
 *
 * @throws InputError for a variant the file does not have
 * @example foundOut(rail, { question: 'more tilt', of: null, value: 20 }).tiltLimit
 */
export function foundOut(vehicle: VehicleFile, { question, of, value }: Found): VehicleFile {
  if (question === REACH.id && typeof value === 'number') return reachFurther(vehicle, of ?? '', value);
  if (question === MORE_TILT.id && typeof value === 'number')
    return { ...vehicle, tiltLimit: Math.min(MOST_TILT, vehicle.tiltLimit + value) };
  if (question === VARIANT.id) return asVariant(vehicle, of ?? '', String(value));
  if (question === SEALED.id) return { ...vehicle, fuelSystem: { ...systemOf(vehicle), sealed: value === 'yes' } };
  if (question === PUMP.id) return { ...vehicle, fuelSystem: { ...systemOf(vehicle), pump: value as PumpKind } };
  if (question === BLOCKS.id && value === 'no')
    return {
      ...vehicle,
      obstructions: vehicle.obstructions.map((o) => (o.id === of ? { ...o, blocksAt: null } : o)),
    };
  return vehicle;
}

/**
 * Which vehicle of the model it is was looked at: from the file anew, since what is usual may have left out what is there;
 * then all that was found before. The tank as it was measured stays.
 */
function asFound(own: VehicleSlice, told: Found): VehicleFile {
  const looks = [...own.found.filter((f) => f.question === VARIANT.id && f.of !== told.of), told];
  const which = asUsual(looks.reduce(foundOut, own.file));
  return { ...own.found.filter((f) => f.question !== VARIANT.id).reduce(foundOut, which), tank: own.vehicle.tank };
}

/** Holds the vehicle of the job. */
export const vehicleSlice = defineSlice<VehicleSlice>({
  name: 'vehicle',
  start: (opened) => {
    const { vehicle } = opened as { vehicle: VehicleFile };
    return { vehicle: asUsual(vehicle), file: vehicle, numbers: numbersOf(vehicle), found: [] };
  },
  hears: {
    tankWidened: (own, least) => {
      own.vehicle = widened(own.vehicle, least);
    },
    answered: (own, { question, of, value }, { tell }) => {
      try {
        const told = { question, of, value };
        own.vehicle = question === VARIANT.id ? asFound(own, told) : foundOut(own.vehicle, told);
        own.found.push(told);
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        tell('flagged', { text: `answer not taken: ${error.message}` });
      }
    },
  },
});
