import type { Basis } from '../basis/index.ts';
import { computed, measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';

/** A range with its likely figure. Any unit, the same for all three. */
export interface Span {
  /** The least it may be. */
  lo: number;
  /** What it most likely is. */
  typ: number;
  /** The most it may be. */
  hi: number;
}

/** What is known of a figure: it lies between `lo` and `hi`, most likely near `typ`. */
export interface Estimate extends Span {
  /** Where it comes from. */
  basis: Basis;
}

/**
 * Makes an estimate and refuses one that is upside down or not a number.
 *
 * @throws InputError when not lo ≤ typ ≤ hi or any is not finite
 * @example estimate({ lo: 30, typ: 60, hi: 110 }, typical)
 */
export function estimate({ lo, typ, hi }: Span, basis: Basis, field = 'range'): Estimate {
  for (const value of [lo, typ, hi])
    if (!Number.isFinite(value)) throw new InputError(field, String(value), 'a finite number');
  if (lo > typ || typ > hi)
    throw new InputError(field, `${lo} / ${typ} / ${hi}`, 'low, likely and high in rising order');
  return { lo, typ, hi, basis };
}

/** A figure somebody measured or typed: a range of width zero. @example exactly(180) */
export const exactly = (value: number, basis: Basis = measured): Estimate =>
  estimate({ lo: value, typ: value, hi: value }, basis);

const sumBasis = computed('sum of ranges');

/**
 * Sum, ends added to ends. Encloses every sum of points.
 *
 * @example add({ lo: 1, typ: 2, hi: 3, basis }, exactly(10)) // 11, 12, 13
 */
export const add = (a: Estimate, b: Estimate): Estimate =>
  estimate({ lo: a.lo + b.lo, typ: a.typ + b.typ, hi: a.hi + b.hi }, sumBasis);

/**
 * Difference a − b, each end against the other's far end. Encloses every difference of points.
 *
 * @example subtract(exactly(10), { lo: 1, typ: 2, hi: 3, basis }) // 7, 8, 9
 */
export const subtract = (a: Estimate, b: Estimate): Estimate =>
  estimate({ lo: a.lo - b.hi, typ: a.typ - b.typ, hi: a.hi - b.lo }, computed('difference of ranges'));

/**
 * Product; all four corner products are tried, so signs may be mixed.
 *
 * @example multiply({ lo: -1, typ: 1, hi: 2, basis }, exactly(3)) // -3, 3, 6
 */
export function multiply(a: Estimate, b: Estimate): Estimate {
  const corners = [a.lo * b.lo, a.lo * b.hi, a.hi * b.lo, a.hi * b.hi];
  return estimate(
    { lo: Math.min(...corners), typ: a.typ * b.typ, hi: Math.max(...corners) },
    computed('product of ranges'),
  );
}

/** Sum of many, zero for none. @example total([exactly(1), exactly(2)]).typ // 3 */
export const total = (list: readonly Estimate[]): Estimate => list.reduce(add, exactly(0, sumBasis));

/**
 * All three figures cut to at least `least` and at most `most`.
 *
 * @example clamp({ lo: -2, typ: 1, hi: 9, basis }, 0, 5) // 0, 1, 5
 */
export function clamp(a: Estimate, least: number, most: number): Estimate {
  const cut = (v: number) => Math.min(most, Math.max(least, v));
  return { lo: cut(a.lo), typ: cut(a.typ), hi: cut(a.hi), basis: a.basis };
}

/** Do two witnesses leave no common value? @example contradict(exactly(3), exactly(4)) // true */
export const contradict = (a: Estimate, b: Estimate): boolean => a.lo > b.hi || b.lo > a.hi;

/**
 * What two witnesses say together: the common part, likely value from the narrower one.
 *
 * @throws InputError when they contradict each other
 * @example narrow({ lo: 10, typ: 20, hi: 30, basis }, { lo: 18, typ: 24, hi: 26, basis }, measured) // 18, 24, 26
 */
export function narrow(a: Estimate, b: Estimate, basis: Basis): Estimate {
  if (contradict(a, b))
    throw new InputError('witnesses', `${a.lo}–${a.hi} against ${b.lo}–${b.hi}`, 'two ranges with a common part');
  const lo = Math.max(a.lo, b.lo);
  const hi = Math.min(a.hi, b.hi);
  const narrower = a.hi - a.lo <= b.hi - b.lo ? a : b;
  return estimate({ lo, typ: Math.min(hi, Math.max(lo, narrower.typ)), hi }, basis);
}

/** Is it known to a point? Drawn solid; anything else is hatched. @example isExact(exactly(4)) // true */
export const isExact = (a: Estimate): boolean => a.lo === a.hi;

/** Nearest multiple of `step`, ties upward, and never minus zero. @example roundTo(41.2, 5) // 40 */
export const roundTo = (value: number, step: number): number =>
  Number((Math.round(value / step) * step).toPrecision(12)) + 0;

/** A range as a person reads it. @example rangeInWords({lo: 41.2, hi: 55.4, …}, 1) // '41–55' */
export function rangeInWords(a: Pick<Estimate, 'lo' | 'hi'>, step: number): string {
  const lo = roundTo(a.lo, step);
  const hi = roundTo(a.hi, step);
  return lo === hi ? String(lo) : `${lo}–${hi}`;
}
