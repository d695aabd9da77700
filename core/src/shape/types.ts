/** Shape of a tank. All measures mm; `height` from the lowest point to the roof; x runs between the ends, y across. */
export type TankShape = BoxShape | CylinderShape | ProfileShape | LobesShape | TableShape;

interface Measures {
  length: number;
  width: number;
  height: number;
}

/** A box, its floor shorter than its roof by the tapers, with a sump below the floor where there is one. */
export interface BoxShape extends Measures {
  /** Its kind. */
  kind: 'box';
  /** How much shorter the floor is than the roof, at the first and the second end. */
  taper?: { first: number; second: number };
  /** Middle, size and depth of the sump; `height` counts it in. */
  sump?: { x: number; y: number; length: number; width: number; depth: number };
}

/** A lying cylinder, oval where width and height differ. */
interface CylinderShape extends Measures {
  kind: 'cylinder';
}

/** A side profile in order around, points of x and z, drawn out over the width. */
interface ProfileShape extends Measures {
  kind: 'profile';
  points: [number, number][];
}

/** Two lobes with a hump of the floor between them, beginning and ending at `from` and `to`, its flanks `slope` wide. */
interface LobesShape extends Measures {
  kind: 'lobes';
  hump: { from: number; to: number; height: number; slope: number };
  /** Are the lobes at the two ends (x) or at the two sides (y)? */
  over: 'x' | 'y';
}

/** Level against volume as somebody measured it: mm above the lowest point, litres. */
export interface TableShape extends Measures {
  /** Its kind. */
  kind: 'table';
  /** Level (mm) and litres, rising. */
  rows: [number, number][];
}

/** x, y, z in mm from the lowest corner at the first end. */
export type Point3 = readonly [number, number, number];

/** Degrees. x above zero: the second end is lower; y above zero: the far side is lower. */
export interface Tilt {
  /** Along the tank. */
  x: number;
  /** Across it. */
  y: number;
}

/** Level both ways. */
export const noTilt: Tilt = { x: 0, y: 0 };

/** Upright as seen from a tilted tank, a unit vector. @example upOf({ x: 0, y: 0 }) // [0, 0, 1] */
export function upOf(tilt: Tilt): Point3 {
  const [a, b] = [-Math.tan((tilt.x * Math.PI) / 180), -Math.tan((tilt.y * Math.PI) / 180)];
  const norm = Math.hypot(a, b, 1);
  return [a / norm, b / norm, 1 / norm];
}
