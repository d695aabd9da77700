import { computed, fromMemory } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import type { Found } from '../verdict/index.ts';
import { threads } from '../thread/index.ts';

/** What lies on a thread when it is tightened. */
export const lubricants = ['dry', 'zinc', 'oiled', 'antiSeize', 'locker', 'highLocker'] as const;
/** One of them. */
export type Lubricant = (typeof lubricants)[number];

/**
 * Nut factor K, from memory; each spreads by a quarter. A liquid locker wets like oil until it sets.
 */
const K: Record<Lubricant, number> = {
  dry: 0.2,
  zinc: 0.22,
  oiled: 0.15,
  antiSeize: 0.13,
  locker: 0.15,
  highLocker: 0.15,
};
/** K of one bolt may lie so far off, share. From memory. */
const SPREAD = 0.25;

/** Property classes and grades: proof stress, MPa. ISO 898-1 (up to M16) and SAE J429, from memory. */
const PROOF = {
  '8.8': 580,
  '9.8': 650,
  '10.9': 830,
  '12.9': 970,
  'grade 2': 379.2,
  'grade 5': 586.1,
  'grade 8': 827.4,
} as const;
/** One of them. */
export type BoltClass = keyof typeof PROOF;
/** All of them, the softest of each standard first. */
export const boltClasses = Object.keys(PROOF) as BoltClass[];

/**
 * Stress area of a thread, mm²: π/4·(d − 0.9382·P)², which for inch threads is 0.7854·(D − 0.9743/n)².
 *
 * @throws InputError for a thread that carries no bolt
 * @example stressArea('M10 × 1.5') // 58.0
 */
export function stressArea(name: string): number {
  const thread = boltThread(name);
  const off = thread.family === 'inch' ? 0.9743 : 0.9382;
  return (Math.PI / 4) * (thread.outside - off * thread.pitch) ** 2;
}

/** Threads a bolt or a stud has. @example boltThreads()[0] // 'M5 × 0.8' */
export const boltThreads = (): string[] =>
  threads.filter(({ family }) => family === 'metric' || family === 'inch').map(({ name }) => name);

function boltThread(name: string): (typeof threads)[number] {
  const thread = threads.find((one) => one.name === name);
  if (!thread || (thread.family !== 'metric' && thread.family !== 'inch'))
    throw new InputError('thread', name, 'a thread of a bolt, metric or inch');
  return thread;
}

/**
 * Pull at which a bolt begins to stay longer, N.
 *
 * @example proofLoad('M10 × 1.5', '8.8') // 33 600
 */
export const proofLoad = (thread: string, grade: BoltClass): number => stressArea(thread) * PROOF[grade];

/**
 * Pull a torque makes in a bolt, N: T / (K · d), with K a quarter either way.
 *
 * @param torque N·m
 * @example pullOf(40.67, 'M10 × 1.5', 'antiSeize').typ // 31 300
 */
export function pullOf(torque: number, thread: string, lubricant: Lubricant): { lo: number; typ: number; hi: number } {
  if (!(torque >= 0)) throw new InputError('torque', String(torque), 'N·m, zero or more');
  const typ = torque / (K[lubricant] * (boltThread(thread).outside / 1000));
  return { lo: typ / (1 + SPREAD), typ, hi: typ / (1 - SPREAD) };
}

/**
 * A torque that was given for one state of the thread, for another: the same pull. N·m
 *
 * @example withLubricant(40.67, 'dry', 'antiSeize') // 26.4
 */
export const withLubricant = (torque: number, from: Lubricant, to: Lubricant): number => (torque * K[to]) / K[from];

/**
 * What the wrench is set to with a crowfoot or an extension on its end: T · L / (L + E · cos θ). Across the wrench it changes nothing. N·m
 *
 * @param length hand to square, mm; `extension` square to bolt, mm; `degrees` out of line
 * @throws InputError for a wrench of no length
 * @example wrenchSetting({ torque: 40, length: 400, extension: 50, degrees: 0 }) // 35.6
 */
export function wrenchSetting({
  torque,
  length,
  extension,
  degrees,
}: {
  torque: number;
  length: number;
  extension: number;
  degrees: number;
}): number {
  if (!(length > 0)) throw new InputError('length', String(length), 'from the hand to the square, mm');
  if (!(extension >= 0)) throw new InputError('extension', String(extension), 'from the square to the bolt, mm');
  const lever = length + extension * Math.cos((degrees * Math.PI) / 180);
  if (!(lever > 0))
    throw new InputError('degrees', String(degrees), 'a crowfoot that does not stand back over the hand');
  return (torque * length) / lever;
}

/** A bolt as it is tightened. */
export interface Tightened {
  /** Name of its thread. */
  thread: string;
  /** Stamped on its head. */
  grade: BoltClass;
  /** What lies on it. */
  lubricant: Lubricant;
}

/**
 * What a torque does to the bolt, said beside the file’s figure: its pull with the spread of K, against proof. A strap, its hook and a plastic tank
 * give way long before.
 *
 * @param torque N·m, range
 * @example boltFindings({ lo: 40.67, hi: 40.67 }, { thread: 'M10 × 1.5', grade: '8.8', lubricant: 'antiSeize' })[0]?.outcome // 'doubtful'
 */
export function boltFindings(torque: { lo: number; hi: number }, { thread, grade, lubricant }: Tightened): Found[] {
  const found: Found[] = [];
  if (lubricant === 'highLocker')
    found.push({
      outcome: 'bad',
      text: 'high-strength locker under a tank: next time it wants heat',
      next: 'the kind that comes loose with a hand wrench, or none',
      basis: fromMemory('datasheets of thread lockers'),
    });
  const least = pullOf(torque.lo, thread, lubricant).lo;
  const most = pullOf(torque.hi, thread, lubricant).hi;
  const proof = proofLoad(thread, grade);
  const kilo = (newtons: number) => roundTo(newtons / 1000, 0.1);
  const said = {
    figure: `${kilo(least)}–${kilo(most)} kN`,
    limit: `${kilo(proof)} kN proof of ${thread} ${grade}`,
    basis: computed('T / (K·d), K ± 25 %; proof after ISO 898-1 or SAE J429, from memory'),
  };
  if (least > proof)
    found.push({
      outcome: 'bad',
      text: 'more than the bolt takes',
      next: 'a new one, and the figure read again',
      ...said,
    });
  else if (most > proof)
    found.push({
      outcome: 'doubtful',
      text: 'at the slippery end of its spread it may go past proof',
      next:
        lubricant === 'dry'
          ? 'the file’s figure counts; do not pull twice'
          : 'was the figure meant for a dry thread? Then less',
      ...said,
    });
  else found.push({ outcome: 'good', text: 'the bolt takes it', ...said });
  return found;
}

/**
 * Rounds to a torque, evenly: a third, two thirds, all of it; the last one by hand. N·m
 *
 * @example roundsTo(41) // [14, 27, 41]
 */
export const roundsTo = (torque: number): number[] => [1 / 3, 2 / 3, 1].map((share) => roundTo(torque * share, 1));

/**
 * Order in which bolts are drawn, one after another across: the first, the one farthest from it, then the ones between. Counted from 0 round
 * the ring, or along the row.
 *
 * @example crosswise(6) // [0, 3, 1, 4, 2, 5]
 */
export function crosswise(count: number): number[] {
  if (!(Number.isInteger(count) && count >= 1 && count <= 40))
    throw new InputError('count', String(count), '1 to 40 bolts');
  const half = Math.ceil(count / 2);
  return Array.from({ length: half }, (_, i) => i).flatMap((i) => (i + half < count ? [i, i + half] : [i]));
}
