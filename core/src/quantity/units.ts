import { GRAVITY } from './nature.ts';
import { InputError } from '../errors/index.ts';

/** What is measured. */
export type Dimension =
  | 'length'
  | 'mass'
  | 'volume'
  | 'pressure'
  | 'torque'
  | 'temperature'
  | 'duration'
  | 'force'
  | 'voltage'
  | 'resistance'
  | 'current'
  | 'flow'
  | 'share'
  | 'angle'
  | 'count';

/** SI value = written value × `factor` + `offset`. */
export interface Unit {
  /** Shown to people. */
  symbol: string;
  /** Accepted spellings, lower case, no spaces. */
  names: readonly string[];
  /** SI per unit. */
  factor: number;
  /** SI at zero of this unit, where that is not zero. */
  offset?: number;
}

/** kg in a pound and m in an inch, by definition; N in a pound-force follows from standard gravity. */
const LB = 0.45359237;
const INCH = 0.0254;
const LBF = LB * GRAVITY;

/**
 * Units people write, with exact factors to SI (m, kg, m³, Pa, N·m, K, s, N, V, Ω, A, m³/s).
 * Source: NIST SP 811, appendix B (written from memory; checked in the tests against two unit libraries).
 */
export const units: Record<Dimension, Record<string, Unit>> = {
  length: {
    mm: { symbol: 'mm', names: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], factor: 0.001 },
    cm: { symbol: 'cm', names: ['cm', 'centimetre', 'centimetres'], factor: 0.01 },
    m: { symbol: 'm', names: ['m', 'metre', 'metres', 'meter', 'meters'], factor: 1 },
    in: { symbol: 'in', names: ['in', '"', '”', '″', 'inch', 'inches'], factor: INCH },
    ft: { symbol: 'ft', names: ['ft', "'", 'foot', 'feet'], factor: 12 * INCH },
  },
  mass: {
    kg: { symbol: 'kg', names: ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'], factor: 1 },
    g: { symbol: 'g', names: ['g', 'gram', 'grams'], factor: 0.001 },
    lb: { symbol: 'lb', names: ['lb', 'lbs', 'pound', 'pounds'], factor: LB },
  },
  volume: {
    L: { symbol: 'L', names: ['l', 'litre', 'litres', 'liter', 'liters'], factor: 0.001 },
    mL: { symbol: 'mL', names: ['ml', 'millilitre', 'millilitres'], factor: 1e-6 },
    gal: { symbol: 'gal', names: ['gal', 'usgal', 'gallon', 'gallons'], factor: 0.003785411784 },
    impGal: { symbol: 'imp gal', names: ['impgal', 'ukgal'], factor: 0.00454609 },
    qt: { symbol: 'qt', names: ['qt', 'quart', 'quarts'], factor: 0.003785411784 / 4 },
  },
  pressure: {
    bar: { symbol: 'bar', names: ['bar'], factor: 1e5 },
    mbar: { symbol: 'mbar', names: ['mbar'], factor: 100 },
    kPa: { symbol: 'kPa', names: ['kpa'], factor: 1000 },
    Pa: { symbol: 'Pa', names: ['pa'], factor: 1 },
    psi: { symbol: 'psi', names: ['psi'], factor: LBF / (INCH * INCH) },
    inH2O: { symbol: 'inH2O', names: ['inh2o', 'inchh2o', 'inwc'], factor: 249.08891 },
    inHg: { symbol: 'inHg', names: ['inhg'], factor: 3386.389 },
  },
  torque: {
    'N·m': { symbol: 'N·m', names: ['n·m', 'nm', 'n-m', 'n*m'], factor: 1 },
    'ft-lb': {
      symbol: 'ft-lb',
      names: ['ft-lb', 'ft·lb', 'ftlb', 'ft-lbs', 'lb-ft', 'lbft', 'lb·ft', 'lbs-ft'],
      factor: 12 * INCH * LBF,
    },
    'in-lb': { symbol: 'in-lb', names: ['in-lb', 'in·lb', 'inlb', 'in-lbs', 'lb-in', 'lbin'], factor: INCH * LBF },
  },
  temperature: {
    '°C': { symbol: '°C', names: ['°c', 'c', 'degc'], factor: 1, offset: 273.15 },
    '°F': { symbol: '°F', names: ['°f', 'f', 'degf'], factor: 5 / 9, offset: 273.15 - (32 * 5) / 9 },
    K: { symbol: 'K', names: ['k', 'kelvin'], factor: 1 },
  },
  duration: {
    s: { symbol: 's', names: ['s', 'sec', 'secs', 'second', 'seconds'], factor: 1 },
    min: { symbol: 'min', names: ['min', 'mins', 'minute', 'minutes'], factor: 60 },
    h: { symbol: 'h', names: ['h', 'hr', 'hrs', 'hour', 'hours'], factor: 3600 },
  },
  voltage: {
    V: { symbol: 'V', names: ['v', 'volt', 'volts'], factor: 1 },
    mV: { symbol: 'mV', names: ['mv', 'millivolt', 'millivolts'], factor: 0.001 },
  },
  resistance: {
    Ω: { symbol: 'Ω', names: ['ω', 'ohm', 'ohms', 'r'], factor: 1 },
    kΩ: { symbol: 'kΩ', names: ['kω', 'kohm', 'kohms', 'k'], factor: 1000 },
  },
  current: {
    A: { symbol: 'A', names: ['a', 'amp', 'amps', 'ampere'], factor: 1 },
    mA: { symbol: 'mA', names: ['ma', 'milliamp', 'milliamps'], factor: 0.001 },
  },
  flow: {
    'L/min': { symbol: 'L/min', names: ['l/min', 'lpm'], factor: 0.001 / 60 },
    'L/h': { symbol: 'L/h', names: ['l/h', 'lph'], factor: 0.001 / 3600 },
    gph: { symbol: 'gal/h', names: ['gal/h', 'gph'], factor: 0.003785411784 / 3600 },
  },
  count: {
    one: { symbol: '', names: [], factor: 1 },
  },
  share: {
    '%': { symbol: '%', names: ['%', 'percent', 'pct'], factor: 0.01 },
    part: { symbol: '', names: [], factor: 1 },
  },
  angle: {
    '°': { symbol: '°', names: ['°', 'deg', 'degree', 'degrees'], factor: 1 },
  },
  force: {
    N: { symbol: 'N', names: ['n', 'newton', 'newtons'], factor: 1 },
    kN: { symbol: 'kN', names: ['kn'], factor: 1000 },
    lbf: { symbol: 'lbf', names: ['lbf'], factor: LBF },
  },
};

