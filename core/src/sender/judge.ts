import { max, median, min } from 'simple-statistics';
import { commonPractice, computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { litres, rounded, say, type Sentence } from '../quantity/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import { gravestFirst, worst, type Outcome, type Verdict } from '../verdict/index.ts';
import { heightAt, litresAt, stopsOf, type Stops } from './curve.ts';
import { jumpsOf, noiseOf, opensOf, restAt, type OpenRun } from './series.ts';
import { travelOf } from './travel.ts';
import type { OhmPlace, Pass } from './types.ts';

/** All thresholds: common practice, no source. */
const LEAST_READINGS = 20;
/** Shares of the span S. */
const NOISE = { good: 0.01, bad: 0.03 };
const HYSTERESIS = { doubtful: 0.05, bad: 0.1 };
const AGREE = 0.02;
const STEP = 0.05;
const END = { doubtful: 0.05, bad: 0.1 };
/** Beyond twice the largest end it is open, whatever the meter says. */
const OPEN = 2;
/** An end that stands still over more of the travel than this. */
const FLAT = 0.08;

/** More gaps or jumps than this are no places any more. */
const MANY = 400;

/** Where on the travel it shows nothing. */
export interface Dead extends OhmPlace {
  /** Litres between which the needle is lost; null where the file can’t say. */
  litres: { lo: number; hi: number } | null;
}

/** A sender, swept. */
export interface SweepJudged {
  /** Whether it may go back. */
  verdict: Verdict;
  /** Ω while the arm rests. */
  ends: { empty: number | null; full: number | null };
  /** Standard deviation of its noise, Ω. */
  noise: number;
  /** Open at overlapping places in two ways. */
  dead: Dead[];
  /** Opens that did not come again: never good all the same. */
  dropOuts: Dead[];
}

/** What a sweep is held against. */
export interface Against {
  /** Its file: stops, curve, shape. */
  file: VehicleFile;
  /** Family somebody named, where the file says nothing. */
  family?: string;
}

/** Ohms read alike in every unit system. */
const inOhms = (lo: number, hi: number = lo): string => `${lo === hi ? lo : `${lo}–${hi}`} Ω`;

interface Finding {
  outcome: Outcome;
  text: Sentence;
  figure?: Sentence;
  limit?: Sentence;
  next?: string;
}

/**
 * May this sender go back? Slow sweeps from stop to stop; the first pass counts, and a drop-out in any pass is never good.
 *
 * @throws InputError for a reading that is no resistance
 * @example judgeSweep(passes, { file: rail }).verdict.outcome // 'bad' with a dead spot
 */
export function judgeSweep(given: readonly Pass[], { file, family }: Against): SweepJudged {
  for (const { readings } of given)
    for (const { ohms } of readings)
      if (ohms !== null && !(ohms >= 0))
        throw new InputError('ohms', String(ohms), 'a resistance, zero or more, or open');
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
  const judged = { ends, noise, dead: dead.map(placed), dropOuts: alone.map(placed) };
  const found: Finding[] = [
    ...judged.dead.map((spot) => deadFinding(spot)),
    ...judged.dropOuts.map((spot) => dropOutFinding(spot)),
    ...jumpFindings(passes, { span, over: Math.max(6 * noise, STEP * span) }),
    ...(span > 0 ? noiseFindings(noise / span) : []),
    ...travelFindings(passes, { span, within }),
    ...endFindings(ends, { stops, span, swept }),
    ...missing(given),
  ];
  return { ...judged, verdict: verdictOf(found, given.length) };
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

function endsOf(passes: readonly Pass[], within: number): SweepJudged['ends'] {
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

/** Between which litres, or ohms where the file can’t say. */
function whereOf({ from, to, litres: between }: Dead): Sentence {
  if (between) return say`${rounded(litres, between, 1)}`;
  if (from === null || to === null) return 'at one stop';
  return inOhms(roundTo(Math.min(from, to), 1), roundTo(Math.max(from, to), 1));
}

const deadFinding = (spot: Dead): Finding => ({
  outcome: 'bad',
  text: say`open at ${whereOf(spot)}, up and back`,
  next: 'do not refit this sender: another one, swept before it goes in',
});

const dropOutFinding = (spot: Dead): Finding => ({
  outcome: 'doubtful',
  text: say`dropped out once, ${whereOf(spot)}: sweeping wipes it clean, the tank does not`,
  next: 'a drop-out in any pass is never good: rather another one',
});

function jumpFindings(passes: readonly Pass[], { span, over }: { span: number; over: number }): Finding[] {
  if (span === 0) return [];
  const jumps = jumpsOf(passes, over);
  const twice =
    jumps.length > MANY ||
    jumps.some((a) => jumps.some((b) => a.way !== b.way && Math.abs((a.from ?? 0) - (b.from ?? 0)) <= 2 * over));
  return jumps.length === 0
    ? []
    : [
        {
          outcome: twice ? 'bad' : 'doubtful',
          text: twice ? 'it jumps at one place, up and back' : 'it jumps once and stays',
          figure: say`${inOhms(roundTo(max(jumps.map((j) => j.by)), 0.1))}`,
          limit: say`${inOhms(roundTo(over, 0.1))} beyond its travel`,
          next: 'sweep it again, slower, over that place',
        },
      ];
}

function noiseFindings(share: number): Finding[] {
  if (share <= NOISE.good) return [];
  return [
    {
      outcome: share > NOISE.bad ? 'bad' : 'doubtful',
      text: 'it flickers on its way',
      figure: `${roundTo(share * 100, 0.1)} % of its span`,
      limit: `${NOISE.good * 100} %, at most ${NOISE.bad * 100} %`,
      next: 'null the leads, hold the clips still, and sweep it again',
    },
  ];
}

function travelFindings(passes: readonly Pass[], { span, within }: { span: number; within: number }): Finding[] {
  const travel = span > 0 ? travelOf(passes, within) : null;
  if (!travel) return [];
  const [lag, rms] = [travel.hysteresis / span, (travel.agree ?? 0) / span];
  const most = max(passes.flatMap(({ readings }) => readings.map((r) => r.mm ?? 0)));
  return [
    ...(lag > HYSTERESIS.doubtful
      ? [
          {
            outcome: lag > HYSTERESIS.bad ? ('bad' as const) : ('doubtful' as const),
            text: 'up and back differ at one height',
            figure: `${roundTo(lag * 100, 0.1)} % of its span`,
            limit: `${HYSTERESIS.doubtful * 100} %, at most ${HYSTERESIS.bad * 100} %`,
          },
        ]
      : []),
    ...(rms > AGREE
      ? [
          {
            outcome: 'doubtful' as const,
            text: 'two pairs of passes do not agree',
            figure: `${roundTo(rms * 100, 0.1)} %`,
            limit: `${AGREE * 100} %`,
          },
        ]
      : []),
    ...(travel.flat > FLAT * most
      ? [
          {
            outcome: 'bad' as const,
            text: 'the arm goes on and the ohms stand still at one end',
            figure: `${roundTo(travel.flat, 1)} mm`,
            next: 'the track is worn there, or the arm slips: another sender',
          },
        ]
      : []),
  ];
}

function endFindings(
  { empty, full }: SweepJudged['ends'],
  { stops, span, swept }: { stops: Stops | null; span: number; swept: number },
): Finding[] {
  if (empty === null || full === null) return [];
  if (span === 0 || swept < END.bad * span)
    return [
      { outcome: 'bad', text: 'it does not change from stop to stop', figure: say`${inOhms(roundTo(empty, 0.1))}` },
    ];
  if (!stops)
    return [
      {
        outcome: 'doubtful',
        text: say`${inOhms(roundTo(empty, 0.1))} empty, ${inOhms(roundTo(full, 0.1))} full, and nothing to hold it against`,
        next: 'name its family, or read it in the tank with the litres known',
      },
    ];
  if (Math.sign(full - empty) !== Math.sign(stops.full.typ - stops.empty.typ))
    return [
      {
        outcome: 'bad',
        text: say`it reads the other way round: ${inOhms(roundTo(empty, 0.1))} empty, ${inOhms(roundTo(full, 0.1))} full`,
        limit: say`${inOhms(stops.empty.typ)} empty, ${inOhms(stops.full.typ)} full`,
        next: 'was it swept from empty to full? If so it is of another family',
      },
    ];
  return (['empty', 'full'] as const).flatMap((end) => {
    const read = end === 'empty' ? empty : full;
    const { lo, hi } = stops[end];
    const other = stops[end === 'empty' ? 'full' : 'empty'].typ;
    const out = Math.max(lo - read, read - hi, 0) / span;
    if (out <= END.doubtful) return [];
    // Towards the other end: the arm never came to its stop. Beyond it: no such sender.
    const short = Math.abs(read - other) < Math.abs(stops[end].typ - other);
    return [
      {
        outcome: out > END.bad && !short ? ('bad' as const) : ('doubtful' as const),
        text: short ? `its ${end} end is not reached` : `beyond what this sender gives ${end}`,
        figure: say`${inOhms(roundTo(read, 0.1))}`,
        limit: say`${inOhms(lo, hi)}`,
        next: short
          ? 'is the clip in its way, the float at a roof, or the arm bent? Measure the float below the flange at both stops'
          : 'another family, or another part: compare it with the vehicle’s figures',
      },
    ];
  });
}

function missing(passes: readonly Pass[]): Finding[] {
  const readings = (way: Pass['way']) =>
    passes.filter((p) => p.way === way).reduce((most, p) => Math.max(most, p.readings.length), 0);
  const [up, down] = [readings('up'), readings('down')];
  if (up >= LEAST_READINGS && down >= LEAST_READINGS) return [];
  const lacks = up === 0 ? 'the way up' : down === 0 ? 'the way back' : `${LEAST_READINGS} readings each way`;
  return [
    {
      outcome: 'unknown',
      text: `not swept whole: ${lacks} is missing`,
      figure: `${up} up, ${down} back`,
      limit: `${LEAST_READINGS} each way`,
      next: 'ten seconds from stop to stop, and back',
    },
  ];
}

function verdictOf(found: readonly Finding[], passes: number): Verdict {
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
  const ranked = gravestFirst(found);
  return {
    outcome: worst(found.map((f) => f.outcome)),
    reasons: ranked.map(({ text, figure, limit }) => ({
      text,
      ...(figure === undefined ? {} : { figure }),
      ...(limit === undefined ? {} : { limit }),
      basis,
    })),
    next: [...new Set(ranked.flatMap(({ next }) => (next ? [next] : [])))],
  };
}
