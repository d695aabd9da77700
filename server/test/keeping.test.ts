import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { archetypes, type JobFile } from '@iron-cradle/core';
import { openOwnShop, type OwnShop } from '../../e2e/lib/server.ts';
import { connected, openDatabase } from '../src/db/connect.ts';
import { migrateTo } from '../src/db/migrate.ts';
import { backup } from '../src/keeping/backup.ts';
import { verifyFile } from '../src/keeping/file.ts';
import { sayIfRestored } from '../src/keeping/restored.ts';
import { makeLead } from '../src/keeping/lead.ts';
import { putKeysBack } from '../src/keeping/keys.ts';
import { shopKey } from '../src/sealing/key.ts';
import { restore } from '../src/keeping/restore.ts';
import { checkCopy, verifyShop } from '../src/keeping/verify.ts';
import { Tablet } from './tablet.ts';

/** Copies of the shop: made while work goes on, read back, put back; nothing that stood there is lost. */
let shop: OwnShop;
let one: Tablet;
const place = mkdtempSync(join(tmpdir(), 'cradle-keeping-'));
const copy = join(place, 'copy');
const pixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);
beforeAll(async () => {
  shop = await openOwnShop();
  one = new Tablet(shop, 'one');
  await one.signIn();
  await one.append('job-k', [
    one.entry('job-k', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }),
    one.entry('job-k', 'photo', { file: 'photo-kept-1' }),
  ]);
  const db = await openDatabase(shop.db.url());
  await db.models.Photo.create({ id: 'photo-kept-1', jobId: 'job-k', type: 'image/png', bytes: pixel });
  await db.sequelize.close();
});
afterAll(async () => {
  await shop.stop();
  rmSync(place, { recursive: true, force: true });
});

const onBase = async <T>(work: (db: Awaited<ReturnType<typeof openDatabase>>) => Promise<T>, name = 'cradle') => {
  const db = await openDatabase(shop.db.url(name));
  try {
    return await work(db);
  } finally {
    await db.sequelize.close();
  }
};
const rowsOf = (name: string, table: string) =>
  onBase((db) => db.sequelize.query(`SELECT * FROM \`${table}\` ORDER BY 1, 2`, { type: QueryTypes.SELECT }), name);

const none = { lan: null, seal: null };

test('made while entries come in it holds one moment: every chain whole, every photo there', async () => {
  const sequelize = await connected(shop.db.url());
  let going = true;
  const work = (async () => {
    let n = 0;
    while (going) n += (await one.append('job-k', [one.entry('job-k', 'note', { text: `${n}` })])).json.accepted.length;
    return n;
  })();
  const made = await backup(sequelize, { folder: copy, keys: none });
  going = false;
  expect(await work).toBeGreaterThan(0);
  await sequelize.close();
  expect(made.jobs).toBe((await rowsOf('cradle', 'jobs')).length);
  expect(made.photos).toBe((await rowsOf('cradle', 'photos')).length);
  expect(made.entries).toBeLessThanOrEqual((await rowsOf('cradle', 'entries')).length);
  await expect(backup(sequelize, { folder: copy, keys: none })).rejects.toThrow(/not there yet/);
});

test('put back into an empty database it is the same, byte for byte, and work goes on from it', async () => {
  await onBase((db) =>
    db.sequelize.query('CREATE DATABASE cradle_other CHARACTER SET utf8mb4', { type: QueryTypes.RAW }),
  );
  const { before, ...checked } = await restore(shop.db.url('cradle_other'), copy);
  expect(before).toBeNull();
  expect(await checkCopy(copy)).toMatchObject(checked);
  const { made: _, broken, ...whole } = await onBase(verifyShop, 'cradle_other');
  expect(broken).toEqual([]);
  expect(whole).toEqual({ jobs: checked.jobs, entries: checked.entries, photos: checked.photos });
  for (const table of ['people', 'vehicles', 'photos', 'counters', 'device_tokens'])
    expect(await rowsOf('cradle_other', table)).toEqual(await rowsOf('cradle', table));
  // The next start says so, for a week.
  const told = async (now?: number) => {
    const said: string[] = [];
    await onBase((db) => sayIfRestored(db, (text) => said.push(text), now), 'cradle_other');
    return said.join();
  };
  expect(await told()).toContain(`from a copy of ${checked.made}`);
  expect(await told(Date.now() + 8 * 24 * 3_600_000)).toBe('');
});

