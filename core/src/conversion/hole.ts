import { commonPractice, computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { mm, say } from '../quantity/index.ts';
import { verdictFrom, worst, type Found, type Verdict } from '../verdict/index.ts';

/** A hole that is not made yet, and what goes into it. */
export interface HolePlan {
  /** mm the stack of flange, fittings and plug stands above the tank. */
  stack: number;
  /** mm from the tank to what is above it when it is home: recess, floor, crossmember. */
  recess: number;
  /** What hangs there. */
  hangs?: string;
  /** mm of the hole. */
  hole: number;
  /** mm of the bolt circle; null: a ring, no bolts. */
  boltCircle: number | null;
  /** mm of a bolt. */
  bolt?: number;
  /** mm out of flat under a straight edge across the seal. */
  outOfFlat: number;
  /** mm the seal may be squeezed. */
  squeeze: number;
  /** mm from the unit’s edge to tray, baffle or wall inside. */
  inside: number;
  /** mm the float needs to swing free, from the unit’s edge. */
  swing: number;
  /** mm the index points off the way the lines leave, degrees. */
  clocking: number;
  /** Has the tank ever held fuel? */
  neverFuelled: boolean;
}

/** Above the stack there is so much air when it is home: the tank sits otherwise on other pads, mm. Common practice, no source. */
const AIR = 10;
/** Metal between hole and bolt, in bolts; common practice, no source. */
const EDGE = 1.5;
/** Seal that stays to be squeezed, share; common practice, no source. */
const FLAT = 0.25;
/** Whatever is cut falls in. */
const CHIPS =
  'chips and tools counted in and out; edges broken, the tank vacuumed and swilled with a magnet before anything goes in';
/** A hose takes so many degrees of turn without a kink; common practice, no source. */
const TURN = 30;

/**
 * Before a hole is made: does the stack find room under what hangs above, does metal stay between hole and bolts, is the face flat
 * enough for the seal, does the unit clear tray, baffle and float, does it point where the lines leave. And never in a tank that
 * held fuel.
 *
 * @throws InputError for sizes that make no hole
 * @example judgeHole(plan).outcome // 'bad': the stack strikes the floor above
 */
export function judgeHole(plan: HolePlan): Verdict {
  if (!(plan.hole > 0)) throw new InputError('hole', String(plan.hole), 'more than nothing');
  if (!(plan.squeeze > 0)) throw new InputError('squeeze', String(plan.squeeze), 'what the seal gives');
  const found = [fuelled(plan), stack(plan), ...edge(plan), flat(plan), inside(plan), clocking(plan)];
  const outcome = worst(found.map((one) => one.outcome));
  return verdictFrom(
    found.map((one) =>
      one.limit ? { ...one, basis: computed('measured against what it needs; margins common practice') } : one,
    ),
    { basis: commonPractice, next: outcome === 'bad' ? [] : [CHIPS] },
  );
}

const fuelled = ({ neverFuelled }: HolePlan): Found =>
  neverFuelled
    ? { outcome: 'good', text: 'it never held fuel' }
    : {
        outcome: 'bad',
        text: 'it has held fuel: no drill and no saw',
        next: 'a licensed shop, with the tank certified gas-free; or a new one',
      };

function stack({ stack: height, recess, hangs }: HolePlan): Found {
  const room = recess - height;
  const figure = say`${mm(height, height, 1)}`;
  const limit = say`${mm(recess, recess, 1)}`;
  if (room < 0)
    return {
      outcome: 'bad',
      text: `the stack strikes ${hangs || 'what is above it'}`,
      figure,
      limit,
      next: 'lower fittings, angled ones, or another place; measured with the tank on its pads',
    };
  if (room < AIR)
    return {
      outcome: 'doubtful',
      text: `it goes under ${hangs || 'what is above it'} with little air`,
      figure,
      limit,
      next: 'try it with the tank up and the straps snug, before the hole',
    };
  return { outcome: 'good', text: 'the stack finds room above it', figure, limit };
}

function edge({ hole, boltCircle, bolt }: HolePlan): Found[] {
  if (boltCircle === null) return [];
  const metal = (boltCircle - hole) / 2;
  const least = EDGE * (bolt ?? 5);
  const figure = say`${mm(metal, metal, 1)}`;
  const limit = say`${mm(least, least, 1)}`;
  if (metal < least)
    return [
      {
        outcome: 'bad',
        text: 'too little is left between hole and bolts',
        figure,
        limit,
        next: 'a smaller hole, or a ring with its own circle',
      },
    ];
  return [{ outcome: 'good', text: 'enough is left between hole and bolts', figure, limit }];
}

function flat({ outOfFlat, squeeze }: HolePlan): Found {
  const most = squeeze * (1 - FLAT);
  const figure = say`${mm(outOfFlat, outOfFlat, 1)}`;
  const limit = say`${mm(most, most, 1)}`;
  if (outOfFlat > most)
    return {
      outcome: 'bad',
      text: 'the face is not flat: the seal can’t follow',
      figure,
      limit,
      next: 'another place, or a ring that makes its own face',
    };
  if (outOfFlat > most / 2)
    return {
      outcome: 'doubtful',
      text: 'the seal follows the face only just',
      figure,
      limit,
      next: 'hold it under a little air, soap all round, before it goes back',
    };
  return { outcome: 'good', text: 'flat enough for the seal', figure, limit };
}

function inside({ inside: room, swing }: HolePlan): Found {
  const figure = say`${mm(room, room, 1)}`;
  const limit = say`${mm(swing, swing, 1)}`;
  if (room < swing)
    return {
      outcome: 'bad',
      text: 'the float strikes tray, baffle or wall',
      figure,
      limit,
      next: 'turn it, or another place: sweep it inside a paper outline first',
    };
  return { outcome: 'good', text: 'clear of tray, baffle and wall', figure, limit };
}

function clocking({ clocking: degrees }: HolePlan): Found {
  const off = Math.abs(degrees);
  const figure = `${off}°`;
  const limit = `${TURN}°`;
  if (off > TURN)
    return {
      outcome: 'doubtful',
      text: 'it points away from where the lines leave',
      figure,
      limit,
      next: 'turn the bolt circle, or give the hoses a longer way',
    };
  return { outcome: 'good', text: 'it points where the lines leave', figure, limit };
}
