import { vapourPressure } from '../fluid/index.ts';
import { KELVIN } from './orifice.ts';

/** Reid vapour pressure of the petrol that still stands in it, Pa, from its least to its most. */
export interface Reid {
  /** Least. */
  lo: number;
  /** Most. */
  hi: number;
}

/** Petrol of any season, and stale: EN 228 classes A to F1 from 45 to 100 kPa, from memory; what stood open lost some of it. Pa */
export const PETROL_REID: Reid = { lo: 35_000, hi: 100_000 };

/** kg/mol of dry air × 1000, and of petrol vapour; from memory. */
const MOLAR = { air: 28.96, vapour: 65 };

/** dpv/dT over so many K about a temperature. */
const NEAR = 0.5;
/** °C between which the correlation of vapour pressure is asked for. @example within(-40) // -29 */
export const within = (celsius: number): number => Math.min(59, Math.max(-29, celsius));

/**
 * Pascals that petrol’s vapour adds for a kelvin, in balance with its liquid.
 *
 * @example vapourPerKelvin(60_000, 20) // 1 235 Pa/K
 */
export const vapourPerKelvin = (reid: number, celsius: number): number =>
  (vapourPressure(reid, within(celsius) + NEAR) - vapourPressure(reid, within(celsius) - NEAR)) / (2 * NEAR);

/** Reid vapour pressure at its most, where anything worth reckoning comes off it; null: dry. @example strongest({ lo: 0, hi: 0 }) // null */
export const strongest = (over: Reid | undefined): number | null => (over && over.hi > 0 ? over.hi : null);

/**
 * ∂p/∂T of what is shut in, Pa/K: dry gas with its temperature, vapour in balance with its liquid besides.
 *
 * @param pascals inside, absolute
 * @param reid of the petrol below it; null: no liquid that gives off vapour
 * @example gasPerKelvin({ pascals: 104_812, celsius: 20, reid: null }) // 357.5
 */
export function gasPerKelvin({
  pascals,
  celsius,
  reid,
}: {
  pascals: number;
  celsius: number;
  reid: number | null;
}): number {
  if (reid === null) return pascals / (celsius + KELVIN);
  const vapour = vapourPressure(reid, within(celsius));
  return (pascals - vapour) / (celsius + KELVIN) + vapourPerKelvin(reid, celsius);
}

/**
 * How many times more air a hole lets through than the fall tells, with vapour in balance: only the air is lost for good, and the gas is
 * heavier. P/(P − pv) · √(M/28.96).
 *
 * @param pascals inside, absolute
 * @returns infinite where it boils
 * @example vapourHides({ pascals: 104_812, celsius: 20, reid: 60_000 }) // 1.81
 */
export function vapourHides({ pascals, celsius, reid }: { pascals: number; celsius: number; reid: number }): number {
  const share = vapourPressure(reid, within(celsius)) / pascals;
  // Where it boils nothing that falls says anything of the air.
  if (!(share < 1)) return Infinity;
  const molar = MOLAR.air * (1 - share) + MOLAR.vapour * share;
  return Math.sqrt(molar / MOLAR.air) / (1 - share);
}

/**
 * What would be read at the temperature it began with: the air by the ratio of temperatures, vapour by its own.
 * p₂ = (p₁ − pv₁) · T₂/T₁ + pv₂.
 *
 * @param pascals inside, absolute, at `celsius`
 * @example asAt({ pascals: 104_812, celsius: 21, to: 20, reid: null }) // 104 456
 */
export function asAt({
  pascals,
  celsius,
  to,
  reid,
}: {
  pascals: number;
  celsius: number;
  to: number;
  reid: number | null;
}): number {
  const ratio = (to + KELVIN) / (celsius + KELVIN);
  if (reid === null) return pascals * ratio;
  return (pascals - vapourPressure(reid, within(celsius))) * ratio + vapourPressure(reid, within(to));
}
