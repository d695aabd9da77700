import type { StationId } from '@iron-cradle/core';
import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import { charts } from './charts.ts';

const loads: Record<StationId, () => Promise<{ default: ComponentType }>> = {
  plan: () => import('./plan/Plan.tsx'),
  safe: () => import('./safe/Safe.tsx'),
  drain: () => import('./drain/Drain.tsx'),
  drop: () => import('./drop/Drop.tsx'),
  bench: () => import('./bench/Bench.tsx'),
  refit: () => import('./refit/Refit.tsx'),
  prove: () => import('./prove/Prove.tsx'),
};

/** The screen of each station. */
export const stationScreens = Object.fromEntries(Object.entries(loads).map(([id, load]) => [id, lazy(load)])) as Record<
  StationId,
  LazyExoticComponent<ComponentType>
>;

/** Fetches them all: a job goes on without a network. */
export const fetchStations = (): Promise<unknown> =>
  Promise.all([...Object.values(loads), ...Object.values(charts)].map((load) => load()));
