import type { Point3 } from './types.ts';

/** A closed surface of triangles, counter-clockwise from outside. Vertices in mm. */
export interface Mesh {
  /** Corners, x, y, z in turn, mm. */
  vertices: Float64Array;
  /** Three corners a triangle, counter-clockwise from outside. */
  triangles: Uint32Array;
}

/**
 * A polygon drawn out into a prism. The end faces are fans, also of a polygon that is not convex: parts counted twice
 * are counted back by triangles that face the other way, so every volume and moment below a plane is exact.
 *
 * @param points of the polygon in the plane of its axis and z, in order around
 * @param axis along which the polygon runs; it is drawn out along the other one, from `from` to `to`
 * @example prism([[0, 0], [10, 0], [10, 5], [0, 5]], { axis: 'x', from: 0, to: 3 }) // a box of 150 mm³
 */
export function prism(
  points: readonly (readonly [number, number])[],
  { axis, from, to }: { axis: 'x' | 'y'; from: number; to: number },
): Mesh {
  const n = points.length;
  const vertices = new Float64Array(6 * n);
  points.forEach(([h, z], i) => {
    for (const [row, depth] of [from, to].entries()) {
      const at = 3 * (row * n + i);
      vertices[at] = axis === 'x' ? h : depth;
      vertices[at + 1] = axis === 'x' ? depth : h;
      vertices[at + 2] = z;
    }
  });
  // x, z and y are a left-handed set; y, z and x a right-handed one: the faces turn accordingly.
  const flip = area(points) > 0 === (axis === 'x');
  const list: number[] = [];
  const face = (a: number, b: number, c: number) => (flip ? list.push(a, b, c) : list.push(a, c, b));
  for (let i = 1; i < n - 1; i++) {
    face(0, i, i + 1);
    face(n, n + i + 1, n + i);
  }
  for (let i = 0; i < n; i++) {
    const k = (i + 1) % n;
    face(i, n + i, k);
    face(k, n + i, n + k);
  }
  return { vertices, triangles: Uint32Array.from(list) };
}

/**
 * Area of a polygon, above zero where it runs counter-clockwise.
 *
 * @example area([[0, 0], [10, 0], [10, 5], [0, 5]]) // 50
 */
export const area = (points: readonly (readonly [number, number])[]): number =>
  points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    return sum + (x * ny - nx * y) / 2;
  }, 0);

/**
 * Several meshes as one; they may touch.
 *
 * @example together([prism(left, { axis: 'x', from: 0, to: 3 }), prism(right, { axis: 'x', from: 3, to: 7 })])
 */
export function together(meshes: readonly Mesh[]): Mesh {
  const vertices: number[] = [];
  const triangles: number[] = [];
  for (const mesh of meshes) {
    const base = vertices.length / 3;
    vertices.push(...mesh.vertices);
    for (const t of mesh.triangles) triangles.push(t + base);
  }
  return { vertices: Float64Array.from(vertices), triangles: Uint32Array.from(triangles) };
}

/** What lies below a plane: volume, first moments and free surface. mm³, mm⁴, mm² */
interface Below {
  volume: number;
  moment: [number, number, number];
  surface: number;
}

/** Heights of the vertices over the plane, kept between calls so that nothing is allocated in a search. */
let over = new Float64Array(1024);

/**
 * What of a closed mesh lies at or below the plane `up · p = height`: exact for the polyhedron. Every face below is a
 * tetrahedron with a common point in the plane; the free surface then adds nothing and need not be built.
 *
 * @param up unit vector
 * @param height mm along it
 * @example below(prism(square, { axis: 'x', from: 0, to: 1 }), [0, 0, 1], 0.5).volume // half of it
 */
export function below(mesh: Mesh, up: Point3, height: number): Below {
  sweep(mesh, { ux: up[0], uy: up[1], uz: up[2], height });
  return { volume: swept[0]!, moment: [swept[1]!, swept[2]!, swept[3]!], surface: swept[4]! };
}

