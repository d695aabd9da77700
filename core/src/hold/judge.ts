import { commonPractice, computed } from '../basis/index.ts';
import { roundTo } from '../estimate/index.ts';
import { kilopascals, say, type Sentence } from '../quantity/index.ts';
import { gravestFirst, verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import { holeInWords, HOLES_FROM, MOST } from './holes.ts';
import { strongest, vapourHides } from './gas.ts';
import { driftOf, FIRST_LOOK, limitOf, lookAt, looksAt, secondsMore, underVacuum, type Look } from './look.ts';
import { equivalentHole } from './orifice.ts';
import { boilsAt, boilsUnder } from './boils.ts';
import type { HoldJudged, HoldRun } from './types.ts';

/** Under this share of what it began with it did not hold at all. */
const GONE = 0.1;
/** A start is worth it from so many steps of the gauge on. */
const LEAST_START = 10;

/**
 * Does it hold? The square root of the pressure falls in a straight line through any one hole; its slope, with its band, is held
 * against that of the limit hole at both ends of the volume. Decided only at the 8th, 16th, 32nd … reading, each at its share of
 * the risk; whatever a later look finds, one that found a hole stands.
 *
 * @example judgeHold({ readings, step: 25, volume: { lo: 48, hi: 52 }, outside: { lo: 1e5, hi: 1.02e5 }, celsius: 20, hole: '0.020', aired: true }).verdict.outcome
 */
export function judgeHold(given: HoldRun): HoldJudged {
  const most = Math.max(0, ...given.readings.map(([, pa]) => Math.abs(pa)));
  const nothing = { fall: null, from: null, millimetres: null, litresPerMinute: null, more: null };
  const only = (found: Found): HoldJudged => ({
    ...nothing,
    drift: driftOf(given, most),
    verdict: verdictOf(given, [found]),
  });
  const unfit = whyUnfit(given);
  if (unfit) return only(unfit);
  const start = Math.abs(given.readings[0]![1]);
  const gone = given.readings.findIndex(([, pa]) => Math.abs(pa) < GONE * start);
  const fast = gone >= 0 && fellFast(given, gone);
  // What is left once it ran out says nothing any more.
  const run = gone < 0 ? given : upTo(given, gone);
  if (run.readings.length < FIRST_LOOK)
    return only(
      fast
        ? atOnce(given, gone)
        : { outcome: 'unknown', text: 'it ran out before it could be read', next: 'read it more often' },
    );
  const looks = looksAt(run);
  const last = lookAt(run, run.readings, looks.length);
  const word = fast || looks.some((l) => l.said === 'bad') ? 'bad' : (looks.find((l) => l.said)?.said ?? null);
  const rises = last.slope < -last.half;
  const more = word || rises ? null : secondsMore(last, run);
  const [low, high] = [leakOf(run, last, 'lo'), leakOf(run, last, 'hi')];
  const found = [
    rises ? risen(run) : word ? decided(run, word) : undecided(last, more),
    ...(most > allowed(run) + run.step ? [tooHigh(most, allowed(run))] : []),
    ...boiling(run, most),
    ...(run.aired || run.over ? [] : [NOT_AIRED]),
  ];
  return {
    verdict: verdictOf(run, found, say`like ${roundTo(low.millimetres, 0.01)}–${roundTo(high.millimetres, 0.01)} mm`),
    fall: { lo: last.slope - last.half, typ: last.slope, hi: last.slope + last.half, limit: last.limit },
    from: last.from,
    millimetres: { lo: low.millimetres, hi: high.millimetres },
    litresPerMinute: { lo: low.litresPerMinute, hi: high.litresPerMinute },
    more,
    drift: driftOf(run, most),
  };
}

/** What makes it no hold at all. */
function whyUnfit({ readings, step, over, outside, celsius }: HoldRun): Found | null {
  if (readings.some(([at], i) => i > 0 && at <= readings[i - 1]![0]))
    return {
      outcome: 'unknown',
      text: 'the time of its readings goes back',
      next: 'hold it again, with one clock',
    };
  if (readings.length < FIRST_LOOK)
    return {
      outcome: 'unknown',
      text: `${readings.length} readings`,
      next: `${FIRST_LOOK} at least, one after the other`,
    };
  if (over && readings[0]![1] >= 0 && boilsUnder({ outside, celsius }, over))
    return {
      outcome: 'unknown',
      text: 'so warm that petrol of the winter may boil in it: what the gauge shows is vapour',
      next: 'cooler, or drained and aired on the bench',
    };
  if (Math.min(...readings.map(([, pa]) => pa)) < -step && Math.max(...readings.map(([, pa]) => pa)) > step)
    return {
      outcome: 'unknown',
      text: 'pressure and vacuum in one hold',
      next: 'hold it again, one of the two',
    };
  if (Math.abs(readings[0]![1]) < LEAST_START * step)
    return {
      outcome: 'unknown',
      text: 'it begins with too little to tell',
      next: say`up to ${kilopascals(MOST / 1000)}, slowly, then let it stand`,
    };
  return null;
}

/** Its first so many readings, and how warm it was by then. */
function upTo(run: HoldRun, count: number): HoldRun {
  const readings = run.readings.slice(0, count);
  if (run.ends === undefined || count < 2) return { ...run, readings };
  const lasted = (list: HoldRun['readings']) => list.at(-1)![0] - list[0]![0];
  return {
    ...run,
    readings,
    ends: run.celsius + ((run.ends - run.celsius) * lasted(readings)) / lasted(run.readings),
  };
}

/** Did it go within half of what the limit hole would have taken at the least? */
function fellFast(run: HoldRun, gone: number): boolean {
  const [[began, first], [ended]] = [run.readings[0]!, run.readings[gone]!];
  const pa = Math.abs(first);
  return ended - began < (0.5 * Math.sqrt(pa) * (1 - Math.sqrt(GONE))) / limitOf(run, pa).hi;
}

/** Q = V · dp/dt at one end of slope and volume, and the sharp hole that lets so much through. */
function leakOf(run: HoldRun, { slope, half, from }: Look, end: 'lo' | 'hi') {
  const outside = (run.outside.lo + run.outside.hi) / 2;
  const fall = Math.max(0, end === 'lo' ? slope - half : slope + half);
  const gauge = (underVacuum(run) ? -1 : 1) * from ** 2;
  const reid = end === 'hi' && gauge > 0 ? strongest(run.over) : null;
  const hidden = reid === null ? 1 : vapourHides({ pascals: outside + gauge, celsius: run.celsius, reid });
  const flow = ((run.volume[end] / 1000) * 2 * from * fall * hidden) / outside;
  const hole = equivalentHole(flow, { gauge, outside, celsius: run.celsius });
  return { millimetres: hole * 1000, litresPerMinute: flow * 60_000 };
}

const decided = ({ hole }: HoldRun, word: 'good' | 'bad'): Found =>
  word === 'bad'
    ? {
        outcome: 'bad',
        text: `it falls faster than through a hole of ${holeInWords(hole)}`,
        next: 'keep it up and soap ring, seams and new fittings: bubbles say where',
      }
    : {
        outcome: 'good',
        text: `tighter than a hole of ${holeInWords(hole)}`,
        next: 'let it out, and take out every plug',
      };

function undecided({ slope, limit, error, shift }: Look, more: number | null): Found {
  const gap = Math.max(limit.lo - slope, slope - limit.hi);
  if (more === null && gap < error + shift)
    return {
      outcome: 'unknown',
      text: 'so near the limit that no time decides',
      next: 'soap ring, seams and new fittings; measure the free volume by a known push',
    };
  return {
    outcome: 'unknown',
    text: 'not decided: its band still reaches the limit',
    next: more === null ? 'read it longer, or measure the free volume' : `about ${roundTo(more, 5)} s more`,
  };
}

const risen = (run: HoldRun): Found => ({
  outcome: 'unknown',
  text: underVacuum(run)
    ? 'the vacuum grows by itself: it cools'
    : 'the pressure rises: it warms, or vapour is still coming',
  next: 'let it stand out of the sun until it is even, and hold it again',
});

const NOT_AIRED: Found = {
  outcome: 'unknown',
  text: 'it was not aired, and nobody waited until its vapour stood: what still rises hides a leak',
  next: 'wait until the gauge stands before it begins; or drained, aired and plugged on the bench',
};

/** Pa this tank may be held at. */
const allowed = ({ most }: HoldRun): number => most ?? MOST;

const tooHigh = (most: number, limit: number): Found => ({
  outcome: 'doubtful',
  text: 'it stood higher than a tank may',
  figure: say`${kilopascals(most / 1000)}`,
  limit: say`${kilopascals(limit / 1000)}`,
  next: 'let it out; look at seams and floor for a bulge',
});

/** Under a vacuum near which petrol boils nothing can be told from what comes off it. */
function boiling(run: HoldRun, most: number): Found[] {
  const reid = underVacuum(run) ? strongest(run.over) : null;
  const limit = reid === null ? Infinity : boilsAt({ ...run, reid });
  if (most <= limit) return [];
  return [
    {
      outcome: 'unknown',
      text: 'so near its boiling that vapour fills it up',
      figure: say`${kilopascals(most / 1000)}`,
      limit: say`${kilopascals(limit / 1000)}`,
      next: 'a smaller vacuum, cooler, or drained and aired on the bench',
    },
  ];
}

const atOnce = ({ readings }: HoldRun, gone: number): Found => ({
  outcome: 'bad',
  text: 'it does not hold at all',
  figure: `gone in ${roundTo(readings[gone]![0] - readings[0]![0], 1)} s`,
  next: 'is every port plugged? Then soap ring, seams and new fittings',
});

function verdictOf({ volume }: HoldRun, found: readonly Found[], like?: Sentence): Verdict {
  const basis = computed(
    `line through √p, one-sided t; ${HOLES_FROM.source}; free volume ${roundTo(volume.lo, 0.1)}–${roundTo(volume.hi, 0.1)} L`,
  );
  // The gravest is what the line tells; what stands beside it without a figure is practice.
  const [first, ...others] = gravestFirst(found);
  return verdictFrom(
    [
      ...(first ? [{ ...(like === undefined ? {} : { figure: like }), ...first }] : []),
      ...others.map((one) => (one.figure === undefined ? { ...one, basis: commonPractice } : one)),
    ],
    { basis },
  );
}

/** How a hold is made at home, over fuel; said at that step. */
export const HOLD_HOME_CAUTION =
  'Key off, nobody smokes, doors open. Hand pump with a regulator and a relief, never shop air. Shut off what hangs on the tank first: a known good cap on, canister, vent and purge valves closed off. The service information comes first.';

/** How a hold is made on the bench; said at that step. */
export const HOLD_CAUTION =
  'Hand pump with a regulator and a relief, never shop air. Drained and aired, every port plugged; cap, canister and valves are not on it. Nobody in front of a plug. The service information comes first.';
