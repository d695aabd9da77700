import { descended, type JobState } from '@iron-cradle/core';
import type { Ahead } from '@iron-cradle/core/foresight';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { tankOf } from './useForesight.ts';
import { useAnswer, type Ask } from './useAnswer.ts';

const Looked = createContext<Ahead | null>(null);

/**
 * Looks for the way down that is ahead, once a state and in a worker, for all the screens below. Until it is known they
 * have that of the state before; where the tank is out there is none.
 */
export function AheadOf({ state, children }: { state: JobState; children: ReactNode }) {
  const wanted = !descended(state) && !state.signed;
  const ask = useMemo<Ask<Ahead> | null>(() => (wanted ? (core) => core.ahead(tankOf(state)) : null), [state, wanted]);
  const { answer } = useAnswer(ask);
  return <Looked.Provider value={wanted ? answer : null}>{children}</Looked.Provider>;
}

/** The way down that is ahead; null while nobody knows, or where there is none. */
export const useAhead = (): Ahead | null => useContext(Looked);
