import { InputError } from '../errors/index.ts';
import { answerTo, type Answered } from '../questions/index.ts';
import type { Pose } from '../pose/index.ts';
import { TAPE } from './questions.ts';

/** No tape under a car reads less or more, mm. Common practice, no source. */
const LEAST = 50;
const MOST = 3000;

/**
 * What the tape will read at home, from what it reads now: kept in the log, so that any height can be read off a tape.
 *
 * @param reading mm from the floor, or the foot of the jack, up to the tank at that end
 * @throws InputError for what no tape under a car reads
 * @example tapeAtHome({ pose: { f: 40, r: 40 } }, 'f', 612) // 652
 */
export function tapeAtHome({ pose }: { pose: Pose }, end: keyof Pose, reading: number): number {
  if (!(reading >= LEAST && reading <= MOST))
    throw new InputError('tape', String(reading), `${LEAST} to ${MOST} mm from the floor up to the tank`);
  return Math.round(reading) + pose[end];
}

/**
 * What the tape reads at each end in a pose, mm; null where it was never read.
 *
 * @example tapeAt(state, { f: 40, r: 40 }) // { f: 612, r: null }
 */
export function tapeAt(state: Answered, pose: Pose): { f: number | null; r: number | null } {
  const read = (end: keyof Pose) => {
    const home = answerTo(state, TAPE, end);
    return typeof home === 'number' && home > pose[end] ? home - pose[end] : null;
  };
  return { f: read('f'), r: read('r') };
}
