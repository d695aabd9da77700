import { tQuantile } from './student.ts';
import { diameters } from './holes.ts';
import { lineThrough } from './line.ts';
import { asAt, gasPerKelvin, strongest, vapourHides } from './gas.ts';
import { areaOf, airThrough } from './orifice.ts';
import type { HoldRun } from './types.ts';

/** Risk that either word is wrong; common practice, no source. */
const RISK = 0.05;
/** The first look after so many readings, then after twice as many, and so on: a look at every reading would find any word. */
export const FIRST_LOOK = 8;
/** Steps of the gauge the limit must have fallen by before anything is said. */
const STEPS = 10;
/** K over the hold where nobody read a thermometer, a bound; and what two readings of one leave open. Common practice. */
const KELVINS = { unread: 0.5, read: 0.1 };
/** Longer than this nobody stands beside it, s. */
const LONGEST = 1800;

/** What the readings up to a moment say. */
export interface Look {
  /** How fast √p falls, √Pa/s. */
  slope: number;
  /** Half the width of what is certain at its share of the risk. */
  half: number;
  /** The limit hole at either end of what is not known for sure. */
  limit: { lo: number; hi: number };
  /** √Pa where the line begins. */
  from: number;
  /** Decided by now? */
  said: 'good' | 'bad' | null;
  /** Standard error of the slope. */
  error: number;
  /** What drift in temperature may add to it. */
  shift: number;
  /** Standard deviation of a reading about the line, √Pa. */
  sigma: number;
}

/** Pa that drift in temperature nobody measured may stand for. @example driftOf(run, 3487) // 179 */
export const driftOf = (run: HoldRun, pascals: number): number => perKelvin(run, pascals) * kelvinsOf(run);

const kelvinsOf = ({ ends }: HoldRun): number => (ends === undefined ? KELVINS.unread : KELVINS.read);

/** Is it held under vacuum? */
export const underVacuum = ({ readings }: Pick<HoldRun, 'readings'>): boolean => readings[0]![1] < 0;

/** Pa over the air, by how far it is from the air. */
const signed = (run: Pick<HoldRun, 'readings'>, pascals: number): number => (underVacuum(run) ? -pascals : pascals);

/**
 * ∂p/∂T of what is shut in, Pa/K, at the most; over petrol its vapour’s besides.
 *
 * @param pascals over the air, or under it
 * @example perKelvin(run, 3487) // 357.5 at 20 °C, dry
 */
export const perKelvin = (run: Pick<HoldRun, 'outside' | 'celsius' | 'over' | 'readings'>, pascals: number): number =>
  gasPerKelvin({ pascals: run.outside.hi + signed(run, pascals), celsius: run.celsius, reid: strongest(run.over) });

/** Share of the risk of the j-th look: all of them together stay under it. */
const quantile = (j: number, readings: number): number => tQuantile(1 - RISK / (j * (j + 1)), readings - 2);

/** Readings of the newest look that may be taken so far; 0 before the first. @example lookedAt(40) // 32 */
export function lookedAt(readings: number): number {
  let n = FIRST_LOOK;
  while (n * 2 <= readings) n *= 2;
  return readings < FIRST_LOOK ? 0 : n;
}

/** Every look that may be taken so far: at the 8th, 16th, 32nd … reading. @example looksAt(run).length // 3 with 40 readings */
export function looksAt(run: HoldRun): Look[] {
  const looks: Look[] = [];
  for (let n = FIRST_LOOK, j = 1; n <= run.readings.length; n *= 2, j++)
    looks.push(lookAt(run, run.readings.slice(0, n), j));
  return looks;
}

/**
 * The line through the first of its readings, and what it says at the j-th share of the risk.
 *
 * @throws InputError with fewer than three readings
 * @example lookAt(run, run.readings, 1).slope
 */
