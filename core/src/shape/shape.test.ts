import fc from 'fast-check';
import { InputError } from '../errors/index.ts';
import {
  bestTilt,
  checkShape,
  contentsBelow,
  fuelInSection,
  levelAt,
  readLevelTable,
  sectionOf,
  shapeLitres,
  shareAt,
  surfaceAt,
  tiltToPort,
  trappedFuel,
  upOf,
  type TankShape,
} from './index.ts';
import { below } from './mesh.ts';
import { outlineOf } from './outline.ts';
import { solidFrom } from './solid.ts';
import { randomShape, twoLobes } from './testing.ts';
import { seeded } from '../truth/index.ts';

const box: TankShape = { kind: 'box', length: 1000, width: 400, height: 200 };
const round: TankShape = { kind: 'cylinder', length: 1000, width: 500, height: 500 };
const lobes: TankShape = twoLobes;
const RAD = Math.PI / 180;

describe('a lying cylinder, by the textbook formula V = L·(r²·acos((r−h)/r) − (r−h)·√(2rh−h²))', () => {
  const [r, h] = [0.25, 0.1];
  const wanted = (r * r * Math.acos((r - h) / r) - (r - h) * Math.sqrt(2 * r * h - h * h)) * 1000;
  const first = (2 / 3) * Math.pow(2 * r * h - h * h, 1.5);
  test('radius 0.25 m, length 1 m, 0.10 m deep: 27.956 L, centroid 59.22 mm', () => {
    expect(wanted).toBeCloseTo(27.956, 3);
    const fine = below(solidFrom(outlineOf(round, 4096)).mesh, [0, 0, 1], 100);
    expect(fine.volume / 1e6).toBeCloseTo(27.956, 3);
    expect(fine.moment[2] / fine.volume).toBeCloseTo(59.22, 2);
    // Centroid of a segment: r minus two thirds of the half chord cubed over the area.
    expect(1000 * (r - first / (wanted / 1000))).toBeCloseTo(59.22, 2);
  });
  test('the polygon that stands for it is within half a percent at this level, and exact when full', () => {
    expect(Math.abs(contentsBelow(round, 100).litres / wanted - 1)).toBeLessThan(0.005);
    expect(shapeLitres(round)).toBeCloseTo(Math.PI * 0.25 ** 2 * 1000, 6);
  });
});

describe('contents', () => {
  test('a box by hand, level and tipped', () => {
    expect(contentsBelow(box, 100)).toEqual({
      litres: expect.closeTo(40, 9) as number,
      centroid: [expect.closeTo(500, 6), expect.closeTo(200, 6), expect.closeTo(50, 6)],
      surface: expect.closeTo(0.4, 9) as number,
    });
    // Tipped 5°, half full: the surface turns about the middle, so the low end stands tan 5° · 500 mm higher in the tank.
    const tilt = { x: 5, y: 0 };
    const height = surfaceAt(box, 40, tilt);
    const up = upOf(tilt);
    const atEnd = (height - up[0] * 1000) / up[2];
    expect(atEnd).toBeCloseTo(100 + Math.tan(5 * RAD) * 500, 6);
    // Centroid of the tipped half: by splitting it into a slab and a wedge.
    const rise = Math.tan(5 * RAD) * 1000;
    expect(contentsBelow(box, height, tilt).centroid[0]).toBeCloseTo(500 + (rise * 1000) / (12 * 100), 6);
  });

  test('level from contents is the way back, for any shape and tilt', () => {
    const rng = seeded(9);
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), fc.tuple(angle, angle), (share, [x, y]) => {
        const shape = randomShape(rng);
        const litres = share * shapeLitres(shape);
        expect(contentsBelow(shape, surfaceAt(shape, litres, { x, y }), { x, y }).litres).toBeCloseTo(litres, 5);
      }),
      { numRuns: 150 },
    );
  });

  test('share and level of a level tank are each other’s way back, and both rise', () => {
    for (const shape of [box, round, lobes])
      for (const share of [0, 0.1, 0.5, 0.9, 1]) expect(shareAt(shape, levelAt(shape, share))).toBeCloseTo(share, 6);
    expect(shareAt(lobes, 50)).toBeLessThan(0.2);
  });

  test('more than it holds, or less than nothing, is refused with what it holds', () => {
    expect(() => surfaceAt(box, 81)).toThrow(/0 to 80 L/);
    expect(() => surfaceAt(box, -1)).toThrow(InputError);
    expect(() => surfaceAt(box, NaN)).toThrow(InputError);
  });
});

