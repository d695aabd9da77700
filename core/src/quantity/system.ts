import { inchFraction, plainNumber } from './write.ts';

/** The units a person reads; `both` has millimetres with inches beside them. */
export const unitSystems = ['metric', 'us', 'both'] as const;
/** One of those. */
export type UnitSystem = (typeof unitSystems)[number];

/** A length as a person reads it. */
interface LengthWords {
  figure: string;
  unit: 'mm' | 'in';
  /** The same in the other unit, where both are wanted. */
  beside: string | null;
}

/** By definition. */
const MM_PER_INCH = 25.4;

/**
 * A height or a room under the car in a person's units: whole millimetres, inches to the nearest 1/16 as a tape shows
 * them (the inch is 25.4 mm by definition).
 *
 * @example lengthIn(40, 'both') // { figure: '40', unit: 'mm', beside: '1 9/16 in' }
 */
export function lengthIn(mm: number, system: UnitSystem): LengthWords {
  const inches = inchFraction(mm / MM_PER_INCH, 16);
  if (system === 'us') return { figure: inches, unit: 'in', beside: null };
  return { figure: plainNumber(mm, 0), unit: 'mm', beside: system === 'both' ? `${inches} in` : null };
}

/**
 * The same in one breath. @example lengthText(40, 'us') // '1 9/16 in'
 */
export function lengthText(mm: number, system: UnitSystem): string {
  const { figure, unit, beside } = lengthIn(mm, system);
  return `${figure} ${unit}${beside ? ` (${beside})` : ''}`;
}

/** Steps of a scale of heights: round in the person's unit. mm @example scaleSteps('metric') // [20, 50, 100, 200] */
export const scaleSteps = (system: UnitSystem): readonly number[] =>
  system === 'us' ? [1, 2, 4, 8].map((inch) => inch * MM_PER_INCH) : [20, 50, 100, 200];