test('put back over a shop at work: what stood there is kept beside', async () => {
  await one.append('job-k', [one.entry('job-k', 'note', { text: 'after the copy' })]);
  const stood = await rowsOf('cradle', 'entries');
  const { before } = await restore(shop.db.url(), copy);
  expect(before).toMatch(/^cradle_before_\d{14}$/);
  expect(await rowsOf(before!, 'entries')).toEqual(stood);
  expect((await rowsOf('cradle', 'entries')).length).toBeLessThan(stood.length);
  expect(await onBase(async (db) => (await verifyShop(db)).broken)).toEqual([]);
});

test('a copy of a version before is put back and brought up to date', async () => {
  await onBase((db) =>
    db.sequelize.query('CREATE DATABASE cradle_first CHARACTER SET utf8mb4', { type: QueryTypes.RAW }),
  );
  const old = await connected(shop.db.url('cradle_first'));
  await migrateTo(old, ['1-first']);
  await old.query("INSERT INTO people (id, name, role) VALUES ('ada', 'Ada', 'lead')", { type: QueryTypes.INSERT });
  const folder = join(place, 'old');
  await backup(old, { folder, keys: none });
  await old.close();
  await restore(shop.db.url('cradle_first'), folder);
  const next = await onBase(
    async (db) => [await db.models.Person.count(), (await db.models.Counter.findByPk('job'))!.value],
    'cradle_first',
  );
  expect(next).toEqual([1, 0]);
});

test('the shop’s own keys go along, and back to where there are none; those that are there stay', async () => {
  const here = { lan: join(place, 'lan'), seal: join(place, 'keys', 'shop.pem') };
  const gone = { lan: join(place, 'new-machine', 'lan'), seal: join(place, 'new-machine', 'keys', 'shop.pem') };
  mkdirSync(here.lan);
  writeFileSync(join(here.lan, 'authority.key'), 'secret', { mode: 0o600 });
  const { fingerprint } = shopKey(here.seal);
  const folder = join(place, 'with-keys');
  const sequelize = await connected(shop.db.url());
  await backup(sequelize, { folder, keys: here });
  await sequelize.close();
  expect(putKeysBack(folder, gone)).toEqual({ lan: 'put back', seal: 'put back' });
  expect(readFileSync(join(gone.lan, 'authority.key'), 'utf8')).toBe('secret');
  expect([join(gone.lan, 'authority.key'), gone.seal].map((file) => statSync(file).mode & 0o777)).toEqual([
    0o600, 0o600,
  ]);
  expect(shopKey(gone.seal).fingerprint).toBe(fingerprint);
  writeFileSync(join(here.lan, 'authority.key'), 'another');
  expect(putKeysBack(folder, here)).toEqual({ lan: 'stay', seal: 'stay' });
  expect(readFileSync(join(here.lan, 'authority.key'), 'utf8')).toBe('another');
  expect(putKeysBack(copy, gone)).toEqual({ lan: 'none', seal: 'none' });
});

