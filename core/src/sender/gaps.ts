import { median } from 'simple-statistics';
import type { Pass } from './types.ts';

/** So many usual times between two readings, and at least one is missing. Common practice, no source. */
const LATE = 1.5;

/** A stretch of the travel over which nothing was read. */
export interface Unread {
  /** Of which way. */
  way: Pass['way'];
  /** Ω on the side nearer to empty. */
  from: number;
  /** Ω on the side nearer to full. */
  to: number;
  /** s that passed meanwhile. */
  seconds: number;
}

/**
 * Did the readings stop before this one? By their times; without times nobody can tell.
 *
 * @returns of each reading, whether it came late
 * @example lateIn([{ ohms: 20, seconds: 0 }, { ohms: 22, seconds: 0.4 }, { ohms: 24, seconds: 0.8 }, { ohms: 34, seconds: 2.8 }]) // [false, false, false, true]
 */
export function lateIn(readings: Pass['readings']): boolean[] {
  const times = readings.flatMap(({ seconds }) => (seconds === undefined ? [] : [seconds]));
  if (times.length < readings.length || times.length < 3) return readings.map(() => false);
  const waits = times.map((at, i) => (i === 0 ? 0 : at - times[i - 1]!));
  const usual = median(waits.slice(1));
  return waits.map((wait) => usual > 0 && wait > LATE * usual);
}

/**
 * Where the arm went on while nothing was read, and no other pass of that way read it either: what is there nobody knows. The longest first.
 *
 * @param over Ω of travel that may lie between two readings
 * @example unreadOf(passes, 3)[0] // { way: 'up', from: 38, to: 50, seconds: 2 }
 */
export function unreadOf(passes: readonly Pass[], over: number): Unread[] {
  const gaps = passes.map((pass) => gapsIn(pass, over));
  const readBy = (gap: Unread, i: number) =>
    passes.some((other, k) => k !== i && other.way === gap.way && spans(other, gap) && !gaps[k]!.some(meets(gap)));
  return gaps.flatMap((own, i) => own.filter((gap) => !readBy(gap, i))).sort((a, b) => b.seconds - a.seconds);
}

function gapsIn({ way, readings }: Pass, over: number): Unread[] {
  const late = lateIn(readings);
  return readings.flatMap((after, i) => {
    const before = readings[i - 1];
    if (!late[i] || !before || before.ohms === null || after.ohms === null) return [];
    if (Math.abs(after.ohms - before.ohms) <= over) return [];
    const [from, to] = way === 'up' ? [before.ohms, after.ohms] : [after.ohms, before.ohms];
    return [{ way, from, to, seconds: after.seconds! - before.seconds! }];
  });
}

const low = ({ from, to }: Unread) => Math.min(from, to);
const high = ({ from, to }: Unread) => Math.max(from, to);

const meets =
  (a: Unread) =>
  (b: Unread): boolean =>
    low(a) < high(b) && low(b) < high(a);

/** Does a pass read something on either side of a place? */
const spans = ({ readings }: Pass, place: Unread): boolean =>
  readings.some(({ ohms }) => ohms !== null && ohms <= low(place)) &&
  readings.some(({ ohms }) => ohms !== null && ohms >= high(place));
