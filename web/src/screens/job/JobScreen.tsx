import {
  chords,
  complaintOf,
  descended,
  mountings,
  stationNow,
  stations,
  unsettledKeys,
  type StationId,
} from '@iron-cradle/core';
import { format } from 'date-fns';
import { Suspense, useMemo, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Navigate, useNavigate, useParams } from 'react-router';
import { Missing } from '../../app/Missing.tsx';
import { TopBar } from '../../app/TopBar.tsx';
import { stationNames } from '../../drawings/well/Well.tsx';
import { SmallWell } from '../../drawings/well/SmallWell.tsx';
import { jobStore } from '../../log/jobStore.ts';
import { JobContextOf, useEnter, useJobView } from '../../log/useJob.ts';
import { useMe } from '../../net/queries.ts';
import { Band } from '../../ui/Band.tsx';
import { stationScreens } from './stations.ts';
import { TwoDevices } from './TwoDevices.tsx';
import { RestKey } from './rest/RestKey.tsx';
import { WellSheet } from './WellSheet.tsx';
import { Words } from '../../ui/Words.tsx';
import { AheadOf } from '../../workers/AheadOf.tsx';

/** Stations whose frame fills the screen of an upright tablet. */
const atTheTank = new Set<StationId>(['drop', 'bench', 'refit', 'prove']);

/** One job: its bar, what is wrong, and the station that was asked for. */
export default function JobScreen() {
  const { jobId = '', station } = useParams();
  const view = useJobView(jobId);
  const me = useMe().data?.person;
  const navigate = useNavigate();
  const { enter, answer, problem } = useEnter(jobId);
  const [wellOpen, setWellOpen] = useState(false);
  const { state, number, log } = view;
  const context = useMemo(
    () => (state && me ? { jobId, number, state, log, me, enter, answer, problem } : null),
    [jobId, number, state, log, me, enter, answer, problem],
  );

  if (view.status === 'missing') return <Missing what="job" />;
  if (view.status === 'reload') return <Reload />;
  if (!state || !context)
    return (
      <>
        <TopBar title="Iron Cradle" to="/" />
        <p className="p-6 text-quiet">
          Opening the job… If the server is away and this device never had the job, it opens once the server is back.
        </p>
      </>
    );
  if (!station)
    return <Navigate to={state.signed ? `/jobs/${jobId}/record` : `/jobs/${jobId}/${stationNow(state)}`} replace />;
  if (!stations.includes(station as StationId)) return <Missing what="station" />;
  const here = station as StationId;
  const Screen = stationScreens[here];
  const kind = mountings.find((m) => m.id === state.vehicle.mounting);
  return (
    <JobContextOf.Provider value={context}>
      <AheadOf state={state}>
        <div className={`flex min-h-dvh flex-col wide:h-dvh ${atTheTank.has(here) ? 'mid:h-dvh' : ''}`}>
          <TopBar title={state.name} hint={stationNames[here]} to="/">
            <span className="hidden truncate text-quiet wide:block">
              {kind?.name.toLowerCase()}, {complaintOf(state.complaint).name.toLowerCase()}
            </span>
            <RestKey />
            <button
              type="button"
              className="grid h-11 shrink-0 place-items-center mid:hidden"
              aria-label="show the well"
              onClick={() => setWellOpen(true)}
            >
              <SmallWell
                chords={chords(state)}
                here={Math.max(state.pose.f, state.pose.r)}
                clear={state.vehicle.clear}
                up={descended(state)}
                width={62}
              />
            </button>
          </TopBar>
          {view.putBack !== null && (
            <Band outcome="bad" role="alert">
              <span className="flex flex-wrap items-center gap-x-4" data-put-back>
                {view.putBack === ''
                  ? 'The shop’s history was put back to an earlier time.'
                  : `The shop’s history was put back to ${format(new Date(view.putBack), 'd MMM, H:mm')}.`}{' '}
                Look where the tank hangs: below stands what the shop has, above what only this device holds.
                <button type="button" className="min-h-11 underline" onClick={jobStore(jobId).seenPutBack}>
                  Seen
                </button>
              </span>
            </Band>
          )}
          {state.signed && (
            <Band outcome="good">
              {state.heads.some((head) => head.kind === 'signed' && head.seq === null)
                ? 'Signed here; waiting for the server.'
                : 'Signed. Only an addendum can be added, on the record.'}
            </Band>
          )}
          {!state.signed && state.heads.some((head) => head.kind === 'gate' && head.counts && head.seq === null) && (
            <Band>A gate was passed here; waiting for the server.</Band>
          )}
          {state.refusedHere.map(({ id, text }) => (
            <Band key={id} outcome="bad" role="alert">
              Waiting for the server, which will say no: <Words of={text} />.
            </Band>
          ))}
          {problem && (
            <Band outcome="bad" role="alert">
              {problem}
            </Band>
          )}
          <Suspense fallback={<p className="p-6 text-quiet">Opening…</p>}>
            <ErrorBoundary FallbackComponent={Failed} resetKeys={[here, state.newest]}>
              {unsettledKeys(state).length > 0 ? <TwoDevices /> : <Screen />}
            </ErrorBoundary>
          </Suspense>
        </div>
        <WellSheet
          open={wellOpen}
          onClose={() => setWellOpen(false)}
          station={here}
          onStation={(id) => (setWellOpen(false), void navigate(`/jobs/${jobId}/${id}`))}
        />
      </AheadOf>
    </JobContextOf.Provider>
  );
}

/** A station that can't be shown: the job's bar and its well stay, and what was entered is kept. */
const Failed = () => (
  <main className="grid content-start gap-4 p-6" role="alert" data-failed>
    <h1 className="text-32">This station could not be shown.</h1>
    <p className="text-quiet">
      Nothing that was entered is lost. Reload to get the newest version; if it stays so, go on at another station.
    </p>
    <button type="button" className="btn max-w-xs" onClick={() => window.location.reload()}>
      Reload
    </button>
  </main>
);

/** The log has an entry of a later version of the application than the one on this screen. */
const Reload = () => (
  <>
    <TopBar title="Iron Cradle" to="/" />
    <main className="grid gap-4 p-6">
      <h1 className="text-32">This job has an entry this version does not know.</h1>
      <p className="text-quiet">
        Nothing is lost. A newer version of the application wrote it: reload to get it here too.
      </p>
      <button type="button" className="btn max-w-xs" onClick={() => window.location.reload()}>
        Reload
      </button>
    </main>
  </>
);
