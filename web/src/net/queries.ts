import { askToken } from '../log/tokens.ts';
import { forgetPin, holdPin } from '../log/pinHere.ts';
import { forgetRunning } from '../log/useKept.ts';
import { useEffect } from 'react';
import { keepPreviousData, type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { JobSummary, ShopPrices, UnitSystem, VehicleFile } from '@iron-cradle/core';
import { ApiProblem, call, get } from './api.ts';
import { forgetHeard } from './heard.ts';

/** Somebody who works here. */
export interface PersonName {
  /** Who, in entries. */
  id: string;
  /** As people call them. */
  name: string;
  /** What they may do. */
  role: 'technician' | 'lead';
}

/** Who is signed in here. */
export interface Me extends PersonName {
  /** The units they read. */
  units: UnitSystem;
}

/** The shop as it is set. */
export interface Shop {
  /** As it stands over the door. */
  name: string;
  /** Most that one person takes off a jack, kg. */
  alone: number;
  /** Most that two people do, kg. */
  two: number;
  /** Most that one person holds lying under it, kg. */
  lying: number;
  /** Minutes it costs to call a second pair of hands. */
  helper: number;
  /** Minutes after which a device nobody touches asks for the PIN; null: never. */
  lockAfter?: number | null;
  /** How many times its weight a bump makes of a tank; null: not set. */
  shock?: number | null;
  /** What it takes for its work. */
  prices: ShopPrices;
  /** What it has to work with: L/min, mm, m, L, kg. */
  kit: {
    transferPump: number | null;
    siphonBore: number | null;
    siphonLength: number;
    cans: number[];
    jackRated: number;
    jackPad: number;
    jackLowered: number;
  };
  /** Places where a vehicle is worked on. */
  bays: { name: string; kind: 'two-post' | 'flat' | 'pit' }[];
  /** PINs of the demo, by person; null in a shop of its own. */
  demoPins: Record<string, string> | null;
}

/** A job as the bays show it. */
export interface JobRow extends JobSummary {
  /** Id of the job. */
  id: string;
  /** Its number in this shop. */
  number: number;
}

/** The shop as it is set. */
export const useShop = () => useQuery({ queryKey: ['shop'], queryFn: () => get<Shop>('/shop') });
/** Everybody who works here, or did. */
export const usePeople = () =>
  useQuery({ queryKey: ['people'], queryFn: () => get<(PersonName & { signsIn: boolean })[]>('/people') });
/** Is it that the server tells this device no names: nobody signed in on it yet? */
export const isStranger = (error: Error | null): boolean => error instanceof ApiProblem && error.status === 403;
/** Every vehicle file, as it was kept last. */
export const useVehicles = () => useQuery({ queryKey: ['vehicles'], queryFn: () => get<VehicleFile[]>('/vehicles') });
/** The jobs that are open; asked for again when the server says that one has changed. */
export function useJobs() {
  const client = useQueryClient();
  useEffect(() => {
    const stream = new EventSource('/api/jobs/events');
    const ask = () => void client.invalidateQueries({ queryKey: ['jobs'] });
    stream.addEventListener('jobs', ask);
    // Heard again after a silence: what was missed is asked for.
    stream.onopen = ask;
    // Refused, it is not heard again: what is asked then says why.
    stream.onerror = () => stream.readyState === EventSource.CLOSED && ask();
    return () => stream.close();
  }, [client]);
  return useQuery({ queryKey: ['jobs'], queryFn: () => get<JobRow[]>('/jobs'), refetchInterval: 60_000 });
}
/** Signed jobs of a vehicle or a plate, of a month; the newest ones where nothing is looked for. */
export const useSignedJobs = (find: string, month: string) =>
  useQuery({
    queryKey: ['signed', find, month],
    queryFn: () => get<JobRow[]>(`/jobs/signed?${new URLSearchParams({ find, month }).toString()}`),
    placeholderData: keepPreviousData,
  });
/** Who is signed in here. */
export function useMe() {
  const client = useQueryClient();
  return useQuery({
    queryKey: ['me'],
    queryFn: async () => {
      const me = await get<{ person: Me | null; locked?: boolean }>('/session');
      // However the sign-in ended, what was heard by it is nobody's.
      if (!me.person) forgetHeard(client);
      return me;
    },
  });
}

/** Who is signed in from now on; an answer that is still on its way is about before. */
async function sayWho(client: QueryClient, me: { person: Me | null }): Promise<void> {
  await client.cancelQueries({ queryKey: ['me'] });
  client.setQueryData(['me'], me);
}

/** Signs somebody in. */
export function useSignIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (body: ({ personId: string } | { name: string }) & { pin: string }) => {
      const me = await call<{ person: Me }>('POST', '/session', { body });
      // Not there yet, it is asked for once more when something is delivered.
      await askToken(me.person.id).catch(() => undefined);
      holdPin(body.pin);
      return me;
    },
    onSuccess: async (me) => {
      forgetHeard(client);
      await sayWho(client, me);
      // What a stranger is not told.
      void client.invalidateQueries({ queryKey: ['people'] });
      void client.invalidateQueries({ queryKey: ['shop'] });
    },
  });
}

/** Signs out. */
export function useSignOut() {
  const client = useQueryClient();
  return useMutation({
    // Also from a page that is left at once.
    mutationFn: () => call<void>('DELETE', '/session', { keepalive: true }),
    onSuccess: async () => {
      forgetRunning();
      forgetPin();
      forgetHeard(client);
      await sayWho(client, { person: null });
    },
  });
}

/** A person's name from their id; the id itself while nobody knows it. */
export function useNames(): (id: string) => string {
  const people = usePeople();
  return (id) => people.data?.find((p) => p.id === id)?.name ?? id;
}
