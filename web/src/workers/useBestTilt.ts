import { tankOutlet, tiltReach, type BestTilt, type VehicleFile } from '@iron-cradle/core';
import { useCallback, useEffect, useState } from 'react';
import type { TiltAsk, TiltTold } from './tilt.worker.ts';

export interface TiltSearch {
  best: BestTilt | null;
  /** 0 to 1 while it runs, null when it does not. */
  progress: number | null;
  stop: () => void;
  again: () => void;
}

/** Looks for the one tilt that frees most, in a worker, whenever the tank changes; it can be stopped. */
export function useBestTilt(vehicle: VehicleFile, wanted: boolean): TiltSearch {
  const [best, setBest] = useState<BestTilt | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [turn, setTurn] = useState(0);
  const [halted, setHalted] = useState(false);
  const ask = JSON.stringify(
    wanted && vehicle.tank.shape.kind !== 'table'
      ? ({ shape: vehicle.tank.shape, outlet: tankOutlet(vehicle).at, reach: tiltReach(vehicle) } satisfies TiltAsk)
      : null,
  );
  useEffect(() => {
    setBest(null);
    setProgress(null);
    if (ask === 'null' || halted) return undefined;
    const worker = new Worker(new URL('./tilt.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<TiltTold>) => {
      if ('progress' in data) return setProgress(data.progress);
      setBest(data.best);
      setProgress(null);
    };
    worker.onerror = () => setProgress(null);
    setProgress(0);
    worker.postMessage(JSON.parse(ask));
    return () => worker.terminate();
  }, [ask, turn, halted]);
  const stop = useCallback(() => setHalted(true), []);
  const again = useCallback(() => {
    setHalted(false);
    setTurn((t) => t + 1);
  }, []);
  return { best, progress, stop, again };
}
