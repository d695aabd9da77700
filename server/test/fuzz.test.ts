import fc from 'fast-check';
import { archetypes, startingShop } from '@iron-cradle/core';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { deeper } from '../src/http/depth.ts';
import { GENESIS, hashOf, rowOf, type Numbered } from '../src/jobs/chain.ts';
import { Tablet } from './tablet.ts';

/** Whatever comes in: an answer, never a fault of the server’s, never a silence. FUZZ=10000 for as many bodies a route, other ones each time. */
const TIMES = Number(process.env.FUZZ ?? 25);
/** Places of a body that are gone through. */
const PLACES = process.env.FUZZ ? Infinity : 40;
/** What has not come by then never comes; a machine that does other work at once takes its time. ms */
const SILENCE = 120_000;

let shop: Shop;
let lead: Tablet;
beforeAll(async () => {
  // Nothing is turned away for coming often: every body is read.
  shop = await openShop({ env: { WRONG_A_MINUTE: '1000000', FILES_A_MINUTE: '1000000' } });
  lead = new Tablet(shop, 'lead');
  await lead.signIn('marit', '3690');
  await lead.append('job-fuzz', [
    lead.entry('job-fuzz', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }, 'marit'),
  ]);
});
afterAll(() => shop.stop());

const ask = async (method: string, path: string, body: string) => {
  const answer = await fetch(`${shop.base}/api${path}`, {
    method,
    headers: { cookie: lead.cookieNow, 'Content-Type': 'application/json' },
    ...(body === '' ? {} : { body }),
    signal: AbortSignal.timeout(SILENCE),
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
const nasties: readonly unknown[] = [
  null,
  '',
  '\u0000',
  '💥'.repeat(400),
  1e308,
  -1,
  0.5,
  2_147_483_648,
  Number.MAX_SAFE_INTEGER,
  [],
  {},
  { toString: 1 },
  JSON.parse('{"__proto__":{"role":"lead"}}'),
  '2026-11-26T10:00:00.000Z' + '0'.repeat(300),
  '+275760-09-13T00:00:00.000Z',
  '9999-12-31T23:59:59.999Z',
  `Thu Nov 26 2026 10:00:00 GMT+0000 (${'x'.repeat(300)})`,
  'x'.repeat(61),
  'x'.repeat(70_000),
  Array.from({ length: 700 }, () => ({})),
];
const nasty = fc.oneof(fc.anything({ maxDepth: 3 }), fc.constantFrom(...nasties));
const text = (body: unknown) =>
  JSON.stringify(body, (_, one: unknown) => (typeof one === 'bigint' ? 1 : one)) as string | undefined;

/** Every place of a body down to three levels, as one reaches it. */
const placesIn = (body: unknown, levels = 3): number[][] =>
  typeof body !== 'object' || body === null || levels === 0
    ? [[]]
    : [
        [],
        ...Object.values(body).flatMap((one, i) => (i > 40 ? [] : placesIn(one, levels - 1).map((at) => [i, ...at]))),
      ];

test.each(routes)(
  '%s %s: what is nasty at each of its places is answered, never by a fault of the server',
  async (method, path, right) => {
    const faults: string[] = [];
    for (const at of placesIn(right()).slice(0, PLACES))
      for (const [i, value] of nasties.entries()) {
        const body = text(spoilt(right(), at, value))!;
        if ((await ask(method, path, body)) >= 500) faults.push(`${at.join('.')}: nasty ${i}`);
      }
    expect(faults).toEqual([]);
  },
);

test.each(routes)('%s %s: bad bodies are answered, none by a fault of the server', async (method, path, right) => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.nat(40), { maxLength: 6 }), nasty, async (at, value) => {
      const body = text(spoilt(right(), at, value));
      if (body === undefined) return;
      expect(await ask(method, path, body)).toBeLessThan(500);
    }),
    { numRuns: TIMES, ...(process.env.FUZZ ? {} : { seed: 26 }) },
  );
});

