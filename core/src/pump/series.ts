import { max, median } from 'simple-statistics';
import { readColumns, writeColumns, type Column } from '../columns/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import type { PumpRun } from './run.ts';

/** What the meters showed at one moment of a run; null: nobody read it. */
export interface RunReading {
  /** s since it was switched on. */
  at: number;
  /** At its plug, V. */
  volts: number;
  /** Drawn, A. */
  amps: number;
  /** In front of it, bar gauge. */
  bar: number | null;
  /** Come since it was switched on, L. */
  litres: number | null;
}

/** Until then it still picks up, s; common practice, no source. */
const SETTLES = 3;
/** A run shorter than this after it has picked up says little, s; common practice, no source. */
const LEAST = 5;
/** Under this share of the most amps it is switched off. */
const OFF = 0.1;

/**
 * A run from its readings: medians once it has picked up, what came meanwhile, and what it held once it was switched off.
 *
 * @throws InputError where it never ran, or not long enough
 * @example runFrom(readings) // { volts: 12.9, amps: 4.02, bar: 3.9, litres: 0.49, seconds: 20, held: { bar: 3.8, seconds: 30 } }
 */
export function runFrom(readings: readonly RunReading[]): Omit<PumpRun, 'behind'> {
  const most = readings.length === 0 ? 0 : max(readings.map(({ amps }) => amps));
  const running = readings.filter(({ amps }) => amps > 0 && amps >= OFF * most);
  const first = running[0];
  const last = running.at(-1);
  if (!first || !last) throw new InputError('readings', '', 'a pump that draws current');
  const settled = running.filter(({ at }) => at - first.at >= SETTLES);
  const from = settled[0];
  if (!from || last.at - from.at < LEAST)
    throw new InputError(
      'readings',
      `${roundTo(last.at - first.at, 0.1)} s`,
      `${SETTLES + LEAST} s and more of running: it picks up for ${SETTLES}`,
    );
  const known = (of: (one: RunReading) => number | null) => settled.flatMap((one) => of(one) ?? []);
  const bars = known(({ bar }) => bar);
  const came = known(({ litres }) => litres).length === settled.length ? last.litres! - from.litres! : null;
  const after = readings.filter(({ at, bar }) => at > last.at && bar !== null).at(-1);
  return {
    volts: roundTo(median(settled.map(({ volts }) => volts)), 0.01),
    amps: roundTo(median(settled.map(({ amps }) => amps)), 0.01),
    ...(bars.length > 0 ? { bar: roundTo(median(bars), 0.01) } : {}),
    ...(came === null ? {} : { litres: roundTo(Math.max(0, came), 0.001), seconds: roundTo(last.at - from.at, 0.1) }),
    ...(after ? { held: { bar: after.bar!, seconds: roundTo(after.at - last.at, 0.1) } } : {}),
  };
}

const COLUMNS: readonly Column[] = [
  { names: ['seconds', 'time', 't'], dimension: 'duration', unit: 's' },
  { names: ['volts', 'voltage'], dimension: 'voltage', unit: 'V' },
  { names: ['amps', 'current'], dimension: 'current', unit: 'A' },
  { names: ['bar', 'pressure'], dimension: 'pressure', unit: 'bar', optional: true, open: true },
  { names: ['litres', 'volume'], dimension: 'volume', unit: 'L', optional: true, open: true },
];

/**
 * A run from CSV: seconds, volts, amps, and where somebody read them pressure and litres.
 *
 * @throws InputError naming line and column; time that goes back
 * @example readRun('seconds;volts;amps\n0;12.9;4.1').length // 1
 */
export function readRun(text: string): RunReading[] {
  const rows = readColumns(text, COLUMNS).map(([at, volts, amps, bar, litres]) => ({
    at: at!,
    volts: volts!,
    amps: amps!,
    bar: bar ?? null,
    litres: litres ?? null,
  }));
  rows.forEach(({ at }, row) => {
    if (row > 0 && at < rows[row - 1]!.at)
      throw new InputError(`table, row ${row + 1} (seconds)`, String(at), `${rows[row - 1]!.at} s and later`);
  });
  return rows;
}

/** The same as text. @example writeRun([{ at: 0, volts: 12.9, amps: 4.1, bar: null, litres: null }]) */
export const writeRun = (readings: readonly RunReading[]): string =>
  writeColumns(
    COLUMNS,
    readings.map(({ at, volts, amps, bar, litres }) => [roundTo(at, 0.01), volts, amps, bar, litres]),
  );
