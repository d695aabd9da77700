import { readColumns, writeColumns, type Column } from '../columns/index.ts';
import { MOST_READINGS } from './bodies.ts';

const COLUMNS: readonly Column[] = [
  { names: ['time', 'seconds', 't'], dimension: 'duration', unit: 's' },
  { names: ['pressure', 'p'], dimension: 'pressure', unit: 'Pa' },
];

/**
 * Readings of a hold from CSV: time and pressure over the air; s and Pa where no heading says otherwise.
 *
 * More than an entry holds become the means of every two, three, … of them: the line through them is the same.
 *
 * @returns s from the first reading on, and Pa
 * @throws InputError naming line and column
 * @example readHold('s;inH2O\n0;14\n1;13,9') // [[0, 3487.2], [1, 3462.3]]
 */
export function readHold(text: string): [number, number][] {
  const rows = readColumns(text, COLUMNS);
  const each = Math.ceil(rows.length / MOST_READINGS);
  return Array.from({ length: Math.floor(rows.length / each) }, (_, i) => {
    const block = rows.slice(i * each, (i + 1) * each);
    const mean = (column: 0 | 1) => block.reduce((sum, row) => sum + row[column]!, 0) / each;
    return [mean(0) - rows[0]![0]!, mean(1)];
  });
}

/** The same as text. @example writeHold([[0, 3487]]) // 'time s;pressure Pa\r\n0;3487' */
export const writeHold = (readings: readonly (readonly [number, number])[]): string => writeColumns(COLUMNS, readings);
