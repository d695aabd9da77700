import fc from 'fast-check';
import { archetypes, startingShop } from '@iron-cradle/core';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { deeper } from '../src/http/depth.ts';
import { Tablet } from './tablet.ts';

/** Whatever comes in: an answer, never a fault of the server’s, never a silence. FUZZ=10000 for as many bodies a route. */
const TIMES = Number(process.env.FUZZ ?? 120);
/** An answer that takes longer is a silence, ms. */
const SOON = 5_000;

let shop: Shop;
let lead: Tablet;
beforeAll(async () => {
  shop = await openShop();
  lead = new Tablet(shop, 'lead');
  await lead.signIn('marit', '3690');
  await lead.append('job-fuzz', [
    lead.entry('job-fuzz', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }, 'marit'),
  ]);
}, 60_000);
afterAll(() => shop.stop());

const ask = async (method: string, path: string, body: string) => {
  const answer = await fetch(`${shop.base}/api${path}`, {
    method,
    headers: { cookie: lead.cookieNow, 'Content-Type': 'application/json' },
    body,
    signal: AbortSignal.timeout(SOON),
  });
  await answer.arrayBuffer();
  return answer.status;
};

const entry = () => lead.entry('job-fuzz', 'note', { text: 'x' }, 'marit');
/** A right body of each route, to be spoilt. */
const routes: [string, string, () => unknown][] = [
  ['POST', '/session', () => ({ personId: 'ines', pin: '2580' })],
  ['POST', '/session/token', () => ({ device: 'a-device-of-mine' })],
  ['PUT', '/session/units', () => ({ units: 'us' })],
  ['POST', '/people', () => ({ name: 'Ada', role: 'technician', pin: '1234' })],
  ['PATCH', '/people/ines', () => ({ name: 'Ines', role: 'technician' })],
  ['PUT', '/people/ines/pin', () => ({ pin: '2580' })],
  ['PUT', '/shop', () => ({ ...startingShop })],
  ['PUT', '/vehicles/van-4', () => archetypes[0]],
  ['POST', '/sources', () => ({ name: 'x', address: 'http://192.168.1.20:80' })],
  ['POST', '/approvals', () => ({ personId: 'marit', pin: '3690', jobId: 'job-fuzz', gate: 1, item: 'air' })],
  ['POST', '/jobs/job-fuzz/entries', () => ({ entries: [entry()], tokens: [lead.tokens.get('marit')] })],
  ['POST', '/jobs/import', () => ({ format: 'iron-cradle-job', version: 1, job: { id: 'j', number: 1 }, entries: [] })],
  ['PUT', '/jobs/job-fuzz/devices/a-device-1', () => ({})],
  ['PUT', '/jobs/job-fuzz/numbers/for-this', () => ({})],
];

/** One thing of a body put to something else, anywhere in it. */
const spoilt = (body: unknown, path: readonly number[], value: unknown): unknown => {
  const [first, ...rest] = path;
  if (first === undefined || typeof body !== 'object' || body === null) return value;
  const keys = Object.keys(body);
  if (keys.length === 0) return value;
  const key = keys[first % keys.length]!;
  const next = spoilt((body as Record<string, unknown>)[key], rest, value);
  return Array.isArray(body)
    ? body.map((one: unknown, i) => (String(i) === key ? next : one))
    : { ...body, [key]: next };
};
const nasty = fc.oneof(
  fc.anything({ maxDepth: 3 }),
  fc.constantFrom<unknown>(
    null,
    '',
    '\u0000',
    '💥'.repeat(400),
    1e308,
    -1,
    2_147_483_648,
    Number.MAX_SAFE_INTEGER,
    [],
    {},
    { toString: 1 },
    JSON.parse('{"__proto__":{"role":"lead"}}'),
    'x'.repeat(70_000),
    Array.from({ length: 700 }, () => ({})),
  ),
);

test.each(routes)(
  '%s %s: bad bodies are answered, none by a fault of the server',
  async (method, path, right) => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat(40), { maxLength: 6 }), nasty, async (at, value) => {
        const body = JSON.stringify(spoilt(right(), at, value), (_, one: unknown) =>
          typeof one === 'bigint' ? 1 : one,
        );
        if (body === undefined) return;
        expect(await ask(method, path, body)).toBeLessThan(500);
      }),
      { numRuns: TIMES },
    );
  },
  600_000,
);

test.each([
  ['a million levels of lists', '['.repeat(1_000_000)],
  ['a million levels, closed', '['.repeat(1_000_000) + ']'.repeat(1_000_000)],
  ['entries a million levels deep', `{"entries":[${'{"a":'.repeat(300_000)}1${'}'.repeat(300_000)}]}`],
  ['a name of eight million letters', JSON.stringify({ entries: ['x'.repeat(8_000_000)] })],
  ['fifty megabytes', JSON.stringify({ entries: ['x'.repeat(50_000_000)] })],
])(
  '%s: refused at once',
  async (_, body) => {
    for (const path of ['/jobs/job-fuzz/entries', '/jobs/import', '/people']) {
      const status = await ask('POST', path, body).catch((error: Error) => {
        // Too much is not read to its end: the connection may go before all of it was sent.
        if (/EPIPE|reset|closed|fetch failed/i.test(`${error.message} ${String(error.cause)}`)) return 413;
        throw error;
      });
      expect(status).toBeGreaterThanOrEqual(400);
      expect(status).toBeLessThan(500);
    }
  },
  60_000,
);

test('how deep a text is nested is told without reading it: what stands in quotes counts nothing', () => {
  const deep = (text: string, most: number) => deeper(Buffer.from(text), most);
  expect([deep('[[1]]', 2), deep('[[1]]', 1), deep('[{"a":[1]},[2],[3]]', 3), deep('[{"a":[1]}]', 2)]).toEqual([
    false,
    true,
    false,
    true,
  ]);
  expect(deep('["[[[[", "\\"[[[", "\\\\", [1]]', 2)).toBe(false);
  expect(deep('["\\\\", [[1]]]', 2)).toBe(true);
});