export function lookAt(run: HoldRun, readings: HoldRun['readings'], j: number): Look {
  const elapsed = readings.at(-1)![0] - readings[0]![0];
  const { slope: rise, middle: root, residual, spread } = lineThrough(rootsOf(run, readings));
  const pascals = root ** 2;
  const sigma = Math.max(residual, run.step / (2 * root) / Math.sqrt(12));
  const shift = (driftOf(run, pascals) + seasonOf(run)) / (2 * root * elapsed);
  const error = sigma / Math.sqrt(spread);
  // Two readings of a thermometer err by chance; what nobody read is a bound.
  const t = quantile(j, readings.length);
  const half = run.ends === undefined ? t * error + shift : t * Math.hypot(error, shift);
  const slope = -rise;
  const limit = limitOf(run, pascals);
  // In Pa a second the limit falls 2√p times as fast; each word waits for the end of the limit it is held against.
  const long = (end: number) => elapsed * end * 2 * root >= STEPS * run.step;
  const said =
    slope + half < limit.lo && long(limit.lo) ? 'good' : slope - half > limit.hi && long(limit.hi) ? 'bad' : null;
  return { slope, half, limit, from: root + (slope * elapsed) / 2, said, error, shift, sigma };
}

/** Pa that lie between the summer’s petrol and the winter’s, for what a thermometer showed. */
function seasonOf({ over, ends, celsius, outside }: HoldRun): number {
  if (!over || strongest(over) === null || ends === undefined) return 0;
  const [mild, strong] = [over.lo, over.hi].map((reid) =>
    gasPerKelvin({ pascals: outside.hi, celsius: (celsius + ends) / 2, reid }),
  ) as [number, number];
  return (Math.abs(ends - celsius) * (strong - mild)) / 2;
}

/** Time and √p, as it would have been at the temperature it began with. */
function rootsOf(run: HoldRun, readings: HoldRun['readings']): [number, number][] {
  const { celsius, over, outside } = run;
  const [begins, whole] = [run.readings[0]![0], run.readings.at(-1)![0] - run.readings[0]![0]];
  const warmed = run.ends === undefined ? 0 : run.ends - celsius;
  const reid = over && strongest(over) !== null ? (over.lo + over.hi) / 2 : null;
  return readings.map(([at, pa]) => {
    const now = celsius + (warmed * (at - begins)) / whole;
    const inside = asAt({ pascals: outside.lo + pa, celsius: now, to: celsius, reid });
    return [at, Math.sqrt(Math.max(0, signed(run, inside - outside.lo)))];
  });
}

/** How fast √p falls through the limit hole at either end of volume and air outside, √Pa/s. @example limitOf(run, 3487) */
export function limitOf(run: HoldRun, pascals: number): { lo: number; hi: number } {
  const { hole, celsius, volume, over } = run;
  const gauge = signed(run, pascals);
  const fall = (litres: number, outside: number) => {
    const through = airThrough({ gauge, outside, celsius }) * areaOf(diameters[hole]);
    return (through * outside) / (2 * (litres / 1000) * Math.sqrt(pascals));
  };
  // Vapour that fills up what went out hides a part of it; what is drawn in from outside is air.
  const reid = gauge > 0 ? strongest(over) : null;
  const hides = reid === null ? 1 : vapourHides({ pascals: run.outside.lo + pascals, celsius, reid });
  return { lo: fall(volume.hi, run.outside.lo) / hides, hi: fall(volume.lo, run.outside.hi) };
}

/**
 * s more until a look decides, as the band narrows with the time; null where half an hour does not do.
 *
 * @example secondsMore(look, run) // 20
 */
export function secondsMore({ slope, limit, sigma, shift }: Look, { readings }: HoldRun): number | null {
  const elapsed = readings.at(-1)![0] - readings[0]![0];
  const apart = elapsed / (readings.length - 1);
  const gap = Math.max(limit.lo - slope, slope - limit.hi);
  for (let looks = FIRST_LOOK, j = 1; looks * apart <= LONGEST; looks *= 2, j++) {
    if (looks <= readings.length) continue;
    const time = looks * apart;
    const half = (quantile(j, looks) * sigma * Math.sqrt(12 * apart)) / time ** 1.5 + (shift * elapsed) / time;
    if (half < gap) return Math.ceil(time - elapsed);
  }
  return null;
}
