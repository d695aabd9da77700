import type { Estimate } from '../estimate/index.ts';
import { estimate, exactly } from '../estimate/index.ts';
import { commonPractice, measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { HAND_ERROR, handUnits } from './hand.ts';
import type { Dimension, Unit } from './units.ts';
import { findUnit, toSI, units } from './units.ts';

interface ReadOptions {
  dimension: Dimension;
  /** Key in `units[dimension]` that a bare number takes. */
  unit: string;
  /** Path named in an error. */
  field?: string;
}

/** A whole number with a fraction, a fraction alone, or a decimal with point or comma. */
const NUMBER = String.raw`(?:\d+[\s-]+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d*[.,]\d+|\d+)`;
const QUANTITY = new RegExp(
  String.raw`^([-−+]?)\s*(${NUMBER})(?:\s*(?:–|—|-|to|\.\.\.?|…)\s*([-−+]?)\s*(${NUMBER}))?\s*([^\d\s].*)?$`,
  'i',
);

/**
 * Reads a quantity as people write it and returns it in SI.
 * A bare number takes the field's unit; a range stays a range; a unit of the hand is a length of ±10 mm.
 *
 * @returns SI units: m, kg, m³, Pa, N·m, K, s or N; a single number is a range of width zero, basis `measured`
 * @throws InputError saying what was expected
 * @example readQuantity('38–42 lb-ft', { dimension: 'torque', unit: 'N·m' }) // 51.5 … 56.9 N·m
 */
export function readQuantity(text: string, options: ReadOptions): Estimate {
  const { dimension, field = dimension } = options;
  const clean = plain(text, field);
  const hand = dimension === 'length' ? readHand(clean) : null;
  if (hand) return hand;
  const match = QUANTITY.exec(clean);
  if (!match) throw new InputError(field, text, expectation(options));
  const unit = match[5] ? findUnit(dimension, match[5], field) : unitOf(options);
  const first = readNumber({ sign: match[1]!, digits: match[2]!, field, text });
  if (match[4] === undefined) return exactly(toSI(first, unit), measured);
  const second = readNumber({ sign: match[3] ?? '', digits: match[4], field, text });
  if (second < first) throw new InputError(field, text, 'a range from low to high');
  const lo = toSI(first, unit);
  const hi = toSI(second, unit);
  return estimate({ lo, typ: (lo + hi) / 2, hi }, measured, field);
}

/** Fractions of one sign, primes and grouped thousands as plain figures. @throws InputError where a comma may mean either */
function plain(text: string, field: string): string {
  return (
    text
      // A fraction of one sign after a figure is a part of its own: 7½ is no 71/2.
      .replace(/(\d)\s*([¼-¾⅐-⅞])/g, '$1 $2')
      .replace(/[″”“]/g, '"')
      .replace(/[′’]/g, "'")
      .normalize('NFKC')
      .replace(/⁄/g, '/')
      .trim()
      .replace(/(?<![\d.,/])[1-9]\d{0,2}(?: \d{3})+(?![\d/])/g, (grouped) => grouped.replace(/ /g, ''))
      .replace(/(?<![\d.,])([1-9]\d{0,2})((?:,\d{3})+)(\.\d+)?(?!\d)/g, (grouped: string, ...found: string[]) => {
        const [head, groups, part] = found as [string, string, string | undefined];
        if (part === undefined && groups.length === 4 && groups !== ',000')
          throw new InputError(field, text, `one figure: ${head}.${groups.slice(1)} or ${head}${groups.slice(1)}`);
        return grouped.replace(/,/g, '');
      })
  );
}

const unitOf = (options: ReadOptions): Unit => {
  const unit = units[options.dimension][options.unit];
  if (!unit) throw new InputError(options.field ?? options.dimension, options.unit, 'a unit of this dimension');
  return unit;
};

function expectation({ dimension, unit }: ReadOptions): string {
  const examples: Record<Dimension, string> = {
    share: '45 %',
    angle: '4°',
    length: '40 mm, 1 5/8 in or two fingers',
    mass: '14 kg or 31 lb',
    volume: '9.5 L or 2 1/2 gal',
    pressure: '0.4 bar, 7 psi or 48 kPa',
    torque: '40 N·m or 38–42 ft-lb',
    temperature: '-10 °C or 14 °F',
    duration: '20 min',
    force: '300 N',
    voltage: '12.1 V or 60 mV',
    resistance: '47 Ω, 47 ohms or 0.9 kΩ',
    current: '4.2 A or 600 mA',
    flow: '7 L/min, 90 L/h or 24 gal/h',
    count: '24, 24.50 or 48 210',
  };
  if (dimension === 'count') return `a number like ${examples.count}`;
  return `a ${dimension} like ${examples[dimension]}; a bare number counts as ${units[dimension][unit]?.symbol ?? unit}`;
}

function readNumber({
  sign,
  digits,
  field,
  text,
}: {
  sign: string;
  digits: string;
  field: string;
  text: string;
}): number {
  const fraction = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/.exec(digits.trim());
  let value: number;
  if (fraction) {
    const denominator = Number(fraction[3]);
    if (denominator === 0) throw new InputError(field, text, 'a fraction that is not over zero');
    value = Number(fraction[1] ?? 0) + Number(fraction[2]) / denominator;
  } else value = Number(digits.replace(',', '.'));
  if (!Number.isFinite(value)) throw new InputError(field, text, 'a number');
  return sign === '-' || sign === '−' ? -value : value;
}

function readHand(text: string): Estimate | null {
  const word = text
    .toLowerCase()
    .replace(/^(a|one|1)\s+/, '')
    .replace(/^2\s+/, 'two ');
  const unit = handUnits.find((u) => u.word === word);
  if (!unit) return null;
  return estimate(
    { lo: (unit.typ - HAND_ERROR) / 1000, typ: unit.typ / 1000, hi: (unit.typ + HAND_ERROR) / 1000 },
    commonPractice,
  );
}
