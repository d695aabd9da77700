import { QueryTypes, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as first from './migrations/001-first.ts';
import * as versions from './migrations/002-versions.ts';
import * as photos from './migrations/003-photos.ts';
import * as units from './migrations/004-units.ts';

const migrations = { '001-first': first, '002-versions': versions, '003-photos': photos, '004-units': units };

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
