import { outlineOf, type Outline } from './outline.ts';
import { below, prism, together, type Mesh } from './mesh.ts';
import type { Point3, TankShape } from './types.ts';

/** A part of a tank whose floor is convex, so that what fuel it holds is one pool at any tilt. */
interface Cell {
  mesh: Mesh;
  /** mm³ */
  volume: number;
  /** In the plane of the profile: that axis and z. */
  points: [number, number][];
}

/** The opening between two cells; fuel passes once it stands above its lowest point. */
interface Portal {
  a: number;
  b: number;
  /** Its corners, x, y, z in turn. */
  points: Float64Array;
}

/** A tank as one closed mesh, and as cells with the openings between them. */
export interface Solid {
  /** The profile it was drawn out from. */
  outline: Outline;
  /** Its closed surface. */
  mesh: Mesh;
  /** mm³ */
  volume: number;
  /** Its parts, each without a sill inside. */
  cells: Cell[];
  /** Where fuel passes from one to another. */
  portals: Portal[];
}

const known = new WeakMap<TankShape, Solid>();

/**
 * The solid of a shape, built once for each shape object.
 *
 * @example solidOf(lobes).cells.length // 3: two lobes with their flanks, and the top of the hump
 */
export function solidOf(shape: TankShape): Solid {
  const before = known.get(shape);
  if (before) return before;
  const solid = solidFrom(outlineOf(shape));
  known.set(shape, solid);
  return solid;
}

const UP: Point3 = [0, 0, 1];

/** The solid of an outline. */
export function solidFrom(outline: Outline): Solid {
  const { axis, points, depth, sump } = outline;
  const slabs = cutIntoSlabs(points);
  const cells: Cell[] = [];
  const portals: Portal[] = [];
  const at = (h: number, d: number, z: number): Point3 => (axis === 'x' ? [h, d, z] : [d, h, z]);
  const add = (list: [number, number][], from: number, to: number) => {
    const mesh = prism(list, { axis, from, to });
    return cells.push({ mesh, volume: below(mesh, UP, OVER_ALL).volume, points: list }) - 1;
  };
  let before: Column[] = [];
  const close = (column: Column) => {
    column.index = add([...column.floor, ...[...column.roof].reverse()], 0, depth);
  };
  const openings: { left: Column; right: Column; at: number; lo: number; hi: number }[] = [];
  for (const row of slabs) {
    const touches = (a: Column, b: Slab) =>
      Math.min(a.roof.at(-1)![1], b.roof[0]) - Math.max(a.floor.at(-1)![1], b.floor[0]);
    const now = row.map((slab): Column => {
      const left = before.filter((c) => touches(c, slab) > 1e-9);
      const only = left.length === 1 ? left[0]! : null;
      if (only && goesOn(only, slab) && row.filter((s) => touches(only, s) > 1e-9).length === 1) {
        only.floor.push([slab.to, slab.floor[1]]);
        only.roof.push([slab.to, slab.roof[1]]);
        return only;
      }
      const fresh: Column = {
        floor: [
          [slab.from, slab.floor[0]],
          [slab.to, slab.floor[1]],
        ],
        roof: [
          [slab.from, slab.roof[0]],
          [slab.to, slab.roof[1]],
        ],
        index: -1,
      };
      for (const other of left)
        openings.push({
          left: other,
          right: fresh,
          at: slab.from,
          lo: Math.max(other.floor.at(-1)![1], slab.floor[0]),
          hi: Math.min(other.roof.at(-1)![1], slab.roof[0]),
        });
      return fresh;
    });
    for (const column of before) if (!now.includes(column)) close(column);
    before = now;
  }
  before.forEach(close);
  for (const { left, right, at: h, lo, hi } of openings)
    portals.push({
      a: left.index,
      b: right.index,
      points: Float64Array.from([0, depth].flatMap((d) => [lo, hi].flatMap((z) => at(h, d, z)))),
    });
  if (sump) {
    const index = cells.length;
    const [x, y] = [sump.x, sump.y];
    add(
      [
        [x[0], 0],
        [x[1], 0],
        [x[1], sump.top],
        [x[0], sump.top],
      ],
      y[0],
      y[1],
    );
    // The sump may lie under several slabs; each has its part of the opening.
    cells.slice(0, index).forEach((cell, i) => {
      const [from, to] = [
        Math.max(x[0], Math.min(...cell.points.map((p) => p[0]))),
        Math.min(x[1], Math.max(...cell.points.map((p) => p[0]))),
      ];
      if (to - from > 1e-9)
        portals.push({
          a: i,
          b: index,
          points: Float64Array.from([from, to].flatMap((h) => y.flatMap((d) => at(h, d, sump.top)))),
        });
    });
  }
  const whole = prism(points, { axis, from: 0, to: depth });
  const mesh = sump ? together([whole, cells.at(-1)!.mesh]) : whole;
  return { outline, mesh, volume: below(mesh, UP, OVER_ALL).volume, cells, portals };
}

/** Above every tank, and still a number one can reckon with. mm */
const OVER_ALL = 1e4;

interface Slab {
  from: number;
  to: number;
  floor: [number, number];
  roof: [number, number];
}

/** Slabs that hang together, with one floor and one roof. */
interface Column {
  floor: [number, number][];
  roof: [number, number][];
  /** Of the cell it became. */
  index: number;
}

/** Does a slab carry a column on: same ends where they meet, and a floor that bends upward or not at all? */
function goesOn({ floor, roof }: Column, slab: Slab): boolean {
  const [a, b] = [floor.at(-2)!, floor.at(-1)!];
  const slope = (b[1] - a[1]) / (b[0] - a[0]);
  const next = (slab.floor[1] - slab.floor[0]) / (slab.to - slab.from);
  return (
    Math.abs(b[1] - slab.floor[0]) < 1e-9 && Math.abs(roof.at(-1)![1] - slab.roof[0]) < 1e-9 && next >= slope - 1e-9
  );
}

/** Upright cuts through every corner leave trapezoids. */
function cutIntoSlabs(points: readonly [number, number][]): Slab[][] {
  const places = [...new Set(points.map((p) => p[0]))].sort((a, b) => a - b);
  const sides = points.map((p, i) => [p, points[(i + 1) % points.length]!] as const);
  return places.slice(1).map((to, i) => {
    const from = places[i]!;
    const crossing = sides
      .map(([a, b]) => (a[0] <= b[0] ? [a, b] : [b, a]) as [[number, number], [number, number]])
      .filter(([a, b]) => a[0] <= from && b[0] >= to && a[0] < b[0])
      .map(([a, b]) => {
        const z = (h: number) => a[1] + ((b[1] - a[1]) * (h - a[0])) / (b[0] - a[0]);
        return [z(from), z(to)] as [number, number];
      })
      .sort((p, q) => p[0] + p[1] - q[0] - q[1]);
    const slabs: Slab[] = [];
    for (let k = 0; k + 1 < crossing.length; k += 2)
      slabs.push({ from, to, floor: crossing[k]!, roof: crossing[k + 1]! });
    return slabs;
  });
}
