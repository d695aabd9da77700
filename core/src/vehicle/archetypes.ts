import crosswise from './archetypes/crosswise.json' with { type: 'json' };
import floor from './archetypes/floor.json' with { type: 'json' };
import pads from './archetypes/pads.json' with { type: 'json' };
import rail from './archetypes/rail.json' with { type: 'json' };
import seat from './archetypes/seat.json' with { type: 'json' };
import upright from './archetypes/upright.json' with { type: 'json' };
import wing from './archetypes/wing.json' with { type: 'json' };
import { InputError } from '../errors/index.ts';
import type { FuelKind } from '../fluid/index.ts';
import type { FeedKind, Mounting, VehicleFile } from './types.ts';

/** Ordinary vehicle files with wide ranges, basis `typical`: where a vehicle nobody measured starts from. */
export const archetypes: readonly VehicleFile[] = [
  rail,
  crosswise,
  seat,
  upright,
  wing,
  floor,
  pads,
] as unknown as VehicleFile[];

interface FirstSight {
  mounting: Mounting;
  fuel: FuelKind;
  feed: FeedKind;
  material: 'plastic' | 'steel';
  /** What to call the vehicle until somebody gives it a name. */
  name: string;
}

/**
 * The vehicle file a job starts from when nobody measured the vehicle: the archetype of its mounting with what was
 * seen from below. A carburettor or diesel system is not assumed to have other lines; the first look tells.
 *
 * @throws InputError for a mounting that there is not
 * @example fileFromSight({ mounting: 'rail', fuel: 'petrol', feed: 'injected', material: 'plastic', name: 'On the lift' })
 */
export function fileFromSight(sight: FirstSight): VehicleFile {
  const base = archetypes.find((file) => file.mounting === sight.mounting);
  if (!base) throw new InputError('mounting', sight.mounting, archetypes.map((file) => file.mounting).join(', '));
  return {
    ...structuredClone(base),
    name: sight.name,
    fuel: sight.fuel,
    feed: sight.feed,
    tank: { ...structuredClone(base.tank), material: sight.material },
  };
}
