import { InputError } from '../errors/index.ts';
import { GAS } from '../quantity/index.ts';

/** Dry air: kg/mol and ratio of its heats. From memory of ISO 2533. */
const AIR = { molarMass: 0.0289644, gamma: 1.4 };
/** Share of its area a sharp-edged hole lets through; common practice, no source. */
const SHARP = 0.6;
/** K at 0 °C. */
export const KELVIN = 273.15;

/** Air on both sides of a wall. */
export interface Across {
  /** Pa over the air outside; below zero: vacuum. */
  gauge: number;
  /** Pa outside. */
  outside: number;
  /** °C of the air. */
  celsius: number;
}

/**
 * Air that goes through one square metre of sharp-edged hole: isentropic flow of a perfect gas, choked where the downstream
 * side no longer counts.
 *
 * @returns m³/s, as outside air, out of the tank or, under vacuum, into it
 * @throws InputError for a pressure below nothing
 * @example airThrough({ gauge: 3487.2, outside: 101_325, celsius: 20 }) * hole(0.000508) // 0.555 L/min
 */
export function airThrough({ gauge, outside, celsius }: Across): number {
  if (!(outside > 0)) throw new InputError('outside', String(outside), 'Pa of the air outside, more than none');
  if (!(outside + gauge >= 0)) throw new InputError('gauge', String(gauge), `at least ${-outside} Pa`);
  const [from, to] = gauge >= 0 ? [outside + gauge, outside] : [outside, outside + gauge];
  const { gamma, molarMass } = AIR;
  const choked = (2 / (gamma + 1)) ** (gamma / (gamma - 1));
  const ratio = Math.max(to / from, choked);
  const psi = Math.sqrt(((2 * gamma) / (gamma - 1)) * (ratio ** (2 / gamma) - ratio ** ((gamma + 1) / gamma)));
  const perKilogram = (GAS * (celsius + KELVIN)) / molarMass;
  return (SHARP * from * psi * Math.sqrt(perKilogram)) / outside;
}

/** Area of a round hole, m². @example areaOf(0.000508) // 2.03e-7 */
export const areaOf = (diameter: number): number => (Math.PI / 4) * diameter ** 2;

/**
 * The sharp round hole that lets so much through.
 *
 * @param flow m³/s of outside air
 * @returns m
 * @example equivalentHole(0.555e-3 / 60, { gauge: 3487.2, outside: 101_325, celsius: 20 }) // 0.000508
 */
export function equivalentHole(flow: number, across: Across): number {
  if (!(flow >= 0)) throw new InputError('flow', String(flow), 'none or more');
  const through = airThrough(across);
  return flow === 0 ? 0 : Math.sqrt((4 * flow) / (Math.PI * through));
}

/** Air presses less the higher one is. ISO 2533, from memory. Pa @example outsideAt(2000) // 79 495 */
export function outsideAt(metres: number): number {
  if (!(metres >= -430 && metres <= 5000)) throw new InputError('height', String(metres), '−430 to 5 000 m');
  return 101_325 * (1 - 2.25577e-5 * metres) ** 5.25588;
}
