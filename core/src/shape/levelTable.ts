import Papa from 'papaparse';
import { InputError } from '../errors/index.ts';

/**
 * A level table from CSV: two columns, level and litres, a line of headings or none; comma, semicolon or tab between
 * them. Levels in mm unless the heading says cm or in; litres unless it says gal.
 *
 * @throws InputError naming the row that is wrong
 * @example readLevelTable('mm;litres\n0;0\n100;24,5') // [[0, 0], [100, 24.5]]
 */
export function readLevelTable(text: string): [number, number][] {
  const delimiter = /\t/.test(text) ? '\t' : /;/.test(text) ? ';' : ',';
  const { data } = Papa.parse<string[]>(text.trim(), { delimiter, skipEmptyLines: 'greedy' });
  if (data.length === 0) throw new InputError('table', 'nothing', 'two columns, level and litres');
  const number = (cell: string | undefined) => Number((cell ?? '').trim().replace(',', '.') || 'none');
  const headed = data[0]!.some((cell) => !Number.isFinite(number(cell)));
  const heading = headed ? data[0]!.map((cell) => cell.toLowerCase()) : [];
  const perLevel = /\b(cm)\b/.test(heading[0] ?? '') ? 10 : /\b(in|inch|inches)\b/.test(heading[0] ?? '') ? 25.4 : 1;
  const perLitre = /gal/.test(heading[1] ?? '') ? 3.785411784 : 1;
  const rows = data.slice(headed ? 1 : 0).map((cells, i): [number, number] => {
    const [mm, litres] = [number(cells[0]) * perLevel, number(cells[1]) * perLitre];
    if (!Number.isFinite(mm) || !Number.isFinite(litres))
      throw new InputError(`table, row ${i + 1 + Number(headed)}`, cells.join(delimiter), 'a level and litres');
    return [mm, litres];
  });
  if (rows.length === 0) throw new InputError('table', 'a heading only', 'rows of level and litres');
  return rows;
}
