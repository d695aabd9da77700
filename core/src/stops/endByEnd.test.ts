import fc from 'fast-check';
import { runs } from '../testing/index.ts';
import { endByEnd } from './endByEnd.ts';

const drop = fc.integer({ min: 0, max: 40 }).map((n) => n * 5);

describe('one end at a time', () => {
  test('worked by hand: 60 at the second end with 30 of tilt takes three turns of the jack', () => {
    expect(endByEnd({ f: 0, r: 0 }, { f: 40, r: 60 }, 30)).toEqual([
      { f: 0, r: 30 },
      { f: 40, r: 30 },
      { f: 40, r: 60 },
    ]);
    expect(endByEnd({ f: 40, r: 40 }, { f: 40, r: 40 }, 30)).toEqual([]);
  });

  test('one end moves, never too steep, never lower anywhere than where it comes from or goes to; it arrives', () => {
    fc.assert(
      fc.property(drop, drop, drop, drop, fc.integer({ min: 1, max: 30 }), (f, r, tf, tr, steps) => {
        const limit = steps * 5;
        fc.pre(Math.abs(f - r) <= limit && Math.abs(tf - tr) <= limit);
        const path = endByEnd({ f, r }, { f: tf, r: tr }, limit);
        let last = { f, r };
        for (const pose of path) {
          expect(Number(pose.f !== last.f) + Number(pose.r !== last.r)).toBe(1);
          expect(Math.abs(pose.f - pose.r)).toBeLessThanOrEqual(limit);
          for (const x of [0, 0.25, 0.5, 0.75, 1]) {
            const d = (p: { f: number; r: number }) => p.f + (p.r - p.f) * x;
            expect(d(pose)).toBeLessThanOrEqual(Math.max(d({ f, r }), d({ f: tf, r: tr })) + 1e-9);
          }
          last = pose;
        }
        expect(last).toEqual({ f: tf, r: tr });
      }),
      { numRuns: runs(3000) },
    );
  });
});
