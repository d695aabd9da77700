import fc from 'fast-check';
import { seeded } from '../truth/index.ts';
import { area, below, prism, together, volumeBelow } from './mesh.ts';
import { outlineOf } from './outline.ts';
import { solidOf } from './solid.ts';
import { randomShape } from './testing.ts';
import { upOf } from './types.ts';

const square: [number, number][] = [
  [0, 0],
  [10, 0],
  [10, 5],
  [0, 5],
];
const UP = [0, 0, 1] as const;

describe('a prism', () => {
  test('along either axis, in either order around, it holds its area times its depth', () => {
    for (const axis of ['x', 'y'] as const)
      for (const points of [square, [...square].reverse()]) {
        const { volume, moment, surface } = below(prism(points, { axis, from: 2, to: 5 }), UP, 100);
        expect(volume).toBeCloseTo(150, 9);
        // Its middle: half of ten along, between two and five across, half of five up.
        const middle = axis === 'x' ? [5, 3.5, 2.5] : [3.5, 5, 2.5];
        moment.forEach((m, k) => expect(m / volume).toBeCloseTo(middle[k]!, 9));
        expect(surface).toBeCloseTo(0, 9);
      }
  });
  test('cut half way up: half of it, under a surface of ten by three', () => {
    const half = below(prism(square, { axis: 'x', from: 0, to: 3 }), UP, 2.5);
    expect(half.volume).toBeCloseTo(75, 9);
    expect(half.surface).toBeCloseTo(30, 9);
    expect(half.moment[2] / half.volume).toBeCloseTo(1.25, 9);
  });
  test('the area of a polygon turns its sign with its order', () => {
    expect(area(square)).toBe(50);
    expect(area([...square].reverse())).toBe(-50);
  });
  test('two that touch hold what they hold apart, and no surface between them', () => {
    const [left, right] = [prism(square, { axis: 'x', from: 0, to: 3 }), prism(square, { axis: 'x', from: 3, to: 7 })];
    const both = below(together([left, right]), UP, 2.5);
    expect(both.volume).toBeCloseTo(10 * 2.5 * 7, 9);
    expect(both.surface).toBeCloseTo(70, 9);
  });
});

describe('any tank, any tilt', () => {
  const rng = seeded(31);
  const any = () => {
    const shape = randomShape(rng);
    return { shape, mesh: solidOf(shape).mesh, up: upOf({ x: (rng() - 0.5) * 30, y: (rng() - 0.5) * 30 }) };
  };
  test('what lies below and what lies above are the whole', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 400, noNaN: true }), (height) => {
        const { mesh, up } = any();
        const above = volumeBelow(mesh, [-up[0], -up[1], -up[2]], -height);
        expect((volumeBelow(mesh, up, height) + above) / volumeBelow(mesh, up, 1e4)).toBeCloseTo(1, 9);
      }),
      { numRuns: 150 },
    );
  });
  test('the free surface is what a millimetre more holds', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 200, noNaN: true }), (height) => {
        const { mesh, up } = any();
        const step = 1e-3;
        const slope = (volumeBelow(mesh, up, height + step) - volumeBelow(mesh, up, height - step)) / (2 * step);
        const { surface } = below(mesh, up, height);
        // Where a corner lies just there the slope has a kink: as much as the step is wide.
        expect(Math.abs(slope - surface)).toBeLessThan(Math.max(1, surface) * 0.01 + 400);
      }),
      { numRuns: 100 },
    );
  });
  test('more height never holds less, and moments stay inside the tank', () => {
    for (let i = 0; i < 60; i++) {
      const { shape, mesh, up } = any();
      let before = 0;
      for (let height = -100; height < 600; height += 20) {
        const { volume, moment } = below(mesh, up, height);
        expect(volume).toBeGreaterThanOrEqual(before - 1e-6);
        before = volume;
        if (volume < 1000) continue;
        const grown = outlineOf(shape).axis === 'y' ? 4 : 1e-6;
        expect(moment[0] / volume).toBeGreaterThan(-grown);
        expect(moment[0] / volume).toBeLessThan(shape.length + grown);
        expect(moment[2] / volume).toBeLessThan(shape.height + grown);
      }
    }
  });
});
