import { archetypes, type JobFile } from '@iron-cradle/core';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { Tablet } from './tablet.ts';

/** Who made what, on which device and when: nothing stands in a log under somebody else’s name. */
let shop: Shop;
let one: Tablet;
let two: Tablet;
beforeAll(async () => {
  shop = await openShop();
  [one, two] = [new Tablet(shop, 'one'), new Tablet(shop, 'two')];
  await one.signIn();
  await two.signIn('bo', '1470');
  await one.append('job-m', [
    one.entry('job-m', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }),
  ]);
});
afterAll(() => shop.stop());

const note = (tablet: Tablet, by = 'ines') => tablet.entry('job-m', 'note', { text: 'x' }, by);
const fields = (json: { keptBack: { errors: { field: string }[] }[] }) => json.keptBack.map((k) => k.errors[0]!.field);
const send = (tablet: Tablet, entry: unknown, token: string | null, more: object = {}) =>
  tablet.call('POST', '/jobs/job-m/entries', { entries: [entry], tokens: [token], ...more });

describe('by', () => {
  test('an entry in another’s name is kept back, whoever delivers it, with no token, a made-up one, or one’s own', async () => {
    for (const token of [null, 'made-up-token-that-nobody-gave', one.tokens.get('ines')!]) {
      const { status, json } = await send(one, note(one, 'bo'), token);
      expect([status, fields(json), json.accepted]).toEqual([200, ['by'], []]);
    }
  });
  test('a token is worth nothing on another device', async () => {
    const { json } = await send(two, note(two, 'ines'), one.tokens.get('ines')!);
    expect(fields(json)).toEqual(['device']);
  });
  test('one tablet handed round: what the one before made is delivered by the next, each under their own name', async () => {
    const handed = new Tablet(shop, 'handed');
    await handed.signIn();
    const before = note(handed, 'ines');
    await handed.signIn('bo', '1470');
    const { json } = await handed.append('job-m', [before, note(handed, 'bo')]);
    expect(json.accepted).toHaveLength(2);
  });
  test('signed in again on the same device it keeps the token it has', async () => {
    const had = one.tokens.get('ines')!;
    const { json } = await one.call('POST', '/session/token', { device: one.device, token: had });
    expect(json).toEqual({ personId: 'ines', token: had });
    const other = await one.call('POST', '/session/token', { device: two.device, token: had });
    expect(other.json.token).not.toBe(had);
  });
});

describe('when', () => {
  test('a clock ten days off is noted beside what it says, and the chain holds', async () => {
    const off = -10 * 24 * 3600;
    const asked = Date.now();
    const clock = new Date(asked - off * 1000).toISOString();
    const entry = { ...note(one), at: clock };
    const { json } = await send(one, entry, one.tokens.get('ines')!, { clock });
    const waited = (Date.now() - asked) / 1000;
    expect(json.accepted[0].behind).toBeGreaterThanOrEqual(off - 2);
    expect(json.accepted[0].behind).toBeLessThanOrEqual(off + waited + 2);
    const { json: file } = await one.call('GET', '/jobs/job-m/file');
    expect((file as JobFile).entries.at(-1)!.behind).toBe(json.accepted[0].behind);
    expect((await one.call('GET', '/jobs/job-m/chain')).json.brokenAt).toBeNull();
    // A minute is nobody’s concern.
    const right = await send(one, note(one), one.tokens.get('ines')!, {
      clock: new Date(Date.now() - 60_000).toISOString(),
    });
    expect(right.json.accepted[0].behind).toBeUndefined();
  });
  test('a time that is yet to come, or years before its job, is kept back', async () => {
    const clock = new Date().toISOString();
    for (const at of [new Date(Date.now() + 600_000).toISOString(), '2019-01-01T00:00:00.000Z']) {
      const { json } = await send(one, { ...note(one), at }, one.tokens.get('ines')!, { clock });
      expect(fields(json)).toEqual(['at']);
    }
  });
});

