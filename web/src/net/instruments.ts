import type { Instrument, InstrumentKind, Reading } from '@iron-cradle/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { get } from './api.ts';

/** The instruments this shop can read from here; the demo's are simulated, a shop of its own has none. */
export const useInstruments = (jobId: string) =>
  useQuery({
    queryKey: ['instruments', jobId],
    queryFn: () => get<Instrument[]>(`/jobs/${jobId}/instruments`),
    staleTime: Infinity,
  });

/** A live reading while it is wanted; null until the first one comes, or while the server is away. */
export function useLive(jobId: string, kind: InstrumentKind, channel: string, on: boolean): Reading | null {
  const [reading, setReading] = useState<Reading | null>(null);
  useEffect(() => {
    setReading(null);
    if (!on) return undefined;
    const source = new EventSource(`/api/jobs/${jobId}/instruments/${kind}/stream?channel=${channel}`);
    source.onmessage = (event) => setReading(JSON.parse(String(event.data)) as Reading);
    // A page that is put aside gives its connection back.
    const rest = () => source.close();
    addEventListener('pagehide', rest);
    return () => {
      removeEventListener('pagehide', rest);
      rest();
    };
  }, [jobId, kind, channel, on]);
  return reading;
}
