import { solidOf } from './solid.ts';
import { upOf, type TankShape, type Tilt } from './types.ts';

/** Along the tank, or across it. */
export type Axis = 'x' | 'y';
type Flat = [number, number];

interface Section {
  /** Outline, mm along the axis and up. */
  outline: Flat[];
  /** Its parts, in the order of the solid’s cells when it is the profile that is seen, else one. */
  parts: Flat[][];
  /** Is it the profile, whose hump and sump are seen? */
  isProfile: boolean;
}

/** The axis along which the profile of a shape is seen. @example profileAxis(lobes) // 'x' */
export const profileAxis = (shape: TankShape): Axis => solidOf(shape).outline.axis;

/**
 * A tank cut upright along an axis through its middle (or through its sump).
 *
 * @example sectionOf(lobes, 'x').outline.length // 8
 */
export function sectionOf(shape: TankShape, axis: Axis = profileAxis(shape)): Section {
  const { outline, cells } = solidOf(shape);
  if (axis === outline.axis) {
    const { sump } = outline;
    const points: Flat[] = sump
      ? [
          outline.points[0]!,
          [sump.x[0], sump.top],
          [sump.x[0], 0],
          [sump.x[1], 0],
          [sump.x[1], sump.top],
          ...outline.points.slice(1),
        ]
      : outline.points;
    return { outline: points, parts: cells.map((c) => c.points), isProfile: true };
  }
  const run = axis === 'x' ? shape.length : shape.width;
  const box: Flat[] = [
    [0, 0],
    [run, 0],
    [run, shape.height],
    [0, shape.height],
  ];
  return { outline: box, parts: [box], isProfile: false };
}

/**
 * The fuel in a section: its parts cut off at a surface.
 *
 * @param heights of the surface in each part, as `surfaceAt` and `trappedFuel` give them; one for all, or one a part
 * @returns polygons, mm
 */
export function fuelInSection(
  shape: TankShape,
  { axis, tilt, heights }: { axis: Axis; tilt: Tilt; heights: number | ArrayLike<number> },
): Flat[][] {
  const { parts } = sectionOf(shape, axis);
  const up = upOf(tilt);
  const middle = axis === 'x' ? up[1] * (shape.width / 2) : up[0] * (shape.length / 2);
  const along = axis === 'x' ? up[0] : up[1];
  return parts
    .map((part, i) => {
      const height = typeof heights === 'number' ? heights : heights[i]!;
      return cut(part, ([h, z]) => along * h + up[2] * z + middle - height);
    })
    .filter((p) => p.length > 2);
}

/** The part of a polygon where `over` is not above zero; its area is right also where the polygon is not convex. */
function cut(points: readonly Flat[], over: (p: Flat) => number): Flat[] {
  return points.flatMap((p, i): Flat[] => {
    const q = points[(i + 1) % points.length]!;
    const [a, b] = [over(p), over(q)];
    const kept: Flat[] = a <= 0 ? [p] : [];
    if (a <= 0 !== b <= 0) {
      const s = a / (a - b);
      kept.push([p[0] + s * (q[0] - p[0]), p[1] + s * (q[1] - p[1])]);
    }
    return kept;
  });
}
