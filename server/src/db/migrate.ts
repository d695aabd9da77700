import { QueryTypes, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as first from './migrations/001-first.ts';
import * as devices from './migrations/002-devices.ts';

const migrations = { '1-first': first, '2-devices': devices };

/**
 * Brings the tables up to date, one process at a time: several servers may start before one database.
 */
export async function migrate(sequelize: Sequelize): Promise<void> {
  // The lock lives in one connection, so it is taken and given back inside one transaction.
  await sequelize.transaction(async (transaction) => {
    await sequelize.query("SELECT GET_LOCK('iron-cradle-migrate', 60)", { type: QueryTypes.SELECT, transaction });
    try {
      const umzug = new Umzug({
        migrations: Object.entries(migrations).map(([name, m]) => ({
          name,
          up: () => m.up(sequelize.getQueryInterface()),
        })),
        storage: new SequelizeStorage({ sequelize, modelName: 'migrations' }),
        logger: undefined,
      });
      await umzug.up();
    } finally {
      await sequelize.query("SELECT RELEASE_LOCK('iron-cradle-migrate')", { type: QueryTypes.SELECT, transaction });
    }
  });
}

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
