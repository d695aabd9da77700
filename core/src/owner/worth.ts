import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';

/** At which chance something done now pays, because the tank would come down for it again. */
export interface Worth {
  /** It pays if it would fail once in so many; a range as the price of a drop is one. */
  oneIn: { lo: number; hi: number };
  /** In words. */
  text: string;
}

/**
 * While it is down: what a part costs against what this vehicle costs to bring down once more, said as the chance at which it
 * pays. Null while either has no price: none is made up.
 *
 * @param drop what another drop of this vehicle costs, in the currency of the price
 * @throws InputError for a price below zero
 * @example worthWhileDown(60, { lo: 480, hi: 720 })?.text // 'pays if it fails once in 8 to 12'
 */
export function worthWhileDown(price: number | null, drop: { lo: number; hi: number } | null): Worth | null {
  if (price === null || drop === null) return null;
  if (!(price >= 0)) throw new InputError('price', String(price), 'zero or more');
  if (price === 0) return { oneIn: { lo: Infinity, hi: Infinity }, text: 'costs nothing: do it' };
  const oneIn = { lo: drop.lo / price, hi: drop.hi / price };
  if (oneIn.hi < 1) return { oneIn, text: 'costs more than another drop: only if it is bad' };
  const [lo, hi] = [Math.max(1, whole(oneIn.lo)), Math.max(1, whole(oneIn.hi))];
  const chance = lo === hi ? `${lo}` : `${lo} to ${hi}`;
  return {
    oneIn,
    text: hi === 1 ? 'pays only if it is sure to fail' : `pays if it fails once in ${chance}`,
  };
}

/** Whole numbers up to twenty, then fives: nobody knows a chance better. */
const whole = (value: number): number => (value < 20 ? Math.floor(value) : roundTo(value, 5));
