import { kilograms, mm, rounded, say } from '../quantity/index.ts';
import { commonPractice, computed, measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { exactly, roundTo, type Estimate } from '../estimate/index.ts';
import { contentsBelow, shapeLitres, surfaceAt, type Tilt } from '../shape/index.ts';
import { fuels } from '../fluid/index.ts';
import { estimateOf, type VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { tankMass } from './mass.ts';

interface Centre {
  /** mm from the first end, and across. */
  x: Estimate;
  y: Estimate;
  /** kg */
  mass: Estimate;
}

/**
 * Mass and centre of gravity of the tank with what is in it and what hangs from it, at a tilt: fuel runs to the low end.
 *
 * @param attached kilograms that come down with it, and where along it (mm from the first end)
 * @example tankCentre(rail, exactly(30)).x // around the middle
 */
export function tankCentre(
  file: VehicleFile,
  litres: Estimate,
  { attached = [], tilt = { x: 0, y: 0 } }: { attached?: readonly { kg: Estimate; x: number }[]; tilt?: Tilt } = {},
): Centre {
  const { shape } = file.tank;
  const full = estimateOf(file, file.tank.litres);
  const { density } = fuels[file.fuel];
  const empty = estimateOf(file, file.tank.emptyMass);
  const at = (l: number, { kg, rho, hung }: { kg: number; rho: number; hung: (e: Estimate) => number }) => {
    const inShape = Math.min(1, l / full.typ) * shapeLitres(shape);
    const centroid = contentsBelow(shape, surfaceAt(shape, inShape, tilt), tilt).centroid;
    const fuel = l * rho;
    const hanging = attached.reduce((sum, a) => sum + hung(a.kg), 0);
    const moment = attached.reduce((sum, a) => sum + hung(a.kg) * a.x, 0);
    const mass = kg + fuel + hanging;
    // An empty shell balances about its middle.
    return {
      x: ((kg * shape.length) / 2 + fuel * centroid[0] + moment) / mass,
      y: ((kg + hanging) * (shape.width / 2) + fuel * centroid[1]) / mass,
    };
  };
  const corners = [litres.lo, litres.typ, litres.hi].flatMap((l) => [
    at(l, { kg: empty.lo, rho: density.hi, hung: (e) => e.hi }),
    at(l, { kg: empty.hi, rho: density.lo, hung: (e) => e.lo }),
  ]);
  const typ = at(litres.typ, { kg: empty.typ, rho: density.typ, hung: (e) => e.typ });
  const range = (values: number[], middle: number): Estimate => ({
    lo: Math.min(...values, middle),
    typ: middle,
    hi: Math.max(...values, middle),
    basis: computed('moments of shell, fuel and what hangs from it'),
  });
  return {
    x: range(
      corners.map((c) => c.x),
      typ.x,
    ),
    y: range(
      corners.map((c) => c.y),
      typ.y,
    ),
    mass: attached.reduce((sum, a) => plus(sum, a.kg), tankMass(file, litres)),
  };
}

const plus = (a: Estimate, b: Estimate): Estimate => ({ ...a, lo: a.lo + b.lo, typ: a.typ + b.typ, hi: a.hi + b.hi });

/** A jack with its padded head. */
export interface Jack {
  /** kg */
  rated: number;
  /** Width of the padded head, mm. */
  pad: number;
}

/** Rubber on steel or plastic; common practice, no source. Wet with fuel half of it. */
export const FRICTION = 0.4;
/** The same, wet with fuel; common practice, no source. */
export const FRICTION_WET = FRICTION / 2;
/** A plan’s tilt is never meant to be the last that holds, degrees; common practice, no source. */
export const SPARE = 3;
/** No tank is tilted further on one jack, degrees: the search for where it leaves ends there. */
const STEEPEST = 45;

/** A slope as an angle, degrees. @example degreesOf(0.4) // 21.8 */
export const degreesOf = (slope: number): number => (Math.atan(slope) * 180) / Math.PI;

/** What stands on the jack: the file, litres aboard, and where the pad is. mm from the first end, and of the centre over the pad. */
interface OnPad {
  file: VehicleFile;
  litres: Estimate;
  under: number;
  over: number;
}

/**
 * The tilt at which the middle of the weight leaves the pad, the fuel running to the low end as it tips, in both axes and
 * both ways. Degrees, whole ones, rounded down; `STEEPEST` where it never does.
 */
function leavesPadAt(jack: Jack, { file, litres, under, over }: OnPad): number {
  const half = jack.pad / 2;
  const middle = file.tank.shape.width / 2;
  const stands = (degrees: number): boolean => {
    const lean = over * Math.tan((degrees * Math.PI) / 180);
    return [-1, 1].every((way) => {
      const along = tankCentre(file, litres, { tilt: { x: way * degrees, y: 0 } }).x;
      const across = tankCentre(file, litres, { tilt: { x: 0, y: way * degrees } }).y;
      const off = (c: Estimate, at: number) => Math.max(way * (c.lo - at), way * (c.hi - at)) + lean;
      return off(along, under) <= half && off(across, middle) <= half;
    });
  };
  let degrees = 0;
  while (degrees < STEEPEST && stands(degrees + 1)) degrees += 1;
  return degrees;
}

/**
 * Does the jack carry it and does it stay on the pad? Load against its rating; the middle of the weight against the pad,
 * found by moving fuel and tank together; and where it would slide: tan θ against the friction of pad and tank.
 *
 * @throws InputError for a jack that is none
 * @example judgeJack({ rated: 200, pad: 400 }, { file: rail, litres: exactly(5), under: 550, over: 120 }).outcome // 'doubtful': guessed
 */
export function judgeJack(jack: Jack, on: OnPad): Verdict {
  if (!(jack.rated > 0)) throw new InputError('jack.rated', String(jack.rated), 'kilograms above zero');
  if (!(jack.pad > 0)) throw new InputError('jack.pad', String(jack.pad), 'a width above zero');
  const { file, litres, under } = on;
  const centre = tankCentre(file, litres);
  if (centre.mass.hi > jack.rated)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'the jack is too small',
          figure: say`${rounded(kilograms, centre.mass, 1)}`,
          limit: say`${kilograms(jack.rated)} rated`,
          basis: measured,
        },
      ],
      next: ['take fuel out first, or use a jack that is rated for it'],
    };
  const off = Math.max(Math.abs(centre.x.lo - under), Math.abs(centre.x.hi - under));
  const figure = say`centre ${rounded(mm, centre.x, 5)}, pad at ${mm(roundTo(under, 5))}`;
  if (off > jack.pad / 2)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'the middle of the weight may lie outside the pad',
          figure,
          limit: say`${mm(jack.pad)} pad`,
          basis: computed('centre against pad'),
        },
      ],
      next: [
        say`move the pad to ${mm(roundTo((centre.x.lo + centre.x.hi) / 2, 10))} from the first end, or use two jacks`,
      ],
    };
  const leaves = leavesPadAt(jack, on);
  const slides = Math.floor(degreesOf(FRICTION));
  const wet = Math.floor(degreesOf(FRICTION_WET));
  const most = Math.max(0, Math.min(leaves, slides) - SPARE);
  const needs = Math.ceil(degreesOf(file.tiltLimit / file.length));
  const guessed = file.basis !== 'measured' && file.basis !== 'learned';
  const reasons = [
    {
      text: `stays on the pad to ${most}° of tilt, the fuel running with it; slides from ${slides}° dry, ${wet}° wet with fuel`,
      figure,
      limit: say`${kilograms(jack.rated)} rated`,
      basis: computed('moments of shell and fuel at each tilt, less 3°; friction 0.4, wet 0.2, common practice'),
    },
    ...(guessed
      ? [{ text: 'length and mass of this tank are only guessed: so is this', basis: { kind: file.basis } }]
      : []),
  ];
  const strap = 'strap the tank to the saddle; it drifts sideways as the jack sinks, so let the wheels roll';
  if (most < needs)
    return {
      outcome: most < wet ? 'bad' : 'doubtful',
      reasons: [{ ...reasons[0]!, limit: `the plan may tilt it ${needs}°` }, ...reasons.slice(1)],
      next: [strap, 'take more out, use a wider head, a board of two thirds of the tank, or two jacks'],
    };
  return { outcome: guessed || needs > wet ? 'doubtful' : 'good', reasons, next: [strap] };
}

