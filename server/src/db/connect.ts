import mariadb from 'mariadb';
import { QueryTypes, Sequelize, type Transaction } from 'sequelize';
import { errnoOf, RETRY } from './away.ts';
import { defineModels, type Models } from './define.ts';
import { isFormer, migrate } from './migrate.ts';

/** A database and the tables of this product in it. */
export interface Database {
  /** The connection. */
  sequelize: Sequelize;
  /** The tables. */
  models: Models;
}

/** What is added to the name of a database whose tables are of a former shape. */
const BESIDE = '_1';

/**
 * Connects, brings the tables up to date, and gives the models. A database of a former shape is left as it is, and a new one
 * begun beside it.
 *
 * @param tell where it says so
 */
export async function openDatabase(url: string, tell: (text: string) => void = () => undefined): Promise<Database> {
  const sequelize = await connected(url);
  if (!(await isFormer(sequelize))) return ready(sequelize);
  const beside = new URL(url);
  const name = beside.pathname.slice(1);
  beside.pathname = `/${name}${BESIDE}`;
  tell(
    `The database “${name}” is of a former version. It stays as it is; a new one, “${name}${BESIDE}”, is used beside it.`,
  );
  await sequelize.query(`CREATE DATABASE IF NOT EXISTS \`${name}${BESIDE}\` CHARACTER SET utf8mb4`, {
    type: QueryTypes.RAW,
  });
  await sequelize.close();
  return ready(await connected(beside.href));
}

const ready = async (sequelize: Sequelize): Promise<Database> => {
  await migrate(sequelize);
  return { sequelize, models: defineModels(sequelize) };
};

/** A connection to a database, once it answers; its tables as they are. */
export async function connected(url: string): Promise<Sequelize> {
  const sequelize = new Sequelize(url, {
    dialect: 'mariadb',
    // Given, not looked for by its name: the server is one file.
    dialectModule: mariadb,
    logging: false,
    pool: { max: 12, min: 0, acquire: 20_000, idle: 10_000 },
    dialectOptions: { connectTimeout: 5_000 },
    define: { underscored: true, timestamps: false, charset: 'utf8mb4' },
  });
  await untilUp(sequelize);
  return sequelize;
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

/** Runs a change in one transaction and tries it again as a whole when the database asks for it. */
export async function inTransaction<T>(db: Database, work: (transaction: Transaction) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await db.sequelize.transaction(work);
    } catch (error) {
      const code = errnoOf(error);
      if (attempt >= 6 || code === undefined || !RETRY.has(code)) throw error;
      await new Promise((resolve) => setTimeout(resolve, 15 * attempt));
    }
  }
}
