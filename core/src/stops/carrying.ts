import { byJack, carriedBy, type VehicleFile } from '../vehicle/index.ts';

/**
 * What carries the tank when its supports let go, as one says it. Common practice, no source.
 *
 * @example carryingWord(pads) // 'a hand on the tank'
 */
export function carryingWord(vehicle: VehicleFile): string {
  if (byJack(vehicle))
    return carriedBy(vehicle).by[0] === 'two jacks' ? 'both jacks just carry' : 'the jack just carries';
  return carriedBy(vehicle).people > 1 ? 'two people hold it' : 'a hand on the tank';
}
