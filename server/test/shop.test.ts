import { archetypes, type Entry } from '@iron-cradle/core';
import { openDatabase } from '../src/db/connect.ts';
import { up as words } from '../src/db/migrations/006-words.ts';
import { sought, wordsOf } from '../src/jobs/words.ts';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { Tablet } from './tablet.ts';

/** What the shop set for itself, its instruments, and what the tank of a job may be. */
let shop: Shop;
let one: Tablet;

beforeAll(async () => {
  shop = await openShop();
  one = new Tablet(shop, 'one');
  await one.signIn();
});
afterAll(() => shop?.stop());

describe('the shop’s prices and kit', () => {
  test('are kept by the lead, refused with the field, and none is made up', async () => {
    const marit = new Tablet(shop, 'marit');
    await marit.signIn('marit', '3690');
    const { json: before } = await one.call('GET', '/shop');
    const { demoPins: _, ...rules } = before as Record<string, unknown> & { kit: object };
    expect((await one.call('PUT', '/shop', rules)).status).toBe(403);
    const none = { ...rules, prices: { currency: 'cr', hour: null, disposal: null } };
    expect((await marit.call('PUT', '/shop', none)).json).toMatchObject({ prices: { hour: null } });
    const bad = await marit.call('PUT', '/shop', { ...rules, kit: { ...rules.kit, cans: [0] } });
    expect(bad.status).toBe(400);
    expect(JSON.stringify(bad.json.errors)).toMatch(/cans/);
    expect((await marit.call('PUT', '/shop', rules)).json).toMatchObject(rules);
  });
});

describe('the shop’s figures in its jobs', () => {
  test('the shop’s figures change: an open job hears of it by an entry of the server, a signed one never does', async () => {
    const job = 'job-figures';
    const opened = { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! };
    await one.append(job, [one.entry(job, 'opened', opened)]);
    const marit = new Tablet(shop, 'marit-rules');
    await marit.signIn('marit', '3690');
    const { demoPins: _, ...rules } = (await marit.call('GET', '/shop')).json;
    const signed = (await one.call('GET', '/jobs/demo-saloon/entries')).json.entries.length;
    await marit.call('PUT', '/shop', { ...rules, alone: 15, two: 22 });
    const { entries } = (await one.call('GET', '/jobs/job-figures/entries')).json;
    expect(entries.at(-1)).toMatchObject({ kind: 'shopFigures', device: 'server', body: { alone: 15, two: 22 } });
    expect((await one.call('GET', '/jobs/demo-saloon/entries')).json.entries).toHaveLength(signed);
    const rows = (await one.call('GET', '/jobs/signed')).json as { id: string; signed: string | null }[];
    expect(rows.find((row) => row.id === 'demo-saloon')!.signed).not.toBeNull();
    // What was opened while other figures held brings its own; the present ones stand in the log from then on.
    await marit.call('PUT', '/shop', rules);
    const { json: later } = await one.call('GET', '/jobs/job-figures/entries');
    expect(later.entries.map((e: Entry) => e.kind)).toEqual(['opened', 'shopFigures', 'shopFigures']);
  });
});

describe('jobs, open and signed', () => {
  const ids = async (path: string) => ((await one.call('GET', path)).json as { id: string }[]).map(({ id }) => id);

  test('the bays ask for open ones only; signed ones are found by vehicle, plate and month', async () => {
    expect(await ids('/jobs')).not.toContain('demo-saloon');
    expect(await ids('/jobs')).toContain('demo-van-4');
    const { json } = await one.call('GET', '/jobs/signed?find=SALOON');
    const [saloon] = json as { id: string; plate: string; signed: string }[];
    expect(saloon).toMatchObject({ id: 'demo-saloon' });
    expect(saloon!.plate.length).toBeGreaterThan(2);
    expect(await ids(`/jobs/signed?find=${encodeURIComponent(saloon!.plate.slice(1).toLowerCase())}`)).toEqual([
      'demo-saloon',
    ]);
    expect(await ids(`/jobs/signed?month=${saloon!.signed.slice(0, 7)}`)).toContain('demo-saloon');
    expect(await ids('/jobs/signed?month=1999-01')).toEqual([]);
    // What stands for anything in a search stands for itself.
    expect(await ids('/jobs/signed?find=%25')).toEqual([]);
    expect(await ids('/jobs/signed?find=S_loon')).toEqual([]);
    expect(await ids('/jobs/signed?find=--')).toEqual([]);
    // All that was typed, each word from its beginning, in any order.
    const plate = saloon!.plate.split(' ').at(-1)!;
    expect(await ids(`/jobs/signed?find=${plate}+salo`)).toEqual(['demo-saloon']);
    expect(await ids('/jobs/signed?find=saloon+nothing')).toEqual([]);
    expect(await ids('/jobs/signed?find=aloon')).toEqual([]);
    const wrong = await one.call('GET', '/jobs/signed?month=2026-13');
    expect(wrong.status).toBe(400);
  });
});

