import { useMemo, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { Missing } from '../app/Missing.tsx';
import { TopBar } from '../app/TopBar.tsx';
import { useMe } from '../net/queries.ts';
import { JobContextOf, useEnter, useJobView } from './useJob.ts';

/** The station a page belongs to. */
const back: Record<string, string> = { Quote: 'plan', 'For the owner': 'bench' };

/** A page of one job outside its stations: opens the job of the address, or says that there is none. */
export function WithJob({ title, children }: { title: string; children: ReactNode }) {
  const { jobId = '' } = useParams();
  const view = useJobView(jobId);
  const me = useMe().data?.person;
  const { enter, answer, problem } = useEnter(jobId);
  const { state, number, log } = view;
  const context = useMemo(
    () => (state && me ? { jobId, number, state, log, me, enter, answer, problem } : null),
    [jobId, number, state, log, me, enter, answer, problem],
  );
  if (view.status === 'missing') return <Missing what="job" />;
  if (!context)
    return (
      <>
        <TopBar title={title} to="/" />
        <p className="p-6 text-quiet">Opening the job…</p>
      </>
    );
  return (
    <JobContextOf.Provider value={context}>
      <TopBar title={title} hint={context.state.name} to={`/jobs/${jobId}/${back[title] ?? 'drain'}`} />
      {children}
    </JobContextOf.Provider>
  );
}
