import { answerTo, BLEEDING, OPEN_BELOW, SCHOOL, schoolsFor, writeQuantity } from '@iron-cradle/core';
import { useState } from 'react';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { fromWhere, useChannel, useLive } from '../../../net/instruments.ts';
import { Schools } from './Schools.tsx';

/** Most that is drawn on the bar, kPa. */
const FULL = 400;
const share = (kPa: number) => `${Math.min(100, (Math.sqrt(Math.max(0, kPa)) / Math.sqrt(FULL)) * 100)}%`;

/** What counts instead of a reading, as the proof of the way that was chosen. */
const insteadLabel = {
  engineDied: 'Engine died, would not restart',
  noSpurt: 'No spurt under a rag',
  capOnly: 'No pressure by design, cap opened',
};

/** Residual pressure: live off the gauge where there is one, typed, or what counts instead. */
export function Pressure() {
  const { state, enter, jobId } = useJob();
  const form = useEntryForm({ kind: 'pressure', start: {} });
  const [on, setOn] = useState(false);
  const gauge = useChannel(jobId, 'pressureGauge', 'pressure');
  const live = useLive({ jobId, kind: 'pressureGauge', channel: 'pressure', on: on && gauge !== null });
  const read = state.pressure?.reading;
  const bar = live?.value ?? null;
  const shown = bar === null ? read : bar * 100;
  const school = schoolsFor(state).find((s) => s.id === answerTo(state, SCHOOL));
  const letOut = state.waits.some((w) => w.what === BLEEDING);
  const keep = (kPa: number) => enter('pressure', { reading: Math.round(Math.max(0, kPa) * 100) / 100 });
  return (
    <div className="grid gap-4">
      <Schools />
      {shown !== undefined && (
        <>
          <p className="reading text-64 leading-none mid:text-104" data-live={on ? 'pressureGauge' : undefined}>
            {writeQuantity(shown * 1000, { dimension: 'pressure', unit: 'bar', decimals: 2 }).replace(' bar', '')}{' '}
            <span className="text-24">bar{live ? fromWhere(live) : ''}</span>
          </p>
          <div className="relative h-4 border border-edge" aria-hidden>
            <span
              className={`absolute inset-y-0 left-0 ${shown > OPEN_BELOW ? 'bg-halt' : 'bg-go'}`}
              style={{ width: share(shown) }}
            />
            <span className="absolute -inset-y-1 w-0.5 bg-ink" style={{ left: share(OPEN_BELOW) }} />
          </div>
          <p className="text-quiet">open below {OPEN_BELOW / 100} bar</p>
        </>
      )}
      {gauge && !state.signed && (
        <div className="grid grid-cols-2 gap-3">
          {!on ? (
            <button
              type="button"
              className="btn col-span-2"
              data-instrument="pressureGauge"
              onClick={() => setOn(true)}
            >
              Watch the gauge{fromWhere(gauge)}
            </button>
          ) : (
            <>
              <button
                type="button"
                className="btn"
                data-action="let-out"
                disabled={letOut}
                onClick={() => void enter('wait', { what: BLEEDING, state: 'start', minutes: 2 })}
              >
                {letOut ? 'It is being let out' : 'Now let it out'}
              </button>
              <button
                type="button"
                className="btn"
                data-take="pressureGauge"
                disabled={bar === null}
                onClick={() => bar !== null && void keep(bar * 100).then(() => setOn(false))}
              >
                Enter what it shows
              </button>
            </>
          )}
        </div>
      )}
      <FormQuantity
        form={form}
        name="reading"
        label="Gauge at the test port"
        dimension="pressure"
        unit="kPa"
        shown="bar"
        take="hi"
        step={0.01}
        decimals={2}
        hint="0.4 bar, 7 psi or 48 kPa"
      />
      <button type="button" className="btn" data-action="read-pressure" onClick={() => void form.say()}>
        Enter the reading
      </button>
      {school?.proof.instead && (
        <>
          <p className="text-quiet">Can’t read it? What counts instead:</p>
          <button
            type="button"
            className="btn"
            data-instead={school.proof.instead}
            onClick={() => void enter('pressure', { instead: school.proof.instead! })}
          >
            {insteadLabel[school.proof.instead]}
          </button>
        </>
      )}
    </div>
  );
}
