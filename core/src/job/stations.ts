import { atGoal } from '../hang/index.ts';
import { openItems } from '../ledger/index.ts';
import { lineOf, shortName, splitKey } from '../vehicle/index.ts';
import type { JobState } from './state.ts';

/** The seven stations. */
export type StationId = 'plan' | 'safe' | 'drain' | 'drop' | 'bench' | 'refit' | 'prove';
/** All of them, in order. */
export const stations: readonly StationId[] = ['plan', 'safe', 'drain', 'drop', 'bench', 'refit', 'prove'];

/** Is the work on the bench over: the gate before the ring passed, or the ring closed? @example benchDone(state) // true */
const benchDone = (state: Pick<JobState, 'gates' | 'ring'>): boolean =>
  state.gates[3].passed !== null || state.ring === 'closed';

/** Is the way down over: the tank out, or part-way where it was to go, or already on its way back from there? @example descended(state) // true */
export const descended = (state: Pick<JobState, 'goal' | 'pose' | 'out' | 'gates' | 'ring'>): boolean =>
  state.out || (state.goal !== null && (atGoal(state) || benchDone(state)));

/** Where the job stands: the station at which the next thing is to be done. @example stationNow(state) // 'drop' */
export function stationNow(state: JobState): StationId {
  if (state.signed) return 'prove';
  if (descended(state)) {
    if (state.pose.f === 0 && state.items.every((i) => i.state === 'closed' || i.state === 'deviation')) return 'prove';
    const begun = state.out && state.pose.f < state.vehicle.clear;
    return benchDone(state) || begun ? 'refit' : 'bench';
  }
  if (state.gates[2].passed || state.deepest > 0) return 'drop';
  if (state.gates[1].passed) return 'drain';
  return state.complaintTest ? 'safe' : 'plan';
}

/** Stations that are behind the job. @example stationsDone(state) // ['plan', 'safe'] */
export const stationsDone = (state: JobState): StationId[] =>
  state.signed ? [...stations] : stations.slice(0, stations.indexOf(stationNow(state)));

/**
 * What lets vapour out just now, in words, or null: an open wet end, or a tank off the vehicle that is not sealed. While
 * it lasts a phone belongs on the cart.
 *
 * @example vapourFrom(state) // 'feed is open'
 */
export function vapourFrom(state: JobState): string | null {
  const wet = openItems(state).filter(
    (item) => item.kind === 'line' && (lineOf(state.vehicle, splitKey(item.key).id)?.wetWhenOpen ?? false),
  );
  const first = wet[0];
  if (first && wet.length === 1) return `${shortName(first.name)} is open`;
  if (first) return `${wet.length} wet ends are open`;
  return (state.out || atGoal(state)) && !benchDone(state) ? 'the tank is open' : null;
}
