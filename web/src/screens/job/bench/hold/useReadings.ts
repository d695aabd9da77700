import { siUnit } from '@iron-cradle/core';
import { useState } from 'react';
import { useLive } from '../../../../net/instruments.ts';

/** s since it began, and Pa over the air. */
export type HoldReading = [number, number];

/** What the gauge shows, one reading after the other: by itself from an instrument, or as it is typed. */
export function useReadings(jobId: string) {
  const [readings, setReadings] = useState<HoldReading[]>([]);
  const [from, setFrom] = useState<'gauge' | 'hand' | null>(null);
  const [began, setBegan] = useState<number | null>(null);
  const live = useLive({ jobId, kind: 'tankGauge', channel: 'hold', on: from === 'gauge' });
  const [heard, setHeard] = useState(live);
  if (live && live !== heard) {
    setHeard(live);
    if (live.value !== null) {
      const start = began ?? live.at;
      if (began === null) setBegan(start);
      const pascals = siUnit(live.value, 'pressure', live.unit);
      setReadings((list) => [...list, [(live.at - start) / 1000, pascals]]);
    }
  }
  return {
    readings,
    /** Where they come from while it stands; null: it does not. */
    from,
    /** What the instrument shows now. */
    live,
    begin: (source: 'gauge' | 'hand') => {
      setReadings([]);
      setBegan(null);
      setFrom(source);
    },
    /** One that was typed; the clock is this device’s. */
    typed: (pascals: number) => {
      const now = Date.now();
      const start = began ?? now;
      setBegan(start);
      setReadings((list) => [...list, [(now - start) / 1000, pascals]]);
    },
    end: () => setFrom(null),
    /** All of them at once, from a table. */
    take: (all: HoldReading[]) => {
      setFrom(null);
      setReadings(all);
    },
  };
}
