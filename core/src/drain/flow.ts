import { GRAVITY } from '../quantity/index.ts';
import { InputError } from '../errors/index.ts';

/**
 * Darcy friction factor: 64/Re to 2 300, Colebrook from 4 000, a straight line between, so that every flow has a solution.
 *
 * @param reynolds above zero
 * @param roughness ε/D, 0 for a smooth hose
 * @throws InputError for a Reynolds number that is none
 * @example frictionFactor(1e5, 1e-4) // 0.0185
 */
export function frictionFactor(reynolds: number, roughness = 0): number {
  if (!(reynolds > 0 && Number.isFinite(reynolds)))
    throw new InputError('reynolds', String(reynolds), 'a number above zero');
  if (!(roughness >= 0 && roughness < 0.1)) throw new InputError('roughness', String(roughness), '0 to 0.1');
  if (reynolds <= 2300) return 64 / reynolds;
  if (reynolds < 4000) {
    const share = (reynolds - 2300) / 1700;
    return (1 - share) * (64 / 2300) + share * colebrook(4000, roughness);
  }
  return colebrook(reynolds, roughness);
}

/** 1/√f = −2 log₁₀(ε/3.7D + 2.51/(Re √f)), by fixed point from a good first guess. */
function colebrook(reynolds: number, roughness: number): number {
  let x = -1.8 * Math.log10((roughness / 3.7) ** 1.11 + 6.9 / reynolds);
  for (let i = 0; i < 60; i++) {
    const next = -2 * Math.log10(roughness / 3.7 + (2.51 * x) / reynolds);
    if (Math.abs(next - x) < 1e-14) break;
    x = next;
  }
  return 1 / (x * x);
}

/** A hose that fuel runs through. */
export interface Hose {
  /** m inside */
  bore: number;
  /** m */
  length: number;
  /** Sum of loss coefficients of bends and inlet; the exit is counted besides. */
  losses: number;
}

/**
 * Flow through a hose under a head: g·Δh = v²/2 · (1 + ΣK + f·L/D), the 1 being the exit. A siphon stops where its end is.
 *
 * @param head m from the surface to the free end, or to the surface the end is under
 * @param viscosity m²/s
 * @returns m³/s, zero without a head
 * @throws InputError for a hose that is none
 * @example siphonFlow(0.5, { bore: 0.008, length: 2, losses: 0.5 }, 0.6e-6) * 60_000 // 3.23 L/min
 */
export function siphonFlow(head: number, hose: Hose, viscosity: number): number {
  if (!(hose.bore > 0 && hose.length > 0 && hose.losses >= 0))
    throw new InputError('hose', JSON.stringify(hose), 'a bore and a length above zero');
  if (!(viscosity > 0)) throw new InputError('viscosity', String(viscosity), 'above zero');
  if (!(head > 0)) return 0;
  const loss = (v: number) =>
    ((v * v) / 2) * (1 + hose.losses + (frictionFactor((v * hose.bore) / viscosity) * hose.length) / hose.bore);
  // Loss grows with speed, so halving the bracket is safe; without friction the speed is the upper end.
  let [lo, hi] = [1e-9, Math.sqrt(2 * GRAVITY * head)];
  for (let i = 0; i < 80; i++) {
    const mid = (lo + hi) / 2;
    if (loss(mid) < GRAVITY * head) lo = mid;
    else hi = mid;
  }
  return (Math.PI / 4) * hose.bore ** 2 * ((lo + hi) / 2);
}

/**
 * Time until a tank has run empty through a hole in its floor, cap open (Torricelli).
 *
 * @param area free surface (m²) at a level (m) above the hole
 * @param head level at the start, m
 * @param hole diameter, m
 * @param discharge 0.62 for a sharp edge, 0.8 for a short tube of two to three diameters
 * @returns s
 * @example drainTime(() => 0.4, { head: 0.2, hole: 0.01 }) // 1659
 */
export function drainTime(
  area: (level: number) => number,
  { head, hole, discharge = 0.62 }: { head: number; hole: number; discharge?: number },
): number {
  if (!(head >= 0)) throw new InputError('head', String(head), 'zero or more m');
  if (!(hole > 0)) throw new InputError('hole', String(hole), 'a diameter above zero');
  if (!(discharge > 0 && discharge <= 1)) throw new InputError('discharge', String(discharge), 'above 0, at most 1');
  const outlet = discharge * (Math.PI / 4) * hole ** 2 * Math.sqrt(2 * GRAVITY);
  // With level = s² the root in the denominator is gone, and Simpson's rule has nothing to stumble over.
  const steps = 400;
  const h = Math.sqrt(head) / steps;
  let sum = 0;
  for (let i = 0; i <= steps; i++) sum += (i === 0 || i === steps ? 1 : i % 2 === 0 ? 2 : 4) * 2 * area((i * h) ** 2);
  return (sum * h) / 3 / outlet;
}
