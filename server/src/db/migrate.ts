import { QueryTypes, type QueryInterface, type Sequelize, type Transaction } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { errnoOf } from './away.ts';
import * as first from './migrations/001-first.ts';
import * as devices from './migrations/002-devices.ts';
import * as summaries from './migrations/003-summaries.ts';
import * as seals from './migrations/004-seals.ts';
import * as knownDevices from './migrations/005-known-devices.ts';
import * as words from './migrations/006-words.ts';

/** Names of what this version brings, in order. */
const migrations: Record<string, { up: (q: QueryInterface) => Promise<void> }> = {
  '1-first': first,
  '2-devices': devices,
  '3-summaries': summaries,
  '4-seals': seals,
  '5-known-devices': knownDevices,
  '6-words': words,
};

/** Every migration this version knows, in order. */
export const migrationNames = Object.keys(migrations);

const umzugOf = (sequelize: Sequelize, names: readonly string[]) =>
  new Umzug({
    migrations: Object.entries(migrations)
      .filter(([name]) => names.includes(name))
      .map(([name, m]) => ({ name, up: () => m.up(sequelize.getQueryInterface()) })),
    storage: new SequelizeStorage({ sequelize, modelName: 'migrations' }),
    logger: undefined,
  });

/** A table, a column, an index or a row that another server has just made; what two undo for one another. */
const MADE_MEANWHILE = new Set([1050, 1060, 1061, 1062, 1205, 1213]);
/** So often two servers may come into each other's way, then it is something else. */
const MEETINGS = 50;

/** Is this a node of a cluster? There a named lock holds on its own node only. */
async function isCluster(sequelize: Sequelize): Promise<boolean> {
  const [provider] = await sequelize.query<{ Value: string }>("SHOW GLOBAL STATUS LIKE 'wsrep_provider_name'", {
    type: QueryTypes.SELECT,
  });
  return Boolean(provider?.Value);
}

/**
 * Brings the tables up to date; several servers may start before one database. On one machine one of them does it and the others wait; on a
 * cluster, whose nodes know no common lock, each goes on from where the other is, as after a start that was cut off.
 */
export async function migrate(sequelize: Sequelize): Promise<void> {
  if (!(await isCluster(sequelize))) return locked(sequelize);
  for (let meeting = 1; ; meeting++)
    try {
      await umzugOf(sequelize, migrationNames).up();
      return;
    } catch (error) {
      if (meeting >= MEETINGS || !MADE_MEANWHILE.has(errnoOf((error as Error).cause ?? error))) throw error;
      await new Promise((resolve) => setTimeout(resolve, 20 + Math.random() * 100));
    }
}

/** One process at a time. */
async function locked(sequelize: Sequelize): Promise<void> {
  // The lock lives in one connection, so it is taken and given back inside one transaction.
  await sequelize.transaction(async (transaction) => {
    await sequelize.query("SELECT GET_LOCK('iron-cradle-migrate', 60)", { type: QueryTypes.SELECT, transaction });
    try {
      await umzugOf(sequelize, migrationNames).up();
    } finally {
      await sequelize.query("SELECT RELEASE_LOCK('iron-cradle-migrate')", { type: QueryTypes.SELECT, transaction });
    }
  });
}

/** Brings the tables of an empty database as far as a copy of an older version was. @param names migrations it had been through */
export async function migrateTo(sequelize: Sequelize, names: readonly string[]): Promise<void> {
  await umzugOf(sequelize, names).up();
}

/** Migrations a database has been through. @example await ranMigrations(sequelize, transaction) // ['1-first'] */
export const ranMigrations = async (sequelize: Sequelize, transaction: Transaction): Promise<string[]> =>
  (
    await sequelize.query<{ name: string }>('SELECT name FROM migrations ORDER BY name', {
      type: QueryTypes.SELECT,
      transaction,
    })
  ).map(({ name }) => name);

/** Do the tables of a former, other shape stand here? They are never touched. */
export async function isFormer(sequelize: Sequelize): Promise<boolean> {
  const [found] = await sequelize.query<{ n: number }>(
    "SELECT COUNT(*) AS n FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = 'entries'",
    { type: QueryTypes.SELECT },
  );
  const [fits] = await sequelize.query<{ n: number }>(
    "SELECT COUNT(*) AS n FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = 'entries' AND column_name = 'device'",
    { type: QueryTypes.SELECT },
  );
  return Number(found?.n) > 0 && Number(fits?.n) === 0;
}
