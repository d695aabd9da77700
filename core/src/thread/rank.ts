import { commonPractice } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { lookAlikes, threads, type Seals, type Thread } from './table.ts';

/** What somebody measured of a thread. */
export interface Measured {
  /** Over the tops of a bolt, or of the bore of a nut or port. */
  of: 'outside' | 'bore';
  /** mm */
  diameter: number;
  /** mm from turn to turn, where a gauge or a rule said so. */
  pitch?: number;
  /** Does it grow wider along its length? Left out: nobody looked. */
  taper?: boolean;
  /** How the joint seals: it decides first. Left out: nobody knows. */
  seals?: Seals;
}

/** A thread it may be. */
export interface Candidate {
  /** Which. */
  thread: Thread;
  /** How badly it fits, 0 for not at all badly, 1 at the edge of what a sound one measures. */
  misfit: number;
}

/** Bolts measure so far under their nominal size, bores over their least, mm; common practice, no source. */
const UNDER = { least: 0.02, most: 0.3 };
/** A rule read over ten turns errs so far, share of the pitch; common practice, no source. */
const PITCH_ERROR = 0.03;
/** Worse than this it is not listed. */
const MOST = 2;

/** Least bore of a nut, mm: D − 1.0825·P for 60°, D − 1.2806·P for 55°. @example boreOf(threads[0]!) // 3.24 for M4 × 0.7 */
export const boreOf = ({ outside, pitch, flank }: Thread): number => outside - (flank === 60 ? 1.0825 : 1.2806) * pitch;

/** Drill for a tap, mm: D − P. Straight threads only. @example drillFor(thread) // 8.5 for M10 × 1.5 */
export const drillFor = ({ outside, pitch, taper }: Thread): number | null =>
  taper ? null : roundTo(outside - pitch, 0.05);

function misfitOf(thread: Thread, { of, diameter, pitch, taper, seals }: Measured): number {
  if (taper !== undefined && taper !== thread.taper) return Infinity;
  if (seals !== undefined && thread.seals !== 'nothing' && seals !== thread.seals) return Infinity;
  // How far it lies under a bolt’s nominal, or over a nut’s least.
  const by = of === 'outside' ? thread.outside - diameter : diameter - boreOf(thread);
  const middle = (UNDER.least + UNDER.most) / 2;
  // A taper is measured anywhere along it.
  const width = ((UNDER.most - UNDER.least) / 2) * (thread.taper ? 3 : 1);
  const wide = Math.abs(by - middle) / width;
  return pitch === undefined ? wide : Math.max(wide, Math.abs(pitch / thread.pitch - 1) / PITCH_ERROR);
}

/**
 * Which thread is this? Ranked by how badly each fits; those of one size that seal differently stand beside one another.
 *
 * @throws InputError for a thread of no size, or of two lengths
 * @example rankThreads({ of: 'outside', diameter: 9.85, pitch: 1.5 })[0]?.thread.name // 'M10 × 1.5'
 */
export function rankThreads(measured: Measured): Candidate[] {
  const { diameter, pitch } = measured;
  if (!(diameter >= 2 && diameter <= 60)) throw new InputError('diameter', String(diameter), '2 to 60 mm');
  if (pitch !== undefined && !(pitch >= 0.4 && pitch <= 4))
    throw new InputError('pitch', String(pitch), '0.4 to 4 mm from turn to turn');
  return threads
    .map((thread) => ({ thread, misfit: misfitOf(thread, measured) }))
    .filter(({ misfit }) => misfit <= MOST)
    .sort((a, b) => a.misfit - b.misfit || a.thread.name.localeCompare(b.thread.name));
}

/** Those that start in it, jam or strip. @example mustNotMeet('M10 × 1.5') // ['3/8-16 UNC'] */
export const mustNotMeet = (name: string): string[] => [
  ...new Set(
    lookAlikes.filter((group) => group.includes(name)).flatMap((group) => group.filter((other) => other !== name)),
  ),
];

/**
 * Is it known well enough to cut or screw anything into it? One that fits, and none that looks like it, is good; a look-alike
 * that fits as well is a doubt; none is unknown: the port stays as it is.
 *
 * @example judgeThread({ of: 'outside', diameter: 9.85, pitch: 1.5 }).outcome // 'doubtful': 3/8-16 fits as well
 */
export function judgeThread(measured: Measured): Verdict {
  const fits = rankThreads(measured).filter(({ misfit }) => misfit <= 1);
  const basis = commonPractice;
  const [first] = fits;
  if (!first)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'no thread of the tables fits', figure: `${roundTo(measured.diameter, 0.01)} mm`, basis }],
      next: [
        'measure again over several turns; does a known bolt spin in three turns by hand? Nothing is cut before that',
      ],
    };
  const names = fits.map(({ thread }) => thread.name);
  const sure = names.length === 1 && measured.pitch !== undefined;
  const others = mustNotMeet(first.thread.name);
  return {
    outcome: sure ? 'good' : 'doubtful',
    reasons: [
      {
        text: sure ? first.thread.name : `it may be ${names.slice(0, 4).join(', or ')}`,
        basis: first.thread.basis,
      },
      ...(others.length > 0 ? [{ text: `starts in it and must never meet it: ${others.join(', ')}`, basis }] : []),
    ],
    next: sure
      ? ['a known bolt spins in three turns by hand']
      : [
          measured.seals === undefined
            ? 'what seals it: taper, washer, cone or O-ring?'
            : 'read its pitch over ten turns',
          'does a known bolt spin in three turns by hand?',
        ],
  };
}
