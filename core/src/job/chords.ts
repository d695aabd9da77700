import { shortName } from '../vehicle/index.ts';
import type { JobState } from './state.ts';

/** A chord across the well: from the drop where a connection came off to the drop by which it must be back. mm */
export interface Chord {
  /** Ledger key. */
  key: string;
  /** Number painted on it. */
  tag: number | null;
  /** Short name. */
  name: string;
  /** Where it came off, mm. */
  from: number;
  /** By where it must be back, mm. */
  by: number;
  /** Not back yet. */
  open: boolean;
  /** Where it was made again; null while open. mm */
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
