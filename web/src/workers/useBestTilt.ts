import { tankOutlet, tiltReach, type BestTilt, type VehicleFile } from '@iron-cradle/core';
import type { TiltAsk } from './tilt.worker.ts';
import { useAnswer, type Answer } from './useAnswer.ts';

const start = () => new Worker(new URL('./tilt.worker.ts', import.meta.url), { type: 'module' });

/** Looks for the one tilt that frees most, in a worker, whenever the tank changes; it can be stopped. */
export function useBestTilt(vehicle: VehicleFile, wanted: boolean): Answer<BestTilt> {
  const { shape } = vehicle.tank;
  const ask: TiltAsk = { shape, outlet: tankOutlet(vehicle).at, reach: tiltReach(vehicle) };
  const key = wanted && shape.kind !== 'table' ? JSON.stringify(ask) : null;
  const search = useAnswer<TiltAsk, BestTilt>(start, key, () => ask);
  // The tilt of another tank says nothing of this one.
  return search.fresh ? search : { ...search, answer: null };
}
