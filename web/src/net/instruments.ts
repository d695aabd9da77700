import type { Channel, Instrument, InstrumentKind, Reading } from '@iron-cradle/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
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
  return channelIn(useInstruments(jobId).data, kind, channel);
}

/** One channel of a list of instruments; null where it is not there. */
export const channelIn = (
  list: readonly ShopInstrument[] | undefined,
  kind: InstrumentKind,
  channel: string,
): ShopChannel | null => list?.find((one) => one.kind === kind)?.channels.find(({ id }) => id === channel) ?? null;

/** Where a reading comes from, after a comma: simulated, or the gateway’s name. @example fromWhere(reading) // ', simulated' */
export const fromWhere = (of: Pick<LiveReading, 'simulated'> & { source?: string }): string =>
  of.simulated ? ', simulated' : of.source ? `, ${of.source}` : '';

/** Where one channel is read, and since when what a simulated one follows runs, and when it was switched off. */
interface ReadFrom {
  jobId: string;
  kind: InstrumentKind;
  channel: string;
  since?: number | null;
  off?: number | null;
}

const asked = ({ channel, since, off }: ReadFrom): string =>
  new URLSearchParams({
    channel,
    ...((since ?? null) === null ? {} : { since: String(since) }),
    ...((off ?? null) === null ? {} : { off: String(off) }),
  }).toString();

/** One reading now. @throws Away, ApiProblem */
export const readOnce = (from: ReadFrom): Promise<LiveReading> =>
  get<LiveReading>(`/jobs/${from.jobId}/instruments/${from.kind}?${asked(from)}`);

/**
 * A live reading while it is wanted; null until the first one comes, or while the server is away. `onReading` is told each of them:
 * a screen that is busy shows only the newest of several.
 */
export function useLive({
  on,
  onReading,
  ...from
}: ReadFrom & { on: boolean; onReading?: (reading: LiveReading) => void }): LiveReading | null {
  const [heard, setHeard] = useState<{ of: string; reading: LiveReading } | null>(null);
  const of = `/api/jobs/${from.jobId}/instruments/${from.kind}/stream?${asked(from)}`;
  const hear = useEffectEvent((reading: LiveReading) => {
    setHeard({ of, reading });
    onReading?.(reading);
  });
  useEffect(() => {
    if (!on) return undefined;
    const source = new EventSource(of);
    source.onmessage = (event) => hear(JSON.parse(String(event.data)) as LiveReading);
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