describe('what the lead allowed', () => {
  const allow = async () =>
    (await one.call('POST', '/approvals', { personId: 'marit', pin: '3690', jobId: 'job-m', gate: 1, item: 'air' }))
      .json.approval as string;
  const exception = (approval: string, at = new Date().toISOString()) => ({
    ...one.entry('job-m', 'exception', { gate: 1, item: 'air', reason: 'outdoors', lead: 'marit', approval }),
    at,
  });
  test('is used once, and not long after', async () => {
    const approval = await allow();
    const first = exception(approval);
    const token = one.tokens.get('ines')!;
    expect((await send(one, first, token)).json.accepted).toHaveLength(1);
    // The same entry once more is only confirmed.
    expect((await send(one, first, token)).json.accepted).toHaveLength(1);
    expect((await send(one, exception(approval), token)).json.refused[0].text).toContain('used once already');
    const late = exception(await allow(), new Date(Date.now() - 20 * 60_000).toISOString());
    expect((await send(one, late, token)).json.refused[0].text).toContain('too long ago');
  });
});

describe('doors', () => {
  const lead = async () => {
    const tablet = new Tablet(shop, 'lead');
    await tablet.signIn('marit', '3690');
    return tablet;
  };
  const lost = async (pin = '1470') => {
    const tablet = new Tablet(shop, `lost-${pin}`);
    await tablet.signIn('bo', pin);
    return tablet;
  };
  test('a lost device is ended: it is signed out, its streams end, what it still sends is kept back', async () => {
    const [marit, gone] = [await lead(), await lost()];
    const waiting = gone.entry('job-m', 'note', { text: 'from the lost one' }, 'bo');
    const streamed = gone.stream('/jobs/job-m/events');
    const { json: devices } = await marit.call('GET', '/people/bo/devices');
    expect(devices.map((d: { device: string }) => d.device)).toContain(gone.device);
    expect((await marit.call('DELETE', `/people/bo/devices/${gone.device}`)).status).toBe(204);
    expect((await gone.call('GET', '/jobs')).status).toBe(401);
    expect((await streamed).status).toBe(200);
    const { json } = await one.call('POST', '/jobs/job-m/entries', {
      entries: [waiting],
      tokens: [gone.tokens.get('bo')!],
    });
    expect(fields(json)).toEqual(['by']);
    expect(json.keptBack[0].errors[0].expected).toContain('not ended by the lead');
    // Other devices of the same person go on.
    expect((await two.call('GET', '/jobs')).status).toBe(200);
  });
  test('a PIN is changed by oneself with the old one, by the lead without; then the devices sign in anew', async () => {
    const [marit, bo] = [await lead(), await lost()];
    const silent = new Tablet(shop, 'silent');
    await silent.call('POST', '/session', { personId: 'bo', pin: '1470' });
    expect((await silent.call('GET', '/jobs')).status).toBe(200);
    const put = (tablet: Tablet, body: object) => tablet.call('PUT', '/people/bo/pin', body);
    expect((await put(bo, { pin: '9999' })).status).toBe(401);
    expect((await put(bo, { pin: '9999', old: '1111' })).status).toBe(401);
    expect((await put(one, { pin: '9999' })).status).toBe(403);
    expect((await put(bo, { pin: '99', old: '1470' })).status).toBe(400);
    expect((await put(bo, { pin: '9999', old: '1470' })).status).toBe(204);
    expect((await bo.call('GET', '/jobs')).status).toBe(200);
    // Somebody who came in by the old one and never asked for a token is out too.
    expect((await silent.call('GET', '/jobs')).status).toBe(401);
    expect((await put(marit, { pin: '1470' })).status).toBe(204);
    expect((await bo.call('GET', '/jobs')).status).toBe(401);
    expect((await (await lost()).call('GET', '/jobs')).status).toBe(200);
  });
  test('only the lead changes or removes people; a shop keeps a lead; who is removed is out, and named in what they did', async () => {
    const marit = await lead();
    for (const tablet of [one, await lost()]) {
      expect((await tablet.call('PATCH', '/people/ines', { role: 'lead' })).status).toBe(403);
      expect((await tablet.call('DELETE', '/people/marit')).status).toBe(403);
      expect((await tablet.call('GET', '/people/marit/devices')).status).toBe(403);
    }
    expect((await new Tablet(shop, 'nobody').call('DELETE', '/people/bo')).status).toBe(401);
    expect((await marit.call('DELETE', '/people/marit')).status).toBe(409);
    expect((await marit.call('PATCH', '/people/marit', { role: 'technician' })).status).toBe(409);
    expect((await marit.call('PATCH', '/people/bo', { name: 'Ines' })).status).toBe(400);
    expect((await marit.call('PATCH', '/people/bo', { name: 'Bo K.' })).json).toMatchObject({
      id: 'bo',
      name: 'Bo K.',
    });
    const bo = await lost();
    expect((await marit.call('DELETE', '/people/bo')).status).toBe(204);
    expect((await bo.call('GET', '/jobs')).status).toBe(401);
    expect((await marit.call('DELETE', '/people/bo')).status).toBe(404);
    const { json } = await one.call('GET', '/jobs/job-m/file');
    expect((json as JobFile).people.bo).toBe('Bo K.');
  });
});

