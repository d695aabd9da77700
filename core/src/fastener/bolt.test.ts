import { InputError } from '../errors/index.ts';
import { threads } from '../thread/index.ts';
import {
  boltFindings,
  crosswise,
  proofLoad,
  pullOf,
  roundsTo,
  stressArea,
  withLubricant,
  wrenchSetting,
} from './index.ts';

const M8 = 'M8 × 1.25';
const M10 = 'M10 × 1.5';
const INCH = threads.find(({ name }) => name.startsWith('3/8-16'))!.name;

describe('proof', () => {
  test('stress areas: ISO 898-1 prints 36.6 and 58.0 mm², SAE J429 0.0775 in²; from memory', () => {
    expect(stressArea(M8)).toBeCloseTo(36.6, 1);
    expect(stressArea(M10)).toBeCloseTo(58.0, 1);
    expect(stressArea(INCH) / 25.4 ** 2).toBeCloseTo(0.0775, 4);
  });
  // ISO 898-1 proof loads in its tables, from memory: 21.2, 33.7, 48.1 kN.
  test.each([
    [M8, '8.8', 21.2],
    [M10, '8.8', 33.65],
    [M10, '10.9', 48.1],
  ] as const)('%s %s: %d kN', (thread, grade, kilo) => {
    expect(proofLoad(thread, grade) / 1000).toBeCloseTo(kilo, 1);
  });
  test('3/8-16 grade 5: 85 ksi over 0.0775 in², 29.3 kN', () => {
    expect(proofLoad(INCH, 'grade 5') / 1000).toBeCloseTo((85_000 * 0.0775 * 4.4482216) / 1000, 1);
  });
});

describe('pull and lubricant', () => {
  test('40.67 N·m on M10 8.8 with anti-seize: 31.3 kN, 93 % of proof; with K a quarter lower 41.7, over', () => {
    const { typ, hi } = pullOf(40.67, M10, 'antiSeize');
    expect(typ / 1000).toBeCloseTo(31.3, 1);
    expect(typ / proofLoad(M10, '8.8')).toBeCloseTo(0.93, 2);
    expect(hi / 1000).toBeCloseTo(41.7, 1);
  });
  test('30 ft-lb dry are 19.5 with anti-seize', () => {
    expect(withLubricant(30, 'dry', 'antiSeize')).toBeCloseTo(19.5, 9);
    expect(withLubricant(withLubricant(30, 'dry', 'oiled'), 'oiled', 'dry')).toBeCloseTo(30, 9);
  });
  test('45 to 50 lb-ft dry on 3/8-16 grade 5 exceed proof already at the middle of K; figures of the trade', () => {
    const [lo, hi] = [45 * 1.3558179, 50 * 1.3558179];
    expect(pullOf(lo, INCH, 'dry').typ / 1000).toBeCloseTo(32.0, 1);
    expect(pullOf(hi, INCH, 'dry').typ / 1000).toBeCloseTo(35.6, 1);
    expect(boltFindings({ lo, hi }, { thread: INCH, grade: 'grade 5', lubricant: 'dry' })[0]!.outcome).toBe('doubtful');
  });
  test.each([
    [20, 'dry', 'good'],
    [61, 'dry', 'doubtful'],
    [100, 'dry', 'bad'],
    [20, 'antiSeize', 'good'],
    [41, 'antiSeize', 'doubtful'],
  ] as const)('%d N·m on M10 8.8, %s: %s', (torque, lubricant, outcome) => {
    expect(boltFindings({ lo: torque, hi: torque }, { thread: M10, grade: '8.8', lubricant }).at(-1)!.outcome).toBe(
      outcome,
    );
  });
  test('high-strength locker under a tank is a halt, whatever the torque', () => {
    expect(boltFindings({ lo: 10, hi: 10 }, { thread: M10, grade: '8.8', lubricant: 'highLocker' })[0]!.outcome).toBe(
      'bad',
    );
  });
});

describe('the wrench', () => {
  test('40 N·m, 400 mm, a crowfoot of 50 in line: set to 35.6; across nothing; back over the hand more', () => {
    const set = (degrees: number) => wrenchSetting({ torque: 40, length: 400, extension: 50, degrees });
    expect(set(0)).toBeCloseTo(35.56, 2);
    expect(set(90)).toBeCloseTo(40, 9);
    expect(set(45)).toBeCloseTo((40 * 400) / (400 + 50 * Math.SQRT1_2), 9);
    expect(set(180)).toBeCloseTo((40 * 400) / 350, 9);
  });
  test('rounds evenly, and each bolt once, across', () => {
    expect(roundsTo(41)).toEqual([14, 27, 41]);
    for (const count of [1, 2, 3, 5, 6, 10]) {
      const order = crosswise(count);
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: count }, (_, i) => i));
      // The second is across from the first.
      if (count > 2) expect(order[1]).toBeGreaterThanOrEqual(Math.floor(count / 2));
    }
  });
  test.each([
    () => wrenchSetting({ torque: 40, length: 0, extension: 50, degrees: 0 }),
    () => wrenchSetting({ torque: 40, length: 40, extension: 50, degrees: 180 }),
    () => stressArea('NPT 1/4-18'),
    () => pullOf(-1, M8, 'dry'),
    () => crosswise(0),
  ])('what cannot be is refused: %s', (what) => {
    expect(what).toThrow(InputError);
  });
});
