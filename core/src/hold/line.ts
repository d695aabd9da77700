import { InputError } from '../errors/index.ts';

/** A straight line through points, and how sure its slope is. */
export interface Line {
  /** Units of y for a unit of x. */
  slope: number;
  /** y at the middle of x. */
  middle: number;
  /** Standard deviation of what is left over; units of y. */
  residual: number;
  /** Sum of squares of x about its middle. */
  spread: number;
}

/**
 * Least squares.
 *
 * @param points (x, y), three or more, not all at one x
 * @throws InputError with fewer
 * @example lineThrough([[0, 1], [1, 3], [2, 5]]).slope // 2
 */
export function lineThrough(points: readonly (readonly [number, number])[]): Line {
  const n = points.length;
  const [mx, my] = [0, 1].map((i) => points.reduce((sum, point) => sum + point[i]!, 0) / n) as [number, number];
  const spread = points.reduce((sum, [x]) => sum + (x - mx) ** 2, 0);
  if (n < 3 || !(spread > 0)) throw new InputError('readings', String(n), 'three or more, one after the other');
  const slope = points.reduce((sum, [x, y]) => sum + (x - mx) * (y - my), 0) / spread;
  const left = points.reduce((sum, [x, y]) => sum + (y - my - slope * (x - mx)) ** 2, 0);
  return { slope, middle: my, residual: Math.sqrt(left / (n - 2)), spread };
}