describe('what does not hold', () => {
  const spoilt = async (change: (folder: string) => void): Promise<void> => {
    const folder = mkdtempSync(join(place, 'spoilt-'));
    for (const name of ['manifest.json', ...tables()])
      writeFileSync(join(folder, name), readFileSync(join(copy, name)));
    change(folder);
    const before = await rowsOf('cradle', 'jobs');
    await expect(restore(shop.db.url(), folder)).rejects.toThrow(/expected/);
    expect(await rowsOf('cradle', 'jobs')).toEqual(before);
  };
  const tables = () =>
    (JSON.parse(readFileSync(join(copy, 'manifest.json'), 'utf8')) as { tables: { name: string }[] }).tables.map(
      ({ name }) => `${name}.ndjson.gz`,
    );
  const manifest = (folder: string, change: (m: { migrations: string[]; format: string }) => void) => {
    const path = join(folder, 'manifest.json');
    const read = JSON.parse(readFileSync(path, 'utf8')) as { migrations: string[]; format: string };
    change(read);
    writeFileSync(path, JSON.stringify(read));
  };
  test.each<[string, (folder: string) => void]>([
    [
      'a bit that turned',
      (f) => {
        const bytes = readFileSync(join(f, 'entries.ndjson.gz'));
        bytes[bytes.length >> 1]! ^= 1;
        writeFileSync(join(f, 'entries.ndjson.gz'), bytes);
      },
    ],
    [
      'a file cut off',
      (f) => writeFileSync(join(f, 'photos.ndjson.gz'), readFileSync(join(f, 'photos.ndjson.gz')).subarray(0, 20)),
    ],
    ['a file that is missing', (f) => rmSync(join(f, 'people.ndjson.gz'))],
    ['no manifest', (f) => rmSync(join(f, 'manifest.json'))],
    ['a manifest of something else', (f) => manifest(f, (m) => (m.format = 'else'))],
    ['a copy of a newer version', (f) => manifest(f, (m) => m.migrations.push('9-later'))],
  ])('%s: refused, and nothing is changed', async (_, change) => spoilt(change));

  test('in the shop: an entry that was changed, a photo that is gone', async () => {
    await onBase(async (db) => {
      await db.models.Entry.update({ by: 'bo' }, { where: { jobId: 'job-k', kind: 'photo' } });
      await db.models.Photo.destroy({ where: { id: 'photo-kept-1' } });
      const { broken } = await verifyShop(db);
      expect(broken.map(({ text }) => text)).toEqual([
        'its entry 2 was changed, or one before it is missing',
        'its photo photo-kept-1 is missing',
      ]);
    });
  });
});

test('a file that was handed on: as JSON, as a zip, in its PDF; one that was changed says where', async () => {
  // Whoever was signed in when the copy was made, and is known in it, still is.
  expect((await one.call('GET', '/jobs')).status).toBe(200);
  const get = async (path: string) => {
    const answer = await fetch(`${shop.base}/api${path}`, { headers: { cookie: one.cookieNow } });
    return Buffer.from(await answer.arrayBuffer());
  };
  const write = (name: string, bytes: Buffer | string) => {
    writeFileSync(join(place, name), bytes);
    return join(place, name);
  };
  const json = await get('/jobs/demo-pickup-2/file');
  const file = JSON.parse(json.toString()) as JobFile;
  const expected = {
    number: file.job.number,
    entries: file.entries.length,
    last: file.chain.last,
    shop: file.shop.name,
    standing: { is: 'unknownKey', after: file.entries.length - file.seals!.at(-1)!.seq },
  };
  expect(await verifyFile(write('job.json', json))).toMatchObject(expected);
  expect(await verifyFile(write('job.zip', await get('/jobs/demo-pickup-2/file.zip')))).toMatchObject(expected);
  expect(await verifyFile(write('job.pdf', await get('/jobs/demo-pickup-2/record.pdf')))).toMatchObject(expected);
  file.entries[2]!.by = 'somebody';
  await expect(verifyFile(write('changed.json', JSON.stringify(file)))).rejects.toThrow(/entry 3/);
  await expect(verifyFile(write('none.json', '{"a":1}'))).rejects.toThrow(/a job file/);
  await expect(verifyFile(write('none.txt', 'hello'))).rejects.toThrow(/readable JSON/);
});

test('a shop whose lead lost the PIN: made anew on the server’s machine, signed in nowhere any more', async () => {
  const lost = new Tablet(shop, 'lost');
  await lost.signIn('marit', '3690');
  const made = await onBase((db) => makeLead(db, { name: 'Marit', pin: '24681' }));
  expect(made).toBe('marit');
  expect((await lost.call('GET', '/session')).json.person).toBeNull();
  expect((await lost.call('POST', '/session', { personId: 'marit', pin: '3690' })).status).toBe(401);
  expect((await lost.call('POST', '/session', { personId: 'marit', pin: '24681' })).status).toBe(201);
  // A technician too, where no lead is left; nobody who is not there, no PIN that is none.
  await onBase((db) => makeLead(db, { name: 'Bo', pin: '1470' }));
  expect((await lost.call('GET', '/people')).json.find((p: { id: string }) => p.id === 'bo').role).toBe('lead');
  await expect(onBase((db) => makeLead(db, { name: 'Nobody', pin: '1470' }))).rejects.toThrow(/Bo, Ines, Marit/);
  await expect(onBase((db) => makeLead(db, { name: 'Bo', pin: '12' }))).rejects.toThrow(/four to eight/);
});
