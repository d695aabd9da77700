import { readdirSync, readFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { request as ask } from 'node:http';
import { archetypes } from '@iron-cradle/core';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { permissionOf, permissions, type Who } from '../src/people/may.ts';
import { Tablet } from './tablet.ts';

/** Who may do what: every road into the server, tried by everybody. */
const address = Object.values(networkInterfaces())
  .flat()
  .find((one) => one?.family === 'IPv4' && !one.internal)?.address;
const LOG = `/tmp/security-${process.pid}.log`;

let shop: Shop;
const people = {} as Record<'lead' | 'technician' | 'nobody', Tablet>;
beforeAll(async () => {
  shop = await openShop({
    host: '0.0.0.0',
    env: { SECURITY_LOG: LOG, WRONG_A_MINUTE: '100000', FILES_A_MINUTE: '100000' },
  });
  for (const name of ['lead', 'technician', 'nobody'] as const) people[name] = new Tablet(shop, name);
  await people.lead.signIn('marit', '3690');
  await people.technician.signIn('ines', '2580');
});
afterAll(() => shop.stop());

/** As what varies in a path is named there, something that is there or could be. */
const filled = (path: string) =>
  path
    .replace(':version', '1')
    .replace(':id', path.startsWith('/people') ? 'nobody-here' : 'demo-van-4')
    .replace(':kind', 'scale')
    .replace(':name', 'fuel.csv')
    .replace(/:\w+/g, 'something-1');

/** Status of a request, without waiting for what never ends. */
const status = (tablet: Tablet, method: string, path: string): Promise<number> =>
  new Promise((resolve, reject) => {
    const headers = { cookie: tablet.cookieNow, 'Content-Type': 'application/json' };
    const request = ask({ host: '127.0.0.1', port: shop.port, path: `/api${path}`, method, headers }, (answer) => {
      resolve(answer.statusCode ?? 0);
      answer.destroy();
    });
    request.on('error', reject);
    request.end(method === 'GET' || method === 'DELETE' ? undefined : '{}');
  });

/** Which of three are turned away at the door, by 401 or 403. */
const turnedAway: Record<Who, ('lead' | 'technician' | 'nobody')[]> = {
  anybody: [],
  known: [],
  signedIn: ['nobody'],
  lead: ['nobody', 'technician'],
  leadOrFirst: ['nobody', 'technician'],
};

// Signing out would end the session the others are tried by.
const tried = permissions.filter(
  ({ method, path }) => (path !== '/session' || method === 'GET') && !/lock$/.test(path),
);
test.each(tried)('$method $path: $who', async ({ method, path, who }) => {
  const away: string[] = [];
  for (const name of ['lead', 'technician', 'nobody'] as const) {
    const answer = await status(people[name], method, filled(path));
    expect(answer).toBeLessThan(500);
    if (answer === 401 || answer === 403) away.push(name);
  }
  // What one may with one's own and the lead with anybody's: the route looks whose it is.
  const own = path.startsWith('/people/:id/') && who === 'signedIn' ? ['technician'] : [];
  expect(away.sort()).toEqual([...turnedAway[who], ...own].sort());
});

test('a sign-in that is locked does nothing but what runs, until its own PIN opens it', async () => {
  const bo = new Tablet(shop, 'bo');
  await bo.signIn('bo', '1470');
  await bo.append('job-locked', [
    bo.entry('job-locked', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }, 'bo'),
  ]);
  expect((await bo.call('PUT', '/session/lock')).status).toBe(204);
  for (const { method, path, who, whileLocked } of tried) {
    const answer = await status(bo, method, filled(path));
    expect([method, path, answer === 423]).toEqual([method, path, who !== 'anybody' && whileLocked !== true]);
  }
  // What was entered before and is on its way arrives.
  const note = bo.entry('job-locked', 'note', { text: 'before' }, 'bo');
  expect((await bo.append('job-locked', [note])).json.accepted).toHaveLength(1);
  expect((await bo.call('GET', '/session')).json).toMatchObject({ person: { id: 'bo' }, locked: true });
  expect((await bo.call('POST', '/session/unlock', { pin: '3690' })).status).toBe(401);
  expect((await bo.call('GET', '/jobs')).status).toBe(423);
  expect((await bo.call('POST', '/session/unlock', { pin: '1470' })).status).toBe(204);
  expect((await bo.call('GET', '/jobs')).status).toBe(200);
  expect((await people.nobody.call('POST', '/session/unlock', { pin: '1470' })).status).toBe(401);
});

test('every route of the source stands among the permissions, and nothing else answers', async () => {
  const mounts: Record<string, string> = {
    'jobs/routes.ts': '/jobs',
    'jobs/photos.ts': '/jobs/:id/photos',
    'record/routes.ts': '/jobs/:id',
    'instruments/routes.ts': '/jobs/:id/instruments',
    'instruments/sourceRoutes.ts': '/sources',
  };
  const src = join(import.meta.dirname, '../src');
  const found = (readdirSync(src, { recursive: true }) as string[])
    .filter((file) => file.endsWith('.ts') && !file.startsWith('lan/'))
    .flatMap((file) =>
      [...readFileSync(join(src, file), 'utf8').matchAll(/\broutes\.(get|post|put|patch|delete)\(\s*'([^']*)'/g)].map(
        ([, method, path]) => `${method!.toUpperCase()} ${(mounts[file] ?? '') + (path === '/' ? '' : path)}`,
      ),
    );
  expect(found.length).toBeGreaterThan(40);
  const listed = new Set(permissions.map(({ method, path }) => `${method} ${path}`));
  expect(found.filter((one) => !listed.has(one))).toEqual([]);
  expect([...listed].filter((one) => !found.includes(one) && !one.endsWith('/health'))).toEqual([]);
  // Also for the lead: what nobody wrote down is not there.
  for (const [method, path] of [
    ['GET', '/settings'],
    ['DELETE', '/jobs/demo-van-4'],
    ['POST', '/vehicles'],
    ['GET', '/jobs/demo-van-4/%E0%A4%A'],
    ['TRACE', '/session'],
    ['OPTIONS', '/jobs'],
  ] as const)
    expect([400, 404]).toContain(await status(people.lead, method, path));
  expect(permissionOf('HEAD', '/people')).toMatchObject({ who: 'known' });
});

