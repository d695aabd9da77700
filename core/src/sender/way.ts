import { roundTo } from '../estimate/index.ts';
import type { Pass } from './types.ts';

/** s that a way may take: an hour. */
export const LONGEST_WAY = 3_600;

/** One slow way, as a meter gave it. */
export interface SweptWay {
  /** From empty to full, or back. */
  way: 'up' | 'down';
  /** Ω, one after the other; null: open. */
  ohms: readonly (number | null)[];
  /** When each was read, s from the first on, where the meter says. */
  seconds?: readonly number[];
}

/** A way that is being swept. */
export interface Sweeping extends SweptWay {
  /** When each was read, s from the first on. */
  seconds: readonly number[];
  /** ms since the epoch of the first reading; null: none came yet. */
  began: number | null;
}

/** A way before its first reading. @example sweeping('up').ohms // [] */
export const sweeping = (way: SweptWay['way']): Sweeping => ({ way, ohms: [], seconds: [], began: null });

/**
 * The same way with one reading more, at its own time; a clock that is put back in between stands still, and one that is
 * put on by hours makes no way longer than one may be.
 *
 * @param reading Ω, null open, and ms since the epoch by the clock of what read it
 * @example oneMore(sweeping('up'), { value: 20, at: 1000 }).ohms // [20]
 */
export function oneMore(had: Sweeping, reading: { value: number | null; at: number }): Sweeping {
  const { value, at } = reading;
  const began = had.began ?? at;
  const since = Math.min(LONGEST_WAY, roundTo((at - began) / 1000, 0.001));
  const seconds = Math.max(had.seconds.at(-1) ?? 0, since);
  return { way: had.way, ohms: [...had.ohms, value], seconds: [...had.seconds, seconds], began };
}

/** What of a way stays once it stands. @example sweptWay(going) // { way: 'up', ohms: [20], seconds: [0] } */
export const sweptWay = ({ way, ohms, seconds }: Sweeping): SweptWay => ({ way, ohms, seconds });

/** A way as it is judged. @example passFrom({ way: 'up', ohms: [20, null] }).readings[1] // { ohms: null } */
export const passFrom = ({ way, ohms, seconds }: SweptWay): Pass => ({
  way,
  readings: ohms.map((one, i) => (seconds ? { ohms: one, seconds: seconds[i]! } : { ohms: one })),
});
