import { InputError, type JobState, type RawEntry } from '@iron-cradle/core';

/** Under so many s nobody minds; and so long after it was received nothing was made yet. */
const NOTICED = 120;
/** A clock that is so many s off shows no year anybody works in: sixty years. */
const CENTURY = 60 * 365 * 86_400;
/** Nothing of a job is so much older than the job, ms; two years. */
const BEFORE = 2 * 365 * 24 * 3_600_000;

/** s by which a device's clock is behind this one; below zero: ahead. @example behindBy('2026-11-26T10:00:00Z', Date.parse('2026-11-26T10:05:00Z')) // 300 */
export const behindBy = (clock: string, now = Date.now()): number => Math.round((now - Date.parse(clock)) / 1000);

/**
 * An entry with how far off the clock of its device is, from two minutes on.
 *
 * @param behind s the device that delivers is behind; undefined: it did not say
 * @throws InputError for a time that, put right, is yet to come, or lies years before its job
 */
export function inTime(entry: RawEntry, behind: number | undefined, state: JobState | null): RawEntry {
  if (Math.abs(behind ?? 0) > CENTURY)
    throw new InputError('at', entry.at, 'a time of these years: the clock of this device is generations off');
  const made = Date.parse(entry.at) + (behind ?? 0) * 1000;
  if (made > Date.now() + NOTICED * 1000)
    throw new InputError('at', entry.at, 'a time that has come: the clock of this device was changed');
  const opened = state ? Date.parse(state.openedAt) : null;
  if (opened !== null && made < opened - BEFORE)
    throw new InputError('at', entry.at, 'a time of this job: the clock of this device was changed');
  return behind !== undefined && Math.abs(behind) >= NOTICED ? { ...entry, behind } : entry;
}
