import { InputError } from '../errors/index.ts';
import type { Dimension } from './units.ts';
import { fromSI, units } from './units.ts';

interface WriteOptions {
  dimension: Dimension;
  /** Key in `units[dimension]`. */
  unit: string;
  /** Digits after the point; inches become fractions unless this is given. */
  decimals?: number;
  /** Inch fraction's finest step, 16 by default, 32 for gaskets and walls. */
  denominator?: 16 | 32;
}

/**
 * Writes an SI value in a unit, as people read it. Inches come out as fractions.
 *
 * @throws InputError when the value is not finite
 * @example writeQuantity(0.180975, { dimension: 'length', unit: 'in' }) // '7 1/8 in'
 */
export function writeQuantity(si: number, options: WriteOptions): string {
  if (!Number.isFinite(si)) throw new InputError(options.dimension, String(si), 'a finite number');
  const unit = units[options.dimension][options.unit];
  if (!unit) throw new InputError('unit', options.unit, `a unit of ${options.dimension}`);
  const value = fromSI(si, unit);
  if (unit.symbol === 'in' && options.decimals === undefined)
    return `${inchFraction(value, options.denominator ?? 16)} in`;
  return `${plainNumber(value, options.decimals ?? 1)} ${unit.symbol}`.trimEnd();
}

/** Fixed decimals without trailing zeros and without minus zero. @example plainNumber(2.50, 2) // '2.5' */
export function plainNumber(value: number, decimals: number): string {
  const fixed = value.toFixed(decimals);
  const trimmed = fixed.includes('.') ? fixed.replace(/\.?0+$/, '') : fixed;
  return trimmed === '-0' ? '0' : trimmed;
}

/** Inches to the nearest 1/16 or 1/32, in lowest terms. @example inchFraction(7.125, 16) // '7 1/8' */
export function inchFraction(inches: number, denominator: 16 | 32): string {
  const steps = Math.round(Math.abs(inches) * denominator);
  const whole = Math.floor(steps / denominator);
  let top = steps % denominator;
  let bottom: number = denominator;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  const sign = inches < 0 && steps > 0 ? '-' : '';
  if (top === 0) return `${sign}${whole}`;
  return whole === 0 ? `${sign}${top}/${bottom}` : `${sign}${whole} ${top}/${bottom}`;
}