test('a file whose chain holds, with what is nasty in each field of an entry', async () => {
  const faults: string[] = [];
  const taken: string[] = [];
  const { id } = entry();
  const opened = lead.entry('j', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }, 'marit');
  const first = { ...opened, seq: 1, received: '2026-11-26T10:00:00.000Z', hash: 'x' };
  for (const field of [...Object.keys(first), 'said', 'behind', 'decided'])
    for (const [i, value] of nasties.entries()) {
      const spoiltOne = { ...first, id: `${String(id)}-${field}-${i}`, [field]: value } as unknown as Numbered;
      let hash = 'x';
      try {
        hash = hashOf(GENESIS, rowOf({ ...spoiltOne, jobId: `job-${field}-${i}` }));
      } catch {
        // What has no hash has no chain that holds.
      }
      const job = { id: `job-${field}-${i}`, number: 1 };
      const file = { format: 'iron-cradle-job', version: 1, job, shop: { name: 'x' }, people: {} };
      const body = JSON.stringify({ ...file, entries: [field === 'hash' ? spoiltOne : { ...spoiltOne, hash }] });
      const status = await ask('POST', '/jobs/import', body);
      if (status >= 500) faults.push(`${field}: nasty ${i}`);
      if (status === 201) taken.push(body);
    }
  expect(faults).toEqual([]);
  // Some of it is no harm: such a file is taken in once, and never again in part.
  expect(taken.length).toBeGreaterThan(3);
  expect(await ask('POST', '/jobs/import', taken[0]!)).toBe(409);
  const { job, entries, ...around } = JSON.parse(taken[0]!) as { job: object; entries: Numbered[] };
  const renamed = { ...entries[0]!, jobId: 'another-job' };
  const again = { ...renamed, hash: hashOf(GENESIS, rowOf(renamed)) };
  const other = { ...around, job: { ...job, id: 'another-job' }, entries: [again] };
  expect(await ask('POST', '/jobs/import', JSON.stringify(other))).toBe(409);
});

test('addresses that are too long, and clocks of another age, are answered', async () => {
  const faults: string[] = [];
  const long = 'a'.repeat(100);
  const clocks = [
    '9999-12-31T23:59:59.999Z',
    '0001-01-01T00:00:00.000Z',
    '1900-01-01T00:00:00Z',
    '2150-01-01T00:00:00Z',
  ];
  for (const clock of clocks) {
    const body = { entries: [entry()], tokens: [lead.tokens.get('marit')], clock };
    faults.push(`${clock}: ${await ask('POST', '/jobs/job-fuzz/entries', JSON.stringify(body))}`);
  }
  const opens = lead.entry(long, 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }, 'marit');
  const open = JSON.stringify({ entries: [opens], tokens: [lead.tokens.get('marit')] });
  for (const [method, path, body] of [
    ['POST', `/jobs/${long}/entries`, open],
    ['PUT', `/jobs/job-fuzz/devices/${long}`, '{}'],
    ['PUT', `/jobs/${long}/devices/a-device-1`, '{}'],
    ['PUT', `/jobs/job-fuzz/numbers/${long}`, '{}'],
    ['PUT', `/vehicles/${long}`, JSON.stringify(archetypes[0])],
    ['PATCH', `/people/${long}`, '{"name":"x","role":"lead"}'],
    ['PUT', `/people/${long}/pin`, '{"pin":"2580"}'],
    ['DELETE', `/people/${long}`, ''],
    ['DELETE', `/sources/${long}`, ''],
  ] as const)
    faults.push(`${method} ${path.slice(0, 30)}: ${await ask(method, path, body)}`);
  expect(faults.filter((one) => /: 5\d\d$/.test(one))).toEqual([]);
});

test.each([
  ['a million levels of lists', '['.repeat(1_000_000)],
  ['a million levels, closed', '['.repeat(1_000_000) + ']'.repeat(1_000_000)],
  ['entries a million levels deep', `{"entries":[${'{"a":'.repeat(300_000)}1${'}'.repeat(300_000)}]}`],
  ['a name of eight million letters', JSON.stringify({ entries: ['x'.repeat(8_000_000)] })],
  ['fifty megabytes', JSON.stringify({ entries: ['x'.repeat(50_000_000)] })],
])('%s: refused', async (_, body) => {
  for (const path of ['/jobs/job-fuzz/entries', '/jobs/import', '/people']) {
    const status = await ask('POST', path, body).catch((error: Error) => {
      // Too much is not read to its end: the connection may go before all of it was sent.
      if (/EPIPE|reset|closed|fetch failed/i.test(`${error.message} ${String(error.cause)}`)) return 413;
      throw error;
    });
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
  }
});

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
