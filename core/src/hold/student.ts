import { InputError } from '../errors/index.ts';

/** Halvings of the angle: the last is under 1e-15 of it. */
const HALVINGS = 52;

/**
 * Quantile of Student's t, one-sided, from its distribution for whole degrees of freedom (Abramowitz and Stegun 26.7.3 and
 * 26.7.4, from memory), by halving the angle atan(t / √ν).
 *
 * @param share of the distribution below it, 0.5 to less than 1
 * @param freedom degrees of freedom, a whole number
 * @throws InputError outside of that
 * @example tQuantile(0.95, 11) // 1.7959
 */
export function tQuantile(share: number, freedom: number): number {
  if (!(share >= 0.5 && share < 1)) throw new InputError('share', String(share), 'from 0.5 to less than 1');
  if (!(Number.isInteger(freedom) && freedom >= 1))
    throw new InputError('degrees of freedom', String(freedom), 'a whole number from 1');
  let [least, most] = [0, Math.PI / 2];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (least + most) / 2;
    if (within(middle, freedom) < 2 * share - 1) least = middle;
    else most = middle;
  }
  return Math.sqrt(freedom) * Math.tan((least + most) / 2);
}

/** Share of the distribution between −t and t, at the angle atan(t / √ν). */
function within(angle: number, freedom: number): number {
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const odd = freedom % 2 === 1;
  let term = odd ? cos : 1;
  let sum = freedom === 1 ? 0 : term;
  for (let k = odd ? 3 : 2; k < freedom - 1; k += 2) {
    term *= ((k - 1) / k) * cos * cos;
    sum += term;
    if (term < 1e-17 * sum) break;
  }
  return odd ? (2 / Math.PI) * (angle + sin * sum) : sin * sum;
}
