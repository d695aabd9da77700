import { computed, type Basis } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { ATMOSPHERE, GRAVITY } from '../quantity/index.ts';
import type { Hose } from './flow.ts';

/**
 * How much still comes out of a tank whose filler cap is shut: until the air above has thinned by the head of fuel.
 *
 * @param ullage air in the tank, L
 * @param head of fuel above the outlet, m
 * @param density kg/L
 * @param vapour pressure of the fuel in that air, Pa; 0 for dry air
 * @returns litres
 * @example capShutStopsAfter({ ullage: 30, head: 0.2, density: 0.745, vapour: 0 }) // 0.44
 */
export function capShutStopsAfter({
  ullage,
  head,
  density,
  vapour,
}: {
  ullage: number;
  head: number;
  density: number;
  vapour: number;
}): number {
  if (!(ullage >= 0)) throw new InputError('ullage', String(ullage), 'litres of air, zero or more');
  if (!(head >= 0 && head < 5)) throw new InputError('head', String(head), '0 to 5 m');
  const pressure = density * 1000 * GRAVITY * head;
  const air = ATMOSPHERE - vapour - pressure;
  if (!(air > 0)) throw new InputError('vapour', String(vapour), 'less than the air pressure');
  return (ullage * pressure) / air;
}

/**
 * How high fuel can be sucked at all before it boils in the hose.
 *
 * @param vapour pressure of the fuel, Pa
 * @param density kg/L
 * @param air pressure of the place, Pa
 * @returns m
 * @example suctionLift(68_300, 0.73) // 4.6 m: petrol on a hot day
 */
export function suctionLift(vapour: number, density: number, air = ATMOSPHERE): number {
  if (!(density > 0)) throw new InputError('density', String(density), 'above zero');
  return Math.max(0, (air - vapour) / (density * 1000 * GRAVITY));
}

interface Crest {
  /** Pressure at the highest point of the siphon, Pa absolute. */
  pressure: number;
  /** Does it stay above the vapour pressure? */
  runs: boolean;
  basis: Basis;
}

/**
 * Does a siphon hold together at its crest? Pressure there = air − ρ·g·h − ρv²/2·(1 + ΣK).
 *
 * @param rise of the crest above the fuel, m
 * @param flow m³/s
 * @param density kg/L
 * @param vapour Pa
 * @example siphonCrest({ rise: 1.2, hose, flow: 5e-5, density: 0.745, vapour: 36_000 }).runs // true
 */
export function siphonCrest({
  rise,
  hose,
  flow,
  density,
  vapour,
}: {
  rise: number;
  hose: Hose;
  flow: number;
  density: number;
  vapour: number;
}): Crest {
  if (!(rise >= 0 && rise < 20)) throw new InputError('rise', String(rise), '0 to 20 m');
  const rho = density * 1000;
  const speed = flow / ((Math.PI / 4) * hose.bore ** 2);
  const pressure = ATMOSPHERE - rho * GRAVITY * rise - ((rho * speed ** 2) / 2) * (1 + hose.losses);
  return {
    pressure,
    runs: pressure > vapour,
    basis: computed('air − ρ·g·h − ρv²/2·(1 + ΣK), against vapour pressure'),
  };
}
