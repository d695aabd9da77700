import { useEffect, useRef, useState } from 'react';

/** What a worker tells: how far it is, 0 to 1; its answer; or why there is none. */
export type Told<R> = { progress: number } | { answer: R } | { problem: string };

export interface Answer<R> {
  answer: R | null;
  /** 0 to 1 while it looks, null when it does not. */
  progress: number | null;
  problem: string | null;
  stop: () => void;
}

const nothing = { answer: null, progress: null, problem: null };

/**
 * Asks a worker and can be stopped. What it told before stands until it tells anew; a new question ends the old one.
 *
 * @param key says which question it is; null asks nothing
 */
export function useAnswer<A, R>(start: () => Worker, key: string | null, ask: () => A): Answer<R> {
  const [told, setTold] = useState<Omit<Answer<R>, 'stop'>>(nothing);
  const [halted, setHalted] = useState<string | null>(null);
  const latest = useRef({ start, ask });
  latest.current = { start, ask };
  useEffect(() => {
    if (key === null || halted === key) return undefined;
    const worker = latest.current.start();
    worker.onmessage = ({ data }: MessageEvent<Told<R>>) => {
      if ('progress' in data) setTold((t) => ({ ...t, progress: data.progress }));
      else setTold({ ...nothing, ...data });
    };
    worker.onerror = () => setTold({ ...nothing, problem: 'The search could not be started on this device.' });
    setTold((t) => ({ ...t, problem: null, progress: 0 }));
    worker.postMessage(latest.current.ask());
    return () => worker.terminate();
  }, [key, halted]);
  return {
    ...told,
    stop: () => {
      setHalted(key);
      setTold((t) => ({ ...t, progress: null }));
    },
  };
}
