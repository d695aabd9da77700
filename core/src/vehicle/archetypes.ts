import crosswise from './archetypes/crosswise.json' with { type: 'json' };
import floor from './archetypes/floor.json' with { type: 'json' };
import floorHung from './archetypes/floor-hung.json' with { type: 'json' };
import pads from './archetypes/pads.json' with { type: 'json' };
import rail from './archetypes/rail.json' with { type: 'json' };
import seat from './archetypes/seat.json' with { type: 'json' };
import upright from './archetypes/upright.json' with { type: 'json' };
import wing from './archetypes/wing.json' with { type: 'json' };
import { InputError } from '../errors/index.ts';
import type { FuelKind } from '../fluid/index.ts';
import { pumpOf } from './pump.ts';
import type { FeedKind, Mounting, VehicleFile } from './types.ts';

/** Ordinary vehicle files with wide ranges, basis `typical`: where a vehicle nobody measured starts from. */
export const archetypes: readonly VehicleFile[] = [
  rail,
  crosswise,
  seat,
  upright,
  wing,
  floor,
  floorHung,
  pads,
] as unknown as VehicleFile[];

interface FirstSight {
  mounting: Mounting;
  fuel: FuelKind;
  /** How it is fed, where somebody could tell. */
  feed?: FeedKind | null;
  material: 'plastic' | 'steel';
  /** What to call the vehicle until somebody gives it a name. */
  name: string;
  /** Where the bolt heads of a tank in the floor are; left out: in the boot. */
  bolts?: 'boot' | 'below';
}

/**
 * The vehicle file a job starts from when nobody measured the vehicle: the archetype of its mounting with what was
 * seen from below. Only petrol that is injected says what pumps it; for everything else the pump is asked for.
 *
 * @throws InputError for a mounting that there is not
 * @example fileFromSight({ mounting: 'rail', fuel: 'petrol', feed: 'injected', material: 'plastic', name: 'Vehicle outside' })
 */
export function fileFromSight(sight: FirstSight): VehicleFile {
  const hung = sight.mounting === 'floor' && sight.bolts === 'below';
  const base = archetypes.find((file) =>
    hung ? file.id === 'archetype-floor-hung' : file.mounting === sight.mounting,
  );
  if (!base) throw new InputError('mounting', sight.mounting, archetypes.map((file) => file.mounting).join(', '));
  const { fuelSystem, ...rest } = structuredClone(base);
  return {
    ...rest,
    name: sight.name,
    fuel: sight.fuel,
    fuelSystem: { ...fuelSystem, pump: pumpOf({ fuel: sight.fuel, ...(sight.feed ? { feed: sight.feed } : {}) }) },
    tank: { ...rest.tank, material: sight.material },
  };
}
