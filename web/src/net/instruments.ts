import type { Channel, Instrument, InstrumentKind, Reading } from '@iron-cradle/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { get } from './api.ts';

/** A channel as this shop reads it. */
export interface ShopChannel extends Channel {
  /** Made up for the demo; else a gateway of the shop reads it. */
  simulated: boolean;
}

/** An instrument as this shop has it. */
export interface ShopInstrument extends Omit<Instrument, 'channels'> {
  /** What of it can be read here. */
  channels: readonly ShopChannel[];
}

/** A reading as it comes from the server. */
export interface LiveReading extends Reading {
  /** Made up for the demo. */
  simulated: boolean;
  /** The gateway that read it. */
  source?: string;
}

/** The instruments this shop can read from here: gateways the lead added, and the demo’s simulated ones. */
export const useInstruments = (jobId: string) =>
  useQuery({
    queryKey: ['instruments', jobId],
    queryFn: () => get<ShopInstrument[]>(`/jobs/${jobId}/instruments`),
    staleTime: Infinity,
  });

/** One channel this shop can read; null where it can’t. */
export function useChannel(jobId: string, kind: InstrumentKind, channel: string): ShopChannel | null {
  const list = useInstruments(jobId).data;
  return list?.find((one) => one.kind === kind)?.channels.find(({ id }) => id === channel) ?? null;
}

/** Where a reading comes from, after a comma: simulated, or the gateway’s name. @example fromWhere(reading) // ', simulated' */
export const fromWhere = (of: Pick<LiveReading, 'simulated'> & { source?: string }): string =>
  of.simulated ? ', simulated' : of.source ? `, ${of.source}` : '';

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
}): LiveReading | null {
  const [heard, setHeard] = useState<{ of: string; reading: LiveReading } | null>(null);
  const of = `/api/jobs/${jobId}/instruments/${kind}/stream?channel=${channel}`;
  useEffect(() => {
    if (!on) return undefined;
    const source = new EventSource(of);
    source.onmessage = (event) => setHeard({ of, reading: JSON.parse(String(event.data)) as LiveReading });
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
