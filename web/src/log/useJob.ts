import {
  answerOf,
  InputError,
  problemInWords,
  type Bodies,
  type Entry,
  type EntryKind,
  type JobState,
  type Question,
} from '@iron-cradle/core';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useMe, type PersonName } from '../net/queries.ts';
import { jobStore } from './jobStore.ts';
import type { JobView } from './jobView.ts';
import { drawNumber } from './tags.ts';

/** A job as this device has it, kept current. */
export function useJobView(jobId: string): JobView {
  const store = jobStore(jobId);
  return useSyncExternalStore(store.subscribe, store.snapshot);
}

/** Enters something into the log: true once it stands there. What is wrong with it is said in `problem`, and nothing typed is let go. */
export type Enter = <K extends EntryKind>(kind: K, body: Bodies[K]) => Promise<boolean>;

/** Answers a question, by the type its question declares. */
export type Answer = <V extends string | number | boolean>(
  question: Question<V>,
  value: V,
  of?: string,
) => Promise<boolean>;

/** What every screen of a job has at hand. */
export interface JobContext {
  /** The job. */
  jobId: string;
  /** Its number in this shop; null until the server said it. */
  number: number | null;
  /** Its state, what is on its way included. */
  state: JobState;
  /** Every entry this device holds. */
  log: readonly Entry[];
  /** Who works here. */
  me: PersonName;
  /** Enters something into the log. */
  enter: Enter;
  /** Answers a question. */
  answer: Answer;
  /** What was wrong with the last thing entered, until the next. */
  problem: string | null;
}

/** Holds the job of the screens below it. */
export const JobContextOf = createContext<JobContext | null>(null);

/** The job on the screen: its state and the one way to enter something. */
export function useJob(): JobContext {
  const job = useContext(JobContextOf);
  if (!job) throw new Error('useJob outside of a job');
  return job;
}

/** The one way to enter something into a job, and what was wrong with the last. */
export function useEnter(jobId: string): { enter: Enter; answer: Answer; problem: string | null } {
  const by = useMe().data?.person?.id ?? '';
  const [problem, setProblem] = useState<string | null>(null);
  const enter = useCallback<Enter>(
    async (kind, body) => {
      try {
        await jobStore(jobId).append(by, kind, body);
        setProblem(null);
        return true;
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        setProblem(problemInWords(error));
        return false;
      }
    },
    [jobId, by],
  );
  const answer = useCallback<Answer>(
    async (question, value, of) => {
      try {
        return await enter('answer', answerOf(question, value, of));
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        setProblem(problemInWords(error));
        return false;
      }
    },
    [enter],
  );
  return { enter, answer, problem };
}

/** What already carries a number keeps it, whichever device painted it; else the number of the file. */
const knownNumbers = (state: JobState): Record<string, number> => ({
  ...state.numbers,
  ...Object.fromEntries(state.items.flatMap((item) => (item.tag === null ? [] : [[item.key, item.tag]]))),
});

/** Numbers of things that come off: everything in the file has one; what is new draws its own when it is first shown. */
export function useTags(state: JobState, keys: readonly string[]): Record<string, number> {
  const known = useMemo(() => knownNumbers(state), [state]);
  const [drawn, setDrawn] = useState<Record<string, number>>({});
  const unknown = keys.filter((key) => known[key] === undefined).join(' ');
  useEffect(() => {
    let current = true;
    for (const key of unknown.split(' ').filter(Boolean))
      void drawNumber(state.jobId, key).then(
        (number) => current && number !== null && setDrawn((had) => ({ ...had, [key]: number })),
      );
    return () => void (current = false);
  }, [state.jobId, unknown]);
  return useMemo(() => ({ ...drawn, ...known }), [drawn, known]);
}
