import { fromMemory } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { Estimate } from '../estimate/index.ts';

export interface Fuel {
  name: string;
  /** kg per litre at 15 °C. */
  density: Estimate;
}

/** Fuels as delivered. Density limits of EN 228 and EN 590, written from memory of the documents. */
export const fuels: Record<'petrol' | 'diesel', Fuel> = {
  petrol: { name: 'petrol', density: { lo: 0.72, typ: 0.745, hi: 0.775, basis: fromMemory('EN 228') } },
  diesel: { name: 'diesel', density: { lo: 0.82, typ: 0.835, hi: 0.845, basis: fromMemory('EN 590') } },
};

/**
 * Volume correction factor to 15 °C: litres at `celsius` times this are litres at 15 °C.
 * Generalised products of API MPMS 11.1, coefficients written from memory. Petrol and diesel only.
 *
 * @param density15 kg/m³ at 15 °C, 653 to 1075
 * @param celsius −50 to 95
 * @throws InputError outside those ranges
 * @example volumeCorrection(745, 30) // 0.98171
 */
export function volumeCorrection(density15: number, celsius: number): number {
  if (!(density15 >= 653 && density15 <= 1075)) throw new InputError('density', String(density15), '653 to 1075 kg/m³');
  if (!(celsius >= -50 && celsius <= 95)) throw new InputError('temperature', String(celsius), '−50 to 95 °C');
  const alpha = thermalExpansion(density15);
  const dt = celsius - 15;
  return Math.exp(-alpha * dt * (1 + 0.8 * alpha * dt));
}

function thermalExpansion(rho: number): number {
  if (rho <= 770) return 346.42278 / rho ** 2 + 0.43884 / rho;
  if (rho < 787.5) return -0.00336312 + 2680.3206 / rho ** 2;
  if (rho <= 838.5) return 594.5418 / rho ** 2;
  return 186.9696 / rho ** 2 + 0.48618 / rho;
}

/**
 * How full a closed container may be filled at `fillCelsius` so that it is not liquid-full at `maxCelsius`.
 * The lightest fuel of the kind expands most and decides.
 *
 * @returns share of the container's capacity, 0 to 1
 * @example safeFill('petrol', -10, 40) // 0.94
 */
export function safeFill(fuel: keyof typeof fuels, fillCelsius = 0, maxCelsius = 40): number {
  if (maxCelsius <= fillCelsius) return 1;
  const lightest = fuels[fuel].density.lo * 1000;
  return volumeCorrection(lightest, maxCelsius) / volumeCorrection(lightest, fillCelsius);
}
