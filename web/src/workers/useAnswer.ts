import { useEffect, useEffectEvent, useState } from 'react';
import { borrow, heard, type Lent } from './core.ts';
import type { CoreApi, OnProgress } from './coreApi.ts';

/** A question to the core; the same function is the same question. */
export type Ask<R> = (core: CoreApi, onProgress: OnProgress) => Promise<R>;

/** A question to a worker, as it stands. */
export interface Answer<R> {
  /** The last answer, also of an earlier question, until there is a new one. */
  answer: R | null;
  /** Is it the answer to the question asked now? */
  fresh: boolean;
  /** 0 to 1 while it looks, null when it does not. */
  progress: number | null;
  /** Why there is no answer, null where nothing went wrong. */
  problem: string | null;
  /** Ends the search; what was answered stands. */
  stop: () => void;
  /** Asks once more what was stopped. */
  again: () => void;
}

/** What was heard last, and to which question. */
interface Heard<R> {
  ask: Ask<R> | null;
  answer: R | null;
  answered: Ask<R> | null;
  progress: number | null;
  problem: string | null;
}

const nothing = { ask: null, answer: null, answered: null, progress: null, problem: null };

/**
 * Asks a worker and can be stopped. What it told before stands until it tells anew; a new question ends the old one.
 *
 * @param ask the question, held by `useCallback` or `useMemo`; null asks nothing
 */
export function useAnswer<R>(ask: Ask<R> | null, from: () => Lent = borrow): Answer<R> {
  const [told, setTold] = useState<Heard<R>>(nothing);
  const [halted, setHalted] = useState<Ask<R> | null>(null);
  const lend = useEffectEvent(from);
  useEffect(() => {
    if (ask === null || halted === ask) return undefined;
    const core = lend();
    let over = false;
    const hear = (news: Partial<Heard<R>>) =>
      setTold((before) => ({ ...before, ask, progress: null, problem: null, ...news }));
    const onProgress = heard((progress) => over || hear({ progress }));
    Promise.race([ask(core.api, onProgress), core.broken]).then(
      (answer) => {
        if (over) return;
        over = true;
        core.giveBack();
        hear({ answer, answered: ask });
      },
      (error: unknown) => {
        if (over) return;
        over = true;
        core.end();
        hear({ problem: error instanceof Error ? error.message : 'the search failed' });
      },
    );
    return () => {
      if (over) return;
      over = true;
      core.end();
    };
  }, [ask, halted]);
  const asked = ask !== null && halted !== ask;
  const now = told.ask === ask ? told : null;
  return {
    answer: told.answer,
    fresh: told.answered !== null && told.answered === ask,
    progress: asked ? (now ? now.progress : 0) : null,
    problem: now?.problem ?? null,
    stop: () => setHalted(() => ask),
    again: () => setHalted(null),
  };
}