describe('instruments', () => {
  test('the demo’s are simulated and follow the job: list, read, stream', async () => {
    const { json: list } = await one.call('GET', '/jobs/demo-van-9/instruments');
    expect((list as { kind: string }[]).map((i) => i.kind).sort()).toEqual(
      [
        'flowCounter',
        'gasMeter',
        'multimeter',
        'pressureGauge',
        'scale',
        'scanTool',
        'supply',
        'tankGauge',
        'vacuumPump',
      ].sort(),
    );
    const scale = await one.call('GET', '/jobs/demo-van-9/instruments/scale');
    expect(scale.json).toMatchObject({ kind: 'scale', channel: 'mass', unit: 'kg', simulated: true });
    expect(scale.json.value).toBeGreaterThan(9);
    const ohms = await one.call('GET', '/jobs/demo-van-9/instruments/multimeter?channel=senderOhms');
    expect(ohms.json.text).toMatch(/Ω|open/);
    const response = await fetch(`${shop.base}/api/jobs/demo-van-9/instruments/pressureGauge/stream`, {
      headers: { cookie: one.cookieNow },
    });
    const reader = response.body!.getReader();
    let text = '';
    while ((text.match(/data: /g) ?? []).length < 3) {
      const { value, done } = await reader.read();
      if (done) throw new Error(`the stream ended: ${text}`);
      text += new TextDecoder().decode(value);
    }
    await reader.cancel();
    for (const line of text.split('\n').filter((l) => l.startsWith('data: ')))
      expect(JSON.parse(line.slice(6))).toMatchObject({ kind: 'pressureGauge', unit: 'bar' });
  });
  test('what there is not is said: an instrument, a channel, a job; nobody reads without signing in', async () => {
    expect((await one.call('GET', '/jobs/demo-van-9/instruments/spoon')).status).toBe(404);
    expect((await one.call('GET', '/jobs/demo-van-9/instruments/multimeter?channel=amps')).status).toBe(400);
    expect((await one.call('GET', '/jobs/nowhere/instruments/scale')).status).toBe(404);
    expect((await new Tablet(shop, 'stranger').call('GET', '/jobs/demo-van-9/instruments')).status).toBe(401);
  });
});

test('a shape that cannot be is refused before the log, with the field', async () => {
  const entry = one.entry('demo-van-9', 'tankShape', { shape: { kind: 'box', length: 900, width: -1, height: 200 } });
  const { json } = await one.append('demo-van-9', [entry]);
  expect(JSON.stringify(json)).toMatch(/width/);
  const { json: log } = await one.call('GET', '/jobs/demo-van-9/entries');
  expect((log.entries as Entry[]).some((e) => e.kind === 'tankShape')).toBe(false);
});

test('words a job is found by: of its name each, of its plate from every letter on', () => {
  expect(wordsOf({ name: 'Van 4, long', plate: 'IS 204' }).sort()).toEqual(
    ['van', '4', 'long', 'is', '204', 'is204', 's204', '04'].sort(),
  );
  expect(wordsOf({ name: '', plate: null })).toEqual([]);
  expect(wordsOf({ name: 'x'.repeat(90), plate: 'Å–1' })).toEqual(['x'.repeat(40), 'å', '1', 'å1']);
  // Whatever is written as a plate, every word finds room.
  const long = wordsOf({ name: 'Van', plate: `${'A'.repeat(50)} ${'B'.repeat(50)}` });
  expect(Math.max(...long.map((word) => word.length))).toBe(40);
  expect(sought('  Van-4, van  ')).toEqual(['van', '4']);
  expect(sought('%_')).toEqual([]);
});

test('jobs that were signed before there were words are found after the step that brings them, however often it is begun', async () => {
  const db = await openDatabase(shop.db.url());
  await db.models.JobWord.destroy({ where: {} });
  await db.models.Job.update({ signedMonth: null }, { where: {} });
  const found = async () =>
    ((await one.call('GET', '/jobs/signed?find=saloon')).json as { id: string }[]).map(({ id }) => id);
  expect(await found()).toEqual([]);
  for (let i = 0; i < 2; i++) await words(db.sequelize.getQueryInterface());
  expect(await found()).toEqual(['demo-saloon']);
  const { signedMonth } = (await db.models.Job.findByPk('demo-saloon'))!;
  expect(signedMonth).toMatch(/^20\d\d-\d\d$/);
  await db.sequelize.close();
});
