import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { Missing } from '../../app/Missing.tsx';
import { TopBar } from '../../app/TopBar.tsx';
import { ApiProblem, get } from '../../net/api.ts';
import { useLine } from '../../log/line.ts';
import { Addendum } from './Addendum.tsx';
import { useUnits } from '../../app/units.ts';
import { Comeback } from './Comeback.tsx';
import { Tables } from './Tables.tsx';
import { FollowUps } from './FollowUps.tsx';
import { Late } from './Late.tsx';
import { LearnSheet } from './LearnSheet.tsx';
import { RecordPage } from './RecordPage.tsx';
import { handsOn, recordOf, type JobFile, type Standing } from '@iron-cradle/core';
import { save } from '../../ui/save.ts';

/** The record on the screen, with what can be done with it. */
export default function RecordScreen() {
  const { jobId = '' } = useParams();
  const [learning, setLearning] = useState(false);
  const waiting = useLine().waiting;
  const units = useUnits();
  const file = useQuery({ queryKey: ['file', jobId, waiting], queryFn: () => get<JobFile>(`/jobs/${jobId}/file`) });
  const standing = useQuery({
    queryKey: ['standing', jobId, file.data?.chain.last],
    queryFn: () => get<Standing>(`/jobs/${jobId}/standing`),
    enabled: file.data !== undefined,
  });
  const keep = useMutation({
    mutationFn: () => get<JobFile>(`/jobs/${jobId}/file?photos=yes`),
    onSuccess: (whole) => save(`job-${whole.job.number}.json`, JSON.stringify(whole, null, 1), 'application/json'),
  });
  if (file.error instanceof ApiProblem && file.error.status === 404) return <Missing what="job" />;
  const record = file.data ? recordOf(file.data, units) : null;
  return (
    <>
      <TopBar title="Record" hint={record?.state.name} to="/" />
      <main className="pb-10 print:pb-0">
        {!record && (
          <p className="p-6 text-quiet">
            {file.isError
              ? `${file.error.message} The record is made from the server’s log; it opens once the server is back.`
              : 'Opening the record…'}
          </p>
        )}
        {record && (
          <>
            <div className="no-print mx-auto grid max-w-[51.5rem] gap-3 p-4 mid:grid-cols-2 wide:grid-cols-4">
              <button type="button" className="btn" onClick={() => window.print()}>
                Print it
              </button>
              <button type="button" className="btn" disabled={keep.isPending} onClick={() => keep.mutate()}>
                Save the job file
              </button>
              {record.state.signed && (
                <button type="button" className="btn" data-action="taught" onClick={() => setLearning(true)}>
                  What it taught
                </button>
              )}
              <a className="btn" data-action="pdf" href={`/api/jobs/${jobId}/record.pdf?units=${units}`} download>
                Save as PDF
              </a>
              <a className="btn" href={`/api/jobs/${jobId}/record.pdf?for=owner&units=${units}`} download>
                For the owner, in plain words
              </a>
              <a className="btn" data-action="zip" href={`/api/jobs/${jobId}/file.zip?units=${units}`} download>
                All of it with photos, as a zip
              </a>
              <Tables jobId={jobId} units={units} />
              <Addendum jobId={jobId} signed={record.state.signed !== null} onDone={() => void file.refetch()} />
            </div>
            {keep.error && (
              <p role="alert" className="mx-auto max-w-[51.5rem] px-4 font-semibold text-halt">
                {keep.error.message}
              </p>
            )}
            {learning && <LearnSheet state={record.state} hands={handsOn(record)} onClose={() => setLearning(false)} />}
            <FollowUps
              jobId={jobId}
              state={record.state}
              number={record.file.job.number}
              onDone={() => void file.refetch()}
            />
            <Comeback state={record.state} />
            <Late jobId={jobId} state={record.state} onDone={() => void file.refetch()} />
            <RecordPage record={record} standing={standing.data ?? null} />
          </>
        )}
      </main>
    </>
  );
}
