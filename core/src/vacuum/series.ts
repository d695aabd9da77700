import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import type { WayState } from './bodies.ts';

/** s, and kPa below the air outside. */
export type VacuumReading = readonly [number, number];

/** What never comes to so much is no vacuum, kPa; common practice, no source. */
const NONE = 5;
/** Watched for so long, s, and this share of it still there: it holds. Common practice, no source. */
const WATCHED = { seconds: 20, keeps: 0.95 };

/**
 * What a valve or a tester did under vacuum, from its readings once the hand stopped pumping.
 *
 * @throws InputError where it was watched too short
 * @example wayFrom([[0, 40], [20, 39.8]]) // 'holds'
 */
export function wayFrom(readings: readonly VacuumReading[]): WayState {
  const { from, to, seconds } = fallOf(readings);
  if (seconds < WATCHED.seconds)
    throw new InputError('readings', `${seconds} s`, `watched for ${WATCHED.seconds} s and more`);
  if (from < NONE) return 'nothing';
  return to >= WATCHED.keeps * from ? 'holds' : 'lets';
}

/**
 * From which vacuum to which, in how long; what was read at its most begins.
 *
 * @throws InputError with nothing read
 * @example fallOf([[0, 40], [60, 38]]) // { from: 40, to: 38, seconds: 60 }
 */
export function fallOf(readings: readonly VacuumReading[]): { from: number; to: number; seconds: number } {
  const last = readings.at(-1);
  if (!last) throw new InputError('readings', 'none', 'a vacuum and the time it was read');
  const most = readings.reduce((a, b) => (b[1] > a[1] ? b : a));
  // A gauge that flickers at its top is no later beginning.
  const first = readings.find(([, kPa]) => kPa >= 0.98 * most[1]) ?? most;
  return { from: Math.max(first[1], last[1]), to: last[1], seconds: roundTo(last[0] - first[0], 0.1) };
}
