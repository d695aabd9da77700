import Papa from 'papaparse';
import { InputError } from '../errors/index.ts';
import { siUnit, ownUnit, units, type Dimension } from '../quantity/index.ts';

/** One column of a table of figures. */
export interface Column {
  /** As its heading calls it, and other words for it. */
  names: readonly [string, ...string[]];
  /** What it measures. */
  dimension: Dimension;
  /** Unit of its figures, where the heading names none. */
  unit: string;
  /** May a cell be empty, a dash or “open”? It is null then. */
  open?: boolean;
  /** May the column be missing altogether? Every one of its cells is null then. */
  optional?: boolean;
  /** Is it there only where a heading names it? By its place another figure could be taken for it. */
  headed?: boolean;
}

const SPACES = /[\s()[\]/]+/;
const OPEN = ['', '-', '–', 'open', 'ol', 'nan', 'inf'];

/**
 * A table of figures from CSV: comma, semicolon or tab between them, point or comma in them, a line of headings or none. A
 * heading that names a column moves it there; a unit in it counts.
 *
 * @returns a row for each line, each figure in its column’s unit; null where one is open
 * @throws InputError naming line and column, and nothing is taken by half
 * @example readColumns('s;kPa\n0;3,4', [TIME, PRESSURE]) // [[0, 3.4]]
 */
export function readColumns(text: string, columns: readonly Column[]): (number | null)[][] {
  const delimiter = text.includes('\t') ? '\t' : text.includes(';') ? ';' : ',';
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { delimiter, skipEmptyLines: 'greedy' });
  const wanted = columns.map(({ names }) => names[0]).join(', ');
  const first = data[0];
  if (!first) throw new InputError('table', 'nothing', `columns of ${wanted}`);
  const headed = first.every((cell) => Number.isNaN(figure(cell)));
  const places = headed
    ? placesIn(first, columns)
    : columns.map(({ unit, headed: only }, i) => ({ at: only ? null : i, unit }));
  const rows = data.slice(headed ? 1 : 0).map((cells, row) =>
    columns.map((column, i) => {
      const { at, unit } = places[i]!;
      if (at === null) return null;
      const line = row + 1 + Number(headed);
      return cellOf(cells[at], { column, unit, where: `table, line ${line}, column ${at + 1} (${column.names[0]})` });
    }),
  );
  const [most] = data.filter((cells) => cells.length > columns.filter((column) => !column.headed).length);
  // 0,5 and a comma between columns: nobody can tell which is which.
  if (!headed && most)
    throw new InputError(
      `table, line ${data.indexOf(most) + 1}`,
      most.join(delimiter),
      `columns of ${wanted}, a heading where there are more, and semicolons where figures have commas`,
    );
  if (rows.length === 0) throw new InputError('table', 'a heading only', `lines of ${wanted}`);
  return rows;
}

/** A figure with point or comma; not a number where it is none. */
const figure = (cell: string | undefined): number => {
  const text = (cell ?? '').trim().replace('−', '-');
  return /^[-+]?(\d+([.,]\d*)?|[.,]\d+)(e[-+]?\d+)?$/i.test(text) ? Number(text.replace(',', '.')) : NaN;
};

function cellOf(
  cell: string | undefined,
  { column, unit, where }: { column: Column; unit: string; where: string },
): number | null {
  if (column.open && OPEN.includes((cell ?? '').trim().toLowerCase())) return null;
  const value = figure(cell);
  if (Number.isNaN(value)) throw new InputError(where, cell ?? '', 'a figure');
  return unit === column.unit ? value : ownUnit(siUnit(value, column.dimension, unit), column.dimension, column.unit);
}

/** Where each column stands by its heading: its name, else a unit that only it has; by place where the heading names none. */
function placesIn(heading: readonly string[], columns: readonly Column[]): { at: number | null; unit: string }[] {
  const words = heading.map((cell) => cell.toLowerCase().split(SPACES));
  const byName = ({ names }: Column) => words.findIndex((cell) => cell.some((word) => names.includes(word)));
  const byUnit = ({ dimension }: Column) => words.findIndex((cell) => keyIn(cell, dimension) !== null);
  const named = columns.map((column) => (byName(column) >= 0 ? byName(column) : byUnit(column)));
  const anyNamed = named.some((at) => at >= 0);
  return columns.map((column, i) => {
    const at = anyNamed || column.headed ? named[i]! : i;
    if (at < 0 || at >= heading.length) {
      if (column.optional) return { at: null, unit: column.unit };
      throw new InputError('table, line 1', heading.join(', '), `a column of ${column.names.join(' or ')}`);
    }
    return { at, unit: keyIn(words[at]!, column.dimension) ?? column.unit };
  });
}

/** Key of the unit that stands in a heading; null where none of this dimension does. */
const keyIn = (words: readonly string[], dimension: Dimension): string | null =>
  Object.keys(units[dimension]).find((key) => words.some((word) => units[dimension][key]!.names.includes(word))) ??
  null;

/**
 * The same table as text: a heading with units, semicolons, points.
 *
 * @example writeColumns([TIME, PRESSURE], [[0, 3.4]]) // 'time s;pressure kPa\r\n0;3.4'
 */
export const writeColumns = (columns: readonly Column[], rows: readonly (readonly (number | null)[])[]): string =>
  Papa.unparse(
    {
      fields: columns.map(({ names, dimension, unit }) => `${names[0]} ${units[dimension][unit]?.symbol ?? ''}`.trim()),
      data: rows.map((row) => row.map((cell) => (cell === null ? 'open' : cell))),
    },
    { delimiter: ';' },
  );
