import { diagnose, type DiagnosisFacts } from '../diagnosis/index.ts';
import { bestWayOut, drainFacts, shareOut, startingKit, type DrainKit, type DrainWay } from '../drain/index.ts';
import { roundTo, type Estimate } from '../estimate/index.ts';
import { drained, judgeHandling, kilogramsOf, litresToTakeOut, tankMass, type Handling } from '../handling/index.ts';
import type { JobState } from '../job/index.ts';
import { stopsInWords, type Ahead } from '../foresight/index.ts';
import { inWords, kilograms, litres, say, type Sentence } from '../quantity/index.ts';
import { couldStop, type CouldStop } from '../needed/index.ts';
import { countsFor, fuelCelsius, ignoredWitnesses, safeFillToday, witnessWord } from '../tank/index.ts';
import { AROUND, breakEven, lowerMinutes, waysIn, type WayIn } from '../waysIn/index.ts';
import { byJack, supportWords, travelWords, type VehicleFile } from '../vehicle/index.ts';
import { complaintOf, type ComplaintKind } from './complaints.ts';
import { callQuestions, type CallQuestion } from './questions.ts';

export { anotherDrop } from './again.ts';
export type { CallQuestion } from './questions.ts';

export { complaintKinds, complaintOf } from './complaints.ts';

/** What a technician should know before touching a bolt. */
export interface Call {
  /** The answer in one line. */
  headline: string;
  /** Who may take it off the jack as it stands. */
  now: Handling;
  /** And once all was taken out that comes out. */
  drained: Handling;
  /** Litres aboard. */
  aboard: Estimate;
  /** Litres to take out so that it is light enough for one, whatever is true. */
  takeOut: { litres: Estimate; enough: boolean };
  /** How it comes out best in this shop, and into how many cans; null when nothing need come out. */
  wayOut: { way: DrainWay; cans: number } | null;
  /** Down, bench left out, and up again. */
  minutes: Estimate;
  /** The way down of it, by the one figure that every place shows. */
  down: Ahead;
  /** The test that comes before the tank. */
  test: ComplaintKind;
  /** Ways in compared, the quickest first, and when another one wins. */
  waysIn: WayIn[];
  /** When another way in wins; null where none does. */
  breakEven: string | null;
  /** At most three, only those whose answer changes the call. */
  questions: CallQuestion[];
  /** What could end the job half-way, the surest first. */
  couldStop: CouldStop[];
  /** What soaks meanwhile, and for how long; null where nothing is tight. */
  soak: { what: string; minutes: number } | null;
  /** Each line's why: what went into it. */
  why: Record<'takeOut' | 'minutes' | 'test' | 'couldStop' | 'soak' | 'mass', Sentence>;
}

/** Cans a shop has at hand to start with, L; common practice, no source. */
export const startingCans: readonly number[] = [20, 20, 20, 20, 10, 10];

/**
 * The call: whether it may be taken down alone, what to take out first, how long, what to test first, what could stop it.
 *
 * @example makeCall(state).headline // 'Don’t take it down alone yet.'
 */
export function makeCall(
  state: JobState,
  tools: { kit: DrainKit; cans: readonly number[] } = { kit: startingKit, cans: startingCans },
): Call {
  const { vehicle } = state;
  const shop = kilogramsOf(state);
  const { aboard } = state.fuel;
  const celsius = fuelCelsius(state);
  const { headline, now, drained: after, test } = callLine(state);
  const takeOut = litresToTakeOut({ vehicle, aboard, limit: shop.alone, celsius });
  const lower = lowerMinutes(state);
  const ways = waysIn(state, lower);
  const weak = vehicle.fasteners.filter((f) => f.likelyToBreak);
  const { emptyMass: empty } = vehicle.tank;
  const way = travelWords(vehicle);
  const { two } = shop;
  const forTwo = two === null ? null : litresToTakeOut({ vehicle, aboard, limit: two, celsius }).litres;
  return {
    headline,
    now,
    drained: after,
    aboard,
    takeOut,
    wayOut: wayOut(state, takeOut.litres.hi, tools),
    minutes: lower.total,
    down: lower.down,
    waysIn: ways,
    breakEven: breakEven(ways, lower),
    questions: callQuestions(state, { cans: tools.cans, ways }),
    test,
    couldStop: couldStop(state, lower.down.heldBy),
    soak: weak[0] ? { what: supportWords(vehicle, weak[0].id).fasteners, minutes: 20 } : null,
    why: {
      mass: say`empty tank ${kilograms(empty.lo, empty.hi)}, ${vehicle.fuel} ${litres(aboard.lo, aboard.hi)}; one may take ${kilograms(shop.alone)}${two === null ? ' lying under it, two have no figure' : say` off a jack, two ${kilograms(two)}`}, by shop rule`,
      takeOut: say`what has to come out until the tank weighs ${kilograms(shop.alone)} at its heavy end; ${forTwo ? say`for two, ${litres(forTwo.lo, forTwo.hi)} out are enough; ` : ''}${witnessesTold(state)}`,
      minutes: `${stopsInWords(lower.down.stops, lower.down.open)} stops on the ${way.wayOff}, every joint made singly on the ${way.wayBack}, ${AROUND.typ} min for gates, draining and proving; bench work comes on top`,
      test: test.why,
      couldStop:
        'what is always replaced or likely to break and not known to be here, what differs from the old part, and what the plan runs into',
      soak: 'penetrating oil works while other things are done; common practice, no source',
    },
  };
}

