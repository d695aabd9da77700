import type { Wait } from './slice.ts';

const MINUTE = 60_000;

/**
 * Minutes since something began, whole ones; never below zero: another device's clock may be ahead, and a screen's own a
 * moment behind.
 *
 * @param started ISO time
 * @param now ms since 1970
 * @example minutesSince('2026-11-26T10:00:00Z', Date.parse('2026-11-26T10:12:30Z')) // 12
 */
export const minutesSince = (started: string, now: number): number =>
  Math.max(0, Math.floor((now - Date.parse(started)) / MINUTE));

/**
 * When a wait is over, ms since 1970; null where nobody said.
 *
 * @example endOf({ started: '2026-11-26T10:00:00Z', minutes: 20, until: null }) // 10:20
 */
export const endOf = ({ started, minutes, until }: Pick<Wait, 'started' | 'minutes' | 'until'>): number | null =>
  until !== null ? Date.parse(until) : minutes === null ? null : Date.parse(started) + minutes * MINUTE;

/**
 * What is left of a wait, min, begun ones whole; never more than it takes, never below zero. Null where nobody said how long.
 *
 * @example minutesLeft({ started: '2026-11-26T10:00:00Z', minutes: 20, until: null }, Date.parse('2026-11-26T10:12:30Z')) // 8
 */
export function minutesLeft(wait: Pick<Wait, 'started' | 'minutes' | 'until'>, now: number): number | null {
  const end = endOf(wait);
  if (end === null) return null;
  const whole = Math.ceil((end - Date.parse(wait.started)) / MINUTE);
  return Math.max(0, Math.min(whole, Math.ceil((end - now) / MINUTE)));
}

/**
 * What is left of a wait, in words: minutes up to two hours, then hours, then days.
 *
 * @example leftInWords(wait, Date.now()) // '8 min left'
 */
export function leftInWords(wait: Pick<Wait, 'started' | 'minutes' | 'until'>, now: number): string {
  const minutes = minutesLeft(wait, now);
  if (minutes === null) return 'running';
  if (minutes === 0) return 'done';
  if (minutes < 120) return `${minutes} min left`;
  const hours = Math.ceil(minutes / 60);
  return hours < 48 ? `${hours} h left` : `${Math.ceil(hours / 24)} days left`;
}
