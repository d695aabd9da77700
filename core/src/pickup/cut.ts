import { commonPractice, computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { exactly, roundTo, type Span } from '../estimate/index.ts';
import { litres, mm, rounded, say } from '../quantity/index.ts';
import { levelAt, shareAt, type Tilt } from '../shape/index.ts';
import { staysAboard, tankOutlet } from '../tank/index.ts';
import { estimateOf, type VehicleFile } from '../vehicle/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';

/** A float that swings near a pick-up. */
export interface FloatNear {
  /** mm its pivot sits below the flange. */
  pivot: number;
  /** mm from the pick-up to the pivot, from above. */
  away: number;
  /** mm from pivot to the middle of the float. */
  arm: number;
  /** mm across the float. */
  across: number;
}

/** A pick-up before it is cut. */
export interface PickupPlan {
  /** The engine’s own, or a heater’s that runs dry before the engine does. */
  serves: 'engine' | 'heater';
  /** mm from the face of the opening to the floor. */
  toFloor: number;
  /** Measured with the tank held as on its straps? A plastic floor sags. */
  held: boolean;
  /** mm of the gasket between face and flange. */
  gasket: number;
  /** mm it stays off the floor; a heater’s follows from its reserve. */
  clearance: number;
  /** L a heater leaves to the engine. */
  reserve?: number;
  /** The float beside it. */
  float?: FloatNear;
  /** mm of the return’s end above the floor, and from the pick-up. */
  back?: { above: number; away: number };
}

/** A pick-up, judged before it is cut. */
export interface PickupJudged {
  /** mm from the flange’s underside to its end. */
  cut: number;
  /** mm its end stands above the floor. */
  above: number;
  /** L that it leaves: level, and at the worst slope. */
  leaves: { level: Span; slope: Span | null };
  /** Whether to cut. */
  verdict: Verdict;
}

/** A steep drive, degrees: one in six; common practice, no source. */
const SLOPE = 9.5;
/** A plastic floor sags so much where nobody held the tank, mm; common practice, no source. */
const SAGS = 15;
/** Nearer to the floor it draws dirt and may be shut by a sag, mm; common practice, no source. */
const LEAST_CLEARANCE = 3;
/** Air between float and pick-up, mm; common practice, no source. */
const AIR = 5;
/** A return ends at most so far above the floor and at least so far from the pick-up, mm; common practice, no source. */
const RETURN = { above: 50, away: 100 };

/**
 * Where to cut a pick-up: from the opening’s face to the floor, the gasket on top, less the clearance; a heater’s where it leaves
 * the chosen reserve to the engine. What it leaves level and on a slope, and whether float and return are clear of it.
 *
 * @throws InputError where it would end above the flange or below the floor, or the tank is no shape to reckon with
 * @example planPickup(rail, { serves: 'engine', toFloor: 250, held: true, gasket: 3, clearance: 10 }).cut // 243
 */
export function planPickup(file: VehicleFile, plan: PickupPlan): PickupJudged {
  const above = plan.serves === 'heater' ? heaterAbove(file, plan) : plan.clearance;
  const cut = roundTo(plan.toFloor + plan.gasket - above, 1);
  if (!(cut > 0)) throw new InputError('toFloor', String(plan.toFloor), 'more than the pick-up stays off the floor');
  const leaves = leavesAt(file, above);
  const found: Found[] = [
    {
      outcome: 'good',
      text: say`cut it ${mm(cut, cut, 1)} below the flange: its end stands ${mm(above, above, 1)} off the floor`,
    },
    ...heldFound(file, plan),
    ...clearanceFound(plan, above),
    {
      outcome: 'good',
      text: leaves.slope
        ? say`it leaves ${rounded(litres, leaves.level, 0.5)} level, ${rounded(litres, leaves.slope, 0.5)} on a slope of one in six`
        : say`it leaves ${rounded(litres, leaves.level, 0.5)} level; on a slope nobody can say from a level table`,
    },
    ...(plan.float ? floatFound(plan.float, cut) : []),
    ...(plan.back ? backFound(plan.back) : []),
  ];
  return {
    cut,
    above,
    leaves,
    verdict: verdictFrom(
      found.map((one) => (one.figure ? { ...one, basis: commonPractice } : one)),
      {
        basis: computed('opening to floor, gasket, clearance; litres through the shape'),
        next: ['cut it long first: a second cut can be made, a first one not undone'],
      },
    ),
  };
}

/** Where a heater’s pick-up ends so that it runs dry with the reserve still there for the engine, mm above the floor. */
function heaterAbove(file: VehicleFile, { reserve }: PickupPlan): number {
  if (reserve === undefined || !(reserve >= 0))
    throw new InputError('reserve', String(reserve ?? ''), 'litres the heater leaves to the engine');
  const full = estimateOf(file, file.tank.litres);
  // What the engine can’t use is no reserve: counted at its most, and the tank at its least.
  const stays = staysAboard(file, full).litres.hi;
  const share = (reserve + stays) / full.lo;
  if (!(share < 1))
    throw new InputError('reserve', String(reserve), `less than the tank holds, ${roundTo(full.lo, 1)} L`);
  return levelAt(file.tank.shape, share);
}

/** What an end so far above the floor leaves, litres as the file’s capacity has them. */
function leavesAt(file: VehicleFile, above: number): PickupJudged['leaves'] {
  const { shape } = file.tank;
  const rated = estimateOf(file, file.tank.litres);
  if (shape.kind === 'table') {
    const share = shareAt(shape, above);
    return { level: { lo: share * rated.lo, typ: share * rated.typ, hi: share * rated.hi }, slope: null };
  }
  const { at } = tankOutlet(file);
  const z = Math.max(1, Math.min(above, shape.height - 1));
  const there: VehicleFile = { ...file, tank: { ...file.tank, outlet: { x: at[0], y: at[1], z } } };
  const left = (tilt?: Tilt): Span => staysAboard(there, exactly(rated.hi), tilt).litres;
  const [down, up] = [left({ x: SLOPE, y: 0 }), left({ x: -SLOPE, y: 0 })];
  return { level: left(), slope: down.hi > up.hi ? down : up };
}

function heldFound(file: VehicleFile, { held }: PickupPlan): Found[] {
  if (held || file.tank.material !== 'plastic') return [];
  return [
    {
      outcome: 'doubtful',
      text: 'a plastic floor sags: measured with the tank held as on its straps it is another length',
      figure: say`${mm(0, SAGS)}`,
      next: 'lay it on its pads, pull the straps as they sit, measure again',
    },
  ];
}

function clearanceFound({ serves }: PickupPlan, above: number): Found[] {
  if (serves === 'heater' || above >= LEAST_CLEARANCE) return [];
  return [
    {
      outcome: 'bad',
      text: 'so near the floor it draws dirt, and a sag shuts it',
      figure: say`${mm(above, above, 1)}`,
      limit: say`${mm(LEAST_CLEARANCE)}`,
      next: 'leave more, or set it on a foot with a notch',
    },
  ];
}

/** The float swings about its pivot: nearer than its reach it may strike the pick-up. */
function floatFound({ pivot, away, arm, across }: FloatNear, cut: number): Found[] {
  const reach = arm + across / 2 + AIR;
  // The tube hangs straight down to its end: nearest at the pivot’s height, or at its end where that is higher.
  const near = Math.hypot(away, Math.max(0, pivot - cut));
  if (near >= reach) return [{ outcome: 'good', text: 'clear of the float wherever it swings' }];
  return [
    {
      outcome: away <= across / 2 ? 'bad' : 'doubtful',
      text: 'inside the reach of the float: it may strike the pick-up',
      figure: say`${mm(near, near, 1)}`,
      limit: say`${mm(reach, reach, 1)}`,
      next: 'turn it so that the arm swings away from it, and sweep it by hand from stop to stop before the ring',
    },
  ];
}

function backFound({ above, away }: NonNullable<PickupPlan['back']>): Found[] {
  const found: Found[] = [];
  if (above > RETURN.above)
    found.push({
      outcome: 'doubtful',
      text: 'the return ends above the fuel when it is low: it foams, and the pump draws air',
      figure: say`${mm(above)}`,
      limit: say`${mm(RETURN.above)}`,
      next: 'lead the return down under the fuel',
    });
  if (away < RETURN.away)
    found.push({
      outcome: 'doubtful',
      text: 'the return ends beside the pick-up: warm fuel and bubbles go straight round',
      figure: say`${mm(away)}`,
      limit: say`${mm(RETURN.away)}`,
      next: 'lead its end away from the pick-up, against a wall or into the tray',
    });
  return found.length > 0 ? found : [{ outcome: 'good', text: 'the return ends under the fuel and away from it' }];
}