/** How the tank leaves from under the vehicle. */
export type ExitWay = 'overJack' | 'flat' | 'board' | 'under';

/** Room left over the jack, and what a board or a creeper takes; mm, common practice, no source. */
const CLEARANCE = 50;
const BOARD = 40;

/**
 * How high the lowest point of the vehicle must stand for the tank to leave.
 *
 * @param tankHeight mm
 * @param loweredJack height of the jack at its lowest with its pad, mm
 * @returns mm, with the way in words
 * @example raiseHeight('overJack', 280, 150).mm // 480
 */
export function raiseHeight(way: ExitWay, tankHeight: number, loweredJack: number): { mm: Estimate; how: string } {
  if (!(tankHeight > 0)) throw new InputError('height', String(tankHeight), 'a height above zero');
  if (!(loweredJack >= 0))
    throw new InputError('jack', String(loweredJack), 'a height of the lowered jack, zero or more');
  const mm = (value: number) => exactly(value, commonPractice);
  switch (way) {
    case 'overJack':
      return { mm: mm(tankHeight + loweredJack + CLEARANCE), how: 'as it stands' };
    case 'flat':
      return { mm: mm(tankHeight + CLEARANCE / 2), how: 'off the jack, along the floor' };
    case 'board':
      return { mm: mm(tankHeight + BOARD), how: 'off the jack, and slid out' };
    case 'under':
      return { mm: mm(0), how: 'the vehicle goes up later' };
  }
}
