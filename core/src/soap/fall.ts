import { lineThrough, type HoldJudged, type HoldRun } from '../hold/index.ts';

/** How it falls, as far as it says where to look first. */
export type Fall =
  /** Faster than through a millimetre: something is open. */
  | 'fast'
  /** Slower than through half a millimetre, and it does fall: a seep. */
  | 'seeps'
  /** It fell, and then it stands: something shuts below a pressure. */
  | 'stops'
  /** Nothing told, or in between. */
  | 'any';

/** mm of the hole it falls like. Common practice, no source. */
const FAST = 1;
const SEEP = 0.5;
/** Its later half falls so many times slower: it shuts. One hole falls as fast in √p all the way. */
const SHUTS = 3;
/** Standard errors either way before two halves are told apart. */
const SURE = 2;
/** Readings of a half. */
const HALF = 4;

/**
 * How a hold falls: as through one hole all the way, fast or slow, or at first and then no more.
 *
 * @param run readings as they were taken
 * @param judged what they come to
 * @example howItFalls(run, judgeHold(run)) // 'seeps'
 */
export function howItFalls({ readings, step }: Pick<HoldRun, 'readings' | 'step'>, judged: HoldJudged): Fall {
  if (stops(readings, step)) return 'stops';
  const { millimetres: like, fall } = judged;
  if (!like || !fall || fall.lo <= 0) return judged.verdict.outcome === 'bad' && !like ? 'fast' : 'any';
  if (like.lo >= FAST) return 'fast';
  return like.hi <= SEEP ? 'seeps' : 'any';
}

/** Does √p fall in its first half, and hardly in its second, with pressure still there? */
function stops(readings: HoldRun['readings'], step: number): boolean {
  if (readings.length < 2 * HALF) return false;
  const half = Math.floor(readings.length / 2);
  const left = Math.abs(readings.at(-1)![1]);
  // What ran out stands too.
  if (left < 4 * step) return false;
  const [early, late] = [readings.slice(0, half), readings.slice(-half)].map((part) => {
    const roots = part.map(([at, pa]) => [at, Math.sqrt(Math.abs(pa))] as const);
    const { slope, middle, residual, spread } = lineThrough(roots);
    const reads = step / (2 * middle) / Math.sqrt(12);
    return { fall: -slope, error: (SURE * Math.max(residual, reads)) / Math.sqrt(spread) };
  }) as [Half, Half];
  return early.fall - early.error > SHUTS * Math.max(0, late.fall + late.error) && early.fall > early.error;
}

interface Half {
  fall: number;
  error: number;
}
