import { tankOutlet, tiltReach, type BestTilt, type VehicleFile } from '@iron-cradle/core';
import { useMemo } from 'react';
import type { TiltAsk } from './coreApi.ts';
import { useAnswer, type Answer, type Ask } from './useAnswer.ts';

/** Looks for the one tilt that frees most, in a worker, whenever the tank changes; it can be stopped. */
export function useBestTilt(vehicle: VehicleFile, wanted: boolean): Answer<BestTilt> {
  const { shape } = vehicle.tank;
  const asked: TiltAsk = { shape, outlet: tankOutlet(vehicle).at, reach: tiltReach(vehicle) };
  // Every entry makes a new vehicle; the question is new only where the tank is.
  const key = wanted && shape.kind !== 'table' ? JSON.stringify(asked) : null;
  const ask = useMemo<Ask<BestTilt> | null>(
    () => (key === null ? null : (core, progress) => core.bestTilt(JSON.parse(key) as TiltAsk, progress)),
    [key],
  );
  const search = useAnswer(ask);
  // The tilt of another tank says nothing of this one.
  return search.fresh ? search : { ...search, answer: null };
}
