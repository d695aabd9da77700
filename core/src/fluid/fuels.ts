import type { Basis } from '../basis/index.ts';
import { commonPractice, computed, fromMemory } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { estimate, type Estimate } from '../estimate/index.ts';

/** What a tank is filled with. */
export type FuelKind = 'petrol' | 'e85' | 'ethanol' | 'diesel' | 'biodiesel';

interface Fuel {
  name: string;
  /** kg per litre at 15 °C. */
  density: Estimate;
  /** °C at which its vapour can be lit. */
  flash: { below: number; basis: Basis };
  /** Share of ethanol by volume. */
  ethanol: number;
}

/** Ethanol at 15 °C, kg/L; from memory of handbooks. */
const ETHANOL = 0.7935;

/** Fuels as delivered. Density limits of EN 228, EN 590 and EN 14214, written from memory of the documents. */
export const fuels: Record<FuelKind, Fuel> = {
  petrol: {
    name: 'petrol',
    density: { lo: 0.72, typ: 0.745, hi: 0.775, basis: fromMemory('EN 228') },
    flash: { below: -40, basis: fromMemory('handbooks of petrol') },
    ethanol: 0.05,
  },
  e85: {
    name: 'E85',
    density: { ...blend(0.85), basis: computed('mixed by volume, 75 to 85 % ethanol') },
    flash: { below: -20, basis: fromMemory('handbooks of ethanol blends') },
    ethanol: 0.85,
  },
  ethanol: {
    name: 'ethanol',
    density: { lo: 0.789, typ: ETHANOL, hi: 0.81, basis: fromMemory('handbooks of ethanol') },
    flash: { below: 13, basis: fromMemory('handbooks of ethanol') },
    ethanol: 1,
  },
  diesel: {
    name: 'diesel',
    density: { lo: 0.82, typ: 0.835, hi: 0.845, basis: fromMemory('EN 590') },
    flash: { below: 55, basis: fromMemory('EN 590') },
    ethanol: 0,
  },
  biodiesel: {
    name: 'biodiesel',
    density: { lo: 0.86, typ: 0.88, hi: 0.9, basis: fromMemory('EN 14214') },
    flash: { below: 101, basis: fromMemory('EN 14214') },
    ethanol: 0,
  },
};

/**
 * Density of petrol with ethanol mixed in, by volume. kg/L at 15 °C
 *
 * @param share of ethanol, 0 to 1
 * @example blend(0.85).typ // 0.786
 */
function blend(share: number): Estimate {
  if (!(share >= 0 && share <= 1)) throw new InputError('ethanol', String(share), 'a share from 0 to 1');
  const mix = (petrol: number) => share * ETHANOL + (1 - share) * petrol;
  return estimate({ lo: mix(0.72), typ: mix(0.745), hi: mix(0.775) }, computed('mixed by volume'));
}

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
  return expand(thermalExpansion(density15), inRange(celsius));
}

function inRange(celsius: number): number {
  if (!(celsius >= -50 && celsius <= 95)) throw new InputError('temperature', String(celsius), '−50 to 95 °C');
  return celsius;
}

function expand(alpha: number, celsius: number): number {
  const dt = celsius - 15;
  return Math.exp(-alpha * dt * (1 + 0.8 * alpha * dt));
}

function thermalExpansion(rho: number): number {
  if (rho <= 770) return 346.42278 / rho ** 2 + 0.43884 / rho;
  if (rho < 787.5) return -0.00336312 + 2680.3206 / rho ** 2;
  if (rho <= 838.5) return 594.5418 / rho ** 2;
  return 186.9696 / rho ** 2 + 0.48618 / rho;
}

/** Expansion of blends rich in ethanol, per K, the lively end; from memory of handbooks. */
const ETHANOL_EXPANSION = 0.00112;

/** Volume correction of a fuel; the lightest of its kind expands most. Ethanol blends by their own coefficient. */
function correctionOf(fuel: FuelKind, celsius: number): number {
  if (fuels[fuel].ethanol > 0.5) return expand(ETHANOL_EXPANSION, inRange(celsius));
  return volumeCorrection(fuels[fuel].density.lo * 1000, celsius);
}

/**
 * Density at a temperature, kg/L.
 *
 * @example densityAt('petrol', 30).typ // 0.745 × 0.98171 = 0.731
 */
export function densityAt(fuel: FuelKind, celsius: number): Estimate {
  const { density, ethanol } = fuels[fuel];
  const at = (rho: number) =>
    rho * (ethanol > 0.5 ? expand(ETHANOL_EXPANSION, inRange(celsius)) : volumeCorrection(rho * 1000, celsius));
  return estimate(
    { lo: at(density.lo), typ: at(density.typ), hi: at(density.hi) },
    computed(`density at 15 °C, carried to ${celsius} °C`),
  );
}

/**
 * How full a closed container may be filled at `fillCelsius` so that it is not liquid-full at `maxCelsius`.
 * The lightest fuel of the kind expands most and decides.
 *
 * @returns share of the container's capacity, 0 to 1
 * @example safeFill('petrol', -10, 40) // 0.94
 */
export function safeFill(fuel: FuelKind, fillCelsius = 0, maxCelsius = 40): number {
  if (maxCelsius <= fillCelsius) return MOST_FULL;
  return Math.min(MOST_FULL, correctionOf(fuel, maxCelsius) / correctionOf(fuel, fillCelsius));
}

/** No can is ever filled fuller, whatever the day says: a sun on it, a slope, a shaken can. Common practice, no source. */
const MOST_FULL = 0.95;

/** IEC TS 60079-32-1, from memory: 1 m/s until the inlet is covered, then 7 m/s and speed × bore below 0.5 m²/s. */
const SLOW = 1;
const FAST = 7;
const SPEED_BORE = 0.5;

/**
 * How fast a can may be filled, so that no charge gathers.
 *
 * @param bore of the hose, m
 * @returns litres a minute while its inlet is bare, and once it is covered
 * @throws InputError for a bore that is none
 * @example fillingFlow(0.01).bare // 4.7 L/min
 */
export function fillingFlow(bore: number): { bare: number; covered: number; basis: Basis } {
  if (!(bore > 0 && bore <= 0.1)) throw new InputError('bore', String(bore), 'above zero, at most 0.1 m');
  const flow = (speed: number) => speed * (Math.PI / 4) * bore ** 2 * 60_000;
  return {
    bare: flow(SLOW),
    covered: flow(Math.min(FAST, SPEED_BORE / bore)),
    basis: fromMemory('IEC TS 60079-32-1'),
  };
}

/** Litres of water that E10 holds before it separates, at 15 °C: about half a percent; from memory of handbooks. */
export const WATER_HELD = 0.005;

/** Seconds to wait before a tank or a can is dipped; common practice, no source. */
export const BEFORE_DIPPING = { seconds: 30, basis: commonPractice };
