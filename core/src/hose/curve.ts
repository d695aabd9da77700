import type { RoutePoint } from './dip.ts';

/** Points between two that were drawn. */
const BETWEEN = 12;

/**
 * A hose through the points that were drawn: it bends, it does not break. Never higher or lower between two points than a hose would hang:
 * the slope at each point is the harmonic mean of both sides, none where it turns (monotone cubic, Fritsch and Carlson).
 *
 * @param points mm along and up, each further along than the one before
 * @example curveThrough([[0, 0], [100, 50], [200, 0]]).length // 25
 */
export function curveThrough(points: readonly RoutePoint[]): RoutePoint[] {
  if (points.length < 3) return [...points];
  const slopes = points.slice(1).map(([x, z], i) => (z - points[i]![1]) / (x - points[i]![0] || 1e-9));
  const at = points.map((_, i) => {
    const [before, after] = [slopes[i - 1], slopes[i]];
    if (before === undefined) return after!;
    if (after === undefined) return before;
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after);
  });
  return points.slice(1).reduce<RoutePoint[]>(
    (line, [x2, z2], i) => {
      const [x1, z1] = points[i]!;
      const long = x2 - x1;
      for (let k = 1; k <= BETWEEN; k++) {
        const t = k / BETWEEN;
        const [t2, t3] = [t * t, t * t * t];
        line.push([
          x1 + long * t,
          (2 * t3 - 3 * t2 + 1) * z1 +
            (t3 - 2 * t2 + t) * long * at[i]! +
            (3 * t2 - 2 * t3) * z2 +
            (t3 - t2) * long * at[i + 1]!,
        ]);
      }
      return line;
    },
    [points[0]!],
  );
}

/**
 * How a drawn hose runs: bent through its points where each lies further along, else as it was drawn.
 *
 * @example asItRuns([[0, 0], [100, 50], [200, 0]]).length // 25
 */
export const asItRuns = (route: readonly RoutePoint[]): RoutePoint[] =>
  route.every(([x], i) => i === 0 || x > route[i - 1]![0]) ? curveThrough(route) : [...route];

/** mm along the middle of a hose. @example hoseLength([[0, 0], [300, 400]]) // 500 */
export function hoseLength(route: readonly RoutePoint[]): number {
  const line = asItRuns(route);
  return line.slice(1).reduce((sum, [x, z], i) => sum + Math.hypot(x - line[i]![0], z - line[i]![1]), 0);
}
