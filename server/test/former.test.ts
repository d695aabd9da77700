import { QueryTypes } from 'sequelize';
import { ownDatabase } from '../../e2e/lib/server.ts';
import { connected, openDatabase } from '../src/db/connect.ts';

/** A start that finds the tables of a former shape: they stay, and a new database is begun beside them. */
let mariadb: Awaited<ReturnType<typeof ownDatabase>>;
beforeAll(async () => {
  mariadb = await ownDatabase();
});
afterAll(() => mariadb?.stop());

const raw = () => connected(mariadb.url());

test('is left untouched, said, and begun beside; the next start finds what was begun', async () => {
  const before = await raw();
  await before.query('CREATE TABLE entries (id VARCHAR(60) PRIMARY KEY, kind VARCHAR(40), body LONGTEXT)', {
    type: QueryTypes.RAW,
  });
  await before.query("INSERT INTO entries VALUES ('e1', 'opened', '{}')", { type: QueryTypes.RAW });
  await before.close();
  const name = new URL(mariadb.url()).pathname.slice(1);

  for (const start of [1, 2]) {
    const told: string[] = [];
    const db = await openDatabase(mariadb.url(), (text) => told.push(text));
    expect(told.join()).toContain(`“${name}_1”`);
    const [used] = await db.sequelize.query<{ name: string }>('SELECT DATABASE() AS name', { type: QueryTypes.SELECT });
    expect(used?.name).toBe(`${name}_1`);
    if (start === 1)
      await db.models.Job.create({
        id: 'job',
        number: 1,
        lastSeq: 0,
        lastHash: '',
        summary: '{}',
        touched: new Date(),
      });
    else expect(await db.models.Job.count()).toBe(1);
    await db.sequelize.close();
  }

  const after = await raw();
  const rows = await after.query('SELECT * FROM entries', { type: QueryTypes.SELECT });
  expect(rows).toEqual([{ id: 'e1', kind: 'opened', body: '{}' }]);
  const tables = await after.query('SHOW TABLES', { type: QueryTypes.SELECT });
  expect(tables).toHaveLength(1);
  await after.close();
});

test('a database of the present shape, or an empty one, is used as it is', async () => {
  const root = await raw();
  await root.query('DROP TABLE IF EXISTS entries', { type: QueryTypes.RAW });
  await root.close();
  for (let start = 0; start < 2; start++) {
    const told: string[] = [];
    const db = await openDatabase(mariadb.url(), (text) => told.push(text));
    expect(told).toEqual([]);
    await db.sequelize.close();
  }
});
