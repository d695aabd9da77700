import { max } from 'simple-statistics';
import { roundTo } from '../estimate/index.ts';
import { litres, rounded, say, type Sentence } from '../quantity/index.ts';
import type { Found } from '../verdict/index.ts';
import type { Stops } from './curve.ts';
import type { Unread } from './gaps.ts';
import type { Jump } from './series.ts';
import { travelOf } from './travel.ts';
import type { OhmPlace, Pass } from './types.ts';

/** All thresholds: common practice, no source. */
const LEAST_READINGS = 20;
/** Shares of the span S. */
const NOISE = { good: 0.01, bad: 0.03 };
const HYSTERESIS = { doubtful: 0.05, bad: 0.1 };
const AGREE = 0.02;
const END = { doubtful: 0.05, bad: 0.1 };
/** An end that stands still over more of the travel than this. */
const FLAT = 0.08;
/** More gaps or jumps than this are no places any more. */
export const MANY = 400;

/** Where on the travel it shows nothing. */
export interface Dead extends OhmPlace {
  /** Litres between which the needle is lost; null where the file can’t say. */
  litres: { lo: number; hi: number } | null;
}

/** Ohms read alike in every unit system. */
const inOhms = (lo: number, hi: number = lo): string => `${lo === hi ? lo : `${lo}–${hi}`} Ω`;

/** The ends of a sweep, Ω while the arm rests. */
export interface Ends {
  /** At the empty stop. */
  empty: number | null;
  /** At the full stop. */
  full: number | null;
}

/** Between which litres, or ohms where the file can’t say. */
function whereOf({ from, to, litres: between }: Dead): Sentence {
  if (between) return say`${rounded(litres, between, 1)}`;
  if (from === null || to === null) return 'at one stop';
  return inOhms(roundTo(Math.min(from, to), 1), roundTo(Math.max(from, to), 1));
}

/** Open at one place, up and back. @example deadFinding(spot).outcome // 'bad' */
export const deadFinding = (spot: Dead): Found => ({
  outcome: 'bad',
  text: say`open at ${whereOf(spot)}, up and back`,
  next: 'do not refit this sender: another one, swept before it goes in',
});

/** Open once. @example dropOutFinding(spot).outcome // 'doubtful' */
export const dropOutFinding = (spot: Dead): Found => ({
  outcome: 'doubtful',
  text: say`dropped out once, ${whereOf(spot)}: sweeping wipes it clean, the tank does not`,
  next: 'a drop-out in any pass is never good: rather another one',
});

/** Jumps beyond what the travel explains, by more than so many ohms. @example jumpFindings([], 3) // [] */
export function jumpFindings(jumps: readonly Jump[], over: number): Found[] {
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

/** Noise as a share of the span. @example noiseFindings(0.04)[0]?.outcome // 'bad' */
export function noiseFindings(share: number): Found[] {
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

/** Up against back, pair against pair, and an end that stands still. @example travelFindings(passes, { span: 60, within: 1 }) */
export function travelFindings(passes: readonly Pass[], { span, within }: { span: number; within: number }): Found[] {
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

/** Its ends against what it should read there. @example endFindings({ empty: 20, full: 80 }, { stops, span: 60, swept: 60 }) // [] */
export function endFindings(
  { empty, full }: Ends,
  { stops, span, swept }: { stops: Stops | null; span: number; swept: number },
): Found[] {
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

/** Where the readings stopped while the arm went on: the longest stretch, the others follow once that is read. @example unreadFindings([]) // [] */
export function unreadFindings(unread: readonly Unread[]): Found[] {
  const [longest] = unread;
  if (!longest) return [];
  const { way, from, to, seconds } = longest;
  return [
    {
      outcome: 'unknown',
      text: `not read on the way ${way === 'up' ? 'up' : 'back'}: the readings stopped at`,
      figure: `${inOhms(roundTo(Math.min(from, to), 1), roundTo(Math.max(from, to), 1))}, for ${roundTo(seconds, 0.1)} s`,
      next: 'sweep that way again; where the readings stop at the same place each time, the sender is lost there',
    },
  ];
}

/** What of a whole sweep is not there. @example missing(passes) // [] */
export function missing(passes: readonly Pass[]): Found[] {
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
