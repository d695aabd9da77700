import { InputError } from '../errors/index.ts';
import type { FuelKind } from './fuels.ts';

/** Two measured points of a fuel, °C and mm²/s. Typical values from memory of the product standards. */
const points: Record<FuelKind, [[number, number], [number, number]]> = {
  petrol: [
    [20, 0.6],
    [0, 0.72],
  ],
  e85: [
    [20, 1.35],
    [0, 1.8],
  ],
  ethanol: [
    [20, 1.52],
    [0, 2.2],
  ],
  diesel: [
    [40, 2.8],
    [20, 4.5],
  ],
  biodiesel: [
    [40, 4.3],
    [20, 7.2],
  ],
};

/**
 * Kinematic viscosity at a temperature from two known points: ASTM D341, log₁₀ log₁₀(ν + 0.7) = A − B · log₁₀ T
 * (written from memory of the document).
 *
 * @param known two pairs of °C and mm²/s
 * @param celsius where it is wanted
 * @returns mm²/s
 * @throws InputError when the points are one temperature or a viscosity is not above 0.3 mm²/s
 * @example viscosityAt([[40, 2.8], [20, 4.5]], 0) // 8.44
 */
export function viscosityAt(
  known: readonly [readonly [number, number], readonly [number, number]],
  celsius: number,
): number {
  const [[t1, v1], [t2, v2]] = known;
  if (t1 === t2) throw new InputError('viscosity', `${t1} °C twice`, 'two different temperatures');
  for (const v of [v1, v2]) if (!(v > 0.3)) throw new InputError('viscosity', String(v), 'more than 0.3 mm²/s');
  if (!(celsius > -60 && celsius < 150)) throw new InputError('temperature', String(celsius), '−60 to 150 °C');
  const w = (v: number) => Math.log10(Math.log10(v + 0.7));
  const t = (c: number) => Math.log10(c + 273.15);
  // Below 0.3 mm²/s the inner logarithm would turn negative; with both points above it the line stays clear of that.
  const b = (w(v1) - w(v2)) / (t(t2) - t(t1));
  const a = w(v1) + b * t(t1);
  return 10 ** (10 ** (a - b * t(celsius))) - 0.7;
}

/** Kinematic viscosity of a fuel as delivered, mm²/s. @example kinematicViscosity('diesel', 0) // 8.44 */
export const kinematicViscosity = (fuel: FuelKind, celsius: number): number => viscosityAt(points[fuel], celsius);
