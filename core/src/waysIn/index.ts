import { present } from '../errors/index.ts';
import { mm, say, type Sentence } from '../quantity/index.ts';
import { commonPractice } from '../basis/index.ts';
import { add, roundTo, total, type Estimate } from '../estimate/index.ts';
import { BED_OFF as BED_COMES_OFF, MOVE_MINUTES, RING_FROM_ABOVE } from '../hang/index.ts';
import type { Complaint } from '../order/index.ts';
import { answerTo } from '../questions/index.ts';
import { actionsOf, routePartWay } from '../stops/index.ts';
import { byJack, carriedBy, estimateOf, travelWords } from '../vehicle/index.ts';
import type { WaysInFacts } from './facts.ts';
import { AROUND, lowerMinutes, withSurprises, type LowerMinutes } from './lower.ts';

export type { WaysInFacts } from './facts.ts';
export { AROUND, lowerMinutes } from './lower.ts';

/** A way of getting at the pump or the sender. */
export type WayInId = 'lower' | 'partway' | 'bed' | 'hatch' | 'sender';

/** A way in, as it stands on this vehicle. */
export interface WayIn {
  /** Which one. */
  id: WayInId;
  /** As people call it. */
  name: string;
  /** There and back, the bench left out. */
  minutes: Estimate;
  /** How many people it takes. */
  people: number;
  /** What comes off, and so goes back. */
  off: string[];
  /** What is still to do, or cannot be done this way. */
  remains: Sentence;
  /** Why it cannot be here; null where it can. */
  cannot: Sentence | null;
  /** Is it open whether it can be? Then what to look for. */
  look: string | null;
}

/** Complaints for which the tank itself must come out. */
const tankOut: Complaint[] = ['leak', 'rust', 'badFuel', 'biggerTank'];

/** Around a job that stays part-way: somewhat less, since nothing comes off the jack; minutes, common practice, no source. */
const PART_WAY_AROUND: Estimate = { ...AROUND, lo: AROUND.lo - 5, typ: AROUND.typ - 5 };
/** Top of the tank where two hands work on it, mm below home; common practice, no source. */
export const WORKING_HEIGHT = 150;
const some = (lo: number, typ: number, hi: number): Estimate => ({ lo, typ, hi, basis: commonPractice });

/**
 * The ways in, compared: minutes there and back, people, what comes off and goes back, what remains.
 *
 * @param lowered what lowering takes, where it is known already
 * @returns those that can be first, the quickest on top
 * @example waysIn(state)[0]!.id // 'lower'
 */
export function waysIn(state: WaysInFacts, lowered: LowerMinutes = lowerMinutes(state)): WayIn[] {
  const ways = [lower(state, lowered.total), partWay(state), bed(state), hatch(state), sender(state)];
  return ways.sort((a, b) => Number(a.cannot !== null) - Number(b.cannot !== null) || a.minutes.typ - b.minutes.typ);
}

const names = (state: WaysInFacts): string[] => [
  ...state.vehicle.connections.map((line) => line.name),
  ...state.vehicle.supports.map((s) => s.name),
];

function lower(state: WaysInFacts, minutes: Estimate): WayIn {
  return {
    id: 'lower',
    name: travelWords(state.vehicle).wayIn,
    minutes,
    people: carriedBy(state.vehicle).people,
    off: [...state.vehicle.obstructions.filter((o) => o.blocksAt).map((o) => o.name), ...names(state)],
    remains:
      carriedBy(state.vehicle).whenSupportsLetGo > 1
        ? 'two pairs of hands when it lets go'
        : 'one pair of hands is enough',
    cannot: null,
    look: null,
  };
}

/**
 * Down to where two hands work on its top, and up again: what holds it there comes off, the rest stays on.
 *
 * @example partWay(state).cannot // null where it can be
 */
export function partWay(state: WaysInFacts): WayIn {
  const route = routePartWay(state, { drop: WORKING_HEIGHT, view: 'typical' });
  const actions = route?.stops.flatMap((stop) => actionsOf(state, stop.uses)) ?? [];
  const moves = Array.from({ length: route?.moves ?? 0 }, () => MOVE_MINUTES);
  const down = total([...moves, ...actions.map((a) => a.minutes)]);
  const off = actions.map((a) => a.name);
  return {
    id: 'partway',
    name: `Part-way ${travelWords(state.vehicle).off}`,
    minutes: add(add(down, withSurprises(down)), PART_WAY_AROUND),
    people: 1,
    off,
    remains: say`work on its top at ${mm(WORKING_HEIGHT)}, on what carries it all the time; nothing to be cleaned inside`,
    cannot: tankOut.includes(state.complaint)
      ? 'the tank itself must come out'
      : !byJack(state.vehicle)
        ? 'hands carry it: nobody holds it there while another works'
        : route
          ? null
          : say`it is held before ${mm(WORKING_HEIGHT)}`,
    look: null,
  };
}

