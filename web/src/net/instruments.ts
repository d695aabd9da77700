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
export function useLive({
  jobId,
  kind,
  channel,
  on,
}: {
  jobId: string;
  kind: InstrumentKind;
  channel: string;
  on: boolean;
}): Reading | null {
  const [heard, setHeard] = useState<{ of: string; reading: Reading } | null>(null);
  const of = `/api/jobs/${jobId}/instruments/${kind}/stream?channel=${channel}`;
  useEffect(() => {
    if (!on) return undefined;
    const source = new EventSource(of);
    source.onmessage = (event) => setHeard({ of, reading: JSON.parse(String(event.data)) as Reading });
    // A page that is put aside gives its connection back.
    const rest = () => source.close();
    addEventListener('pagehide', rest);
    return () => {
      removeEventListener('pagehide', rest);
      rest();
      setHeard(null);
    };
  }, [of, on]);
  // Of another channel it says nothing.
  return heard?.of === of ? heard.reading : null;
}
