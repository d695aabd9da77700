import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { openDatabase } from '../src/db/connect.ts';
import { fileOf } from './longFile.ts';
import { Tablet } from './tablet.ts';

let shop: Shop;
let ines: Tablet;
beforeAll(async () => {
  shop = await openShop();
  ines = new Tablet(shop, 'incoming');
  await ines.signIn();
});
afterAll(() => shop.stop());

const send = (body: string, signal?: AbortSignal) =>
  fetch(`${shop.base}/api/jobs/import`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', cookie: ines.cookieNow },
    body,
    ...(signal ? { signal } : {}),
  });

test('a very long log comes in whole, and it goes on from the state it came to', async () => {
  expect((await send(fileOf(ines, 'long-one', 12_000))).status).toBe(201);
  const db = await openDatabase(shop.db.url());
  expect((await db.models.JobState.findByPk('long-one'))?.seq).toBe(12_001);
  await db.sequelize.close();
  ines.held = null;
  const { json } = await ines.append('long-one', [ines.entry('long-one', 'note', { text: 'after' })]);
  expect(json.accepted[0].seq).toBe(12_002);
  expect((await ines.call('GET', '/jobs/long-one/chain')).json.brokenAt).toBe(null);
});

test('a file whose sender goes away leaves nothing, and the next one is read', async () => {
  const gone = new AbortController();
  const coming = send(fileOf(ines, 'gone-one', 12_000), gone.signal).catch(() => null);
  await new Promise((resolve) => setTimeout(resolve, 400));
  gone.abort();
  expect(await coming).toBe(null);
  expect((await send(fileOf(ines, 'next-one', 3))).status).toBe(201);
  expect((await ines.call('GET', '/jobs/gone-one/entries')).status).toBe(404);
});

test.each([
  ['no JSON', '{"format":', 'file'],
  ['no job', '5', 'body'],
  ['nested without end', '['.repeat(1_000_000), 'body'],
])('%s: said, with the field', async (_, body, field) => {
  const answer = await send(body);
  expect(answer.status).toBe(400);
  expect(((await answer.json()) as { errors: { field: string }[] }).errors[0]!.field).toBe(field);
});

test('a file of another type is not read', async () => {
  const answer = await fetch(`${shop.base}/api/jobs/import`, {
    method: 'POST',
    headers: { 'Content-Type': 'text/plain', cookie: ines.cookieNow },
    body: 'job',
  });
  expect(answer.status).toBe(400);
});
