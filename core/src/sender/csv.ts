import { readColumns, writeColumns, type Column } from '../columns/index.ts';
import { InputError } from '../errors/index.ts';

/** One slow way, as a meter gave it. */
interface Way {
  /** From empty to full, or back. */
  way: 'up' | 'down';
  /** Ω; null: open. */
  ohms: (number | null)[];
}

const COLUMNS: readonly Column[] = [
  { names: ['pass', 'way'], dimension: 'count', unit: 'one', optional: true },
  { names: ['ohms', 'resistance'], dimension: 'resistance', unit: 'Ω', open: true },
];

/**
 * A sweep from CSV: the number of the pass and the ohms, “open” or nothing where it shows nothing. Odd passes go from empty to full,
 * even ones back; without numbers all of it is one way up.
 *
 * @throws InputError naming line and column
 * @example readSweep('pass;ohms\n1;20\n1;open\n2;80') // [{ way: 'up', ohms: [20, null] }, { way: 'down', ohms: [80] }]
 */
export function readSweep(text: string): Way[] {
  const rows = readColumns(text, COLUMNS);
  const ways = new Map<number, Way>();
  rows.forEach(([pass, ohms], row) => {
    const number = pass ?? 1;
    if (!(Number.isInteger(number) && number >= 1 && number <= 12))
      throw new InputError(`table, row ${row + 1} (pass)`, String(pass), 'a whole number from 1 to 12');
    const way = ways.get(number) ?? { way: number % 2 === 1 ? 'up' : 'down', ohms: [] };
    way.ohms.push(ohms!);
    ways.set(number, way);
  });
  return [...ways.entries()].sort(([a], [b]) => a - b).map(([, way]) => way);
}

/** The same as text. @example writeSweep([{ way: 'up', ohms: [20, null] }]) // 'pass;ohms Ω\r\n1;20\r\n1;open' */
export const writeSweep = (passes: readonly Way[]): string => {
  // Numbered so that each keeps its way: a second way up is the third pass.
  const numbers = passes.reduce<number[]>((list, { way }) => {
    const least = (list.at(-1) ?? 0) + 1;
    return [...list, least % 2 === (way === 'up' ? 1 : 0) ? least : least + 1];
  }, []);
  return writeColumns(
    COLUMNS,
    passes.flatMap(({ ohms }, i) => ohms.map((one) => [numbers[i]!, one])),
  );
};
