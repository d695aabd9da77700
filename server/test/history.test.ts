import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { archetypes } from '@iron-cradle/core';
import { openShop, ownDatabase, type Shop } from '../../e2e/lib/server.ts';
import { connected } from '../src/db/connect.ts';
import { Tablet } from './tablet.ts';

/** Back to a moment between two copies: what came after the copy is there, what went wrong after that moment is not. */
const place = mkdtempSync(join(tmpdir(), 'cradle-history-test-'));
let database: Awaited<ReturnType<typeof ownDatabase>>;
let shop: Shop;
let ines: Tablet;

const keep = (...words: string[]) => {
  const { stdout, stderr } = spawnSync(process.execPath, ['scripts/keep.mjs', ...words], {
    cwd: join(import.meta.dirname, '../..'),
    env: { ...process.env, NODE_OPTIONS: '', CRADLE_DB: database.folder, KEY_FILE: join(place, 'keys', 'shop.pem') },
    encoding: 'utf8',
  });
  return stdout + stderr;
};
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
/** The next full second of this machine's clock, once it has begun. */
async function nextSecond(): Promise<string> {
  const at = new Date(Math.ceil((Date.now() + 1) / 1000) * 1000);
  await wait(at.getTime() - Date.now() + 20);
  const two = (n: number) => String(n).padStart(2, '0');
  const day = `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
  return `${day} ${two(at.getHours())}:${two(at.getMinutes())}:${two(at.getSeconds())}`;
}
const note = (text: string) => ines.append('job-h', [ines.entry('job-h', 'note', { text })]);
const notes = async (): Promise<string[]> => {
  const sequelize = await connected(database.url());
  const rows = await sequelize.query<{ body: string }>(
    "SELECT body FROM entries WHERE job_id = 'job-h' AND kind = 'note' ORDER BY seq",
    { type: QueryTypes.SELECT },
  );
  await sequelize.close();
  return rows.map(({ body }) => (JSON.parse(body) as { text: string }).text);
};
const sql = async (...statements: string[]) => {
  const sequelize = await connected(database.url());
  for (const statement of statements) await sequelize.query(statement, { type: QueryTypes.RAW });
  await sequelize.close();
};
/** Serves again from what stands in the database now; stopped again by whoever asks. */
const open = async () => {
  await database.launch();
  shop = await openShop({ before: database });
  ines = new Tablet(shop, `tablet-${Math.random().toString(36).slice(2)}`);
  await ines.signIn();
};
const closed = async () => {
  await shop.stop();
  const { pid } = database;
  process.kill(pid(), 'SIGTERM');
  for (let i = 0; i < 100; i++) {
    try {
      process.kill(pid(), 0);
    } catch {
      return;
    }
    await wait(100);
  }
};

let moment = '';
let between = '';
const first = join(place, 'first');
beforeAll(async () => {
  database = await ownDatabase({ history: true });
  shop = await openShop({ before: database });
  ines = new Tablet(shop, 'tablet-h');
  await ines.signIn();
  const vehicle = archetypes[0]!;
  await ines.append('job-h', [ines.entry('job-h', 'opened', { name: 'Van', complaint: 'pump', vehicle })]);
  await note('before the copy');
  expect(keep('backup', first)).toContain('It was read back');
  await note('after the copy, with a quote ’ and a \\ in it');
  await sql("UPDATE people SET name = 'Ines K' WHERE id = 'ines'");
  await wait(1100);
  moment = await nextSecond();
  await wait(1100);
  await note('after that moment');
  await sql("DELETE FROM entries WHERE job_id = 'job-h'", "DELETE FROM people WHERE id = 'bo'");
  await closed();
});
afterAll(async () => {
  await database.stop();
  rmSync(place, { recursive: true, force: true });
});

test('what is no moment, or lies before the copy, changes nothing', async () => {
  for (const wrong of ['yesterday', '2026-02-30 99:10', '2020-01-01 10:00'])
    expect(keep('restore', first, wrong)).toMatch(/until: expected a moment .* Nothing was changed/s);
});

test('up to a moment: all that was acknowledged until then, in chains that hold', async () => {
  const told = keep('restore', first, moment);
  expect(told).toContain(`The shop stands as of ${moment}`);
  expect(told).toContain('every chain and seal holds');
  await database.launch();
  expect(await notes()).toEqual(['before the copy', 'after the copy, with a quote ’ and a \\ in it']);
  await closed();
  expect(keep('verify')).toContain('every chain and seal holds');
  await open();
  const people = (await ines.call('GET', '/people')).json as { id: string; name: string }[];
  expect(people.map(({ name }) => name)).toEqual(expect.arrayContaining(['Ines K', 'Bo']));
  await note('work goes on');
  expect(await notes()).toHaveLength(3);
  between = await nextSecond();
  await closed();
});

test('not across a shop that was put back: a copy from after that is asked for', async () => {
  expect(keep('restore', first, between)).toContain('a copy made after that');
  await database.launch();
  expect(await notes()).toHaveLength(3);
  await closed();
});

test('a copy from a time whose history is no longer kept says so', async () => {
  await database.launch();
  const second = join(place, 'second');
  expect(keep('backup', second)).toContain('It was read back');
  rmSync(join(database.folder, 'history'), { recursive: true });
  await closed();
  await wait(1100);
  const later = await nextSecond();
  expect(keep('restore', second, later)).toContain('choose a newer copy');
});
