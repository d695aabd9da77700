import { QueryTypes, Sequelize, type Transaction } from 'sequelize';
import { addressesOf } from './addresses.ts';
import { errnoOf, isAway, isLost, mayGoAgain } from './away.ts';
import { defineModels, type Models } from './define.ts';
import { driverFor } from './driver.ts';
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
  const sequelize = await connected(url, { patient: true, tell });
  if (!(await isFormer(sequelize))) return ready(sequelize, url);
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
  return ready(await connected(beside.href, { patient: true }), beside.href);
}

const ready = async (patient: Sequelize, url: string): Promise<Database> => {
  await migrate(patient);
  await patient.close();
  const sequelize = await connected(url);
  return { sequelize, models: defineModels(sequelize) };
};

/**
 * A connection to a database, once it answers; its tables as they are.
 *
 * @param patient one that is silent for long is waited for: its tables are being changed
 * @param tell where it says that it still waits
 */
export async function connected(
  databaseUrl: string,
  { patient = false, tell = (_: string): void => undefined } = {},
): Promise<Sequelize> {
  const { url, addresses } = addressesOf(databaseUrl);
  const sequelize = new Sequelize(url, {
    dialect: 'mariadb',
    // Given, not looked for by its name: the server is one file.
    dialectModule: driverFor(addresses, { patient }),
    logging: false,
    pool: { max: 12, min: 0, acquire: 20_000, idle: 10_000 },
    define: { underscored: true, timestamps: false, charset: 'utf8mb4' },
  });
  await untilUp(sequelize, tell);
  return sequelize;
}

/** A database that was just started or killed answers after a moment; a cluster agrees anew who belongs to it, ms. */
const COMES_BACK = 60_000;
/** Whoever waits longer is told for what, ms. */
const SILENT_FOR = 3_000;
/** What waiting does not mend: no right to it, a wrong password, no database of that name. */
const FOR_GOOD = new Set([1044, 1045, 1049]);

async function untilUp(sequelize: Sequelize, tell: (text: string) => void): Promise<void> {
  const begun = Date.now();
  let told = false;
  for (;;) {
    try {
      await sequelize.query('SELECT 1', { type: QueryTypes.SELECT });
      return;
    } catch (error) {
      const waited = Date.now() - begun;
      if (waited > COMES_BACK || FOR_GOOD.has(errnoOf(error)) || !isAway(error)) throw error;
      if (waited > SILENT_FOR && !told) tell(`The database does not answer yet: ${(error as Error).message}`);
      told ||= waited > SILENT_FOR;
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
  }
}

/**
 * Runs a change in one transaction, and again as a whole where the database asks for it or went away in the middle: nothing was written
 * then. Not where it went away at the very end: whether it was written nobody knows, and who asked asks again.
 */
export async function inTransaction<T>(db: Database, work: (transaction: Transaction) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    let ending = false;
    try {
      return await db.sequelize.transaction(async (transaction) => {
        const done = await work(transaction);
        ending = true;
        return done;
      });
    } catch (error) {
      if (attempt >= 6 || !(mayGoAgain(error) || (!ending && isLost(error)))) throw error;
      await new Promise((resolve) => setTimeout(resolve, 15 * attempt));
    }
  }
}
