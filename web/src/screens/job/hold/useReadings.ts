import { siUnit } from '@iron-cradle/core';
import { useState } from 'react';
import { useKept } from '../../../log/useKept.ts';
import { useLive } from '../../../net/instruments.ts';

/** s since it began, and Pa over the air. */
export type HoldReading = [number, number];

/** What the gauge shows, kept under a name of its own, one reading after the other: by itself from an instrument, or as it is typed. */
export function useReadings(keep: string, jobId: string) {
  const [{ readings, from, began }, setHold] = useKept<Running>(keep, {
    readings: [],
    from: null,
    began: null,
  });
  // A reload goes on with the hold that stands, and does not begin another one.
  const [resumed, setResumed] = useState(began);
  const live = useLive({
    jobId,
    kind: 'tankGauge',
    channel: 'hold',
    on: from === 'gauge',
    since: resumed,
    onReading: ({ value, unit, at }) => {
      if (value !== null) setHold((had) => oneMore(had, at, siUnit(value, 'pressure', unit)));
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
      setHold({ readings: [], from: source, began: null });
    },
    /** One that was typed; the clock is this device’s. */
    typed: (pascals: number) => {
      const now = Date.now();
      setHold((had) => oneMore(had, now, pascals));
    },
    end: () => setHold((had) => ({ ...had, from: null })),
    /** All of them at once, from a table. */
    take: (all: HoldReading[]) => setHold({ readings: all, from: null, began: null }),
  };
}

/** A hold that stands. */
interface Running {
  readings: HoldReading[];
  from: 'gauge' | 'hand' | null;
  /** ms since the epoch of the first reading. */
  began: number | null;
}

const oneMore = ({ readings, from, began }: Running, at: number, pascals: number): Running => {
  const start = began ?? at;
  return { readings: [...readings, [(at - start) / 1000, pascals]], from, began: start };
};
