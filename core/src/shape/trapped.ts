import { InputError } from '../errors/index.ts';
import { LITRE } from './contents.ts';
import { below, volumeBelow } from './mesh.ts';
import { solidOf, type Solid } from './solid.ts';
import { noTilt as flat, upOf, type Point3, type TankShape, type Tilt } from './types.ts';

/** Fuel that stays in one place. */
export interface Pocket {
  /** How much. */
  litres: number;
  /** Middle of what stays there, mm. */
  centroid: Point3;
  /** Is it under the outlet itself, or behind a sill? */
  kind: 'outlet' | 'sill';
  /** Cells of the solid it stands in. */
  cells: number[];
}

/** Fuel that no draining takes at a tilt. */
export interface Trapped {
  /** How much in all. */
  litres: number;
  /** The largest first. */
  pockets: Pocket[];
  /** Height of the fuel that stays in each cell, mm upright from the origin. */
  levels: Float64Array;
}

/**
 * What stays when the outlet can take no more: below the outlet itself, and behind every sill between a pocket and it.
 *
 * @param outlet where the end of the hose, the pick-up or the plug is, mm
 * @throws InputError for an outlet outside the tank, or a shape that is a level table
 * @example trappedFuel(lobes, [100, 200, 10]).pockets // one behind the hump, one under the pick-up
 */
export function trappedFuel(shape: TankShape, outlet: Point3, tilt: Tilt = flat): Trapped {
  if (shape.kind === 'table')
    throw new InputError('shape', 'a level table', 'a shape: a table does not know where fuel stays');
  const solid = solidOf(shape);
  const start = cellAt(solid, outlet);
  const up = upOf(tilt);
  const levels = standing(solid, { start, outlet: dot(up, outlet), up });
  const groups = pockets(solid, levels, up);
  const list = groups
    .map((cells): Pocket => {
      const parts = cells.map((c) => below(solid.cells[c]!.mesh, up, levels[c]!));
      const volume = parts.reduce((sum, p) => sum + p.volume, 0);
      const middle = (axis: 0 | 1 | 2) => parts.reduce((sum, p) => sum + p.moment[axis], 0) / volume;
      return {
        litres: volume / LITRE,
        centroid: [middle(0), middle(1), middle(2)],
        kind: cells.includes(start) ? 'outlet' : 'sill',
        cells,
      };
    })
    .filter((p) => p.litres > 1e-6)
    .sort((a, b) => b.litres - a.litres);
  return { litres: list.reduce((sum, p) => sum + p.litres, 0), pockets: list, levels };
}

/** Only how much stays; for searches. mm³ */
export function trappedVolume(
  solid: Solid,
  { start, outlet, up }: { start: number; outlet: Point3; up: Point3 },
): number {
  const levels = standing(solid, { start, outlet: dot(up, outlet), up });
  const { cells } = solid;
  let volume = 0;
  for (let c = 0; c < cells.length; c++) {
    const cell = cells[c]!;
    const at = levels[c]!;
    if (at >= highest(cell.mesh.vertices, up)) volume += cell.volume;
    else if (at > lowest(cell.mesh.vertices, up)) volume += volumeBelow(cell.mesh, up, at);
  }
  return volume;
}

const dot = (a: Point3, b: Point3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** Least height of some corners, x, y, z in turn. */
function lowest(v: Float64Array, up: Point3): number {
  let lo = Infinity;
  for (let i = 0; i < v.length; i += 3) {
    const d = up[0] * v[i]! + up[1] * v[i + 1]! + up[2] * v[i + 2]!;
    if (d < lo) lo = d;
  }
  return lo;
}

function highest(v: Float64Array, up: Point3): number {
  let hi = -Infinity;
  for (let i = 0; i < v.length; i += 3) {
    const d = up[0] * v[i]! + up[1] * v[i + 1]! + up[2] * v[i + 2]!;
    if (d > hi) hi = d;
  }
  return hi;
}

/**
 * How high fuel stays in each cell: the least, over all ways to the outlet, of the highest sill on the way, and never
 * below the outlet.
 */
function standing(
  { cells, portals }: Solid,
  { start, outlet, up }: { start: number; outlet: number; up: Point3 },
): Float64Array {
  const levels = new Float64Array(cells.length).fill(Infinity);
  levels[start] = outlet;
  const sills = new Float64Array(portals.length);
  for (let i = 0; i < portals.length; i++) sills[i] = lowest(portals[i]!.points, up);
  const relax = (from: number, to: number, sill: number) => {
    const reached = Math.max(levels[from]!, sill);
    if (reached >= levels[to]!) return false;
    levels[to] = reached;
    return true;
  };
  // Cells lie in order, so two sweeps settle nearly every tank; the loop ends when nothing moves.
  for (let moved = true; moved;) {
    moved = false;
    for (let i = 0; i < portals.length; i++)
      if (relax(portals[i]!.a, portals[i]!.b, sills[i]!) || relax(portals[i]!.b, portals[i]!.a, sills[i]!))
        moved = true;
    for (let i = portals.length - 1; i >= 0; i--)
      if (relax(portals[i]!.a, portals[i]!.b, sills[i]!) || relax(portals[i]!.b, portals[i]!.a, sills[i]!))
        moved = true;
  }
  return levels;
}

/** Cells that share fuel below their common level. */
function pockets({ cells, portals }: Solid, levels: Float64Array, up: Point3): number[][] {
  const owner = cells.map((_, i) => i);
  const find = (i: number): number => (owner[i] === i ? i : (owner[i] = find(owner[i]!)));
  for (const { a, b, points } of portals) {
    const sill = lowest(points, up);
    if (Math.abs(levels[a]! - levels[b]!) < 1e-9 && sill < levels[a]! - 1e-9) owner[find(a)] = find(b);
  }
  const groups = new Map<number, number[]>();
  cells.forEach((_, i) => groups.set(find(i), [...(groups.get(find(i)) ?? []), i]));
  return [...groups.values()];
}

/**
 * The cell a point lies in.
 *
 * @throws InputError for a point outside the tank
 * @example cellAt(solidOf(lobes), [20, 200, 5]) // 0
 */
export function cellAt(solid: Solid, [x, y, z]: Point3): number {
  const { axis, depth, sump } = solid.outline;
  const [h, d] = axis === 'x' ? [x, y] : [y, x];
  const inside = solid.cells.findIndex((cell, i) => {
    const isSump = sump !== null && i === solid.cells.length - 1;
    const [from, to] = isSump ? sump.y : [0, depth];
    return d >= from - 1e-9 && d <= to + 1e-9 && within(cell.points, h, z);
  });
  if (inside < 0) throw new InputError('outlet', `${x}, ${y}, ${z} mm`, 'a place inside the tank');
  return inside;
}

/** Is a place inside a polygon, or on its edge? Counts the sides above it. */
function within(points: readonly [number, number][], h: number, z: number): boolean {
  let inside = false;
  for (let i = 0; i < points.length; i++) {
    const [ah, az] = points[i]!;
    const [bh, bz] = points[(i + 1) % points.length]!;
    const off = (bh - ah) * (z - az) - (bz - az) * (h - ah);
    const along = (h - ah) * (h - bh) <= 1e-9 && (z - az) * (z - bz) <= 1e-9;
    if (along && Math.abs(off) <= 1e-6 * Math.hypot(bh - ah, bz - az)) return true;
    if (ah > h !== bh > h && z < az + ((bz - az) * (h - ah)) / (bh - ah)) inside = !inside;
  }
  return inside;
}
