import { existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { QueryTypes, Transaction, type Sequelize } from 'sequelize';
import { InputError } from '@iron-cradle/core';
import { ranMigrations } from '../db/migrate.ts';
import { checkCopy, type Checked } from './verify.ts';
import { keepKeys, type KeyPlaces } from './keys.ts';
import { manifestIn, writeRows, type Manifest } from './files.ts';
import { cellOf, keptTables, type Cell, type Kept } from './tables.ts';

/** Rows read at once; of what holds pictures fewer. */
const PAGE = { rows: 1000, pictures: 20 };

/** What a backup is told. */
interface BackupOptions {
  /** A folder that is not there yet. */
  folder: string;
  /** Where the shop's own keys lie. */
  keys: KeyPlaces;
}

/**
 * A copy of the whole shop as it stands at one moment, while work goes on; read back and its chains walked before it counts as made.
 *
 * @throws InputError where the folder is there already
 * @example await backup(sequelize, { folder: '/copies/2026-11-27', keys: { lan: null, seal: null } }) // { jobs: 12, entries: 3100, photos: 41, … }
 */
export async function backup(sequelize: Sequelize, { folder, keys }: BackupOptions): Promise<Checked> {
  if (existsSync(folder)) throw new InputError('folder', folder, 'a folder that is not there yet');
  // Made beside its place and moved there whole: one cut off half-way is never taken for one.
  const making = `${folder}.making`;
  rmSync(making, { recursive: true, force: true });
  mkdirSync(making, { recursive: true, mode: 0o700 });
  const manifest = await sequelize.transaction(
    { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ },
    (transaction) => dump(sequelize, { making, transaction }),
  );
  writeFileSync(manifestIn(making), JSON.stringify(manifest, null, 1));
  keepKeys(making, keys);
  const { manifest: _, ...checked } = await checkCopy(making);
  renameSync(making, folder);
  return checked;
}

async function dump(
  sequelize: Sequelize,
  { making, transaction }: { making: string; transaction: Transaction },
): Promise<Manifest> {
  // Settles the moment for all that follow, and where history stands at it.
  await sequelize.query('START TRANSACTION WITH CONSISTENT SNAPSHOT', { type: QueryTypes.RAW, transaction });
  const history = await historyAt(sequelize, transaction);
  const migrations = await ranMigrations(sequelize, transaction);
  const made = new Date().toISOString();
  const tables: Manifest['tables'] = [];
  for (const table of await keptTables(sequelize, transaction)) {
    const { name, columns } = table;
    const written = await writeRows(making, { table: name, rows: rowsOf(sequelize, { table, transaction }) });
    tables.push({ name, columns, ...written });
  }
  return { format: 'iron-cradle-backup', version: 1, made, migrations, history, tables };
}

/** Where the database's own history of changes stands at the moment of a snapshot; null: it keeps none. */
async function historyAt(sequelize: Sequelize, transaction: Transaction): Promise<Manifest['history']> {
  const rows = await sequelize.query<{ Variable_name: string; Value: string }>("SHOW STATUS LIKE 'binlog_snapshot_%'", {
    type: QueryTypes.SELECT,
    transaction,
  });
  const said = new Map(rows.map((row) => [row.Variable_name.toLowerCase(), row.Value]));
  const file = said.get('binlog_snapshot_file');
  return file ? { file, position: Number(said.get('binlog_snapshot_position')) } : null;
}

/** Rows of a table in its order, page after page, each page from where the one before ended. */
async function* rowsOf(
  sequelize: Sequelize,
  { table, transaction }: { table: Kept; transaction: Transaction },
): AsyncGenerator<Cell[]> {
  const { name, columns, order } = table;
  const quoted = (list: readonly string[]) => list.map((one) => `\`${one}\``).join(', ');
  const page = name === 'photos' ? PAGE.pictures : PAGE.rows;
  for (let last: unknown[] | null = null; ;) {
    const after = last === null ? '' : `WHERE (${quoted(order)}) > (${order.map(() => '?').join(', ')})`;
    const rows: Record<string, unknown>[] = await sequelize.query<Record<string, unknown>>(
      `SELECT ${quoted(columns)} FROM \`${name}\` ${after} ORDER BY ${quoted(order)} LIMIT ${page}`,
      { type: QueryTypes.SELECT, transaction, replacements: last ?? [] },
    );
    for (const row of rows) yield columns.map((column) => cellOf(row[column]));
    if (rows.length < page) return;
    last = order.map((column) => rows.at(-1)![column]);
  }
}
