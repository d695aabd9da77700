import { QueryTypes, Sequelize, type Transaction } from 'sequelize';
import { defineModels, type Models } from './models.ts';
import { migrate } from './migrate.ts';

export interface Database {
  sequelize: Sequelize;
  models: Models;
}

/** Connects, brings the tables up to date, and gives the models. */
export async function openDatabase(url: string): Promise<Database> {
  const sequelize = new Sequelize(url, {
    dialect: 'mariadb',
    logging: false,
    pool: { max: 12, min: 0, acquire: 20_000, idle: 10_000 },
    dialectOptions: { connectTimeout: 5_000 },
    define: { underscored: true, timestamps: false, charset: 'utf8mb4' },
  });
  await untilUp(sequelize);
  await migrate(sequelize);
  return { sequelize, models: defineModels(sequelize) };
}

/** A database that was just started, or killed and started again, answers after a moment. */
async function untilUp(sequelize: Sequelize): Promise<void> {
  for (let attempt = 1; ; attempt++) {
    try {
      await sequelize.query('SELECT 1', { type: QueryTypes.SELECT });
      return;
    } catch (error) {
      if (attempt >= 40) throw error;
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
  }
}

/** Deadlock, lock wait, changed since read, the same row made twice at once: the whole transaction may be tried again. */
const RETRY = new Set([1213, 1205, 1020, 1062]);

/** Runs a change in one transaction and tries it again as a whole when the database asks for it. */
export async function inTransaction<T>(db: Database, work: (transaction: Transaction) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await db.sequelize.transaction(work);
    } catch (error) {
      const code = (error as { original?: { errno?: number } }).original?.errno;
      if (attempt >= 6 || code === undefined || !RETRY.has(code)) throw error;
      await new Promise((resolve) => setTimeout(resolve, 15 * attempt));
    }
  }
}