const angle = fc.double({ min: -12, max: 12, noNaN: true });

describe('what stays', () => {
  test('level: the slice under the outlet, and the far lobe to its crest, by hand', () => {
    const { litres, pockets } = trappedFuel(lobes, [100, 200, 10]);
    // Near lobe: 400 mm of floor and 3 mm of flank (30 mm in 100) at 10 mm; far lobe: 360 mm of floor, 30 of flank at 100.
    const near = (400 + 1.5) * 10 * 400;
    const far = (360 + 15) * 100 * 400;
    expect(litres).toBeCloseTo((near + far) / 1e6, 9);
    expect(pockets.map((p) => p.kind)).toEqual(['sill', 'outlet']);
    expect(pockets[0]!.centroid[0]).toBeGreaterThan(610);
  });
  test('tipped towards the outlet, the far lobe runs over', () => {
    const tipped = trappedFuel(lobes, [100, 200, 10], { x: -8, y: 0 });
    expect(tipped.litres).toBeLessThan(trappedFuel(lobes, [100, 200, 10]).litres);
  });
  test('a sump with the outlet in it keeps only what is below the outlet', () => {
    const sumped: TankShape = { ...box, sump: { x: 500, y: 200, length: 100, width: 100, depth: 30 } };
    expect(trappedFuel(sumped, [500, 200, 5]).litres).toBeCloseTo(0.05, 9);
    // Outlet beside it, on the floor: the sump stays full.
    expect(trappedFuel(sumped, [100, 200, 30]).litres).toBeCloseTo(0.3, 9);
  });
  test('an outlet outside the tank is refused, and a level table does not know', () => {
    expect(() => trappedFuel(lobes, [500, 200, 50])).toThrow(/inside the tank/);
    expect(() => trappedFuel(lobes, [-5, 200, 50])).toThrow(InputError);
    expect(() => trappedFuel(table, [500, 200, 50])).toThrow(/level table/);
  });
  test('never negative, never more than the tank, for any outlet on the floor', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 390 }), angle, angle, (x, a, b) => {
        const { litres } = trappedFuel(lobes, [x, 200, 5], { x: a, y: b });
        expect(litres).toBeGreaterThanOrEqual(0);
        expect(litres).toBeLessThanOrEqual(shapeLitres(lobes) + 1e-9);
      }),
    );
  });
});

describe('the one tilt that frees most', () => {
  test('beats or equals every other tilt of a fine grid, within what a degree is worth', () => {
    const best = bestTilt(lobes, { outlet: [20, 200, 5], reach: { x: 8, y: 8 } });
    for (let x = -8; x <= 8; x += 0.5)
      for (let y = -8; y <= 8; y += 2)
        expect(best.stays).toBeLessThan(trappedFuel(lobes, [20, 200, 5], { x, y }).litres + 0.02);
    expect(best.tilt.x).toBeLessThan(-5);
    expect(best.stays).toBeCloseTo(trappedFuel(lobes, [20, 200, 5], best.tilt).litres, 9);
  });
  test('a flat tank with the outlet at its floor needs none', () => {
    expect(bestTilt(box, { outlet: [500, 200, 0], reach: { x: 8, y: 8 } }).tilt).toEqual({ x: 0, y: 0 });
  });
  test('tells how far it is, and refuses a reach that is none', () => {
    const told: number[] = [];
    bestTilt(lobes, { outlet: [20, 200, 5], reach: { x: 3, y: 1 }, progress: (share) => told.push(share) });
    expect(told).toHaveLength(7);
    expect(told.at(-1)).toBe(1);
    expect(() => bestTilt(lobes, { outlet: [20, 200, 5], reach: { x: 90, y: 0 } })).toThrow(InputError);
  });
});

describe('tilt at which fuel reaches an open port', () => {
  test('a half-full box: the low end is full when tan θ · 500 mm is the other half', () => {
    const degrees = tiltToPort(box, { litres: 40, port: [1000, 200, 200], direction: { x: 1, y: 0 } })!;
    expect(degrees).toBeCloseTo(Math.atan(100 / 500) / RAD, 6);
    // A third of a port's way along it takes longer; away from it, never.
    expect(tiltToPort(box, { litres: 40, port: [750, 200, 200], direction: { x: 1, y: 0 } })!).toBeGreaterThan(degrees);
    expect(tiltToPort(box, { litres: 40, port: [1000, 200, 200], direction: { x: -1, y: 0 }, most: 20 })).toBeNull();
    expect(tiltToPort(box, { litres: 80, port: [1000, 200, 200], direction: { x: 1, y: 0 } })).toBe(0);
  });
});

