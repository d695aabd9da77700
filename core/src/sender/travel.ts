import { interpolate } from './interpolate.ts';
import { median, rootMeanSquare } from 'simple-statistics';
import type { Pass } from './types.ts';

/** What only shows where somebody measured the float’s height beside the ohms. */
export interface Travel {
  /** Median of what the ways up and down differ by at one height, Ω. */
  hysteresis: number;
  /** Rms of what two pairs of passes differ by, Ω; null with fewer than two pairs. */
  agree: number | null;
  /** mm of travel at a stop over which the ohms stand still. */
  flat: number;
}

/**
 * Up against down, pair against pair, and ends that stand still while the arm goes on; null where no heights were measured.
 *
 * @param within how near together readings at rest stay, Ω
 * @example travelOf(passes, 0.5)?.hysteresis
 */
export function travelOf(passes: readonly Pass[], within: number): Travel | null {
  const curves = passes.map(({ way, readings }) => ({
    way,
    points: readings
      .flatMap(({ mm, ohms }) => (mm === undefined || ohms === null ? [] : [{ mm, ohms }]))
      .sort((a, b) => a.mm - b.mm),
  }));
  if (curves.length === 0 || curves.some(({ points }) => points.length < 3)) return null;
  const [ups, downs] = [curves.filter((c) => c.way === 'up'), curves.filter((c) => c.way === 'down')];
  const [up, down] = [ups[0], downs[0]];
  if (!up || !down) return null;
  const apart = (a: (typeof curves)[number], b: (typeof curves)[number]): number[] =>
    a.points.flatMap(({ mm, ohms }) => {
      const other = interpolate(b.points, mm);
      return other === null ? [] : [ohms - other];
    });
  const both = apart(up, down);
  const again = [ups[1] ? apart(up, ups[1]) : [], downs[1] ? apart(down, downs[1]) : []].flat();
  return {
    hysteresis: both.length === 0 ? 0 : median(both.map(Math.abs)),
    agree: ups.length > 1 && downs.length > 1 && again.length > 0 ? rootMeanSquare(again) : null,
    flat: Math.max(...curves.flatMap(({ points }) => [stands(points, within), stands([...points].reverse(), within)])),
  };
}

/** mm from the first point on over which the ohms stay where they are. */
function stands(points: readonly { mm: number; ohms: number }[], within: number): number {
  const first = points[0]!;
  let last = first;
  for (const point of points) {
    if (Math.abs(point.ohms - first.ohms) > within) break;
    last = point;
  }
  return Math.abs(last.mm - first.mm);
}
