import type { TankState } from '@iron-cradle/core';
import type { Change, Foresight } from '@iron-cradle/core/foresight';
import type { ForesightAsk } from './foresight.worker.ts';
import { useAnswer } from './useAnswer.ts';

/** What lies ahead, with something changed or nothing, looked for in a worker that can be stopped. */
export function useForesight(state: TankState, changes: Change[], wanted: boolean) {
  const ask: ForesightAsk = { state: tankOf(state), changes };
  const start = () => new Worker(new URL('./foresight.worker.ts', import.meta.url), { type: 'module' });
  const { answer, ...rest } = useAnswer<ForesightAsk, Foresight>(start, wanted ? JSON.stringify(ask) : null, () => ask);
  return { foresight: answer, ...rest };
}

/** Only what the planner needs, so that little goes to the worker. */
const tankOf = (s: TankState): TankState => ({
  vehicle: s.vehicle,
  pose: s.pose,
  items: s.items,
  slack: s.slack,
  eyed: s.eyed,
  doubts: s.doubts,
  looked: s.looked,
  taut: s.taut,
  reached: s.reached,
  notDone: s.notDone,
  out: s.out,
  goal: s.goal,
  gates: s.gates,
  findings: s.findings,
  extras: s.extras,
  off: s.off,
  shop: s.shop,
});
