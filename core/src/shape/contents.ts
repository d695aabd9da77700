import { InputError } from '../errors/index.ts';
import { below, type Mesh } from './mesh.ts';
import { solidOf } from './solid.ts';
import { tableLevel, tableShare } from './table.ts';
import { noTilt as flat, upOf, type Point3, type TankShape, type Tilt } from './types.ts';

/** mm³ in a litre. */
export const LITRE = 1e6;

interface Contents {
  litres: number;
  /** Of the fuel, mm from the lowest corner at the first end; the floor's middle when there is none. */
  centroid: Point3;
  /** Free surface, m². */
  surface: number;
}

/**
 * What a tank holds below a surface.
 *
 * @param height of the surface, mm, measured upright from the corner at the origin (a level tank: above the floor)
 * @throws InputError for a level table that is tilted
 * @example contentsBelow({ kind: 'box', length: 1000, width: 400, height: 200 }, 100).litres // 40
 */
export function contentsBelow(shape: TankShape, height: number, tilt: Tilt = flat): Contents {
  if (shape.kind === 'table') {
    needsLevel(tilt);
    const litres = tableShare(shape, height) * shape.rows.at(-1)![1];
    const step = shape.height / 1000;
    const slope = tableShare(shape, height + step) - tableShare(shape, height - step);
    return {
      litres,
      centroid: [shape.length / 2, shape.width / 2, tableCentroid(shape, height)],
      surface: (slope * shape.rows.at(-1)![1]) / (2 * step),
    };
  }
  const { volume, moment, surface } = below(solidOf(shape).mesh, upOf(tilt), height);
  const centroid: Point3 =
    volume > 1 ? [moment[0] / volume, moment[1] / volume, moment[2] / volume] : [shape.length / 2, shape.width / 2, 0];
  return { litres: volume / LITRE, centroid, surface: surface / 1e6 };
}

function tableCentroid(shape: Extract<TankShape, { kind: 'table' }>, height: number): number {
  let [sum, last] = [0, tableShare(shape, 0)];
  const share = tableShare(shape, height);
  for (let i = 1; i <= 200; i++) {
    const at = tableShare(shape, (height * i) / 200);
    sum += (at - last) * ((height * (i - 0.5)) / 200);
    last = at;
  }
  return share > 0 ? sum / share : 0;
}

function needsLevel(tilt: Tilt): void {
  if (Math.abs(tilt.x) > 0.05 || Math.abs(tilt.y) > 0.05)
    throw new InputError(
      'tilt',
      `${tilt.x}° and ${tilt.y}°`,
      'a level tank: a level table does not know what a tilt does',
    );
}

/**
 * Litres of a full tank as its shape says.
 *
 * @example shapeLitres({ kind: 'box', length: 1000, width: 400, height: 200 }) // 80
 */
export const shapeLitres = (shape: TankShape): number =>
  shape.kind === 'table' ? shape.rows.at(-1)![1] : solidOf(shape).volume / LITRE;

/**
 * Where the surface stands with so much in it.
 *
 * @param litres zero to full
 * @returns mm, as `contentsBelow` takes it
 * @throws InputError for more than it holds, or less than nothing
 * @example surfaceAt({ kind: 'box', length: 1000, width: 400, height: 200 }, 40) // 100
 */
export function surfaceAt(shape: TankShape, litres: number, tilt: Tilt = flat): number {
  const full = shapeLitres(shape);
  if (!(litres >= 0 && litres <= full * (1 + 1e-9)))
    throw new InputError('litres', String(litres), `0 to ${Math.round(full * 10) / 10} L, what the tank holds`);
  if (shape.kind === 'table') {
    needsLevel(tilt);
    return tableLevel(shape, litres / full);
  }
  return surfaceIn(solidOf(shape).mesh, Math.min(litres * LITRE, solidOf(shape).volume), upOf(tilt));
}

/** Newton with the free surface as slope, kept inside a bracket. */
function surfaceIn(mesh: Mesh, volume: number, up: Point3): number {
  let [lo, hi] = heights(mesh, up);
  const tolerance = (hi - lo) * 1e-12;
  let at = (lo + hi) / 2;
  for (let i = 0; i < 100 && hi - lo > tolerance; i++) {
    const there = below(mesh, up, at);
    const over = there.volume - volume;
    if (Math.abs(over) <= 1e-10 * Math.max(1, volume)) return at;
    if (over > 0) hi = at;
    else lo = at;
    const next = at - over / there.surface;
    at = there.surface > 0 && next > lo && next < hi ? next : (lo + hi) / 2;
  }
  return at;
}

/** Lowest and highest point of a mesh along a direction. */
function heights({ vertices }: Mesh, [ux, uy, uz]: Point3): [number, number] {
  let [lo, hi] = [Infinity, -Infinity];
  for (let i = 0; i < vertices.length; i += 3) {
    const d = ux * vertices[i]! + uy * vertices[i + 1]! + uz * vertices[i + 2]!;
    if (d < lo) lo = d;
    if (d > hi) hi = d;
  }
  return [lo, hi];
}

/**
 * Share of full, 0 to 1, at a level above the lowest point of a level tank.
 *
 * @example shareAt({ kind: 'box', length: 1000, width: 400, height: 200 }, 50) // 0.25
 */
export function shareAt(shape: TankShape, mm: number): number {
  const at = Math.min(shape.height, Math.max(0, mm));
  return Math.min(1, contentsBelow(shape, at).litres / shapeLitres(shape));
}

/**
 * Level above the lowest point of a level tank at a share of full, mm.
 *
 * @example levelAt({ kind: 'box', length: 1000, width: 400, height: 200 }, 0.25) // 50
 */
export const levelAt = (shape: TankShape, share: number): number =>
  surfaceAt(shape, Math.min(1, Math.max(0, share)) * shapeLitres(shape));
