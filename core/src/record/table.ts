import { outcomeWord, type Outcome } from '../verdict/index.ts';

/** A cell: words, or words under the shape of an outcome. */
export type RecordCell = string | { outcome: Outcome; text: string };

/**
 * A cell in words alone.
 *
 * @example cellText({ outcome: 'good', text: 'dry' }) // 'go: dry'
 */
export const cellText = (cell: RecordCell): string =>
  typeof cell === 'string' ? cell : `${outcomeWord[cell.outcome]}: ${cell.text}`;

/** A table of the record, read from left to right. */
export interface RecordTable {
  /** What it is. */
  title: string;
  /** Its headings. */
  head: string[];
  /** Its rows, as many cells as there are headings. */
  rows: RecordCell[][];
}

/** A part of the record: lines, and perhaps a table. */
export interface RecordSection {
  /** What stands over it. */
  title: string;
  /** Line by line. */
  lines: string[];
  /** What is a table. */
  table?: RecordTable;
}
