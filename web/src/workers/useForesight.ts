import type { TankState } from '@iron-cradle/core';
import type { Change, Foresight } from '@iron-cradle/core/foresight';
import { useMemo } from 'react';
import { useAnswer, type Ask } from './useAnswer.ts';

/** What lies ahead, with something changed or nothing, looked for in a worker that can be stopped. */
export function useForesight(state: TankState, changes: Change[], wanted: boolean) {
  const ask = useMemo<Ask<Foresight> | null>(
    () => (wanted ? (core, progress) => core.foresee(tankOf(state), changes, progress) : null),
    [state, changes, wanted],
  );
  const { answer, ...rest } = useAnswer(ask);
  return { foresight: answer, ...rest };
}

/** Only what the planner needs, so that little goes to the worker. */
export const tankOf = (s: TankState): TankState => ({
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
