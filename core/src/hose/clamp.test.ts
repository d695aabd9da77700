import { InputError } from '../errors/index.ts';
import { inWords } from '../quantity/index.ts';
import { clampsFor, clampSizes, fittedOutside, judgeClamp } from './index.ts';

const good = { kind: 'smooth', plastic: false, bead: true, again: false } as const;
const words = (of: ReturnType<typeof judgeClamp>) => of.reasons.map((one) => inWords(one.text));

describe('size by what it goes over', () => {
  test('a hose of 14.3 over a pipe of 9.53 is 15.24 outside: the rubber keeps its area', () => {
    // √(14.3² + 9.53² − 7.94²), by hand.
    expect(fittedOutside({ outside: 14.3, bore: 7.94, pipe: 9.53 })).toBeCloseTo(15.24, 2);
    expect(() => fittedOutside({ outside: 7, bore: 7.94, pipe: 8 })).toThrow(InputError);
  });
  // SAE J1508 type F and DIN 3017, from memory: spot checks beside the table.
  test.each([
    ['#6', 11, 20],
    ['#16', 21, 38],
    ['#40', 52, 76],
    ['12–22', 12, 22],
    ['50–70', 50, 70],
  ])('%s closes to %d and opens to %d mm', (name, lo, hi) => {
    expect(clampSizes.find((one) => one.name === name)).toEqual({ name, lo, hi });
  });
  test('the one in the middle of its range comes first, none that does not close on it', () => {
    const fits = clampsFor(15.24);
    expect(fits[0]!.name).toBe('#6');
    expect(fits.every(({ lo, hi }) => lo <= 15.24 && hi >= 15.24)).toBe(true);
    expect(clampsFor(2)).toEqual([]);
  });
  test.each([
    ['#6', 15.5, 'good'],
    ['#6', 19.8, 'doubtful'],
    ['#6', 22, 'bad'],
    ['#40', 30, 'bad'],
  ])('%s over %d mm is %s', (size, over, outcome) => {
    expect(judgeClamp({ ...good, size, over }, 0.3).outcome).toBe(outcome);
  });
});

describe('what never goes', () => {
  test.each([
    ['an ear clamp again', { ...good, kind: 'ear', again: true }, 0.3, /never used again/],
    ['a plain pipe under pressure', { ...good, bead: false }, 3.9, /walks off/],
    ['a perforated band at injection pressure', { ...good, kind: 'worm' }, 3.9, /cuts the hose/],
    ['plastic pipe without its sleeve', { ...good, plastic: true, sleeve: false }, 0.3, /without its sleeve/],
    ['too tight on plastic', { ...good, plastic: true, band: '9', torque: 4 }, 0.3, /collapses/],
  ] as const)('%s', (_, clamp, bar, why) => {
    const judged = judgeClamp(clamp, bar);
    expect(judged.outcome).toBe('bad');
    expect(words(judged).join()).toMatch(why);
  });
  test('the same are no fault where there is no pressure, or another clamp', () => {
    expect(judgeClamp({ ...good, bead: false }, 0.2).outcome).toBe('good');
    expect(judgeClamp({ ...good, kind: 'worm' }, 0.5).outcome).toBe('good');
    expect(judgeClamp({ ...good, kind: 'ear' }, 3.9).outcome).toBe('good');
    expect(judgeClamp({ ...good, plastic: true, sleeve: true }, 0.3).outcome).toBe('good');
  });
  test.each([
    ['8', 1.4, 'good'],
    ['8', 3, 'doubtful'],
    ['12', 4, 'good'],
    ['12', 1.5, 'doubtful'],
  ] as const)('a band of %s mm drawn to %d N·m is %s; common practice, no source', (band, torque, outcome) => {
    expect(judgeClamp({ ...good, band, torque }, 0.3).outcome).toBe(outcome);
  });
  test('worm clamps once more, cold, after the first warm-up; others not', () => {
    expect(judgeClamp(good, 0.3).next.join()).toMatch(/cold, after the first warm-up/);
    expect(judgeClamp({ ...good, kind: 'spring' }, 0.3).next).toEqual([]);
  });
});