describe('many at once', () => {
  test('sixteen jobs opened at the same moment are sixteen jobs with numbers of their own', async () => {
    const answers = await Promise.all(
      Array.from({ length: 16 }, (_, i) => {
        const id = `job-burst-${i}`;
        return one.append(id, [one.entry(id, 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! })]);
      }),
    );
    expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 16 }, () => 200));
    const { json } = await one.call('GET', '/jobs');
    const numbers = json.map((job: { number: number }) => job.number);
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(json.filter((job: { id: string }) => job.id.startsWith('job-burst'))).toHaveLength(16);
  });
  test('a number from elsewhere that is far off is given anew; jobs go on being opened', async () => {
    const { json: file } = await one.call('GET', '/jobs/job-burst-0/file');
    const other = await openShop({ fresh: true });
    const there = new Tablet(other, 'there');
    await there.signIn();
    const far = { ...file, job: { ...file.job, number: 2_147_483_647 } };
    const taken = await there.call('POST', '/jobs/import', far);
    expect(taken.status).toBe(201);
    expect(taken.json.number).toBeLessThan(1000);
    const { json } = await there.append('job-next', [
      there.entry('job-next', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }),
    ]);
    expect(json.accepted).toHaveLength(1);
    await other.stop();
  });
});

test('the name of somebody who works here no more is forgotten on their wish: records stay as they are, under nobody’s name', async () => {
  const marit = new Tablet(shop, 'forgets');
  await marit.signIn('marit', '3690');
  const added = (await marit.call('POST', '/people', { name: 'Ludmila', role: 'technician', pin: '5555' })).json as {
    id: string;
  };
  const ludmila = new Tablet(shop, 'ludmila');
  await ludmila.signIn(added.id, '5555');
  await ludmila.append('job-forget', [
    ludmila.entry('job-forget', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }, added.id),
  ]);
  const file = async () => (await marit.call('GET', '/jobs/job-forget/file')).json as JobFile;
  const before = await file();
  expect(Object.values(before.people)).toEqual(['Ludmila']);
  expect((await marit.call('DELETE', `/people/${added.id}/name`)).status).toBe(409);
  await marit.call('DELETE', `/people/${added.id}`);
  for (let i = 0; i < 2; i++) expect((await marit.call('DELETE', `/people/${added.id}/name`)).status).toBe(204);
  const after = await file();
  expect(Object.values(after.people)).toEqual([expect.stringMatching(/^Former colleague \d+$/)]);
  expect(JSON.stringify(after)).not.toContain('Ludmila');
  expect(after.entries).toEqual(before.entries);
  expect((await marit.call('GET', '/jobs/job-forget/standing')).json.is).not.toBe('doesNotHold');
  expect((await marit.call('DELETE', '/people/nobody-here/name')).status).toBe(404);
});
