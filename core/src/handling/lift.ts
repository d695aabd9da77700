import { kilograms, say } from '../quantity/index.ts';
import { fromMemory } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** NIOSH revised lifting equation, Applications Manual 94-110; written from memory of the document. */
const NIOSH = fromMemory('NIOSH 94-110, revised lifting equation');

/** A lift as the lifting equation asks for it. */
export interface LiftMetric {
  /** Hands from the ankles, cm: 25 to 63. */
  horizontal: number;
  /** Hands above the floor, cm: 0 to 175. */
  vertical: number;
  /** How far it is lifted, cm: 25 to 175. */
  distance: number;
  /** Turn of the body, degrees: 0 to 135. */
  asymmetry: number;
  /** Multipliers of how often and how well it is gripped, 0 to 1. */
  frequency: number;
  /** Multiplier of how well it is gripped, 0 to 1. */
  coupling: number;
}

/**
 * Recommended weight limit, metric form: 23 · 25/H · (1 − 0.003·|V − 75|) · (0.82 + 4.5/D) · (1 − 0.0032·A) · FM · CM.
 *
 * @returns kg
 * @throws InputError outside the limits of the method
 * @example weightLimit({ horizontal: 40, vertical: 30, distance: 60, asymmetry: 30, frequency: 1, coupling: 0.95 }) // 9.557
 */
export function weightLimit(lift: LiftMetric): number {
  const h = inside('horizontal', lift.horizontal, { lo: 25, hi: 63, unit: 'cm' });
  const v = inside('vertical', lift.vertical, { lo: 0, hi: 175, unit: 'cm' });
  const d = inside('distance', lift.distance, { lo: 25, hi: 175, unit: 'cm' });
  const a = inside('asymmetry', lift.asymmetry, { lo: 0, hi: 135, unit: 'degrees' });
  const [fm, cm] = [
    inside('frequency', lift.frequency, { lo: 0, hi: 1, unit: '' }),
    inside('coupling', lift.coupling, { lo: 0, hi: 1, unit: '' }),
  ];
  return 23 * (25 / h) * (1 - 0.003 * Math.abs(v - 75)) * (0.82 + 4.5 / d) * (1 - 0.0032 * a) * fm * cm;
}

/**
 * The same in inches and pounds: 51 · 10/H · (1 − 0.0075·|V − 30|) · (0.82 + 1.8/D) · …; lb.
 *
 * @example weightLimitUS({ horizontal: 10, vertical: 30, distance: 10, asymmetry: 0, frequency: 1, coupling: 1 }) // 51 lb
 */
export function weightLimitUS(lift: LiftMetric): number {
  const h = inside('horizontal', lift.horizontal, { lo: 10, hi: 25, unit: 'in' });
  const v = inside('vertical', lift.vertical, { lo: 0, hi: 70, unit: 'in' });
  const d = inside('distance', lift.distance, { lo: 10, hi: 70, unit: 'in' });
  const a = inside('asymmetry', lift.asymmetry, { lo: 0, hi: 135, unit: 'degrees' });
  const [fm, cm] = [
    inside('frequency', lift.frequency, { lo: 0, hi: 1, unit: '' }),
    inside('coupling', lift.coupling, { lo: 0, hi: 1, unit: '' }),
  ];
  return 51 * (10 / h) * (1 - 0.0075 * Math.abs(v - 30)) * (0.82 + 1.8 / d) * (1 - 0.0032 * a) * fm * cm;
}

function inside(field: string, value: number, { lo, hi, unit }: { lo: number; hi: number; unit: string }): number {
  if (!(value >= lo && value <= hi)) throw new InputError(field, String(value), `${lo} to ${hi} ${unit}`.trim());
  return value;
}

/** How the body and the load are; each of these takes the lift out of the method. */
export type LiftPosture = 'lying' | 'kneeling' | 'oneHanded' | 'cramped' | 'slippery' | 'unstable';

const postureWords: Record<LiftPosture, string> = {
  lying: 'lying under it',
  kneeling: 'kneeling',
  oneHanded: 'one-handed',
  cramped: 'no room to stand up',
  slippery: 'wet gloves or a wet floor',
  unstable: 'fuel that runs to the low end',
};

/**
 * The lifting index where the method holds, and “outside the method” where it does not: a part-full tank over one’s back
 * is outside in every way, and then no index is made up.
 *
 * @param kg what is lifted, at its heavy end
 * @example judgeLift(18, standing, []).outcome // by the index
 */
export function judgeLift(kg: number, lift: LiftMetric, posture: readonly LiftPosture[]): Verdict {
  if (!(kg >= 0)) throw new InputError('mass', String(kg), 'kilograms, zero or more');
  if (posture.length > 0)
    return {
      outcome: 'bad',
      reasons: posture.map((p) => ({ text: `outside the method: ${postureWords[p]}`, basis: NIOSH })),
      next: ['take weight out or get help; leave it on the jack'],
    };
  const limit = weightLimit(lift);
  const index = kg / limit;
  const reason = {
    text: `lifting index ${index.toFixed(1)}`,
    figure: say`${kilograms(kg)}`,
    limit: say`${kilograms(limit)} recommended here`,
    basis: NIOSH,
  };
  if (index <= 1) return { outcome: 'good', reasons: [reason], next: [] };
  if (index <= 2)
    return {
      outcome: 'doubtful',
      reasons: [reason],
      next: ['nearer to the body, a bench instead of the floor, or two'],
    };
  return { outcome: 'bad', reasons: [reason], next: ['two people or the jack'] };
}

/**
 * What a team may lift: two people two thirds of the sum of what each may, three a half. HSE and ISO 11228-1, from memory.
 *
 * @param each kg one after the other
 * @example teamLift([23, 23]) // 30.7
 */
export function teamLift(each: readonly number[]): number {
  if (each.length === 0 || each.some((kg) => !(kg > 0)))
    throw new InputError('team', each.join(', '), 'kilograms for each, above zero');
  const share = each.length === 1 ? 1 : each.length === 2 ? 2 / 3 : 1 / 2;
  return share * each.reduce((a, b) => a + b, 0);
}
