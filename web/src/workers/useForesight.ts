import type { TankState } from '@iron-cradle/core';
import type { Change, Foresight } from '@iron-cradle/core/foresight';
import { useEffect, useState } from 'react';
import type { ForesightAsk, ForesightTold } from './foresight.worker.ts';

export interface Foreseen {
  foresight: Foresight | null;
  /** 0 to 1 while it looks, null when it does not. */
  progress: number | null;
  problem: string | null;
  stop: () => void;
}

const nothing = { foresight: null, progress: null, problem: null };

/** What lies ahead, with something changed or nothing, looked for in a worker that can be stopped. */
export function useForesight(state: TankState, changes: Change[], wanted: boolean): Foreseen {
  const [told, setTold] = useState<Omit<Foreseen, 'stop'>>(nothing);
  const [halted, setHalted] = useState<string | null>(null);
  const ask = JSON.stringify({ state: tankOf(state), changes } satisfies ForesightAsk);
  useEffect(() => {
    if (!wanted || halted === ask) return undefined;
    const worker = new Worker(new URL('./foresight.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<ForesightTold>) => {
      if ('progress' in data) setTold((t) => ({ ...t, progress: data.progress }));
      else if ('problem' in data) setTold({ ...nothing, problem: data.problem });
      else setTold({ ...nothing, foresight: data.foresight });
    };
    worker.onerror = () => setTold({ ...nothing, problem: 'The search could not be started on this device.' });
    setTold((t) => ({ ...t, problem: null, progress: 0 }));
    worker.postMessage(JSON.parse(ask));
    return () => worker.terminate();
  }, [ask, wanted, halted]);
  return {
    ...told,
    stop: () => {
      setHalted(ask);
      setTold((t) => ({ ...t, progress: null }));
    },
  };
}

/** Only what the planner needs, so that little goes to the worker. */
const tankOf = (s: TankState): TankState => ({
  vehicle: s.vehicle,
  pose: s.pose,
  items: s.items,
  slack: s.slack,
  taut: s.taut,
  reached: s.reached,
  notDone: s.notDone,
  out: s.out,
  joints: s.joints,
  gates: s.gates,
  findings: s.findings,
  extras: s.extras,
  helperMinutes: s.helperMinutes,
});
