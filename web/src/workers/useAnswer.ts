import { useEffect, useEffectEvent, useState } from 'react';

/** What a worker tells: how far it is, 0 to 1; its answer; or why there is none. */
export type Told<R> = { progress: number } | { answer: R } | { problem: string };

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
  key: string | null;
  answer: R | null;
  answered: string | null;
  progress: number | null;
  problem: string | null;
}

/**
 * Asks a worker and can be stopped. What it told before stands until it tells anew; a new question ends the old one.
 *
 * @param key says which question it is; null asks nothing
 */
export function useAnswer<A, R>(start: () => Worker, key: string | null, ask: () => A): Answer<R> {
  const [heard, setHeard] = useState<Heard<R>>({
    key: null,
    answer: null,
    answered: null,
    progress: null,
    problem: null,
  });
  const [halted, setHalted] = useState<string | null>(null);
  const begin = useEffectEvent(() => {
    const worker = start();
    worker.postMessage(ask());
    return worker;
  });
  useEffect(() => {
    if (key === null || halted === key) return undefined;
    const worker = begin();
    const hear = (told: Told<R>) =>
      setHeard((before) => ({
        ...before,
        key,
        progress: null,
        problem: null,
        ...told,
        ...('answer' in told ? { answered: key } : {}),
      }));
    worker.onmessage = ({ data }: MessageEvent<Told<R>>) => hear(data);
    worker.onerror = () => hear({ problem: 'The search could not be started on this device.' });
    return () => worker.terminate();
  }, [key, halted]);
  const asked = key !== null && halted !== key;
  const told = heard.key === key ? heard : null;
  return {
    answer: heard.answer,
    fresh: heard.answered !== null && heard.answered === key,
    progress: asked ? (told ? told.progress : 0) : null,
    problem: told?.problem ?? null,
    stop: () => setHalted(key),
    again: () => setHalted(null),
  };
}
