import { existsSync, readdirSync, rmSync, writeFileSync, mkdirSync, mkdtempSync } from 'node:fs';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { ownDatabase } from '../../e2e/lib/server.ts';
import { openDatabase } from '../src/db/connect.ts';
import { fillWithDemo } from '../src/demo/fill.ts';
import { shelvesOf } from '../src/jobs/shelves.ts';

/** First starts that were killed half-way: the next one goes on where they were, and nothing is ever deleted. */
let mariadb: Awaited<ReturnType<typeof ownDatabase>>;
beforeAll(async () => {
  mariadb = await ownDatabase();
});
afterAll(() => mariadb?.stop());

async function named(name: string): Promise<string> {
  const db = await openDatabase(mariadb.url());
  // Under the name of the product: it may touch no others.
  await db.sequelize.query(`CREATE DATABASE cradle_${name}`, { type: QueryTypes.RAW });
  await db.sequelize.close();
  return mariadb.url(`cradle_${name}`);
}

test('tables that were made and not yet written down as made', async () => {
  const url = await named('half_tables');
  const first = await openDatabase(url);
  await first.sequelize.query('DELETE FROM migrations', { type: QueryTypes.RAW });
  await first.sequelize.query('DROP TABLE approvals', { type: QueryTypes.RAW });
  await first.sequelize.close();
  const second = await openDatabase(url);
  expect(await second.models.Approval.count()).toBe(0);
  const unique = await second.sequelize.query<{ Key_name: string; Column_name: string }>(
    'SHOW INDEX FROM entries WHERE Non_unique = 0 AND Key_name <> "PRIMARY"',
    { type: QueryTypes.SELECT },
  );
  expect(unique.map((row) => row.Column_name)).toEqual(['job_id', 'seq']);
  await second.sequelize.close();
});

test('a demo shop of which only the people were there', async () => {
  const db = await openDatabase(await named('half_demo'));
  const { upsert } = db.models.Vehicle;
  db.models.Vehicle.upsert = () => Promise.reject(new Error('killed'));
  await expect(fillWithDemo(shelvesOf(db, null))).rejects.toThrow('killed');
  expect(await db.models.Person.count()).toBeGreaterThan(0);
  db.models.Vehicle.upsert = upsert;
  expect(await fillWithDemo(shelvesOf(db, null))).toBe(true);
  const jobs = await db.models.Job.count();
  expect(jobs).toBeGreaterThan(3);
  // Filled once, and a shop of people of its own is never filled.
  expect(await fillWithDemo(shelvesOf(db, null))).toBe(true);
  expect(await db.models.Job.count()).toBe(jobs);
  await db.sequelize.close();
  const own = await openDatabase(await named('own_shop'));
  await own.models.Person.create({ id: 'ada', name: 'Ada', role: 'lead', pinHash: null });
  expect(await fillWithDemo(shelvesOf(own, null))).toBe(false);
  expect(await own.models.Job.count()).toBe(0);
  await own.sequelize.close();
});

describe('the folder of the data', () => {
  const path = '../../scripts/lib/mariadb.mjs';
  const begin = async (folder: string) =>
    ((await import(path)) as { startMariaDb: (f: string) => Promise<typeof mariadb> }).startMariaDb(folder);
  const fresh = () => mkdtempSync(join(mariadb.folder, '..', 'test-'));

  test('without its settings it is kept, and opened with new ones', async () => {
    const folder = fresh();
    const first = await begin(folder);
    const db = await openDatabase(first.url());
    await db.models.Setting.create({ name: 'kept', value: 'yes' } as never);
    await db.sequelize.close();
    // Still running, as after a power cut of the start command alone.
    rmSync(join(folder, 'settings.json'));
    const second = await begin(folder);
    const again = await openDatabase(second.url());
    expect(await again.models.Setting.findByPk('kept')).not.toBeNull();
    await again.sequelize.close();
    await second.stop();
    // Cut off while they were written: no settings either.
    writeFileSync(join(folder, 'settings.json'), '{ "pass');
    const third = await begin(folder);
    const last = await openDatabase(third.url());
    expect(await last.models.Setting.findByPk('kept')).not.toBeNull();
    await last.sequelize.close();
    await third.stop();
    rmSync(folder, { recursive: true });
  });

  test('of which the database was only half set up: put aside, never deleted', async () => {
    const folder = fresh();
    mkdirSync(join(folder, 'data'));
    writeFileSync(join(folder, 'data', 'somebody.txt'), 'mine');
    const db = await begin(folder);
    await db.stop();
    const aside = readdirSync(folder).find((name) => name.startsWith('data.aside-'));
    expect(existsSync(join(folder, aside ?? 'none', 'somebody.txt'))).toBe(true);
    rmSync(folder, { recursive: true });
  });
});
