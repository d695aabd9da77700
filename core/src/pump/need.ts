import { fuels } from '../fluid/index.ts';
import { pumpOf, type PumpKind, type VehicleFile } from '../vehicle/index.ts';

/** kg of fuel for a kilowatt-hour at full load; from memory. */
const CONSUMPTION = { petrol: { lo: 0.32, hi: 0.36 }, diesel: { lo: 0.22, hi: 0.22 } };

/**
 * Litres an hour this engine asks of its pump: kW · b / ρ, with what comes back of a diesel; the upper end is that of a
 * charged petrol engine. Null where the file has no kilowatts, or no return of a diesel. L/h
 *
 * @example demandOf({ ...rail, fuelSystem: { pump: 'electricHigh', engine: { kilowatts: exactly(150) } } })?.lo // 64
 */
export function demandOf(file: VehicleFile): { lo: number; hi: number } | null {
  const { kilowatts, returns } = file.fuelSystem?.engine ?? {};
  if (!kilowatts) return null;
  const diesel = file.fuel === 'diesel' || file.fuel === 'biodiesel';
  if (diesel && !returns) return null;
  const { lo, hi } = diesel ? CONSUMPTION.diesel : CONSUMPTION.petrol;
  const density = fuels[file.fuel].density.typ;
  return {
    lo: (kilowatts.lo * lo) / density + (returns?.lo ?? 0),
    hi: (kilowatts.hi * hi) / density + (returns?.hi ?? 0),
  };
}

/** What each kind of pump is asked for, bar gauge; common practice, no source. */
const WANTED: Partial<Record<PumpKind, { lo: number; hi: number }>> = {
  mechanical: { lo: 0.25, hi: 0.45 },
  electricLow: { lo: 0.25, hi: 0.9 },
  electricHigh: { lo: 2.5, hi: 4.5 },
  dieselLift: { lo: 0.2, hi: 0.7 },
  dieselSupply: { lo: 3, hi: 6 },
};

/**
 * Pressure this engine runs at: as the file says, else as is usual for its kind of pump; null where none is pushed. bar
 *
 * @example wantedBar(rail)?.hi // 4.5 for injection
 */
export function wantedBar(file: VehicleFile): { lo: number; hi: number; filed: boolean } | null {
  const filed = file.fuelSystem?.engine?.bar;
  if (filed) return { lo: filed.lo, hi: filed.hi, filed: true };
  const usual = WANTED[pumpOf(file)];
  return usual ? { ...usual, filed: false } : null;
}

/** A carburettor takes no more than this: more floods it, bar; common practice, no source. */
export const FLOODS = 0.45;

/** Does a carburettor stand at the end of it? @example feedsCarburettor(saloon) */
export const feedsCarburettor = (file: VehicleFile): boolean => ['mechanical', 'electricLow'].includes(pumpOf(file));
