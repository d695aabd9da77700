import { InputError, problemInWords, type VacuumReading } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../../log/useJob.ts';
import { fromWhere, useChannel, useLive } from '../../../../net/instruments.ts';
import { NO_SERIES, oneMoreOf } from '../../../../net/series.ts';

interface WatchProps {
  channel: 'tester' | 'against' | 'along' | 'line';
  label: string;
  /** What was read; it may say that it was too short. */
  onWatched: (readings: readonly VacuumReading[]) => void;
}

/** The vacuum pump’s gauge, watched; nothing where this shop has none that can be read. */
export function Watch({ channel, label, onWatched }: WatchProps) {
  const { jobId } = useJob();
  const pump = useChannel(jobId, 'vacuumPump', channel);
  const [{ readings }, setWatched] = useState(NO_SERIES);
  const [on, setOn] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useLive({
    jobId,
    kind: 'vacuumPump',
    channel,
    on,
    onReading: ({ value, at }) => {
      if (value !== null) setWatched((had) => oneMoreOf(had, { at, value }));
    },
  });
  if (!pump) return null;
  const last = readings.at(-1);
  const done = () => {
    setOn(false);
    try {
      onWatched(readings);
      setProblem(null);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setProblem(problemInWords(error));
    }
  };
  return (
    <div className="grid gap-2 pt-2">
      <button
        type="button"
        className="btn"
        data-watch={`${channel} ${on ? 'on' : 'off'}`}
        onClick={() => {
          if (on) return done();
          setWatched(NO_SERIES);
          setOn(true);
        }}
      >
        {on ? (
          <>
            <span className="reading text-20">{last ? `${last[1].toFixed(1)} kPa` : '…'}</span> after{' '}
            {Math.round(last?.[0] ?? 0)} s: that will do
          </>
        ) : (
          `${label}${fromWhere(pump)}`
        )}
      </button>
      {problem && (
        <p role="alert" className="font-semibold text-halt">
          {problem}
        </p>
      )}
    </div>
  );
}
