import { readColumns, writeColumns, type Column } from '../columns/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { LONGEST_WAY, type SweptWay } from './way.ts';

const COLUMNS: readonly Column[] = [
  { names: ['pass', 'way'], dimension: 'count', unit: 'one', optional: true },
  { names: ['ohms', 'resistance'], dimension: 'resistance', unit: 'Ω', open: true },
];
const SECONDS: Column = { names: ['seconds', 'time'], dimension: 'duration', unit: 's', optional: true, headed: true };

/** A way of which more lines may come. */
interface Reading extends SweptWay {
  ohms: (number | null)[];
  seconds?: number[];
  /** The first time that stands there; null: the table has none. */
  began: number | null;
}

/**
 * A sweep from CSV: the number of the pass and the ohms, “open” or nothing where it shows nothing; seconds where a heading names them.
 * Odd passes go from empty to full, even ones back; without numbers all of it is one way up.
 *
 * @throws InputError naming line and column, or the row whose time runs backwards
 * @example readSweep('pass;ohms\n1;20\n1;open\n2;80') // [{ way: 'up', ohms: [20, null] }, { way: 'down', ohms: [80] }]
 */
export function readSweep(text: string): SweptWay[] {
  const rows = readColumns(text, [...COLUMNS, SECONDS]);
  const ways = new Map<number, Reading>();
  rows.forEach(([pass, ohms, at], row) => {
    const number = pass ?? 1;
    if (!(Number.isInteger(number) && number >= 1 && number <= 12))
      throw new InputError(`table, row ${row + 1} (pass)`, String(pass), 'a whole number from 1 to 12');
    const way: Reading = ways.get(number) ?? { way: number % 2 === 1 ? 'up' : 'down', ohms: [], began: at ?? null };
    way.ohms.push(ohms!);
    if (way.began !== null) {
      const times = (way.seconds ??= []);
      const since = roundTo(at! - way.began, 0.001);
      if (since < (times.at(-1) ?? 0))
        throw new InputError(`table, row ${row + 1} (seconds)`, String(at), 'a time no earlier than the one before');
      if (since > LONGEST_WAY)
        throw new InputError(
          `table, row ${row + 1} (seconds)`,
          String(at),
          'a time within an hour of the first of its pass',
        );
      times.push(since);
    }
    ways.set(number, way);
  });
  return [...ways.entries()].sort(([a], [b]) => a - b).map(([, { began: _, ...way }]) => way);
}

/** The same as text. @example writeSweep([{ way: 'up', ohms: [20, null] }]) // 'pass;ohms Ω\r\n1;20\r\n1;open' */
export const writeSweep = (passes: readonly SweptWay[]): string => {
  // Numbered so that each keeps its way: a second way up is the third pass.
  const numbers = passes.reduce<number[]>((list, { way }) => {
    const least = (list.at(-1) ?? 0) + 1;
    return [...list, least % 2 === (way === 'up' ? 1 : 0) ? least : least + 1];
  }, []);
  // A column of times only where every way has its own: half of them would say that the others had none.
  const timed = passes.length > 0 && passes.every(({ seconds }) => seconds !== undefined);
  return writeColumns(
    timed ? [...COLUMNS, SECONDS] : COLUMNS,
    passes.flatMap(({ ohms, seconds }, i) =>
      ohms.map((one, k) => [numbers[i]!, one, ...(timed ? [seconds![k]!] : [])]),
    ),
  );
};
