import { vapourPressure } from '../fluid/index.ts';
import { strongest, within, type Reid } from './gas.ts';

/** Share of the way to boiling that is kept to; common practice, no source. */
const SHARE = 0.9;

/**
 * Vacuum at which petrol comes too near to boiling, Pa under the air: nine tenths of p_outside − pv(T).
 *
 * @example boilsAt({ outside: { lo: 101_325, hi: 101_325 }, celsius: 40, reid: 60_000 }) // 29 700
 */
export const boilsAt = ({
  outside,
  celsius,
  reid,
}: {
  outside: { lo: number };
  celsius: number;
  reid: number;
}): number => Math.max(0, SHARE * (outside.lo - vapourPressure(reid, within(celsius))));

/**
 * May the strongest of it boil under the air alone? Then what stands in the tank is vapour, and no fall says anything of air.
 *
 * @example boilsUnder({ outside: { lo: 101_325 }, celsius: 45 }, { lo: 35_000, hi: 100_000 }) // true
 */
export const boilsUnder = ({ outside, celsius }: { outside: { lo: number }; celsius: number }, over: Reid): boolean =>
  strongest(over) !== null && boilsAt({ outside, celsius, reid: over.hi }) === 0;
