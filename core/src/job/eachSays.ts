import type { RawEntry } from '../kernel/index.ts';
import { foldJob } from './log.ts';
import type { JobState } from './state.ts';

/**
 * The job as one device has it: without what others said about the same thing, where nobody knew of the other.
 *
 * @param log every entry of the job
 * @param between the entries the question of two devices is about
 * @param device whose word is taken
 * @returns null where nothing was opened
 * @example asDeviceSays(log, between, 'tablet-a')?.pose // { f: 35, r: 35 }
 */
export function asDeviceSays(
  log: readonly RawEntry[],
  between: readonly Pick<RawEntry, 'id' | 'device'>[],
  device: string,
): JobState | null {
  const others = new Set(between.flatMap((entry) => (entry.device === device ? [] : [entry.id])));
  return foldJob(
    null,
    log.filter((entry) => !others.has(entry.id)),
  );
}
