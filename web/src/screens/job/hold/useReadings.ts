import { siUnit } from '@iron-cradle/core';
import { useState } from 'react';
import { useKept } from '../../../log/useKept.ts';
import { useLive } from '../../../net/instruments.ts';
import { NO_SERIES, oneMoreOf, type Series } from '../../../net/series.ts';

/** A hold that stands: s since it began and Pa over the air, and where they come from; null: it does not stand. */
interface Running extends Series {
  from: 'gauge' | 'hand' | null;
}

/** What the gauge shows, kept under a name of its own, one reading after the other: by itself from an instrument, or as it is typed. */
export function useReadings(keep: string, jobId: string) {
  const [{ readings, from, began }, setHold] = useKept<Running>(keep, { ...NO_SERIES, from: null });
  const add = (at: number, pascals: number) =>
    setHold((had) => ({ ...had, ...oneMoreOf(had, { at, value: pascals }) }));
  // A reload goes on with the hold that stands, and does not begin another one.
  const [resumed, setResumed] = useState(began);
  const live = useLive({
    jobId,
    kind: 'tankGauge',
    channel: 'hold',
    on: from === 'gauge',
    since: resumed,
    onReading: ({ value, unit, at }) => {
      if (value !== null) add(at, siUnit(value, 'pressure', unit));
    },
  });
  return {
    readings,
    /** Where they come from while it stands; null: it does not. */
    from,
    /** What the instrument shows now. */
    live,
    begin: (source: 'gauge' | 'hand') => {
      setResumed(null);
      setHold({ ...NO_SERIES, from: source });
    },
    /** One that was typed; the clock is this device’s. */
    typed: (pascals: number) => add(Date.now(), pascals),
    end: () => setHold((had) => ({ ...had, from: null })),
    /** All of them at once, from a table. */
    take: (all: Series['readings']) => setHold({ readings: all, from: null, began: null }),
  };
}
