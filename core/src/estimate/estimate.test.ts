import { roundTo } from './index.ts';
import fc from 'fast-check';
import { typical } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { Estimate } from './index.ts';
import { add, clamp, contradict, estimate, exactly, multiply, narrow, rangeInWords, subtract, total } from './index.ts';

const number = fc.double({ min: -1000, max: 1000, noNaN: true });
const range: fc.Arbitrary<Estimate> = fc.tuple(number, number, number).map((v) => {
  const [lo, typ, hi] = [...v].sort((a, b) => a - b) as [number, number, number];
  return estimate({ lo, typ, hi }, typical);
});
const pointIn = (r: Estimate, t: number) => Math.min(r.hi, r.lo + t * (r.hi - r.lo));
const share = fc.double({ min: 0, max: 1, noNaN: true });
const inside = (r: Estimate, v: number) => v >= r.lo - 1e-6 && v <= r.hi + 1e-6;

test('rounding leaves no tail of binary fractions: three tenths are 0.3', () => {
  expect(roundTo(0.3, 0.1)).toBe(0.3);
  expect(String(roundTo(17.7, 0.1))).toBe('17.7');
  expect(roundTo(-0.01, 1)).toBe(0);
  expect(Object.is(roundTo(-0.01, 1), -0)).toBe(false);
});

describe('interval arithmetic', () => {
  test('encloses every point result', () => {
    fc.assert(
      fc.property(range, range, share, share, (a, b, s, t) => {
        const [x, y] = [pointIn(a, s), pointIn(b, t)];
        expect(inside(add(a, b), x + y)).toBe(true);
        expect(inside(subtract(a, b), x - y)).toBe(true);
        expect(inside(multiply(a, b), x * y)).toBe(true);
      }),
    );
  });

  test('narrowing keeps every value both allow, or refuses', () => {
    fc.assert(
      fc.property(range, range, share, (a, b, s) => {
        if (contradict(a, b)) return void expect(() => narrow(a, b, typical)).toThrow(InputError);
        const both = narrow(a, b, typical);
        expect(both.hi - both.lo).toBeLessThanOrEqual(Math.min(a.hi - a.lo, b.hi - b.lo));
        const x = pointIn(a, s);
        if (inside(b, x)) expect(inside(both, x)).toBe(true);
      }),
    );
  });

  test('refuses what is upside down or not a number', () => {
    expect(() => estimate({ lo: 3, typ: 2, hi: 4 }, typical)).toThrow(InputError);
    expect(() => exactly(Number.NaN)).toThrow(InputError);
  });

  test('rounding for people', () => {
    expect(rangeInWords({ lo: 41.2, hi: 55.4 }, 1)).toBe('41–55');
    expect(rangeInWords({ lo: 118, hi: 121 }, 5)).toBe('120');
    expect(total([]).typ).toBe(0);
    expect(clamp(exactly(-3), 0, 9).lo).toBe(0);
  });
});
