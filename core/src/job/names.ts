import type { Connection, Obstruction, VehicleFile } from '../vehicle/index.ts';
import type { ItemKind, JobState } from './types.ts';

export const keyOf = (kind: ItemKind, id: string): string => `${kind}:${id}`;

/** Splits a ledger key into its kind and id. @example splitKey('line:feed') // { kind: 'line', id: 'feed' } */
export function splitKey(key: string): { kind: string; id: string } {
  const cut = key.indexOf(':');
  return cut < 0 ? { kind: '', id: key } : { kind: key.slice(0, cut), id: key.slice(cut + 1) };
}

export const lineOf = (vehicle: VehicleFile, id: string): Connection | undefined =>
  vehicle.connections.find((c) => c.id === id);
export const obstructionOf = (vehicle: VehicleFile, id: string): Obstruction | undefined =>
  vehicle.obstructions.find((o) => o.id === id);
export const clipOwner = (vehicle: VehicleFile, clipId: string): Connection | undefined =>
  vehicle.connections.find((c) => c.clips.some((k) => k.id === clipId));

/** What people call the thing behind a key; the id where no file lists it. */
export function nameOf(state: Pick<JobState, 'vehicle' | 'extras' | 'items'>, key: string): string {
  const { kind, id } = splitKey(key);
  const { vehicle } = state;
  if (kind === 'line') return lineOf(vehicle, id)?.name ?? id;
  if (kind === 'clip')
    return (
      vehicle.connections.flatMap((c) => c.clips).find((k) => k.id === id)?.name ??
      `${clipOwner(vehicle, id)?.name ?? id} clip`
    );
  if (kind === 'support') return vehicle.supports.find((s) => s.id === id)?.name ?? id;
  if (kind === 'obstruction')
    return obstructionOf(vehicle, id)?.name ?? state.extras.find((e) => e.id === id)?.name ?? id;
  return state.items.find((item) => item.key === key)?.name ?? id;
}

/** A line's short name: “feed line” → “feed”, for tags and bars. */
export const shortName = (name: string): string =>
  name
    .replace(/ (line|hose|carrier)$/, '')
    .replace(/^pump and sender /, '')
    .replace(/^ground strap$/, 'ground');