describe('a device on the network on which nobody signed in yet', () => {
  const base = `http://${address}`;
  const from = async (
    path: string,
    { method = 'GET', cookie = '', body }: { method?: string; cookie?: string; body?: object } = {},
  ) => {
    const answer = await fetch(`${base}:${shop.port}/api${path}`, {
      method,
      headers: { cookie, 'Content-Type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    const text = await answer.text();
    return { status: answer.status, json: text ? JSON.parse(text) : null, set: answer.headers.getSetCookie() };
  };
  test('is told no names, no PINs of the demo, and cannot become the first', async () => {
    expect((await from('/people')).status).toBe(403);
    expect((await from('/shop')).status).toBe(403);
    expect((await from('/people', { method: 'POST', body: { name: 'Ada', role: 'lead', pin: '1234' } })).status).toBe(
      401,
    );
  });
  test('lets in whoever knows a name and its PIN; a wrong one of either is told in the same words', async () => {
    const wrong = await from('/session', { method: 'POST', body: { name: 'Nobody', pin: '1111' } });
    expect(wrong.status).toBe(401);
    expect(wrong.json.detail).toContain('No such name with that PIN');
    const mistyped = await from('/session', { method: 'POST', body: { name: 'Bo', pin: '1111' } });
    expect(mistyped.status).toBe(401);
    const right = await from('/session', { method: 'POST', body: { name: 'bo', pin: '1470' } });
    expect(right.status).toBe(201);
    const session = right.set[0]!.split(';')[0]!;
    const token = await from('/session/token', { method: 'POST', cookie: session, body: { device: 'tablet-of-bo' } });
    const known = token.set.find((one) => one.startsWith('cradle-known='))!;
    expect(known).toMatch(/HttpOnly/);
    expect(known).toMatch(/SameSite=Strict/);
    // From then on it is shown who works here, also once he has signed out; one that made something up is not.
    const cookie = known.split(';')[0]!;
    expect((await from('/people', { cookie })).json.map((p: { name: string }) => p.name)).toContain('Ines');
    expect((await from('/people', { cookie: 'cradle-known=made-up' })).status).toBe(403);
    // Until the lead ends it.
    await people.lead.call('DELETE', '/people/bo/devices/tablet-of-bo');
    expect((await from('/people', { cookie })).status).toBe(403);
  });
  test('a proxy on the shop’s machine is not the shop’s machine', async () => {
    const answer = await fetch(`${shop.base}/api/people`, { headers: { 'X-Forwarded-For': '203.0.113.9' } });
    expect(answer.status).toBe(403);
  });
});

test('a wrong PIN and a name that is none are counted and told alike: which it was cannot be told', async () => {
  const sign = (body: object) => people.nobody.call('POST', '/session', body);
  const told = async (body: object) => {
    const { status: code, json } = await sign(body);
    return [code, json.title, json.detail];
  };
  const none = await told({ name: 'Nobody', pin: '1111' });
  // Also once there is a pause.
  for (let i = 0; i < 7; i++) expect(await told({ name: 'Ines', pin: '1111' })).toEqual(none);
  expect((await sign({ personId: 'ines', pin: '2580' })).status).toBe(429);
});

test('in a shop where nobody works yet the first says so at its own machine', async () => {
  const empty = await openShop({ host: '0.0.0.0', demo: false });
  const first = (base: string) =>
    fetch(`${base}/api/people`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ name: 'Ada', role: 'lead', pin: '1234' }),
    });
  const fromTheNet = await first(`http://${address}:${empty.port}`);
  expect(fromTheNet.status).toBe(403);
  expect(((await fromTheNet.json()) as { detail: string }).detail).toContain('own machine');
  expect((await first(empty.base)).status).toBe(201);
  expect((await first(empty.base)).status).toBe(401);
  await empty.stop();
});

test('what concerns the doors is written down, without a PIN, a token or a cookie', async () => {
  const lines = readFileSync(LOG, 'utf8')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  const events = lines.map(
    ({ what, status: code, person }) => `${what as string} ${code as number} ${person as string}`,
  );
  expect(events).toContain('signed in 201 marit');
  expect(events).toContain('signed in 401 undefined');
  expect(events).toContain('device ended 204 marit');
  expect(lines.some(({ status: code, person }) => code === 403 && person === 'ines')).toBe(true);
  for (const line of lines)
    expect(Object.keys(line).sort().join()).toMatch(/^from,level,log,method,path,(person,)?status,time(,what)?$/);
  const text = readFileSync(LOG, 'utf8');
  for (const secret of ['2580', '3690', '1470', people.lead.tokens.get('marit')!, people.lead.cookieNow])
    expect(text).not.toContain(secret);
});
