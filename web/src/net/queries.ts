import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { JobSummary, ShopPrices, UnitSystem, VehicleFile } from '@iron-cradle/core';
import { ApiProblem, call, get } from './api.ts';

export interface PersonName {
  id: string;
  name: string;
  role: 'technician' | 'lead';
}

/** Who is signed in here. */
export interface Me extends PersonName {
  units: UnitSystem;
}

export interface Shop {
  name: string;
  alone: number;
  two: number;
  /** Minutes it costs to call a second pair of hands. */
  helper: number;
  prices: ShopPrices;
  kit: {
    transferPump: number | null;
    siphonBore: number | null;
    siphonLength: number;
    cans: number[];
    jackRated: number;
    jackPad: number;
    jackLowered: number;
  };
  bays: { name: string; kind: 'two-post' | 'flat' | 'pit' }[];
  demoPins: Record<string, string> | null;
}

/** A job as the bays show it. */
export interface JobRow extends JobSummary {
  id: string;
  number: number;
}

export const useShop = () => useQuery({ queryKey: ['shop'], queryFn: () => get<Shop>('/shop') });
export const usePeople = () =>
  useQuery({ queryKey: ['people'], queryFn: () => get<(PersonName & { signsIn: boolean })[]>('/people') });
export const useVehicles = () => useQuery({ queryKey: ['vehicles'], queryFn: () => get<VehicleFile[]>('/vehicles') });
export const useJobs = () =>
  useQuery({ queryKey: ['jobs'], queryFn: () => get<JobRow[]>('/jobs'), refetchInterval: 4000 });
export const useMe = () => useQuery({ queryKey: ['me'], queryFn: () => get<{ person: Me | null }>('/session') });

export function useSignIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: { personId: string; pin: string }) => call<{ person: Me }>('POST', '/session', { body }),
    onSuccess: (me) => client.setQueryData(['me'], me),
  });
}

export function useSignOut() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => call<void>('DELETE', '/session'),
    onSuccess: () => client.setQueryData(['me'], { person: null }),
  });
}

/** A person's name from their id; the id itself while nobody knows it. */
export function useNames(): (id: string) => string {
  const people = usePeople();
  return (id) => people.data?.find((p) => p.id === id)?.name ?? id;
}

/** Tries again only when the server was away; what it said no to stays said. */
export const retryAway = (count: number, error: Error): boolean => !(error instanceof ApiProblem) && count < 2;
