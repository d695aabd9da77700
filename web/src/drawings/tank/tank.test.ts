import { archetypes, exactly, sectionOf, shapeLitres, type TankShape, type VehicleFile } from '@iron-cradle/core';
import { layTank, type Px } from './layout.ts';

describe('the tank in section', () => {
  const lobes: TankShape = {
    kind: 'lobes',
    length: 1000,
    width: 400,
    height: 250,
    over: 'x',
    hump: { from: 400, to: 640, height: 100, slope: 30 },
  };
  const shapes: TankShape[] = [
    { kind: 'box', length: 1000, width: 400, height: 200, taper: { first: 80, second: 120 } },
    { kind: 'cylinder', length: 900, width: 300, height: 300 },
    lobes,
  ];
  const file = (shape: TankShape): VehicleFile => {
    const litres = shapeLitres(shape);
    const base = archetypes[0]!;
    return { ...base, tank: { ...base.tank, shape, litres: { lo: litres, typ: litres, hi: litres } } };
  };
  const size = (polygons: readonly (readonly Px[])[]) =>
    polygons.reduce(
      (sum, points) =>
        sum +
        Math.abs(
          points.reduce((s, [x, y], i) => {
            const [nx, ny] = points[(i + 1) % points.length]!;
            return s + (x * ny - nx * y) / 2;
          }, 0),
        ),
      0,
    );
  const box = { width: 700, height: 240 };

  test.each(shapes.map((s) => [s.kind, s] as const))(
    '%s: the share of its area is the share of its litres',
    (_, shape) => {
      // Drawn out over its depth a profile holds by its area, level or tipped along the picture.
      for (const share of [0.1, 0.35, 0.8])
        for (const x of shape.kind === 'cylinder' ? [0] : [0, 5]) {
          const vehicle = file(shape);
          const at = layTank({ vehicle, aboard: exactly(share * shapeLitres(shape)), tilt: { x, y: 0 }, box });
          expect(size(at.sure) / size([at.outline])).toBeCloseTo(share, 2);
          expect(size(at.maybe)).toBeCloseTo(size(at.sure), 6);
        }
    },
  );
  test('to scale, inside its box, and a dragged level is the level that is drawn', () => {
    for (const shape of shapes) {
      const at = layTank({ vehicle: file(shape), aboard: exactly(20), tilt: { x: 0, y: 0 }, box });
      const xs = at.outline.map((p) => p[0]);
      const ys = at.outline.map((p) => p[1]);
      const section = sectionOf(shape).outline;
      const run = Math.max(...section.map((p) => p[0])) - Math.min(...section.map((p) => p[0]));
      const tall = Math.max(...section.map((p) => p[1])) - Math.min(...section.map((p) => p[1]));
      expect((Math.max(...xs) - Math.min(...xs)) / run).toBeCloseTo((Math.max(...ys) - Math.min(...ys)) / tall, 6);
      expect(Math.min(...xs)).toBeGreaterThan(-1);
      expect(Math.max(...xs)).toBeLessThan(box.width + 1);
      expect(Math.max(...ys)).toBeLessThan(at.height + 1);
      expect(at.mmAt(at.yOf(73))).toBeCloseTo(73, 6);
      expect(at.mmAt(-500)).toBe(shape.height);
    }
  });
  test('what stays behind the hump is drawn there, as large as the core says', () => {
    const at = layTank({ vehicle: file(lobes), aboard: exactly(60), tilt: { x: 0, y: 0 }, box });
    const scale = 700 / 1000;
    // 375 mm × 100 mm of the far lobe, by hand.
    expect(size(at.behind) / scale ** 2).toBeCloseTo(375 * 100, 0);
    for (const p of at.behind.flat()) expect(p[0]).toBeGreaterThan(0.6 * 700);
  });
  test('tipped, its fuel stays level: every part ends at one height', () => {
    const at = layTank({ vehicle: file(lobes), aboard: exactly(70), tilt: { x: 4, y: 0 }, box });
    const tops = at.sure.map((p) => Math.min(...p.map((q) => q[1])));
    expect(Math.max(...tops) - Math.min(...tops)).toBeLessThan(0.01);
  });
});
