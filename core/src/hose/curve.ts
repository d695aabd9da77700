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
