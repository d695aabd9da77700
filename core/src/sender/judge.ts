import { max, median, min } from 'simple-statistics';
import { commonPractice, computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import { heightAt, litresAt, stopsOf, type Stops } from './curve.ts';
import { jumpsOf, noiseOf, opensOf, restAt, type OpenRun } from './series.ts';
import { unreadOf, type Unread } from './gaps.ts';
import { besideOld } from './beside.ts';
import {
  deadFinding,
  dropOutFinding,
  endFindings,
  jumpFindings,
  MANY,
  missing,
  noiseFindings,
  travelFindings,
  unreadFindings,
  type Dead,
  type Ends,
} from './found.ts';
import type { OhmPlace, Pass, SweepReading } from './types.ts';
import { passFrom, type SweptWay } from './way.ts';

/** A step is a jump of more than this share of the span; common practice, no source. */
const STEP = 0.05;
/** Beyond twice the largest end it is open, whatever the meter says. */
const OPEN = 2;
/** A sender, swept. */
export interface SweepJudged {
  /** Whether it may go back. */
  verdict: Verdict;
  /** Ω while the arm rests. */
  ends: Ends;
  /** Standard deviation of its noise, Ω. */
  noise: number;
  /** Open at overlapping places in two ways. */
  dead: Dead[];
  /** Opens that did not come again: never good all the same. */
  dropOuts: Dead[];
  /** Where it jumps and stays. */
  jumps: OhmPlace[];
  /** Where the arm went on while nothing was read. */
  unread: Unread[];
  /** Does it flicker on its way? */
  restless: boolean;
  /** Was there anything to hold its ends against? */
  held: boolean;
}

/** What a sweep is held against. */
export interface Against {
  /** Its file: stops, curve, shape. */
  file: VehicleFile;
  /** Family somebody named, where the file says nothing. */
  family?: string | undefined;
  /** Ends of the one that came out, where one goes in for it. */
  old?: Ends | undefined;
}

/**
 * May this sender go back? Slow sweeps from stop to stop; the first pass counts, and a drop-out in any pass is never good.
 *
 * @throws InputError for a reading that is no resistance
 * @example judgeSweep(passes, { file: rail }).verdict.outcome // 'bad' with a dead spot
 */
export function judgeSweep(given: readonly Pass[], { file, family, old }: Against): SweepJudged {
  const wrong = given.flatMap(({ readings }) => readings).find((reading) => !isResistance(reading));
  if (wrong) throw new InputError('ohms', String(wrong.ohms), 'a resistance, zero or more, or open');
  const stops = stopsOf(file.sender, family);
  const passes = withoutBeyond(given, stops);
  const noise = noiseOf(passes);
  const swept = spanOf(passes);
  const span = stops ? Math.abs(stops.full.typ - stops.empty.typ) : swept;
  const within = Math.max(3 * noise, 0.005 * span);
  const ends = endsOf(passes, within);
  const placed = (place: OhmPlace): Dead => ({ ...place, litres: litresOf(file, stops, place) });
  const runs = opensOf(passes);
  const { dead, alone } = deadSpots(runs, { stops, near: Math.max(6 * noise, 0.01 * span) });
  const over = Math.max(6 * noise, STEP * span);
  const jumps = span > 0 ? jumpsOf(passes, over) : [];
  const unread = span > 0 ? unreadOf(passes, STEP * span) : [];
  const flickers = span > 0 ? noiseFindings(noise / span) : [];
  const beside = old && !stops ? besideOld(ends, old, file) : null;
  const judged = {
    ends,
    noise,
    dead: dead.map(placed),
    dropOuts: alone.map(placed),
    jumps,
    unread,
    restless: flickers.length > 0,
    held: stops !== null || beside !== null,
  };
  const found: Found[] = [
    ...judged.dead.map((spot) => deadFinding(spot)),
    ...judged.dropOuts.map((spot) => dropOutFinding(spot)),
    ...jumpFindings(jumps, over),
    ...flickers,
    ...travelFindings(passes, { span, within }),
    ...(beside ?? endFindings(ends, { stops, span, swept })),
    ...unreadFindings(unread),
    ...missing(given),
  ];
  return { ...judged, verdict: verdictOf(found, given.length) };
}

const isResistance = ({ ohms }: SweepReading): boolean => ohms === null || ohms >= 0;

/** A way to be swept again before it is judged. */
export interface SweepAgain {
  /** Which. */
  way: Pass['way'];
  /** Where, and why: not known yet. */
  verdict: Verdict;
}

/**
 * Which way has to be swept again, because the readings stopped while the arm went on; null: none. A reading that is no
 * resistance is said where the ways are judged.
 *
 * @example sweepAgain(ways, { file })?.way // 'up'
 */
export function sweepAgain(ways: readonly SweptWay[], against: Against): SweepAgain | null {
  const passes = ways.map(passFrom);
  const { unread } = passes.every(({ readings }) => readings.every(isResistance))
    ? judgeSweep(passes, against)
    : { unread: [] };
  const [longest] = unread;
  return longest ? { way: longest.way, verdict: verdictFrom(unreadFindings(unread), { basis: commonPractice }) } : null;
}

/** Beyond twice the largest end the meter may say what it likes: it is open. */
function withoutBeyond(passes: readonly Pass[], stops: Stops | null): Pass[] {
  const all = passes.flatMap(({ readings }) => readings.flatMap((r) => (r.ohms === null ? [] : [r.ohms])));
  const ends = passes.flatMap(({ readings }) => [readings[0]?.ohms ?? 0, readings.at(-1)?.ohms ?? 0]);
  const largest = stops ? Math.max(stops.empty.hi, stops.full.hi) : all.length === 0 ? 0 : Math.max(...ends);
  if (largest === 0) return passes.map((pass) => pass);
  return passes.map(({ way, readings }) => ({
    way,
    readings: readings.map((r) => (r.ohms !== null && r.ohms > OPEN * largest ? { ...r, ohms: null } : r)),
  }));
}

function spanOf(passes: readonly Pass[]): number {
  const all = passes.flatMap(({ readings }) => readings.flatMap((r) => (r.ohms === null ? [] : [r.ohms])));
  return all.length === 0 ? 0 : max(all) - min(all);
}

function endsOf(passes: readonly Pass[], within: number): Ends {
  const at = (end: 'empty' | 'full'): number | null => {
    const rests = passes.flatMap((pass) => {
      const rest = restAt(pass, (pass.way === 'up') === (end === 'empty') ? 'begins' : 'ends', within);
      return rest === null ? [] : [rest];
    });
    return rests.length === 0 ? null : median(rests);
  };
  return { empty: at('empty'), full: at('full') };
}

/** Runs of two and more that overlap in two ways; the others stand alone. */
function deadSpots(
  runs: readonly OpenRun[],
  { stops, near }: { stops: Stops | null; near: number },
): { dead: OhmPlace[]; alone: OhmPlace[] } {
  const bounds = ({ from, to }: OhmPlace): [number, number] => {
    const a = from ?? stops?.empty.typ ?? to ?? 0;
    const b = to ?? stops?.full.typ ?? from ?? 0;
    return [Math.min(a, b), Math.max(a, b)];
  };
  const meet = (a: OpenRun, b: OpenRun): boolean => {
    const [x, y] = [bounds(a), bounds(b)];
    return Math.max(x[0], y[0]) <= Math.min(x[1], y[1]) + near;
  };
  // Open all over: nobody asks where, and comparing each with each would take minutes.
  if (runs.length > MANY) return { dead: [hull(runs)], alone: [] };
  const spots: OpenRun[][] = [];
  const alone: OpenRun[] = [];
  for (const run of runs) {
    const again = runs.some((other) => other.way !== run.way && other.count > 1 && meet(other, run));
    if (run.count < 2 || !again) {
      if (!runs.some((other) => other !== run && other.count > 1 && meet(other, run))) alone.push(run);
      continue;
    }
    const spot = spots.find((list) => list.some((other) => meet(other, run)));
    if (spot) spot.push(run);
    else spots.push([run]);
  }
  return { dead: spots.map(hull), alone };
}

/** From the last good reading before to the first after, over all the ways in which it showed. */
function hull(runs: readonly OpenRun[]): OhmPlace {
  const rising = runs.some((r) => r.from !== null && r.to !== null && r.to >= r.from);
  const pick = (list: (number | null)[], low: boolean): number | null =>
    list.some((v) => v === null) ? null : (low ? min : max)(list as number[]);
  return {
    from: pick(
      runs.map((r) => r.from),
      rising,
    ),
    to: pick(
      runs.map((r) => r.to),
      !rising,
    ),
  };
}

function litresOf(file: VehicleFile, stops: Stops | null, { from, to }: OhmPlace): Dead['litres'] {
  const at = (ohms: number | null, end: number): number | null => (ohms === null ? end : heightAt(file, ohms, stops));
  const [a, b] = [at(from, 0), at(to, file.tank.shape.height)];
  if (a === null || b === null) return null;
  const [x, y] = [litresAt(file, Math.min(a, b)), litresAt(file, Math.max(a, b))];
  return { lo: x, hi: y };
}

function verdictOf(found: readonly Found[], passes: number): Verdict {
  const basis = commonPractice;
  if (found.length === 0)
    return {
      outcome: 'good',
      reasons: [
        {
          text: `even from stop to stop in ${passes} passes, the first one too`,
          basis: computed('ends, noise, steps and opens of every pass'),
        },
      ],
      next: ['shake the float and hold it under: no bubbles', 'any bent arm is swept again'],
    };
  return verdictFrom(found, { basis });
}
