import { QueryTypes, type Sequelize } from 'sequelize';
import { InputError } from '@iron-cradle/core';
import { migrateTo, migrationNames } from '../db/migrate.ts';
import { connected, openDatabase } from '../db/connect.ts';
import { readRows, type Manifest } from './files.ts';
import { momentOf, playHistory, type HistoryTools } from './history.ts';
import { valueOf } from './tables.ts';
import { checkCopy, verifyShop, type Checked } from './verify.ts';

/** Rows put in at once; of what holds pictures fewer. */
const AT_ONCE = { rows: 200, pictures: 5 };

/** A shop that was put back. */
export interface Restored extends Checked {
  /** Database in which what stood there before is kept; null: nothing stood there. */
  before: string | null;
}

/** Up to which moment after the copy, where not to the copy itself. */
export interface Until {
  /** By this machine's clock, like 2026-11-27 17:20. */
  moment: string;
  /** What plays history. */
  tools: HistoryTools;
}

/**
 * Puts a shop back from a copy, into this or a newer version. The copy is read through first; it is put together in a database beside, and
 * takes its place at once. What stood there is kept in another beside it: nothing is deleted.
 *
 * @throws InputError for a copy that does not hold, or was made by a newer version
 * @example await restore('mariadb://…/cradle', '/copies/2026-11-27')
 */
export async function restore(databaseUrl: string, folder: string, until: Until | null = null): Promise<Restored> {
  const { manifest, ...checked } = await checkCopy(folder);
  const moment = until && momentOf(until.moment, manifest.made);
  const now = new Date();
  const newer = manifest.migrations.filter((name) => !migrationNames.includes(name));
  if (newer.length > 0)
    throw new InputError('folder', `a copy of a newer version (${newer.join(', ')})`, 'this version or an older one');
  const name = new URL(databaseUrl).pathname.slice(1);
  const stamp = now.toISOString().replace(/\D/g, '').slice(0, 14);
  const [making, before] = [`${name}_making`, `${name}_before_${stamp}`];
  const here = await connected(databaseUrl);
  try {
    await raw(here, `DROP DATABASE IF EXISTS \`${making}\``);
    await raw(here, `CREATE DATABASE \`${making}\` CHARACTER SET utf8mb4`);
    const url = beside(databaseUrl, making);
    await fill(url, { folder, manifest });
    if (until && moment) {
      // History changes rows of sessions too, which no copy holds.
      if (!(await tablesIn(here, name)).includes('sessions'))
        throw new InputError('until', 'an empty database', 'the one whose history it is');
      await raw(here, `CREATE TABLE \`${making}\`.sessions LIKE \`${name}\`.sessions`);
      const names = { from: name, into: making };
      await playHistory(until.tools, { since: manifest.history, until: moment, names });
      await raw(here, `DROP TABLE \`${making}\`.sessions`);
    }
    const whole = await broughtUp(url, { said: { at: now.toISOString(), made: moment ?? manifest.made } });
    // Who is signed in stays so, where the copy knows them.
    const stood = (await tablesIn(here, name)).filter((table) => table !== 'sessions');
    if (stood.length > 0) await raw(here, `CREATE DATABASE \`${before}\` CHARACTER SET utf8mb4`);
    // One statement: a server that is cut off here has the one or the other, never a part.
    await raw(
      here,
      `RENAME TABLE ${[
        ...stood.map((table) => `\`${name}\`.\`${table}\` TO \`${before}\`.\`${table}\``),
        ...(await tablesIn(here, making)).map((table) => `\`${making}\`.\`${table}\` TO \`${name}\`.\`${table}\``),
      ].join(', ')}`,
    );
    await raw(here, `DROP DATABASE \`${making}\``);
    return { ...checked, ...whole, ...(moment ? { made: moment } : {}), before: stood.length > 0 ? before : null };
  } finally {
    await here.close();
  }
}

const raw = (sequelize: Sequelize, sql: string) => sequelize.query(sql, { type: QueryTypes.RAW });
const beside = (url: string, name: string): string => {
  const other = new URL(url);
  other.pathname = `/${name}`;
  return other.href;
};

const tablesIn = async (sequelize: Sequelize, schema: string): Promise<string[]> =>
  (
    await sequelize.query<{ t: string }>(
      "SELECT table_name AS t FROM information_schema.tables WHERE table_schema = ? AND table_type = 'BASE TABLE'",
      { type: QueryTypes.SELECT, replacements: [schema] },
    )
  ).map(({ t }) => t);

/** Tables as they were when the copy was made, and its rows. */
async function fill(url: string, { folder, manifest }: { folder: string; manifest: Manifest }): Promise<void> {
  const sequelize = await connected(url);
  try {
    await migrateTo(sequelize, manifest.migrations);
    for (const { name, columns } of manifest.tables) {
      await raw(sequelize, `DELETE FROM \`${name}\``);
      const most = name === 'photos' ? AT_ONCE.pictures : AT_ONCE.rows;
      let batch: unknown[][] = [];
      const put = async () => {
        if (batch.length === 0) return;
        const one = `(${columns.map(() => '?').join(', ')})`;
        const list = columns.map((column) => `\`${column}\``).join(', ');
        await sequelize.query(`INSERT INTO \`${name}\` (${list}) VALUES ${batch.map(() => one).join(', ')}`, {
          type: QueryTypes.INSERT,
          replacements: batch.flat(),
        });
        batch = [];
      };
      for await (const row of readRows(folder, name)) {
        batch.push(row.map(valueOf));
        if (batch.length >= most) await put();
      }
      await put();
    }
  } finally {
    await sequelize.close();
  }
}

/** What came since the version of the copy, and the note that it was put back; every chain walked once more. */
async function broughtUp(
  url: string,
  { said }: { said: { at: string; made: string } },
): Promise<Pick<Checked, 'jobs' | 'entries' | 'photos'>> {
  const db = await openDatabase(url);
  try {
    await db.models.Setting.upsert({ name: 'restored', value: JSON.stringify(said) });
    const { broken, jobs, entries, photos } = await verifyShop(db);
    const [first] = broken;
    if (first) throw new InputError('until', `a job ${first.job} that does not hold: ${first.text}`, 'another moment');
    return { jobs, entries, photos };
  } finally {
    await db.sequelize.close();
  }
}
