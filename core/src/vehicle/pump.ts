import { fuels } from '../fluid/index.ts';
import type { PumpKind, VehicleFile } from './types.ts';

/**
 * What moves the fuel, as far as anybody said. An older file that only says “injected” means an electric pump at high
 * pressure where it is petrol; for everything else nobody knows.
 *
 * @example pumpOf({ fuel: 'petrol', feed: 'carburettor' }) // 'unknown': mechanical, electric, or none at all
 */
export function pumpOf({ fuelSystem, feed, fuel }: Pick<VehicleFile, 'fuelSystem' | 'feed' | 'fuel'>): PumpKind {
  if (fuelSystem) return fuelSystem.pump;
  return feed === 'injected' && isLight({ fuel }) ? 'electricHigh' : 'unknown';
}

/** Does its vapour light at room temperature: petrol and its blends, not diesel? @example isLight({ fuel: 'e85' }) // true */
export const isLight = ({ fuel }: Pick<VehicleFile, 'fuel'>): boolean => fuels[fuel].flash.below <= 40;

/** Is it moved by an electric pump? Unknown counts as one. @example isElectric('mechanical') // false */
export const isElectric = (pump: PumpKind): boolean =>
  ['electricLow', 'electricHigh', 'dieselLift', 'dieselSupply', 'unknown'].includes(pump);

/** Does its line hold more than a rag stops? Unknown counts so. Low is up to 1.2 bar; common practice, no source. @example isHigh('dieselSupply') // true */
export const isHigh = (pump: PumpKind): boolean => ['electricHigh', 'dieselSupply', 'unknown'].includes(pump);

/** Is the tank closed and under pressure by design? @example isSealed(rail) // false */
export const isSealed = ({ fuelSystem, tank }: Pick<VehicleFile, 'fuelSystem' | 'tank'>): boolean =>
  fuelSystem?.sealed ?? tank.sealed ?? false;

/** Each pump, as people call it. */
export const pumpWord: Record<PumpKind, string> = {
  none: 'none, it runs down by itself',
  mechanical: 'mechanical, on the engine',
  electricLow: 'electric, low pressure',
  electricHigh: 'electric, injection pressure',
  dieselSuction: 'drawn by the injection pump',
  dieselLift: 'electric lift pump',
  dieselSupply: 'electric supply to a common rail',
  unknown: 'not known',
};

/**
 * The pumps there can be with a fuel and a feed, the usual one first. No carburettor is fed at injection pressure: there that
 * one is offered only where the file says it all the same.
 *
 * @example pumpsFor({ fuel: 'petrol', feed: 'carburettor' })[0] // 'mechanical'
 */
export function pumpsFor(file: Pick<VehicleFile, 'fuel' | 'feed' | 'fuelSystem'>): PumpKind[] {
  if (!isLight(file)) return ['dieselSupply', 'dieselLift', 'dieselSuction', 'none'];
  if (file.feed !== 'carburettor') return ['electricHigh', 'electricLow', 'mechanical', 'none'];
  const said = file.fuelSystem?.pump;
  return ['mechanical', 'electricLow', 'none', ...(said === 'electricHigh' ? [said] : [])];
}
