import { kilograms, rounded, say } from '../quantity/index.ts';
import { computed, shopRule } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { Estimate } from '../estimate/index.ts';
import { add, estimate, multiply } from '../estimate/index.ts';
import { densityAt } from '../fluid/index.ts';
import { answerTo, askChoice, type Answered } from '../questions/index.ts';
import { staysAboard } from '../tank/index.ts';
import { estimateOf, type VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** What one and two people may take off a jack, kg. The shop's own rule; for two lying under it there is no figure. */
interface ShopKilograms {
  alone: number;
  two: number | null;
}

/** Is the vehicle worked on standing, on a lift, or lying on the floor? */
export const WORKED_ON = askChoice('worked on', 'lift or floor', { among: ['lift', 'floor'] });

/** One may hold so much lying or kneeling, kg; common practice, no source. Where a shop has no rule of its own. */
const LYING = 15;

/** What comes out of a wing is held kneeling wherever it is held by hand, on a lift or not. */
const kneels = (file: Pick<VehicleFile, 'mounting'> | undefined): boolean => file?.mounting === 'wing';

/**
 * Who may hold how much, as this job is worked on: standing until somebody says it is done on the floor; kneeling where the
 * tank comes out of a wing.
 *
 * @example kilogramsOf(state) // { alone: 15, two: null } on the floor
 */
export function kilogramsOf(
  state: {
    shop: { alone: number; two: number; lying?: number };
    vehicle?: Pick<VehicleFile, 'mounting'>;
  } & Answered,
): ShopKilograms {
  const { alone, two, lying = LYING } = state.shop;
  const low = Math.min(alone, lying);
  if (answerTo(state, WORKED_ON) === 'floor') return { alone: low, two: null };
  return { alone: kneels(state.vehicle) ? low : alone, two };
}

/**
 * Mass of the tank with what is in it, kg.
 *
 * @param litres fuel aboard
 * @param celsius how warm it is: cold fuel is heavier
 * @example tankMass(rail, exactly(40)) // about 13 + 40 × 0.745 = 43 kg
 */
export function tankMass(file: VehicleFile, litres: Estimate, celsius = 15): Estimate {
  return add(estimateOf(file, file.tank.emptyMass), multiply(litres, densityAt(file.fuel, celsius)));
}

type Hands = 'alone' | 'two' | 'neither';

/** Who may take a load off the jack. */
export interface Handling {
  /** Shell and fuel, kg. */
  mass: Estimate;
  /** Who may take it off the jack for certain. */
  hands: Hands;
  /** Judged at the heavy end. */
  verdict: Verdict;
}

/**
 * May one or two people take this off the jack? Judged at the heavy end; says at which end it flips.
 *
 * @throws InputError when the shop's kilograms make no sense
 * @example judgeHandling(tankMass(rail, exactly(5)), { alone: 25, two: 30 }).hands // 'alone'
 */
export function judgeHandling(mass: Estimate, shop: ShopKilograms): Handling {
  if (!(shop.alone > 0 && (shop.two === null || shop.two >= shop.alone)))
    throw new InputError('shop.kilograms', `${shop.alone} / ${shop.two}`, 'kilograms for one, and no fewer for two');
  const reason = (text: string, limit: number) => ({
    text,
    figure: say`${rounded(kilograms, mass, 1)}`,
    limit: say`${kilograms(limit)}`,
    basis: shopRule,
  });
  const seated = 'lying or kneeling under it is outside every lifting method: leave it on what carries it';
  if (mass.hi <= shop.alone)
    return {
      mass,
      hands: 'alone',
      verdict: { outcome: 'good', reasons: [reason('light enough for one', shop.alone)], next: [seated] },
    };
  if (shop.two === null)
    return {
      mass,
      hands: 'neither',
      verdict: {
        outcome: 'doubtful',
        reasons: [reason('too heavy to be held lying under it; for two lying there is no figure', shop.alone)],
        next: ['what carries it keeps it until it stands on the floor, slid out, not lifted'],
      },
    };
  if (mass.hi <= shop.two) {
    const maybe =
      mass.lo <= shop.alone ? 'light enough for two, perhaps for one' : 'light enough for two, too heavy for one';
    return {
      mass,
      hands: 'two',
      verdict: {
        outcome: 'doubtful',
        reasons: [reason(maybe, shop.alone)],
        next: ['take more out, or get a second pair of hands', seated],
      },
    };
  }
  const text = mass.lo > shop.two ? 'too heavy for two' : 'may be too heavy for two';
  return {
    mass,
    hands: 'neither',
    verdict: { outcome: 'bad', reasons: [reason(text, shop.two)], next: ['take fuel out first', seated] },
  };
}

/**
 * Litres to take out until it is light enough for so many hands, likely and at the ends. Never more than can come out.
 *
 * @param what `limit` in kg; `celsius` of the fuel
 * @returns litres, zero where nothing need come out; `enough` false when even the drained tank is too heavy at its heavy end
 * @example litresToTakeOut({ vehicle: rail, aboard: exactly(50), limit: 25 }).litres.typ // (13 + 50 × 0.745 − 25) / 0.745 = 33.9
 */
export function litresToTakeOut({
  vehicle,
  aboard,
  limit,
  celsius = 15,
}: {
  vehicle: VehicleFile;
  aboard: Estimate;
  limit: number;
  celsius?: number;
}): { litres: Estimate; enough: boolean } {
  const density = densityAt(vehicle.fuel, celsius);
  const empty = estimateOf(vehicle, vehicle.tank.emptyMass);
  const need = (mass: number, d: number, litres: number) =>
    Math.min(litres, Math.max(0, (mass + litres * d - limit) / d));
  const stays = drained(vehicle, aboard);
  return {
    litres: estimate(
      {
        lo: need(empty.lo, density.lo, aboard.lo),
        typ: need(empty.typ, density.typ, aboard.typ),
        hi: need(empty.hi, density.hi, aboard.hi),
      },
      computed('(empty mass + litres × density − limit) / density'),
    ),
    enough: empty.hi + stays.hi * density.hi <= limit,
  };
}

/**
 * Litres that stay aboard once it is drained the usual way: what the pick-up leaves, and what stands behind a hump.
 *
 * @example drained(file, aboard).hi // L that may stay
 */
export function drained(file: VehicleFile, aboard: Estimate): Estimate {
  const behind = staysAboard(file, aboard).pockets.filter((p) => p.kind === 'sill');
  const rest = behind.reduce((sum, p) => add(sum, p.litres), estimateOf(file, file.tank.unusable));
  return {
    lo: Math.min(rest.lo, aboard.lo),
    typ: Math.min(rest.typ, aboard.typ),
    hi: Math.min(rest.hi, aboard.hi),
    basis: rest.basis,
  };
}
