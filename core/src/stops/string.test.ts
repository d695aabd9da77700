import fc from 'fast-check';
import { runs } from '../testing/index.ts';
import { InputError } from '../errors/index.ts';
import { slackFromString, slackReleased, tautLength, type Place, type StringLine } from './string.ts';

const straight: StringLine = { clip: [0, 100], port: [300, 100], free: 350 };
const overRail: StringLine = { ...straight, over: [[100, 120]] };

describe('slack from a string, by the geometry of a right triangle', () => {
  test('no rail: √(350² − 300²) = 180.28', () => {
    expect(slackFromString(straight).slack).toBeCloseTo(Math.sqrt(350 ** 2 - 300 ** 2), 6);
  });
  test('over a rail at (100, 120): −20 + √((350 − √(100² + 20²))² − 200²) = 126.68', () => {
    const { slack, turnsAt } = slackFromString(overRail);
    const s = Math.hypot(100, 20);
    expect(slack).toBeCloseTo(100 - 120 + Math.sqrt((350 - s) ** 2 - 200 ** 2), 6);
    expect(slack).toBeCloseTo(126.68, 2);
    expect(turnsAt).toEqual([100, 120]);
  });
  test('its clip released, 152 mm laid to (−150, 100): 131.99', () => {
    expect(slackReleased(overRail, [-150, 100], 152).slack).toBeCloseTo(131.99, 2);
    // 140 laid: √((490 − √(250² + 20²))² − 200²) − 20 = 111, less than it had; what it had stays.
    expect(slackReleased(overRail, [-150, 100], 140).slack).toBeCloseTo(slackFromString(overRail).slack, 6);
  });
  test('shorter than its path at home is an error that says how long that is', () => {
    expect(() => slackFromString({ ...straight, free: 290 })).toThrow(/at least the 300 mm/);
    expect(() => slackFromString({ ...straight, free: -1 })).toThrow(InputError);
    expect(() => slackFromString({ ...straight, clip: [NaN, 0] })).toThrow(/clip/);
    expect(() => slackReleased(straight, [-10, 100], -5)).toThrow(/laid/);
  });
});

describe('a rail holds the line up only where the line runs over it', () => {
  const length = (over: Place, { clip, to }: { clip: Place; to: Place } = { clip: [0, 100], to: [300, 100] }) =>
    tautLength({ clip, over: [over] }, to);
  test('not before its clip, not right above it, not beyond its port', () => {
    expect(length([-50, 200])).toBe(300);
    expect(length([0, 150])).toBe(300);
    expect(length([350, 200])).toBe(300);
  });
  test('above the port, and between: √(300² + 50²) + 50; twice √(150² + 50²)', () => {
    expect(length([300, 150])).toBeCloseTo(Math.sqrt(92_500) + 50, 9);
    expect(length([150, 150])).toBeCloseTo(2 * Math.sqrt(25_000), 9);
  });
  test('the same from right to left', () => {
    const leftwards = { clip: [300, 100] as Place, to: [0, 100] as Place };
    expect(length([350, 200], leftwards)).toBe(300);
    expect(length([300, 150], leftwards)).toBe(300);
    expect(length([-50, 200], leftwards)).toBe(300);
    expect(length([0, 150], leftwards)).toBeCloseTo(Math.sqrt(92_500) + 50, 9);
    expect(length([150, 150], leftwards)).toBeCloseTo(2 * Math.sqrt(25_000), 9);
  });
});

/** Another road to the taut length: points of the string moved about until it is shortest, rails never passed below. */
function relaxed(line: StringLine, to: Place): number {
  const rails = [...(line.over ?? [])].sort((a, b) => a[0] - b[0]);
  const xs = [line.clip[0], ...rails.map((r) => r[0]), to[0]];
  const least = [line.clip[1], ...rails.map((r) => r[1]), to[1]];
  const z = [...least];
  // Only the heights over the rails are free, none below its rail: a convex sum, so one by one settles it.
  const length = () => z.slice(1).reduce((sum, h, i) => sum + Math.hypot(xs[i + 1]! - xs[i]!, h - z[i]!), 0);
  for (let round = 0; round < 400; round++)
    for (let i = 1; i < z.length - 1; i++) {
      // Straight between the neighbours is shortest; the rail holds it up where that is lower.
      const share = (xs[i]! - xs[i - 1]!) / (xs[i + 1]! - xs[i - 1]! || 1);
      z[i] = Math.max(least[i]!, z[i - 1]! + share * (z[i + 1]! - z[i - 1]!));
    }
  return length();
}

describe('against independent minimisation', () => {
  const place = (lo: number, hi: number) => fc.double({ min: lo, max: hi, noNaN: true });
  // Rails stand apart: two at one place would leave the minimisation nowhere to go.
  const rails = (most: number) =>
    fc.uniqueArray(
      fc.tuple(
        fc.integer({ min: 1, max: 14 }).map((n) => n * 20),
        place(0, 200),
      ),
      {
        maxLength: most,
        selector: ([x]) => x,
      },
    );
  test('taut length of random lines over up to four rails', () => {
    fc.assert(
      fc.property(rails(4), place(-200, 150), (over, drop) => {
        const line: StringLine = { clip: [0, 100], port: [300, 100], free: 1, over };
        expect(tautLength(line, [300, 100 - drop])).toBeCloseTo(relaxed(line, [300, 100 - drop]), 4);
      }),
      { numRuns: runs(200) },
    );
  });
  test('at its slack the line is just taut; a millimetre more and it is too short', () => {
    fc.assert(
      fc.property(rails(3), place(0, 200), (over, more) => {
        const line: StringLine = { clip: [0, 100], port: [300, 100], free: 1, over };
        const free = relaxed(line, line.port) + more;
        const { slack } = slackFromString({ ...line, free });
        expect(relaxed(line, [300, 100 - slack])).toBeCloseTo(free, 3);
        expect(relaxed(line, [300, 100 - slack - 1])).toBeGreaterThan(free);
      }),
      { numRuns: runs(150) },
    );
  });
});
