import { commonPractice, computed } from '../basis/index.ts';
import { multiply, type Estimate } from '../estimate/index.ts';

/** Ten seconds on, twenty off, so that the relay and the pump stay cool; common practice, no source. s */
export const BURST = 10;
/** Rest after a burst; common practice, no source. s. */
export const REST = 20;
/** Free flow of an electric pump, L/min; common practice, no source. */
export const OWN_PUMP_FLOW: Estimate = { lo: 1, typ: 1.6, hi: 2.4, basis: commonPractice };

/** Where a run of bursts stands some seconds after it began. */
interface BurstClock {
  phase: 'burst' | 'rest';
  /** Seconds into this phase. */
  into: number;
  /** Bursts that are over. */
  done: number;
  /** Seconds the pump has run. */
  pumped: number;
}

/**
 * Reads a clock that began with a burst.
 *
 * @param seconds since the first burst began, zero or more
 * @example burstClock(37) // { phase: 'burst', into: 7, done: 1, pumped: 17 }
 */
export function burstClock(seconds: number): BurstClock {
  const at = Math.max(0, seconds);
  const done = Math.floor(at / (BURST + REST));
  const into = at - done * (BURST + REST);
  if (into < BURST) return { phase: 'burst', into, done, pumped: done * BURST + into };
  return { phase: 'rest', into: into - BURST, done: done + 1, pumped: (done + 1) * BURST };
}

/**
 * Litres that bursts stand for. The count misses some, so it never stands alone.
 *
 * @param pumped seconds the pump ran
 * @example burstLitres(60).typ // 1.6
 */
export function burstLitres(pumped: number): Estimate {
  const minutes = Math.max(0, pumped) / 60;
  return multiply(OWN_PUMP_FLOW, { lo: minutes, typ: minutes, hi: minutes, basis: computed('seconds counted') });
}
