import { canBeMeant } from './index.ts';
import fc from 'fast-check';
import { unit as mathUnit } from 'mathjs';
import Qty from 'js-quantities';
import { InputError } from '../errors/index.ts';
import type { Dimension } from './index.ts';
import { handUnitNear, readQuantity, units, writeQuantity } from './index.ts';
import { fromSI, toSI } from './units.ts';
import { inchFraction } from './write.ts';

const read = (text: string, dimension: Dimension, unit: string) => readQuantity(text, { dimension, unit });

describe('reading what people write', () => {
  // Expected values worked by hand from exact factors: 1 in = 25.4 mm, 1 lbf = 4.4482216152605 N (NIST SP 811, from memory).
  test.each([
    ['7 1/8 in', 'length', 'mm', 0.180975],
    ['7-1/8"', 'length', 'mm', 0.180975],
    ['5/16', 'length', 'in', 0.0079375],
    ['.062"', 'length', 'mm', 0.0015748],
    ['3.2 mm', 'length', 'mm', 0.0032],
    ['9,5 l', 'volume', 'L', 0.0095],
    ['2 1/2 gal', 'volume', 'L', 2.5 * 0.003785411784],
    ['1/2 qt', 'volume', 'L', 0.000473176473],
    ['40 Nm', 'torque', 'N·m', 40],
    ['40 N·m', 'torque', 'N·m', 40],
    ['-10 °C', 'temperature', '°C', 263.15],
    ['14 F', 'temperature', '°C', 263.15],
    ['0.5 bar', 'pressure', 'bar', 50000],
    ['48 kPa', 'pressure', 'bar', 48000],
    ['14 inH2O', 'pressure', 'bar', 3487.24474],
    ['½ qt', 'volume', 'L', 0.000473176473],
    ['7½ in', 'length', 'mm', 0.1905],
    ['2½ gal', 'volume', 'L', 2.5 * 0.003785411784],
    ['5½ qt', 'volume', 'L', (5.5 * 0.003785411784) / 4],
    ['10⅞″', 'length', 'mm', 0.276225],
    ['7″', 'length', 'mm', 0.1778],
    ['7”', 'length', 'mm', 0.1778],
    ['1,000 mm', 'length', 'mm', 1],
    ['1 000 mm', 'length', 'mm', 1],
    ['1 250 mm', 'length', 'mm', 1.25],
    ['1,250.5 mm', 'length', 'mm', 1.2505],
    ['0,125 in', 'length', 'mm', 0.003175],
    ['9,52 mm', 'length', 'mm', 0.00952],
    ['12', 'length', 'mm', 0.012],
    ['60 mV', 'voltage', 'V', 0.06],
    ['12,1 V', 'voltage', 'V', 12.1],
    ['47 ohms', 'resistance', 'Ω', 47],
    ['0.9 kΩ', 'resistance', 'Ω', 900],
  ] as const)('%s', (text, dimension, unit, expected) => {
    const got = read(text, dimension, unit);
    expect(got.lo).toBeCloseTo(expected, 10);
    expect(got.lo).toBe(got.hi);
  });

  test('30 ft-lb is 40.675 N·m, 355 in-lb is 40.11 N·m, 48 kPa is 6.96 psi', () => {
    expect(read('30 ft-lb', 'torque', 'N·m').typ).toBeCloseTo(40.675, 3);
    expect(read('355 in-lb', 'torque', 'N·m').typ).toBeCloseTo(40.11, 2);
    expect(writeQuantity(48000, { dimension: 'pressure', unit: 'psi', decimals: 2 })).toBe('6.96 psi');
  });

  test('a comma that may group or part is asked about, never guessed', () => {
    expect(() => read('9,525 mm', 'length', 'mm')).toThrow(/9\.525 or 9525/);
    expect(() => read('1,500', 'length', 'mm')).toThrow(/1\.500 or 1500/);
    expect(read('500-1,000 mm', 'length', 'mm')).toMatchObject({ lo: 0.5, hi: 1 });
  });

  test('a range stays a range, and a dash between whole number and fraction is no range', () => {
    const pair = read('38-42 ft-lb', 'torque', 'N·m');
    expect([pair.lo, pair.hi].map((v) => v.toFixed(3))).toEqual(['51.521', '56.944']);
    expect(read('38–42 lb-ft', 'torque', 'N·m')).toEqual(pair);
    expect(read('7-1/8 in', 'length', 'mm').lo).toBeCloseTo(0.180975, 9);
    expect(read('-10 to -5 °C', 'temperature', '°C').lo).toBeCloseTo(263.15, 9);
  });

  test('units of the hand are lengths of ±10 mm', () => {
    expect(read('two fingers', 'length', 'mm')).toMatchObject({ lo: 0.03, typ: 0.04, hi: 0.05 });
    expect(read('a fist', 'length', 'mm')).toMatchObject({ lo: 0.09, typ: 0.1, hi: 0.11 });
    expect(handUnitNear(40)).toBe('two fingers');
    expect(handUnitNear(30)).toBe('finger');
    expect(handUnitNear(70)).toBeNull();
  });

  test.each(['', 'much', '1/0 in', '3 apples', '1.2.3', '12 kg', '5 mm to 3 mm', '1.234,5', '--4', 'NaN', '∞'])(
    'nonsense %p is an InputError that says what was expected',
    (text) => {
      expect(() => read(text, 'length', 'mm')).toThrow(InputError);
      expect(() => read(text, 'length', 'mm')).toThrow(/expected/);
    },
  );
});

