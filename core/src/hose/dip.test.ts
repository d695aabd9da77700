import { seeded } from '../truth/index.ts';
import { InputError } from '../errors/index.ts';
import { dipsOf, type RoutePoint } from './index.ts';
import { draws } from '../testing/index.ts';

/** Cells across the bore, and how long each is, mm. */
const CELLS = { across: 64, long: 4 };

/** Liquid in the hose by another road: the bore in small cells; filled from the lowest up, a pool is lost once it meets an open end. */
function poured(route: readonly RoutePoint[], bore: number): number {
  const { across, long } = CELLS;
  const high: number[] = [];
  const volume: number[] = [];
  for (let i = 1; i < route.length; i++) {
    const [[x1, z1], [x2, z2]] = [route[i - 1]!, route[i]!];
    const length = Math.hypot(x2 - x1, z2 - z1);
    const steps = Math.max(1, Math.round(length / long));
    for (let k = 0; k < steps; k++)
      for (let j = 0; j < across; j++) {
        const v = ((j + 0.5) / across - 0.5) * bore;
        high.push(z1 + ((z2 - z1) * (k + 0.5)) / steps + (v * Math.abs(x2 - x1)) / length);
        volume.push((2 * Math.sqrt((bore / 2) ** 2 - v * v) * bore * length) / across / steps / 1000);
      }
  }
  const rows = high.length / across;
  const OUT = high.length;
  const parent = Array.from({ length: high.length + 1 }, (_, i) => i);
  const root = (i: number): number => {
    while (parent[i] !== i) i = parent[i] = parent[parent[i]!]!;
    return i;
  };
  // What a pool holds when it stands no higher than its last cell.
  const kept = Array.from({ length: high.length + 1 }, () => 0);
  const added = new Uint8Array(high.length);
  let lost = 0;
  const join = (a: number, b: number) => {
    const [x, y] = [root(a), root(b)];
    if (x === y) return;
    if (x === root(OUT) || y === root(OUT)) {
      const pool = x === root(OUT) ? y : x;
      lost += kept[pool]!;
      parent[pool] = root(OUT);
      return;
    }
    parent[y] = x;
    kept[x]! += kept[y]!;
  };
  for (const cell of high.map((_, i) => i).sort((a, b) => high[a]! - high[b]!)) {
    const [row, j] = [Math.floor(cell / across), cell % across];
    const beside = [
      ...(row > 0 ? [cell - across] : []),
      ...(row < rows - 1 ? [cell + across] : []),
      ...(j > 0 ? [cell - 1] : []),
      ...(j < across - 1 ? [cell + 1] : []),
    ].filter((one) => added[one]);
    added[cell] = 1;
    const open = row === 0 || row === rows - 1 || beside.some((one) => root(one) === root(OUT));
    // The pools that meet an open end here stay as they stood: full to this height, and no further.
    if (open) for (const one of beside) join(one, OUT);
    if (open) join(cell, OUT);
    else {
      kept[cell] = volume[cell]!;
      for (const one of beside) join(cell, one);
    }
  }
  return lost;
}

/** A hose under a floor: smooth, level at both ends, bent no tighter than a hose may be. */
function anyRoute(chance: () => number): RoutePoint[] {
  const length = 600 + chance() * 500;
  const waves = [1, 2, 3].map((k) => ({ k, high: ((chance() - 0.5) * 110) / k }));
  return Array.from({ length: 121 }, (_, i): RoutePoint => {
    const x = (i / 120) * length;
    return [x, waves.reduce((z, { k, high }) => z + high * Math.cos((k * Math.PI * x) / length), 0)];
  });
}

describe('dips of a hose', () => {
  test('a V of 100 mm in a bore of 19: shut, and what stays is less than the whole bore', () => {
    const [dip] = dipsOf(
      [
        [0, 100],
        [200, 0],
        [400, 100],
      ],
      19,
    );
    expect(dip).toMatchObject({ shut: true, at: [expect.any(Number), expect.any(Number)] });
    expect(dip!.depth).toBeCloseTo(100, 0);
    // 90.5 of 100 mm of each leg lie below the sill’s invert: legs of 223.6 mm, 283.5 mm² of bore.
    expect(dip!.stays).toBeCloseTo((2 * 223.6 * 0.905 * 283.53) / 1000, 0);
  });
  test('half a bore deep: liquid lies in it and never shuts it', () => {
    const [dip] = dipsOf(
      [
        [0, 10],
        [200, 0],
        [400, 10],
      ],
      19,
    );
    expect(dip).toMatchObject({ shut: false, shutsAt: null });
    // Half the bore at its lowest place, nothing at its sills.
    expect(
      dip!.stays /
        poured(
          [
            [0, 10],
            [200, 0],
            [400, 10],
          ],
          19,
        ),
    ).toBeCloseTo(1, 1);
    expect(dip!.stays).toBeLessThan((400 * 283.53) / 2 / 1000);
  });
  test('falling all the way, or over one high loop: no dip', () => {
    expect(
      dipsOf(
        [
          [0, 100],
          [200, 50],
          [400, 0],
        ],
        19,
      ),
    ).toEqual([]);
    expect(
      dipsOf(
        [
          [0, 0],
          [200, 120],
          [400, 10],
        ],
        19,
      ),
    ).toEqual([]);
  });
  test('the lower sill counts, and one dip after another is two', () => {
    const [first, second, ...more] = dipsOf(
      [
        [0, 200],
        [100, 0],
        [200, 80],
        [300, 20],
        [400, 60],
      ],
      12,
    );
    expect(more).toEqual([]);
    expect(Math.abs(first!.depth - 80)).toBeLessThan(1);
    expect(Math.abs(second!.depth - 40)).toBeLessThan(1);
  });
  test('many routes against a flood of cells: as much stays', () => {
    const chance = seeded(77);
    let [dips, worst, all, reference] = [0, 0, 0, 0];
    for (let i = 0; i < draws(500); i++) {
      const route = anyRoute(chance);
      const bore = [8, 12, 19][i % 3]!;
      const ours = dipsOf(route, bore).reduce((sum, { stays }) => sum + stays, 0);
      const theirs = poured(route, bore);
      if (ours > 0) dips += 1;
      all += ours;
      reference += theirs;
      worst = Math.max(worst, Math.abs(ours - theirs) / Math.max(8, theirs));
    }
    expect(dips).toBeGreaterThan(draws(500) / 2);
    expect(Math.abs(all / reference - 1)).toBeLessThan(0.02);
    // Cells of 4 mm by a sixty-fourth of the bore: a few in a hundred.
    expect(worst).toBeLessThan(0.08);
  });
  test.each([
    [
      'no bore',
      [
        [0, 0],
        [10, 10],
      ],
      0,
      'bore',
    ],
    ['one point', [[0, 0]], 10, 'route'],
    [
      'two ends in one place',
      [
        [0, 0],
        [0, 0],
      ],
      10,
      'route[1]',
    ],
    [
      'through itself',
      [
        [0, 0],
        [100, 0],
        [100, 50],
        [50, -50],
      ],
      10,
      'route[3]',
    ],
    [
      'no figure',
      [
        [0, 0],
        [Number.NaN, 4],
      ],
      10,
      'route[1]',
    ],
  ] as [string, RoutePoint[], number, string][])('%s is refused', (_, route, bore, field) => {
    expect(() => dipsOf(route, bore)).toThrow(InputError);
    expect(() => dipsOf(route, bore)).toThrow(field);
  });
});
