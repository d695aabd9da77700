import { QueryTypes, type Sequelize } from 'sequelize';
import { ownDatabase } from '../../e2e/lib/server.ts';
import { connected, openDatabase } from '../src/db/connect.ts';
import { migrate, migrateTo, migrationNames } from '../src/db/migrate.ts';

/** Every so many statements of a start are cut off; EVERY=1 for each of them. */
const EVERY = Number(process.env.EVERY ?? 6);
const NAME = 'cradle_cut';

let mariadb: Awaited<ReturnType<typeof ownDatabase>>;
beforeAll(async () => {
  mariadb = await ownDatabase();
});
afterAll(() => mariadb?.stop());

async function anew(): Promise<string> {
  const { sequelize } = await openDatabase(mariadb.url());
  await sequelize.query(`DROP DATABASE IF EXISTS ${NAME}`, { type: QueryTypes.RAW });
  await sequelize.query(`CREATE DATABASE ${NAME} CHARACTER SET utf8mb4`, { type: QueryTypes.RAW });
  await sequelize.close();
  return mariadb.url(NAME);
}

/** Columns and indexes as the database itself tells them. */
async function shapeOf(sequelize: Sequelize): Promise<unknown[]> {
  const select = (sql: string) => sequelize.query<object>(sql, { type: QueryTypes.SELECT });
  return [
    await select(
      'SELECT table_name, column_name, column_type, is_nullable, column_key FROM information_schema.columns WHERE table_schema = DATABASE() ORDER BY 1, 2',
    ),
    await select(
      'SELECT table_name, index_name, seq_in_index, column_name, non_unique FROM information_schema.statistics WHERE table_schema = DATABASE() ORDER BY 1, 2, 3',
    ),
  ];
}

/** What a connection was made with: what it logs, it is about to send. */
const optionsOf = (sequelize: Sequelize) =>
  (sequelize as unknown as { options: { logging: false | (() => void) } }).options;

/** Throws at the n-th statement, as a process that ends there; counts them. */
function cutAt(sequelize: Sequelize, n: number): () => number {
  let done = 0;
  optionsOf(sequelize).logging = () => {
    done += 1;
    if (done === n) throw new Error('cut off');
  };
  return () => done;
}

/** A shop from before jobs were found by words, with one that was signed then. */
async function before(url: string): Promise<Sequelize> {
  const sequelize = await connected(url);
  await migrateTo(sequelize, migrationNames.slice(0, migrationNames.indexOf('4-seals')));
  const summary = JSON.stringify({ name: 'Van 4', plate: 'QX 204', signed: '2026-03-01T10:00:00.000Z' });
  await sequelize.query(
    'INSERT INTO jobs (id, number, last_seq, last_hash, signed, summary, touched) VALUES (?, 1, 1, ?, 1, ?, NOW())',
    { type: QueryTypes.INSERT, replacements: ['signed-before', 'x', summary] },
  );
  return sequelize;
}

test.each([
  ['an empty database', (url: string) => connected(url)],
  ['a shop of a version before', before],
])(
  '%s, cut off at any statement of the start that brings it up to date: the next one goes on, to the same tables',
  async (_, begun) => {
    const whole = await begun(await anew());
    const statements = cutAt(whole, Infinity);
    await migrate(whole);
    const all = statements();
    optionsOf(whole).logging = false;
    const expected = await shapeOf(whole);
    await whole.close();
    expect(all).toBeGreaterThan(20);
    for (let n = 1; n <= all; n += EVERY) {
      const sequelize = await begun(await anew());
      cutAt(sequelize, n);
      await expect(migrate(sequelize)).rejects.toThrow('cut off');
      optionsOf(sequelize).logging = false;
      // A process that ended took its connections along, and with them the lock.
      await sequelize.close();
      const next = await connected(mariadb.url(NAME));
      await migrate(next);
      expect([n, await shapeOf(next)]).toEqual([n, expected]);
      const words = await next.query<{ word: string }>("SELECT word FROM job_words WHERE job_id = 'signed-before'", {
        type: QueryTypes.SELECT,
      });
      expect(words.map(({ word }) => word).includes('qx204')).toBe(begun === before);
      await next.close();
    }
  },
);
