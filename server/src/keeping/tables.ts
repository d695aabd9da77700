import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

/** A table as it is kept: its columns, and in which order its rows come. */
export interface Kept {
  /** Its name. */
  name: string;
  /** Columns. */
  columns: string[];
  /** Columns that order its rows, each row once. */
  order: string[];
}

/** Not kept: sessions, states (folded anew), and which migrations ran (the manifest says). */
const NOT_KEPT = new Set(['sessions', 'job_states', 'migrations']);
/** A log is kept in its order, so that its chain can be walked as it is read. */
const ORDER: Record<string, string[]> = { entries: ['job_id', 'seq'] };

/**
 * Every table of a database that is worth keeping, in the order in which its rows can be put back.
 *
 * @example (await keptTables(sequelize)).map(({ name }) => name) // ['approvals', …]
 */
export async function keptTables(sequelize: Sequelize, transaction?: Transaction): Promise<Kept[]> {
  const select = { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) } as const;
  const columns = await sequelize.query<{ t: string; c: string; k: string }>(
    'SELECT table_name AS t, column_name AS c, column_key AS k FROM information_schema.columns WHERE table_schema = DATABASE() ORDER BY table_name, ordinal_position',
    select,
  );
  const names = [...new Set(columns.map(({ t }) => t))].filter((name) => !NOT_KEPT.has(name));
  const tables = names.map((name): Kept => {
    const own = columns.filter(({ t }) => t === name);
    return {
      name,
      columns: own.map(({ c }) => c),
      order: ORDER[name] ?? own.filter(({ k }) => k === 'PRI').map(({ c }) => c),
    };
  });
  // What others point at comes first.
  return tables.sort((a, b) => Number(b.name === 'jobs') - Number(a.name === 'jobs'));
}

/** A value of a row as JSON: bytes and moments keep what they are. */
export type Cell = string | number | boolean | null | { bytes: string } | { moment: string };

/** A value as it stands in a copy. @example cellOf(Buffer.from('ab')) // { bytes: 'YWI=' } */
export function cellOf(value: unknown): Cell {
  if (Buffer.isBuffer(value)) return { bytes: value.toString('base64') };
  if (value instanceof Date) return { moment: value.toISOString() };
  return value as Cell;
}

/** The same back. @example valueOf({ bytes: 'YWI=' }) // Buffer */
export function valueOf(cell: Cell): string | number | boolean | null | Buffer | Date {
  if (typeof cell !== 'object' || cell === null) return cell;
  return 'bytes' in cell ? Buffer.from(cell.bytes, 'base64') : new Date(cell.moment);
}
