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
 * What is left of a wait, min, begun ones whole; never more than it takes, never below zero. Null where nobody said how long.
 *
 * @example minutesLeft({ started: '2026-11-26T10:00:00Z', minutes: 20 }, Date.parse('2026-11-26T10:12:30Z')) // 8
 */
export function minutesLeft(
  { started, minutes }: { started: string; minutes: number | null },
  now: number,
): number | null {
  if (minutes === null) return null;
  const left = Math.ceil((Date.parse(started) + minutes * MINUTE - now) / MINUTE);
  return Math.min(minutes, Math.max(0, left));
}