describe('a section', () => {
  test('half full and level: its fuel has half its area, tilted too', () => {
    const size = (list: [number, number][][]) =>
      list.reduce(
        (sum, points) =>
          sum +
          points.reduce((s, [x, z], i) => {
            const [nx, nz] = points[(i + 1) % points.length]!;
            return s + (x * nz - nx * z) / 2;
          }, 0),
        0,
      );
    for (const tilt of [
      { x: 0, y: 0 },
      { x: 6, y: 0 },
    ])
      expect(
        size(fuelInSection(lobes, { axis: 'x', tilt, heights: surfaceAt(lobes, shapeLitres(lobes) / 2, tilt) })),
      ).toBeCloseTo(size([sectionOf(lobes, 'x').outline]) / 2, 3);
    expect(sectionOf(round, 'x').isProfile).toBe(false);
    expect(sectionOf(round).isProfile).toBe(true);
  });
});

const table: TankShape = {
  kind: 'table',
  length: 900,
  width: 400,
  height: 200,
  rows: [
    [0, 0],
    [50, 10],
    [150, 50],
    [200, 60],
  ],
};

describe('a level table', () => {
  test('reads commas, semicolons, headings, inches and gallons', () => {
    expect(readLevelTable('mm,litres\n0,0\n100,24.5\n')).toEqual([
      [0, 0],
      [100, 24.5],
    ]);
    expect(readLevelTable('0;0\n100;24,5')).toEqual([
      [0, 0],
      [100, 24.5],
    ]);
    const [, two] = readLevelTable('level in\tgal\n0\t0\n4\t10');
    expect(two![0]).toBeCloseTo(101.6, 9);
    expect(two![1]).toBeCloseTo(37.85411784, 9);
  });
  test.each([
    ['', /columns of level, litres/],
    ['mm,litres', /heading only/],
    ['0,0\nten,5', /line 2, column 1/],
    ['0,0\n10,', /line 2, column 2/],
  ])('%j is refused', (text, message) => {
    expect(() => readLevelTable(text)).toThrow(message);
  });
  test('is read straight between its rows, and back', () => {
    expect(contentsBelow(table, 100).litres).toBeCloseTo(30, 9);
    expect(surfaceAt(table, 30)).toBeCloseTo(100, 9);
    expect(() => contentsBelow(table, 100, { x: 3, y: 0 })).toThrow(/does not know/);
    // Contents of [0, 100]: 10 L around 25 mm and 20 L around 75 mm.
    expect(contentsBelow(table, 100).centroid[2]).toBeCloseTo((10 * 25 + 20 * 75) / 30, 1);
  });
});

describe('shapes that cannot be', () => {
  test.each<[string, TankShape, RegExp]>([
    ['no width', { ...box, width: 0 }, /width/],
    ['tapers longer than it', { ...box, taper: { first: 600, second: 500 } }, /taper/],
    ['a sump beside it', { ...box, sump: { x: 980, y: 200, length: 100, width: 100, depth: 30 } }, /sump/],
    ['a hump to the roof', { ...lobes, hump: { from: 400, to: 640, height: 250, slope: 30 } }, /hump.height/],
    ['flanks that meet', { ...lobes, hump: { from: 400, to: 440, height: 50, slope: 30 } }, /slope/],
    [
      'a table that does not rise',
      {
        ...table,
        rows: [
          [0, 0],
          [50, 10],
          [40, 20],
        ],
      },
      /row 3/,
    ],
    [
      'an outline that crosses itself',
      {
        kind: 'profile',
        length: 100,
        width: 10,
        height: 100,
        points: [
          [0, 0],
          [100, 100],
          [100, 0],
          [0, 100],
        ],
      },
      /cross/,
    ],
    [
      'an outline that floats',
      {
        kind: 'profile',
        length: 100,
        width: 10,
        height: 100,
        points: [
          [0, 10],
          [100, 10],
          [50, 100],
        ],
      },
      /lowest/,
    ],
  ])('%s', (_, shape, message) => {
    expect(() => checkShape(shape)).toThrow(message);
  });
  test('those that can be pass', () => {
    const rng = seeded(2);
    for (let i = 0; i < 60; i++) expect(() => checkShape(randomShape(rng))).not.toThrow();
    for (const shape of [box, round, lobes, table]) expect(() => checkShape(shape)).not.toThrow();
  });
});
