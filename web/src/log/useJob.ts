import { createContext, useCallback, useContext, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { InputError, type Bodies, type EntryKind, type JobState } from '@iron-cradle/core';
import { useMe, type PersonName } from '../net/queries.ts';
import { jobStore, type JobView } from './jobStore.ts';
import { reserve } from './tags.ts';

export function useJobView(jobId: string): JobView {
  const store = jobStore(jobId);
  return useSyncExternalStore(store.subscribe, store.snapshot);
}

export type Enter = <K extends EntryKind>(kind: K, body: Bodies[K]) => Promise<void>;

export interface JobContext {
  jobId: string;
  number: number | null;
  state: JobState;
  me: PersonName;
  enter: Enter;
  /** What was wrong with the last thing entered, until the next. */
  problem: string | null;
}

export const JobContextOf = createContext<JobContext | null>(null);

/** The job on the screen: its state and the one way to enter something. */
export function useJob(): JobContext {
  const job = useContext(JobContextOf);
  if (!job) throw new Error('useJob outside of a job');
  return job;
}

export function useEnter(jobId: string): { enter: Enter; problem: string | null } {
  const me = useMe().data?.person;
  const [problem, setProblem] = useState<string | null>(null);
  const enter = useCallback<Enter>(
    async (kind, body) => {
      try {
        await jobStore(jobId).append(me?.id ?? '', kind, body);
        setProblem(null);
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        setProblem(error.message);
      }
    },
    [jobId, me?.id],
  );
  return { enter, problem };
}

/** Numbers for things that will come off, reserved when they are first shown. */
export function useTags(state: JobState, keys: readonly string[]): Record<string, number> {
  const [tags, setTags] = useState<Record<string, number>>({});
  const wanted = useMemo(() => keys.join(' '), [keys]);
  useEffect(() => {
    let current = true;
    if (wanted)
      void reserve(state.jobId, wanted.split(' '), tagsIn(state)).then(
        (byKey) => current && setTags({ ...byKey, ...paintedIn(state) }),
      );
    return () => void (current = false);
  }, [state, wanted]);
  return tags;
}

/** Numbers that stand in the log. */
export const tagsIn = (state: JobState): number[] =>
  state.items.flatMap((item) => (item.tag === null ? [] : [item.tag]));

/** What already carries a number keeps it, whichever device painted it. */
const paintedIn = (state: JobState): Record<string, number> =>
  Object.fromEntries(state.items.flatMap((item) => (item.tag === null ? [] : [[item.key, item.tag]])));
