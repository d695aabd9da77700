import { InputError, problemInWords, readRun, runFrom, writeRun } from '@iron-cradle/core';
import { lazy, Suspense, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { ReadingsTable } from '../../../../ui/ReadingsTable.tsx';
import { charts } from '../../charts.ts';
import type { useRun } from './useRun.ts';

const RunChart = lazy(charts.run);

/** The pump on a fused supply: what it draws, presses and brings, as it runs and once it stands. */
export function RunLive({
  run,
  onRun,
}: {
  run: ReturnType<typeof useRun>;
  onRun: (run: ReturnType<typeof runFrom>) => void;
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const { readings, state } = run;
  const last = readings.at(-1);
  const take = () => {
    try {
      onRun(runFrom(readings));
      setProblem(null);
      run.end();
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setProblem(problemInWords(error));
    }
  };
  return (
    <div className="grid gap-3">
      {last && (
        <>
          <p className="reading text-48 leading-none" data-live-run={state}>
            {last.amps.toFixed(2)}
            <span className="text-20"> A </span>
            {last.bar !== null && (
              <>
                {last.bar.toFixed(2)}
                <span className="text-20"> bar</span>
              </>
            )}
          </p>
          <p className="text-quiet">
            {[
              `${Math.round(last.at)} s`,
              ...(last.litres === null ? [] : [`${last.litres.toFixed(2)} L`]),
              ...(state === 'stands' ? ['switched off: does its pressure stay'] : []),
              ...(run.simulated ? ['simulated'] : []),
            ].join(', ')}
          </p>
          <ErrorBoundary fallback={<p className="py-4 text-quiet">The chart comes once the network is back.</p>}>
            <Suspense fallback={<p className="h-44 py-4 text-quiet">Drawing…</p>}>
              <RunChart readings={readings} />
            </Suspense>
          </ErrorBoundary>
        </>
      )}
      {run.stopped && (
        <p role="alert" className="font-semibold text-halt">
          A meter stopped answering: {run.stopped} What was read until then stands.
        </p>
      )}
      {problem && (
        <p role="alert" className="font-semibold text-halt">
          {problem}
        </p>
      )}
      {run.able && state === 'not' && (
        <button type="button" className="btn" data-action="run-on" onClick={run.begin}>
          {readings.length > 0 ? 'Run it once more' : `Switch it on${run.simulated ? ', simulated' : ''}`}
        </button>
      )}
      {state === 'runs' && (
        <button type="button" className="btn" data-action="run-off" onClick={run.switchOff}>
          Switch it off
        </button>
      )}
      {readings.length > 0 && state !== 'runs' && (
        <button type="button" className="btn" data-action="run-take" onClick={take}>
          Take these figures
        </button>
      )}
      {state === 'not' && (
        <ReadingsTable readings={readings} name="run" read={readRun} write={writeRun} onReadings={run.take} />
      )}
    </div>
  );
}