describe('properties', () => {
  const everyUnit = (Object.keys(units) as Dimension[]).flatMap((d) =>
    Object.keys(units[d]).map((u) => [d, u] as const),
  );

  test('any unit read back gives the value written, point or comma', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...everyUnit),
        fc.double({ min: 0, max: 1e5, noNaN: true }),
        fc.boolean(),
        ([d, u], v, comma) => {
          const unit = units[d][u]!;
          const digits = v.toFixed(6);
          const got = read(`${comma ? digits.replace('.', ',') : digits} ${unit.symbol}`, d, u);
          expect(Math.abs(fromSI(got.typ, unit) - Number(digits))).toBeLessThan(1e-6);
        },
      ),
    );
  });

  test('never NaN: any text either reads as finite numbers or throws InputError', () => {
    const soup = fc.oneof(
      fc.string(),
      fc
        .array(fc.constantFrom('1', '7', '/', '-', ' ', ',', '.', 'mm', 'in', '"', 'to', '–', 'finger'))
        .map((a) => a.join('')),
    );
    fc.assert(
      fc.property(soup, fc.constantFrom(...everyUnit), (text, [d, u]) => {
        try {
          const got = read(text, d, u);
          expect([got.lo, got.typ, got.hi].every(Number.isFinite)).toBe(true);
          expect(got.lo).toBeLessThanOrEqual(got.hi);
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
        }
      }),
      { numRuns: 2000 },
    );
  });

  test('inch fractions are within half a step and read back as themselves', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.constantFrom(16 as const, 32 as const),
        (v, step) => {
          const back = read(`${inchFraction(v, step)} in`, 'length', 'in').typ / 0.0254;
          expect(Math.abs(back - v)).toBeLessThanOrEqual(0.5 / step + 1e-9);
        },
      ),
    );
    expect(inchFraction(15.9375, 16)).toBe('15 15/16');
    expect(inchFraction(0.999, 16)).toBe('1');
  });
});

describe('factors against unit libraries', () => {
  // mathjs carries its own tables; conventional columns of water and mercury are left to the figures of NIST SP 811.
  const names: [Dimension, string, string, string][] = [
    ['length', 'in', 'inch', 'm'],
    ['length', 'ft', 'ft', 'm'],
    ['mass', 'lb', 'lbm', 'kg'],
    ['volume', 'gal', 'gallon', 'm3'],
    ['volume', 'qt', 'quart', 'm3'],
    ['pressure', 'psi', 'psi', 'Pa'],
    ['pressure', 'bar', 'bar', 'Pa'],
    ['force', 'lbf', 'lbf', 'N'],
    ['torque', 'ft-lb', 'ft lbf', 'N m'],
    ['torque', 'in-lb', 'inch lbf', 'N m'],
    ['duration', 'h', 'hour', 's'],
    ['voltage', 'mV', 'mV', 'V'],
    ['resistance', 'kΩ', 'kohm', 'ohm'],
  ];
  test.each(names)('%s %s against mathjs to 1e-9', (dimension, key, name, si) => {
    const reference = mathUnit(1, name).toNumber(si);
    expect(Math.abs(toSI(1, units[dimension][key]!) / reference - 1)).toBeLessThan(1e-9);
  });
  test.each([
    ['length', 'in', 'in', 'm'],
    ['mass', 'lb', 'lbs', 'kg'],
    ['volume', 'gal', 'gal', 'm^3'],
    ['pressure', 'psi', 'psi', 'Pa'],
    ['pressure', 'inHg', 'inHg', 'Pa'],
  ] as const)('%s %s against js-quantities to 1e-5', (dimension, key, name, si) => {
    expect(Math.abs(toSI(1, units[dimension][key]!) / Qty(1, name).to(si).scalar - 1)).toBeLessThan(1e-5);
  });
  test('°F and °C meet at −40', () => {
    expect(toSI(-40, units.temperature['°F']!)).toBeCloseTo(toSI(-40, units.temperature['°C']!), 9);
  });
});

describe('what can be meant', () => {
  test.each([
    [12.1, 'voltage', true],
    [9999, 'voltage', false],
    [0.04, 'length', true],
    [40, 'length', false],
    [20, 'volume', false],
    [0.02, 'volume', true],
    // Colder than absolute zero is a slip, whatever the season.
    [200, 'temperature', false],
    [293.15, 'temperature', true],
  ] as const)('%d (SI) as a %s: %s', (value, dimension, meant) => {
    expect(canBeMeant({ lo: value, hi: value }, dimension)).toBe(meant);
  });
  test('one end of a range beyond it is enough', () => {
    expect(canBeMeant({ lo: 12, hi: 1200 }, 'voltage')).toBe(false);
  });
});
