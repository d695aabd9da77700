import { median, medianAbsoluteDeviation } from 'simple-statistics';
import { lateIn } from './gaps.ts';
import type { OhmPlace, Pass } from './types.ts';

/** A MAD becomes a standard deviation by this factor where readings spread normally. */
const TO_SIGMA = 1.4826;
/** A second difference of independent readings has six times their variance. */
const SECOND_DIFFERENCE = Math.sqrt(6);

/**
 * Noise of a sweep, Ω: 1.4826 · MAD of the second differences within each way, divided by √6. The travel itself falls out.
 *
 * @example noiseOf(passes) // 0.2
 */
export function noiseOf(passes: readonly Pass[]): number {
  const seconds = passes.flatMap(({ readings }) =>
    readings.slice(2).flatMap((c, i) => {
      const [a, b] = [readings[i]!.ohms, readings[i + 1]!.ohms];
      return a === null || b === null || c.ohms === null ? [] : [a - 2 * b + c.ohms];
    }),
  );
  return seconds.length < 3 ? 0 : (TO_SIGMA * medianAbsoluteDeviation(seconds)) / SECOND_DIFFERENCE;
}

/**
 * What it reads while the arm rests at the stop where a way begins or ends: the median of the readings that stay there. Ω
 *
 * @param within how near together they stay, Ω
 * @example restAt(pass, 'begins', 0.4)
 */
export function restAt(pass: Pass, at: 'begins' | 'ends', within: number): number | null {
  const inOrder = at === 'begins' ? pass.readings : [...pass.readings].reverse();
  const first = inOrder.find((r) => r.ohms !== null)?.ohms;
  if (first === null || first === undefined) return null;
  const rest: number[] = [];
  for (const { ohms } of inOrder) {
    if (ohms === null || Math.abs(ohms - first) > within) break;
    rest.push(ohms);
  }
  return rest.length === 0 ? null : median(rest);
}

/** Opens one after the other in one way. */
export interface OpenRun extends OhmPlace {
  /** Of which way. */
  way: Pass['way'];
  /** Of which pass, the first is 0. */
  pass: number;
  /** How many in a row. */
  count: number;
}

/**
 * Where a way shows nothing, by the ohms before and after.
 *
 * @example opensOf(passes)[0] // { way: 'up', pass: 0, count: 4, from: 61, to: 48 }
 */
export function opensOf(passes: readonly Pass[]): OpenRun[] {
  return passes.flatMap(({ way, readings }, pass) => {
    const runs: OpenRun[] = [];
    for (let i = 0; i < readings.length; i++) {
      if (readings[i]!.ohms !== null) continue;
      const begin = i;
      while (i + 1 < readings.length && readings[i + 1]!.ohms === null) i += 1;
      const [before, after] = [readings[begin - 1]?.ohms ?? null, readings[i + 1]?.ohms ?? null];
      const [from, to] = way === 'up' ? [before, after] : [after, before];
      runs.push({ way, pass, count: i - begin + 1, from, to });
    }
    return runs;
  });
}

/** A jump that stays. */
export interface Jump extends OhmPlace {
  /** Of which way. */
  way: Pass['way'];
  /** Beyond what the travel explains, Ω. */
  by: number;
}

/** Readings on either side that say how fast the arm travels there, and that the jump stays. */
const BESIDE = 5;

/**
 * Jumps beyond what the travel explains, that stay: a reading that only leaps out and back is noise,
 * and where the readings stopped meanwhile it may as well have travelled.
 *
 * @param over Ω beyond which a jump counts
 * @example jumpsOf(passes, 3)
 */
export function jumpsOf(passes: readonly Pass[], over: number): Jump[] {
  return passes.flatMap(({ way, readings }) => {
    const found: Jump[] = [];
    const late = lateIn(readings);
    for (let i = 1; i < readings.length; i++) {
      const [a, b] = [readings[i - 1]!.ohms, readings[i]!.ohms];
      if (a === null || b === null || late[i]) continue;
      const before = steps(readings.slice(Math.max(0, i - 1 - BESIDE), i));
      const after = steps(readings.slice(i, i + 1 + BESIDE));
      const travel = median([...before, ...after, 0]);
      const by = b - a - travel;
      if (Math.abs(by) <= over) continue;
      const level = (from: number, to: number, instead: number) => {
        const near = readings.slice(Math.max(0, from), to).flatMap((r) => (r.ohms === null ? [] : [r.ohms]));
        return near.length === 0 ? instead : median(near);
      };
      // Three readings on, less what the arm travelled meanwhile.
      const stays = level(i, i + 3, b) - level(i - 3, i, a) - 3 * travel;
      if (Math.abs(stays) <= over) continue;
      found.push({ way, by: Math.abs(by), ...(way === 'up' ? { from: a, to: b } : { from: b, to: a }) });
    }
    return found;
  });
}

const steps = (readings: Pass['readings']): number[] =>
  readings.slice(1).flatMap((r, i) => {
    const before = readings[i]!.ohms;
    return before === null || r.ohms === null ? [] : [r.ohms - before];
  });
