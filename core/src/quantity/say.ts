import { roundTo } from '../estimate/index.ts';
import { lengthIn, type UnitSystem } from './system.ts';
import { findUnit, fromSI, toSI, units, type Dimension } from './units.ts';
import { plainNumber } from './write.ts';

/** What a figure in a sentence measures, by the unit it is held in. */
type Measure = 'mm' | 'L' | 'kg' | 'bar' | 'kPa' | 'N·m' | '°C';

/** A figure, or a range of one, that is written only where somebody reads it, in that person's units. */
interface Quantity {
  /** What it measures, and the unit of `lo` and `hi`. */
  of: Measure;
  /** Low end. */
  lo: number;
  /** High end; the same as `lo` for a single figure. */
  hi: number;
  /** Digits after the point in the unit it is held in; none by default. */
  decimals: number;
}

/** Words with figures in them. */
export type Sentence = string | readonly (string | Quantity)[];

const quantity =
  (of: Measure, decimals: number) =>
  (lo: number, hi: number = lo, digits: number = decimals): Quantity => ({ of, lo, hi, decimals: digits });

/** A length under the car, mm. @example inWords(say`needs ${mm(40)}`, 'us') // 'needs 1 9/16 in' */
export const mm = quantity('mm', 0);
/** A volume of fuel, L. @example inWords([litres(3, 5)]) // '3–5 L' */
export const litres = quantity('L', 0);
/** A mass, kg. @example inWords([kilograms(25)], 'us') // '55 lb' */
export const kilograms = quantity('kg', 0);
/** A pressure over the air's, bar. @example inWords([bar(3)], 'us') // '43.5 psi' */
export const bar = quantity('bar', 2);
/** A pressure a tank may stand, kPa over the air's. @example inWords([kilopascals(3.487)], 'us') // '14.0 inH2O' */
export const kilopascals = quantity('kPa', 2);
/** A torque, N·m. @example inWords([newtonMetres(38, 44)]) // '38–44 N·m' */
export const newtonMetres = quantity('N·m', 0);
/** A temperature, °C. @example inWords([celsius(40)], 'us') // '104 °F' */
export const celsius = quantity('°C', 0);

/**
 * A range with its ends at whole steps, as it is worth saying.
 *
 * @param of what it measures
 * @param step in the unit it is held in
 * @example inWords([rounded(litres, { lo: 3.1, hi: 5.4 }, 0.5)]) // '3.0–5.5 L'
 */
export const rounded = (
  of: (lo: number, hi: number, digits?: number) => Quantity,
  { lo, hi }: { lo: number; hi: number },
  step: number,
): Quantity => of(roundTo(lo, step), roundTo(hi, step), step < 1 ? 1 : 0);

/**
 * A sentence with figures left as figures.
 *
 * @example say`it allows ${mm(40)}` // ['it allows ', { of: 'mm', lo: 40, hi: 40, decimals: 0 }]
 */
export function say(words: TemplateStringsArray, ...figures: (Sentence | Quantity | number)[]): Sentence {
  const parts: (string | Quantity)[] = [];
  const add = (part: string | Quantity) => {
    const last = parts.at(-1);
    if (typeof part === 'string' && typeof last === 'string') parts[parts.length - 1] = last + part;
    else if (part !== '') parts.push(part);
  };
  words.forEach((word, i) => {
    add(word);
    const figure = figures[i];
    if (figure === undefined) return;
    if (typeof figure === 'number') add(String(figure));
    else if (typeof figure === 'string') add(figure);
    else if (isQuantity(figure)) add(figure);
    else figure.forEach(add);
  });
  return parts.every((part) => typeof part === 'string') ? parts.join('') : parts;
}

const isQuantity = (part: Sentence | Quantity): part is Quantity => typeof part === 'object' && 'of' in part;

/** The other unit of each measure: dimension, unit it is held in, unit it turns into, digits more. */
const other: Record<Exclude<Measure, 'mm'>, { dimension: Dimension; from: string; to: string; more: number }> = {
  L: { dimension: 'volume', from: 'L', to: 'gal', more: 1 },
  kg: { dimension: 'mass', from: 'kg', to: 'lb', more: 0 },
  bar: { dimension: 'pressure', from: 'bar', to: 'psi', more: -1 },
  kPa: { dimension: 'pressure', from: 'kPa', to: 'inH2O', more: -1 },
  'N·m': { dimension: 'torque', from: 'N·m', to: 'ft-lb', more: 0 },
  '°C': { dimension: 'temperature', from: '°C', to: '°F', more: 0 },
};

function converted({ of, lo, hi, decimals }: Quantity): { lo: string; hi: string; unit: string } {
  const turn = (value: number): [string, string] => {
    if (of === 'mm') return [lengthIn(value, 'us').figure, 'in'];
    const { dimension, from, to, more } = other[of];
    const si = toSI(value, findUnit(dimension, from, of));
    const digits = Math.max(0, decimals + more);
    return [plainNumber(fromSI(si, units[dimension][to]!), digits), units[dimension][to]!.symbol];
  };
  const [low, unit] = turn(lo);
  return { lo: low, hi: turn(hi)[0], unit };
}

/**
 * A figure as one person reads it: their units; a range whose ends read alike is one figure.
 *
 * @example figureInWords(kilograms(41, 55), 'both') // '41–55 kg (90–121 lb)'
 */
function figureInWords(figure: Quantity, system: UnitSystem = 'metric'): string {
  const range = (lo: string, hi: string, unit: string) => (lo === hi ? `${lo} ${unit}` : `${lo}–${hi} ${unit}`);
  const us = () => {
    const { lo, hi, unit } = converted(figure);
    return range(lo, hi, unit);
  };
  if (system === 'us') return us();
  const write = (value: number) => plainNumber(value, figure.decimals);
  const metric = range(write(figure.lo), write(figure.hi), figure.of);
  return system === 'both' ? `${metric} (${us()})` : metric;
}

/**
 * A sentence as one person reads it.
 *
 * @example inWords(say`${litres(3, 5)} stay`, 'us') // '0.8–1.3 gal stay'
 */
export const inWords = (sentence: Sentence, system: UnitSystem = 'metric'): string =>
  typeof sentence === 'string'
    ? sentence
    : sentence.map((part) => (typeof part === 'string' ? part : figureInWords(part, system))).join('');
