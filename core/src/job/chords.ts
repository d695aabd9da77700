import { descended } from './goal.ts';
import { shortName } from './names.ts';
import type { JobState } from './types.ts';

/** A chord across the well: from the drop where a connection came off to the drop by which it must be back. mm */
export interface Chord {
  key: string;
  tag: number | null;
  name: string;
  from: number;
  by: number;
  open: boolean;
  /** Where it was made again; null while open. */
  back: number | null;
}

/**
 * The chords of a job's well, open ones first by how deep they must be closed.
 *
 * @example chords(state).filter((c) => c.open).length // ends that are owed
 */
export function chords(state: Pick<JobState, 'items'>): Chord[] {
  return state.items
    .filter((item) => item.kind === 'line')
    .map((item) => ({
      key: item.key,
      tag: item.tag,
      name: shortName(item.name),
      from: Math.round(item.offAt),
      by: 'drop' in item.back ? item.back.drop : 0,
      open: item.state !== 'closed',
      back: item.backAt,
    }))
    .sort((a, b) => Number(b.open) - Number(a.open) || a.by - b.by || a.from - b.from);
}

export type StationId = 'plan' | 'safe' | 'drain' | 'drop' | 'bench' | 'refit' | 'prove';
export const stations: readonly StationId[] = ['plan', 'safe', 'drain', 'drop', 'bench', 'refit', 'prove'];

/** Where the job stands: the station at which the next thing is to be done. */
export function stationNow(state: JobState): StationId {
  if (state.signed) return 'prove';
  if (descended(state)) {
    if (state.pose.f === 0 && state.items.every((i) => i.state === 'closed' || i.state === 'deviation')) return 'prove';
    const begun = state.out && state.pose.f < state.vehicle.clear;
    return state.gates[3].passed || begun ? 'refit' : 'bench';
  }
  if (state.gates[2].passed || state.deepest > 0) return 'drop';
  if (state.gates[1].passed) return 'drain';
  return state.complaintTest ? 'safe' : 'plan';
}

/** Stations that are behind the job. */
export const stationsDone = (state: JobState): StationId[] =>
  state.signed ? [...stations] : stations.slice(0, stations.indexOf(stationNow(state)));
