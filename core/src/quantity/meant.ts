import type { Span } from '../estimate/index.ts';
import type { Dimension } from './units.ts';

/**
 * What anybody at a fuel tank can mean, SI; wider than any of it is. Beyond it stands a slip of the finger or the wrong
 * unit. Common practice, no source.
 */
const MEANT: Record<Dimension, { lo: number; hi: number }> = {
  share: { lo: 0, hi: 1 },
  angle: { lo: -Math.PI, hi: Math.PI },
  length: { lo: -1, hi: 5 },
  mass: { lo: 0, hi: 5_000 },
  volume: { lo: 0, hi: 1 },
  pressure: { lo: -101_325, hi: 20e5 },
  torque: { lo: 0, hi: 500 },
  temperature: { lo: 223.15, hi: 373.15 },
  duration: { lo: 0, hi: 60 * 86_400 },
  force: { lo: 0, hi: 50_000 },
  voltage: { lo: -30, hi: 60 },
  resistance: { lo: 0, hi: 1e6 },
  current: { lo: -60, hi: 60 },
  flow: { lo: 0, hi: 0.1 / 60 },
  count: { lo: 0, hi: 10_000_000 },
};

/**
 * Can this be meant? What can’t is asked about before it counts.
 *
 * @param value SI
 * @example canBeMeant({ lo: 9999, hi: 9999 }, 'voltage') // false
 */
export const canBeMeant = ({ lo, hi }: Pick<Span, 'lo' | 'hi'>, dimension: Dimension): boolean =>
  lo >= MEANT[dimension].lo && hi <= MEANT[dimension].hi;