/** Only the volume, with nothing allocated; for searches. mm³ @example volumeBelow(mesh, [0, 0, 1], 2.5) */
export function volumeBelow(mesh: Mesh, up: Point3, height: number): number {
  sweep(mesh, { ux: up[0], uy: up[1], uz: up[2], height });
  return swept[0]!;
}

/** What the last sweep found: volume, moments, surface. */
const swept = new Float64Array(5);

function sweep(
  { vertices, triangles }: Mesh,
  { ux, uy, uz, height }: { ux: number; uy: number; uz: number; height: number },
): void {
  const count = vertices.length / 3;
  if (over.length < count) over = new Float64Array(2 * count);
  for (let i = 0; i < count; i++)
    over[i] = ux * vertices[3 * i]! + uy * vertices[3 * i + 1]! + uz * vertices[3 * i + 2]! - height;
  const ox = ux * height;
  const oy = uy * height;
  const oz = uz * height;
  // Six times the volume and twenty-four times the moments, divided once at the end.
  let volume = 0;
  let mx = 0;
  let my = 0;
  let mz = 0;
  let surface = 0;
  for (let t = 0; t < triangles.length; t += 3) {
    let i = triangles[t]!;
    let j = triangles[t + 1]!;
    let k = triangles[t + 2]!;
    let di = over[i]!;
    let dj = over[j]!;
    let dk = over[k]!;
    const high = (di > 0 ? 1 : 0) + (dj > 0 ? 2 : 0) + (dk > 0 ? 4 : 0);
    if (high === 7) continue;
    // Turned so that i stands alone on its side of the plane; the order around stays.
    if (high === 2 || high === 5) {
      const wasI = i;
      const wasD = di;
      i = j;
      j = k;
      k = wasI;
      di = dj;
      dj = dk;
      dk = wasD;
    } else if (high === 4 || high === 3) {
      const wasI = i;
      const wasD = di;
      i = k;
      k = j;
      j = wasI;
      di = dk;
      dk = dj;
      dj = wasD;
    }
    const ax = vertices[3 * i]! - ox;
    const ay = vertices[3 * i + 1]! - oy;
    const az = vertices[3 * i + 2]! - oz;
    const bx = vertices[3 * j]! - ox;
    const by = vertices[3 * j + 1]! - oy;
    const bz = vertices[3 * j + 2]! - oz;
    const cx = vertices[3 * k]! - ox;
    const cy = vertices[3 * k + 1]! - oy;
    const cz = vertices[3 * k + 2]! - oz;
    const whole = ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
    const sx = ax + bx + cx;
    const sy = ay + by + cy;
    const sz = az + bz + cz;
    if (high === 0) {
      volume += whole;
      mx += whole * sx;
      my += whole * sy;
      mz += whole * sz;
      continue;
    }
    const s = di / (di - dj);
    const q = di / (di - dk);
    const px = ax + s * (bx - ax);
    const py = ay + s * (by - ay);
    const pz = az + s * (bz - az);
    const rx = ax + q * (cx - ax);
    const ry = ay + q * (cy - ay);
    const rz = az + q * (cz - az);
    const edge = ux * (py * rz - pz * ry) + uy * (pz * rx - px * rz) + uz * (px * ry - py * rx);
    // The corner at i is s·q of the whole face, and so is its tetrahedron of the whole one.
    const corner = s * q * whole;
    const kx = ax + px + rx;
    const ky = ay + py + ry;
    const kz = az + pz + rz;
    if (di > 0) {
      volume += whole - corner;
      mx += whole * sx - corner * kx;
      my += whole * sy - corner * ky;
      mz += whole * sz - corner * kz;
      surface += edge;
    } else {
      volume += corner;
      mx += corner * kx;
      my += corner * ky;
      mz += corner * kz;
      surface -= edge;
    }
  }
  volume /= 6;
  swept[0] = volume;
  swept[1] = mx / 24 + volume * ox;
  swept[2] = my / 24 + volume * oy;
  swept[3] = mz / 24 + volume * oz;
  swept[4] = Math.abs(surface) / 2;
}