/**
 * Finds a unit by any accepted spelling. @throws InputError naming the units that would have been right
 *
 * @example findUnit('pressure', 'PSI', 'reading').symbol // 'psi'
 */
export function findUnit(dimension: Dimension, spelling: string, field: string): Unit {
  const wanted = spelling.toLowerCase().replace(/[\s.]/g, '');
  for (const unit of Object.values(units[dimension])) if (unit.names.includes(wanted)) return unit;
  const known = Object.values(units[dimension])
    .flatMap((u) => (u.symbol ? [u.symbol] : []))
    .join(', ');
  throw new InputError(field, spelling, `a unit of ${dimension}: ${known}`);
}

/** A value written in a unit, in SI. @example toSI(50, psi) // 344 738 Pa */
export const toSI = (value: number, unit: Unit): number => value * unit.factor + (unit.offset ?? 0);
/** A value in SI, in a unit. @example fromSI(344_738, psi) // 50 */
export const fromSI = (value: number, unit: Unit): number => (value - (unit.offset ?? 0)) / unit.factor;

/** A value in SI, in a unit of its dimension. @example ownUnit(0.04, 'length', 'mm') // 40 */
export const ownUnit = (si: number, dimension: Dimension, unit: string): number => fromSI(si, named(dimension, unit));
/** A value in a unit of its dimension, in SI. @example siUnit(40, 'length', 'mm') // 0.04 */
export const siUnit = (value: number, dimension: Dimension, unit: string): number =>
  toSI(value, named(dimension, unit));

const named = (dimension: Dimension, unit: string): Unit => {
  const found = units[dimension][unit];
  if (!found) throw new InputError('unit', unit, `a unit of ${dimension}`);
  return found;
};
