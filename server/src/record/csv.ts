import Papa from 'papaparse';
import {
  cellText,
  fuelTable,
  hoursTable,
  jointsTable,
  partsTable,
  readingsTable,
  torquesTable,
  type JobRecord,
  type RecordTable,
  type UnitSystem,
} from '@iron-cradle/core';

/** Tables of a job that can be had by themselves. */
export const csvTables = {
  torques: torquesTable,
  parts: partsTable,
  fuel: fuelTable,
  joints: jointsTable,
  hours: hoursTable,
  readings: readingsTable,
} satisfies Record<string, (record: JobRecord, reader: { units: UnitSystem }) => RecordTable>;
/** One of them. */
export type CsvName = keyof typeof csvTables;

/**
 * A table as CSV: semicolons, a line of headings, UTF-8 with its mark so that spreadsheets read Ω; what a spreadsheet would take for a formula is
 * kept as text.
 *
 * @example csvOf(torquesTable(record, { units: 'metric' })) // 'of;as written;…'
 */
export const csvOf = ({ head, rows }: RecordTable): string =>
  `\uFEFF${Papa.unparse(
    { fields: head, data: rows.map((row) => row.map(cellText)) },
    { delimiter: ';', escapeFormulae: true, newline: '\r\n' },
  )}\r\n`;