/** By whom the litres are known, and who does not count. */
function witnessesTold(state: JobState): string {
  const counted = state.fuel.steps.filter(countsFor).map((step) => witnessWord[step.kind]);
  return [
    counted.length === 0 ? 'no witness yet, so anything up to a full tank' : `witnesses: ${counted.join(', ')}`,
    ...ignoredWitnesses(state).map((text) => `not counted, ${text}`),
  ].join('; ');
}

/**
 * The call's first line and the test that comes first: what needs no plan, for the places that show no more than that.
 *
 * @example callLine(state).headline // 'Don’t take it down alone yet.'
 */
export function callLine(state: JobState): Pick<Call, 'headline' | 'now' | 'drained' | 'test'> {
  const { vehicle } = state;
  const shop = kilogramsOf(state);
  const { aboard } = state.fuel;
  const celsius = fuelCelsius(state);
  const now = judgeHandling(tankMass(vehicle, aboard, celsius), shop);
  const after = judgeHandling(tankMass(vehicle, drained(vehicle, aboard), celsius), shop);
  return {
    headline: elsewhere(state) ?? headlineOf({ now, after, vehicle }),
    now,
    drained: after,
    test: complaintOf(state.complaint),
  };
}

/**
 * What comes before any lifting: a complaint that does not show, or a test that points away from the tank; else null.
 *
 * @example elsewhere(state) // 'Not the tank yet: the ground loses too much under load.'
 */
export function elsewhere(state: Pick<JobState, 'complaintTest'> & DiagnosisFacts): string | null {
  if (state.complaintTest?.result === 'notShown') return 'It does not show itself: find it before the tank comes out.';
  const { outcome, reasons } = diagnose(state).verdict;
  return outcome === 'bad' ? `Not the tank yet: ${inWords(reasons[0]?.text ?? '')}.` : null;
}

function wayOut(state: JobState, litres: number, tools: { kit: DrainKit; cans: readonly number[] }): Call['wayOut'] {
  const { way } = bestWayOut(
    {
      vehicle: state.vehicle,
      aboard: state.fuel.aboard,
      complaint: state.complaint,
      facts: drainFacts(state, state.gates[1].passed !== null),
      kit: tools.kit,
    },
    kilogramsOf(state).alone,
  );
  return way && { way, cans: shareOut(litres, tools.cans, safeFillToday(state)).cans.length };
}

function headlineOf({ now, after, vehicle }: { now: Handling; after: Handling; vehicle: VehicleFile }): string {
  const { off } = travelWords(vehicle);
  if (now.hands === 'alone') return `One may take it ${off} as it is.`;
  if (after.hands === 'alone') return `Don’t take it ${off} alone yet.`;
  if (after.hands === 'two') return `Drain it first, then take it ${off} with two.`;
  return byJack(vehicle)
    ? 'Too heavy by hand even drained: it stays on the jack.'
    : 'Too heavy by hand even drained: more hands, or a hoist.';
}

/**
 * Minutes as hours a person reads.
 *
 * @param open it may take more than is known of: then there is no upper end
 * @example hoursInWords({ lo: 118, typ: 150, hi: 240 }) // '2.5 h (2–4)'
 */
export function hoursInWords(minutes: Pick<Estimate, 'lo' | 'typ' | 'hi'>, open = false): string {
  if (open)
    return `${minutes.typ < 90 ? `${roundTo(minutes.typ, 5)} min` : `${roundTo(minutes.typ / 60, 0.5)} h`} and more`;
  if (minutes.hi < 90) return `${roundTo(minutes.typ, 5)} min (${roundTo(minutes.lo, 5)}–${roundTo(minutes.hi, 5)})`;
  const hours = (m: number) => roundTo(m / 60, 0.5);
  return `${hours(minutes.typ)} h (${hours(minutes.lo)}–${hours(minutes.hi)})`;
}
