import { commonPractice } from '../basis/index.ts';
import { bestWayOut, shareOut, type DrainWay } from '../drain/index.ts';
import { safeFill } from '../fluid/index.ts';
import { add, rangeInWords, roundTo, total, type Estimate } from '../estimate/index.ts';
import {
  drained,
  judgeHandling,
  litresToTakeOut,
  startingKilograms,
  tankMass,
  type Handling,
  type ShopKilograms,
} from '../handling/index.ts';
import type { JobState } from '../job/types.ts';
import { planDescent } from '../stops/preview.ts';
import { witnessWord } from '../tank/index.ts';
import { estimateOf } from '../vehicle/index.ts';
import { complaintOf, type ComplaintKind } from './complaints.ts';

export { complaintKinds, complaintOf, type ComplaintKind } from './complaints.ts';

/** What a technician should know before touching a bolt. First version: weight, litres, time, first test. */
export interface Call {
  headline: string;
  now: Handling;
  drained: Handling;
  aboard: Estimate;
  /** Litres to take out so that it is light enough for one, whatever is true. */
  takeOut: { litres: Estimate; enough: boolean };
  /** How it comes out best in this shop, and into how many cans; null when nothing need come out. */
  wayOut: { way: DrainWay; cans: number } | null;
  /** Down, bench left out, and up again. */
  minutes: Estimate;
  test: ComplaintKind;
  couldStop: string[];
  soak: { what: string; minutes: number } | null;
  /** Each line's why: what went into it. */
  why: Record<'takeOut' | 'minutes' | 'test' | 'couldStop' | 'soak' | 'mass', string>;
}

/** Gates, draining set-up and proving, minutes; common practice, no source. */
const AROUND: Estimate = { lo: 35, typ: 50, hi: 80, basis: commonPractice };

/**
 * The call: whether it may be taken down alone, what to take out first, how long, what to test first, what could stop it.
 *
 * @example makeCall(state, { alone: 25, two: 40 }).headline // 'Don’t take it down alone yet.'
 */
export function makeCall(state: JobState, shop: ShopKilograms = startingKilograms): Call {
  const { vehicle } = state;
  const { aboard } = state.fuel;
  const now = judgeHandling(tankMass(vehicle, aboard), shop);
  const after = judgeHandling(tankMass(vehicle, drained(vehicle, aboard)), shop);
  const takeOut = litresToTakeOut(vehicle, aboard, shop.alone);
  const down = planDescent(state);
  const up = total([
    ...vehicle.connections.map((line) => estimateOf(vehicle, (line.make[0] ?? line.part[0]!).minutes)),
    ...vehicle.obstructions
      .filter((o) => o.blocksAt && o.restore[0])
      .map((o) => estimateOf(vehicle, o.restore[0]!.minutes)),
    ...vehicle.supports.map(() => ({ lo: 4, typ: 6, hi: 12, basis: commonPractice })),
  ]);
  const weak = vehicle.fasteners.filter((f) => f.likelyToBreak);
  const test = complaintOf(state.complaint);
  return {
    headline: headline(now, after),
    now,
    drained: after,
    aboard,
    takeOut,
    wayOut: wayOut(state, takeOut.litres.hi, shop),
    minutes: add(add(widen(down.minutes), up), AROUND),
    test,
    couldStop: [
      ...(state.complaint === 'leak' || state.complaint === 'hose' ? [] : ['ring seal not here']),
      ...weak.map((f) => `${f.count} × ${f.thread} strap fasteners may break: have spares`),
      ...(down.outcome === 'held'
        ? [`on typical figures ${down.stops.at(-1)?.holders[0]?.name ?? 'something'} holds it`]
        : []),
    ],
    soak: weak.length > 0 ? { what: 'strap fasteners', minutes: 20 } : null,
    why: {
      mass: `empty tank ${rangeInWords(estimateOf(vehicle, vehicle.tank.emptyMass), 1)} kg, ${vehicle.fuel} ${rangeInWords(aboard, 1)} L; one may take ${shop.alone} kg off a jack, two ${shop.two} kg, by shop rule`,
      takeOut: `litres at which the tank weighs ${shop.alone} kg at its heavy end; ${state.fuel.steps.length === 0 ? 'no witness yet, so anything up to a full tank' : `witnesses: ${state.fuel.steps.map((s) => witnessWord[s.kind]).join(', ')}`}`,
      minutes: `${down.stops.length} stops down on typical figures, every joint made singly on the way up, ${AROUND.typ} min for gates, draining and proving; bench work comes on top`,
      test: test.why,
      couldStop: 'what the vehicle file lists as likely to break, and what is always replaced',
      soak: 'penetrating oil works while other things are done; common practice, no source',
    },
  };
}

/** Cans a shop has at hand to start with, L; common practice, no source. */
const CANS = [20, 20, 20, 20, 10, 10];

function wayOut(state: JobState, litres: number, shop: ShopKilograms): Call['wayOut'] {
  const { way } = bestWayOut(
    { vehicle: state.vehicle, aboard: state.fuel.aboard, complaint: state.complaint },
    shop.alone,
  );
  return way && { way, cans: shareOut(litres, CANS, safeFill(state.vehicle.fuel)).cans.length };
}

function headline(now: Handling, after: Handling): string {
  if (now.hands === 'alone') return 'One may take it down as it is.';
  if (after.hands === 'alone') return 'Don’t take it down alone yet.';
  if (after.hands === 'two') return 'Drain it first, then take it down with two.';
  return 'Too heavy by hand even drained: it stays on the jack.';
}

/** A typical plan's minutes already carry ranges; surprises add at the far end. Common practice, no source. */
const widen = (minutes: Estimate): Estimate => ({ ...minutes, hi: minutes.hi * 1.25 });

/** Minutes as hours a person reads. @example hoursInWords({ lo: 118, typ: 150, hi: 240 }) // '2.5 h (2–4)' */
export function hoursInWords(minutes: Pick<Estimate, 'lo' | 'typ' | 'hi'>): string {
  if (minutes.hi < 90) return `${roundTo(minutes.typ, 5)} min (${roundTo(minutes.lo, 5)}–${roundTo(minutes.hi, 5)})`;
  const hours = (m: number) => roundTo(m / 60, 0.5);
  return `${hours(minutes.typ)} h (${hours(minutes.lo)}–${hours(minutes.hi)})`;
}
