import { InputError } from '../errors/index.ts';
import { outlineOf } from './outline.ts';
import type { TableShape, TankShape } from './types.ts';

/**
 * Checks the sense of a shape.
 *
 * @throws InputError naming the measure, what it is and what was expected
 * @example checkShape({ kind: 'box', length: 900, width: 480, height: 220 })
 */
export function checkShape(shape: TankShape, path = 'shape'): void {
  const want = (good: boolean, { field, found, expected }: { field: string; found: unknown; expected: string }) => {
    if (!good) throw new InputError(`${path}.${field}`, String(found), expected);
  };
  for (const field of ['length', 'width', 'height'] as const)
    want(shape[field] > 0 && shape[field] <= 5000, {
      field,
      found: shape[field],
      expected: 'above zero, at most 5000 mm',
    });
  if (shape.kind === 'table') checkRows(shape, path);
  if (shape.kind === 'box' && shape.taper) {
    const { first, second } = shape.taper;
    want(first >= 0 && second >= 0, {
      field: 'taper',
      found: `${first} and ${second}`,
      expected: 'tapers of zero or more',
    });
    want(first + second < shape.length, {
      field: 'taper',
      found: `${first} and ${second}`,
      expected: `together less than ${shape.length} mm`,
    });
  }
  if (shape.kind === 'box' && shape.sump) {
    const { x, y, length, width, depth } = shape.sump;
    want(length > 0 && width > 0 && depth > 0, {
      field: 'sump',
      found: `${length} × ${width} × ${depth}`,
      expected: 'a length, width and depth',
    });
    want(depth < shape.height, {
      field: 'sump.depth',
      found: depth,
      expected: `less than the height of ${shape.height} mm, which counts it in`,
    });
    const [from, to] = [shape.taper?.first ?? 0, shape.length - (shape.taper?.second ?? 0)];
    want(x - length / 2 >= from && x + length / 2 <= to, {
      field: 'sump.x',
      found: x,
      expected: `the whole sump between ${from} and ${to} mm`,
    });
    want(y - width / 2 >= 0 && y + width / 2 <= shape.width, {
      field: 'sump.y',
      found: y,
      expected: `the whole sump between 0 and ${shape.width} mm`,
    });
  }
  if (shape.kind === 'lobes') {
    const { from, to, height, slope } = shape.hump;
    const run = shape.over === 'x' ? shape.length : shape.width;
    want(from > 0 && to < run, {
      field: 'hump',
      found: `${from} to ${to}`,
      expected: `inside the tank, 0 to ${run} mm`,
    });
    want(slope >= 0 && to - from > 2 * slope, {
      field: 'hump.slope',
      found: slope,
      expected: 'flanks that leave a top: from and to further apart than twice the slope',
    });
    want(height > 0 && height < shape.height, {
      field: 'hump.height',
      found: height,
      expected: `above zero, below ${shape.height} mm`,
    });
  }
  if (shape.kind === 'profile') {
    want(shape.points.length >= 3, { field: 'points', found: shape.points.length, expected: 'at least three points' });
    for (const [x, z] of shape.points)
      want(x >= 0 && x <= shape.length && z >= 0 && z <= shape.height, {
        field: 'points',
        found: `${x}, ${z}`,
        expected: `points between 0 and ${shape.length} by 0 and ${shape.height} mm`,
      });
    want(Math.min(...shape.points.map((p) => p[1])) === 0, {
      field: 'points',
      found: 'no point at 0',
      expected: 'the lowest point at height 0',
    });
    want(!crossesItself(outlineOf(shape).points), {
      field: 'points',
      found: 'sides that cross',
      expected: 'an outline that does not cross itself',
    });
  }
}

function checkRows({ rows, height }: TableShape, path: string): void {
  if (rows.length < 2) throw new InputError(`${path}.rows`, `${rows.length}`, 'at least two rows of level and litres');
  rows.forEach(([mm, litres], i) => {
    const before = rows[i - 1];
    if (!(Number.isFinite(mm) && Number.isFinite(litres) && mm >= 0 && litres >= 0))
      throw new InputError(`${path}.rows, row ${i + 1}`, `${mm}, ${litres}`, 'a level and litres, zero or more');
    if (before && (mm <= before[0] || litres <= before[1]))
      throw new InputError(
        `${path}.rows, row ${i + 1}`,
        `${mm} mm, ${litres} L`,
        `more than the row before: ${before[0]} mm, ${before[1]} L`,
      );
  });
  const top = rows.at(-1)![0];
  if (top > height) throw new InputError(`${path}.rows`, `${top} mm`, `no level above the height of ${height} mm`);
}

function crossesItself(points: readonly [number, number][]): boolean {
  const n = points.length;
  const turn = (a: readonly number[], b: readonly number[], c: readonly number[]) =>
    (b[0]! - a[0]!) * (c[1]! - a[1]!) - (b[1]! - a[1]!) * (c[0]! - a[0]!);
  for (let i = 0; i < n; i++)
    for (let k = i + 2; k < n; k++) {
      if (i === 0 && k === n - 1) continue;
      const [a, b, c, d] = [points[i]!, points[(i + 1) % n]!, points[k]!, points[(k + 1) % n]!];
      if (turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0) return true;
    }
  return false;
}
