import { OPEN_BELOW, writeQuantity, type Estimate } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { QuantityField } from '../../../ui/QuantityField.tsx';

/** Most that is drawn on the bar, kPa. */
const FULL = 400;

/** Residual pressure: read off the gauge, or what counts instead. */
export function Pressure() {
  const { state, enter } = useJob();
  const [value, setValue] = useState<Estimate | null>(null);
  const reading = state.pressure?.reading;
  const share = (kPa: number) => `${Math.min(100, (Math.sqrt(kPa) / Math.sqrt(FULL)) * 100)}%`;
  return (
    <div className="grid gap-4">
      {reading !== undefined && (
        <>
          <p className="reading text-64 leading-none mid:text-104">
            {writeQuantity(reading * 1000, { dimension: 'pressure', unit: 'bar', decimals: 2 }).replace(' bar', '')}{' '}
            <span className="text-24">bar</span>
          </p>
          <div className="relative h-4 border border-edge" aria-hidden>
            <span
              className={`absolute inset-y-0 left-0 ${reading > OPEN_BELOW ? 'bg-halt' : 'bg-go'}`}
              style={{ width: share(reading) }}
            />
            <span className="absolute -inset-y-1 w-0.5 bg-ink" style={{ left: share(OPEN_BELOW) }} />
          </div>
          <p className="text-quiet">open below {OPEN_BELOW / 100} bar</p>
        </>
      )}
      <QuantityField
        label="Gauge at the test port"
        dimension="pressure"
        unit="bar"
        decimals={2}
        onRead={setValue}
        hint="0.4 bar, 7 psi or 48 kPa"
      />
      <button
        type="button"
        className="btn"
        data-action="read-pressure"
        disabled={!value || value.hi < 0}
        onClick={() => value && void enter('pressure', { reading: Math.round(Math.max(0, value.hi) / 10) / 100 })}
      >
        Enter the reading
      </button>
      <p className="text-quiet">Can’t read it? What counts instead:</p>
      <div className="grid gap-3 mid:grid-cols-3">
        <button
          type="button"
          className="btn"
          data-instead="engineDied"
          onClick={() => void enter('pressure', { instead: 'engineDied' })}
        >
          Engine died, would not restart
        </button>
        <button type="button" className="btn" onClick={() => void enter('pressure', { instead: 'noSpurt' })}>
          No spurt under a rag
        </button>
        <button type="button" className="btn" onClick={() => void enter('pressure', { instead: 'capOnly' })}>
          No pressure by design, cap opened
        </button>
      </div>
    </div>
  );
}