/** Bed off: bolts, lamps, wiring, filler; there and back. Common practice, no source. */
const BED_OFF = some(40, 60, 110);
const BED_BACK = some(35, 50, 90);

function bed(state: WaysInFacts): WayIn {
  const answer = answerTo(state, BED_COMES_OFF);
  const made = total(state.vehicle.connections.map((l) => estimateOf(state.vehicle, l.part[0]!.minutes)));
  const out = tankOut.includes(state.complaint) ? some(15, 25, 45) : some(0, 0, 0);
  return {
    id: 'bed',
    name: 'Lift or slide the bed',
    minutes: total([BED_OFF, BED_BACK, made, made, out, AROUND]),
    people: 2,
    off: ['bed bolts', 'lamps and wiring', 'liner', 'filler neck at the bed'],
    remains: out.typ > 0 ? 'the tank still comes out, upwards' : 'what holds the tank stays on',
    cannot:
      state.vehicle.mounting !== 'rail'
        ? 'no bed above this tank'
        : answer === 'no'
          ? 'this bed does not come off'
          : null,
    look:
      answer === 'yes' ? null : 'bolts free, not fixed to the bumper, room and ground for stands, hoist or four hands',
  };
}

const HATCH_MOUNTS = ['seat', 'floor', 'crosswise', 'upright'];

function fromAbove(state: WaysInFacts): { cannot: string | null; look: string | null } {
  const answer = answerTo(state, RING_FROM_ABOVE);
  if (answer === 'no') return { cannot: 'no ring in sight from above', look: null };
  if (tankOut.includes(state.complaint) || state.complaint === 'hose')
    return { cannot: 'what is wrong is not under the ring', look: null };
  if (answer === 'yes') return { cannot: null, look: null };
  if (!HATCH_MOUNTS.includes(state.vehicle.mounting)) return { cannot: 'nobody has seen a hatch here', look: null };
  return { cannot: null, look: 'is the ring in sight from the boot, or under the seat?' };
}

function hatch(state: WaysInFacts): WayIn {
  return {
    id: 'hatch',
    name: 'Through the hatch',
    minutes: total([some(10, 15, 35), some(10, 15, 30), some(15, 25, 40)]),
    people: 1,
    off: ['trim or seat', 'hatch cover', 'plug and lines on top'],
    remains: 'the tank stays in; vapour rises into the vehicle: doors open, nobody in it',
    ...fromAbove(state),
  };
}

function sender(state: WaysInFacts): WayIn {
  const above = fromAbove(state);
  return {
    id: 'sender',
    name: 'Sender alone, from above',
    minutes: total([some(10, 15, 30), some(10, 15, 25), some(10, 15, 25)]),
    people: 1,
    off: ['trim or seat', 'sender ring'],
    remains: 'only the sender is looked at',
    cannot: state.complaint !== 'level' ? 'the sender is not the complaint' : above.cannot,
    look: above.look,
  };
}

/**
 * When another way wins over lowering, in words; null where none can be.
 *
 * @param all the ways in, and what lowering takes
 * @example breakEven(waysIn(state), lowerMinutes(state)) // 'bed 3 h, wins once what is in the way costs over 35 min'
 */
export function breakEven(all: readonly WayIn[], { inTheWay }: Pick<LowerMinutes, 'inTheWay'>): string | null {
  const ways = all.filter((w) => w.cannot === null);
  const down = present(
    ways.find((w) => w.id === 'lower'),
    'way',
    'lower',
  );
  const said = ways
    .filter((w) => w.id !== 'lower' && w.id !== 'sender')
    .map((w) => {
      const hours = w.minutes.typ < 90 ? `${roundTo(w.minutes.typ, 5)} min` : `${roundTo(w.minutes.typ / 60, 0.5)} h`;
      const name = w.name[0]!.toLowerCase() + w.name.slice(1);
      const seen = w.look ? ', if it can be' : '';
      const wins = w.minutes.typ - (down.minutes.typ - inTheWay.typ);
      if (w.id === 'partway')
        return `${name} ${hours}: ${w.minutes.typ < down.minutes.typ - 5 ? 'quicker, and the tank stays on the jack' : 'saves nothing'}`;
      if (wins <= inTheWay.typ) return `${name} ${hours}${seen}: quicker`;
      return `${name} ${hours}${seen}, wins once what is in the way costs over ${roundTo(wins, 5)} min (now ${roundTo(inTheWay.typ, 5)})`;
    });
  return said.length > 0 ? said.join('; ') : null;
}
