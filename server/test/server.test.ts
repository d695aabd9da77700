import { QueryTypes } from 'sequelize';
import { archetypes, type Entry } from '@iron-cradle/core';
import { openOwnShop, openShop, ownDatabase, type OwnShop } from '../../e2e/lib/server.ts';
import { Tablet } from './tablet.ts';
import { openDatabase } from '../src/db/connect.ts';

const opened = { name: 'Van', complaint: 'pump', vehicle: archetypes[0]!, gauge: 0.5 };
let shop: OwnShop;
let one: Tablet;
let two: Tablet;

beforeAll(async () => {
  shop = await openOwnShop();
  one = new Tablet(shop, 'one');
  two = new Tablet(shop, 'two');
  await one.signIn();
  await two.signIn('bo', '1470');
});
afterAll(() => shop?.stop());

describe('sign-in', () => {
  test('nothing of a job without it; the PIN is not the hash', async () => {
    const stranger = new Tablet(shop, 'none');
    const refused = await stranger.call('GET', '/jobs');
    expect([refused.status, refused.type]).toEqual([401, 'application/problem+json; charset=utf-8']);
    expect(JSON.stringify(await stranger.call('GET', '/people'))).not.toContain('argon2');
  });

  test('attempts are limited, and a pause is a pause for the right PIN too', async () => {
    const stranger = new Tablet(shop, 'guess');
    for (let i = 0; i < 4; i++)
      expect((await stranger.signIn('marit', '0000')).json.detail).toMatch(/left before a pause/);
    expect((await stranger.signIn('marit', '0000')).json.detail).toMatch(/pause of one minute/);
    expect((await stranger.signIn('marit', '3690')).status).toBe(429);
  });

  test('signing out ends the session', async () => {
    const tablet = new Tablet(shop, 'out');
    await tablet.signIn();
    expect((await tablet.call('GET', '/session')).json.person.name).toBe('Ines');
    await tablet.call('DELETE', '/session');
    expect((await tablet.call('GET', '/jobs')).status).toBe(401);
  });
});

describe('the log', () => {
  test('gives a sequence, adds nothing when a request is repeated, and reads on from a number', async () => {
    const batch = [one.entry('job-a', 'opened', opened), one.entry('job-a', 'note', { text: 'first' })];
    expect((await one.append('job-a', batch)).json.accepted.map((a: { seq: number }) => a.seq)).toEqual([1, 2]);
    expect((await one.append('job-a', batch)).json.accepted.map((a: { seq: number }) => a.seq)).toEqual([1, 2]);
    expect((await one.call('GET', '/jobs/job-a/entries')).json.entries).toHaveLength(2);
    expect((await one.call('GET', '/jobs/job-a/entries?since=1')).json.entries[0].body.text).toBe('first');
  });

  test('refuses an intention with what is owed and takes the rest of the request', async () => {
    const { json } = await one.append('job-a', [
      one.entry('job-a', 'signed', {}),
      one.entry('job-a', 'gate', { gate: 1 }),
      one.entry('job-a', 'note', { text: 'second' }),
    ]);
    expect(json.refused).toHaveLength(2);
    expect(json.refused[0].owed.map((d: { key: string }) => d.key)).toContain('identity');
    expect(json.refused[1].text).toContain('gate 1');
    expect(json.accepted).toHaveLength(1);
  });

  test('what can’t be read is kept back with its field, and the rest goes on; so is a stranger’s entry', async () => {
    const future = { ...one.entry('job-a', 'note', { text: 'x' }), version: 9 };
    const lost = { ...one.entry('job-a', 'note', { text: 'x' }), on: 'never-heard-of' };
    const { json } = await one.append('job-a', [
      one.entry('job-a', 'fill', { litres: -4 }),
      one.entry('job-a', 'dance', {}),
      future,
      lost,
      one.entry('job-a', 'note', { text: 'x' }, 'nobody'),
      one.entry('job-a', 'note', { text: 'goes on' }),
    ]);
    expect(json.keptBack.map((k: { errors: { field: string }[] }) => k.errors[0]!.field)).toEqual([
      'body.litres',
      'kind',
      'version',
      'on',
      'by',
    ]);
    expect(json.refused).toEqual([]);
    expect(json.accepted).toHaveLength(1);
  });

  test('what a tablet wrote before an update, and delivers after it, is taken as it was written', async () => {
    // Version 1 of a wait did not say until when, nor whether it keeps the bay.
    const was = { ...one.entry('job-a', 'wait', { what: 'soak', state: 'start', minutes: 20 }), version: 1 };
    const wrong = { ...one.entry('job-a', 'wait', { what: 'soak', state: 'sideways' }), version: 1 };
    const never = { ...one.entry('job-a', 'wait', { what: 'soak', state: 'start' }), version: 0 };
    const { json } = await one.append('job-a', [was, wrong, never]);
    expect(json.accepted.map(({ id }: { id: string }) => id)).toEqual([was.id]);
    expect(json.keptBack.map((k: { errors: { field: string }[] }) => k.errors[0]!.field)).toEqual([
      'body.state',
      'version',
    ]);
    const { json: file } = await one.call('GET', '/jobs/job-a/file');
    const stored = (file.entries as Entry[]).find(({ id }) => id === was.id);
    expect(stored).toMatchObject({ version: 1, body: was.body });
    // Its chain holds over what was written, here and in another shop.
    const { json: standing } = await one.call('GET', '/jobs/job-a/standing');
    expect(standing.is).not.toBe('doesNotHold');
  });

  test('what was refused gets the same answer for ever, and its taking back goes with it', async () => {
    const gate = one.entry('job-a', 'gate', { gate: 2 });
    const first = (await one.append('job-a', [gate])).json.refused[0];
    const back = one.entry('job-a', 'takeBack', { entry: gate.id });
    const { json } = await one.append('job-a', [gate, back]);
    expect(json.refused[0]).toEqual(first);
    expect(json.refused[1].text).toContain('was refused');
    expect(json.accepted).toEqual([]);
  });

  test('a number for something new is the server’s, the same when asked again', async () => {
    const ask = async (id: string) => (await one.call('PUT', `/jobs/job-a/numbers/${id}`)).json.number as number;
    const [rag, lamp] = [await ask('entry-rag'), await ask('entry-lamp')];
    expect([rag, lamp]).toEqual([100, 101]);
    expect(await ask('entry-rag')).toBe(rag);
  });

  test('an exception needs the lead’s own PIN given for that very item', async () => {
    const body = { gate: 1, item: 'air', reason: 'outdoors', lead: 'bo', approval: 'made-up-approval' };
    expect((await one.append('job-a', [one.entry('job-a', 'exception', body)])).json.refused[0].text).toContain('lead');
    expect(
      (await one.call('POST', '/approvals', { personId: 'bo', pin: '1470', jobId: 'job-a', gate: 1, item: 'air' }))
        .status,
    ).toBe(403);
  });

  test('two tablets appending at once lose nothing and the chain holds', async () => {
    // A tablet sends one request after the other; its count may not be overtaken on the way.
    const write = async (tablet: Tablet, by: string): Promise<unknown[]> => {
      const answers: unknown[] = [];
      for (let i = 0; i < 20; i++) {
        const { json } = await tablet.append('job-a', [tablet.entry('job-a', 'note', { text: `${by} ${i}` }, by)]);
        answers.push(json.accepted?.length === 1 ? 'taken' : json);
      }
      return answers;
    };
    const results = (await Promise.all([write(one, 'ines'), write(two, 'bo')])).flat();
    expect(results).toEqual(Array.from({ length: 40 }, () => 'taken'));
    const { json } = await one.call('GET', '/jobs/job-a/entries');
    const seqs = json.entries.map((e: Entry) => e.seq);
    expect(seqs).toEqual(seqs.map((_: number, i: number) => i + 1));
    expect(json.entries.filter((e: Entry) => e.kind === 'note' && /\d$/.test(e.body.text))).toHaveLength(40);
    expect((await one.call('GET', '/jobs/job-a/chain')).json).toMatchObject({ length: seqs.length, brokenAt: null });
  });

  test('each device has its own block of tag numbers', async () => {
    const ask = (tablet: Tablet, device: string) => tablet.call('PUT', `/jobs/job-a/devices/${device}`);
    const blocks = await Promise.all([ask(one, 'device-one'), ask(two, 'device-two'), ask(one, 'device-one')]);
    expect(blocks[0]!.json.block).toBe(blocks[2]!.json.block);
    expect(new Set(blocks.map((b) => b.json.block)).size).toBe(2);
  });

  test('events: what was missed since the last number, then what comes', async () => {
    const last = (await one.call('GET', '/jobs/job-a/entries')).json.entries.length as number;
    const controller = new AbortController();
    const cookie = one.cookieNow;
    const response = await fetch(`${shop.base}/api/jobs/job-a/events`, {
      headers: { cookie, 'Last-Event-ID': String(last - 2) },
      signal: controller.signal,
    });
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
    let heard = '';
    const until = async (text: string) => {
      while (!heard.includes(text)) {
        const { value, done } = await reader.read();
        if (done) throw new Error(`the stream ended before “${text}”: ${heard}`);
        heard += value;
      }
    };
    await until(`id: ${last}\n`);
    expect(heard).not.toContain(`id: ${last - 2}\n`);
    await two.append('job-a', [two.entry('job-a', 'note', { text: 'heard at once' }, 'bo')]);
    await until('heard at once');
    controller.abort();
  });
});

describe('what a device holds, by its hash', () => {
  test('the same history is carried on; another one, or a longer one, is answered with the whole', async () => {
    const all = (await one.call('GET', '/jobs/job-a/entries')).json as { entries: { seq: number; hash: string }[] };
    const at = all.entries[0]!;
    const ask = async (since: number, hash: string) =>
      (await one.call('GET', `/jobs/job-a/entries?since=${since}&hash=${hash}`)).json as typeof all & {
        putBack: boolean;
      };
    expect(await ask(at.seq, at.hash)).toMatchObject({ putBack: false });
    expect((await ask(at.seq, at.hash)).entries).toHaveLength(all.entries.length - 1);
    for (const [since, hash] of [
      [at.seq, 'f'.repeat(64)],
      [all.entries.length + 3, at.hash],
    ] as const) {
      const told = await ask(since, hash);
      expect(told.putBack).toBe(true);
      expect(told.entries.map((e) => e.seq)).toEqual(all.entries.map((e) => e.seq));
    }
  });
});

describe('the chain', () => {
  test('a changed letter is found where it stands', async () => {
    const db = await openDatabase(shop.db.url());
    await db.sequelize.query(
      "UPDATE entries SET body = REPLACE(body, 'first', 'worst') WHERE job_id = 'job-a' AND kind = 'note'",
      {
        type: QueryTypes.UPDATE,
      },
    );
    expect((await one.call('GET', '/jobs/job-a/chain')).json.brokenAt).toBe(2);
    await db.sequelize.query(
      "UPDATE entries SET body = REPLACE(body, 'worst', 'first') WHERE job_id = 'job-a' AND kind = 'note'",
      {
        type: QueryTypes.UPDATE,
      },
    );
    expect((await one.call('GET', '/jobs/job-a/chain')).json.brokenAt).toBeNull();
    await db.sequelize.close();
  });
});

describe('bad input', () => {
  test('is problem+json without a stack', async () => {
    for (const [method, path, body] of [
      ['POST', '/session', '{"personId": 3'],
      ['POST', '/session', { personId: 'ines', pin: 'abc' }],
      ['GET', '/jobs/none/entries', undefined],
      ['GET', '/jobs/job-a/entries?since=x', undefined],
      ['GET', '/nowhere', undefined],
      ['PUT', '/vehicles/van-9', { id: 'van-9' }],
    ] as const) {
      const answer = await one.call(method, path, body);
      expect(answer.status).toBeGreaterThanOrEqual(400);
      expect(answer.type).toContain('application/problem+json');
      expect(JSON.stringify(answer.json)).not.toMatch(/\.ts|node_modules| at /);
    }
  });

  test('a vehicle file is kept when it makes sense, and says where it does not', async () => {
    const file = { ...structuredClone(archetypes[0]!), id: 'van-9', name: 'Van 9' };
    expect((await one.call('PUT', '/vehicles/van-9', file)).status).toBe(200);
    file.connections[0]!.slack.hi = 1;
    expect((await one.call('PUT', '/vehicles/van-9', file)).json.errors[0].field).toBe('connections[0].slack');
  });

  test('every version of a file is kept, by whom and when; the same again is none; a stranger keeps nothing', async () => {
    const file = { ...structuredClone(archetypes[0]!), id: 'van-9', name: 'Van 9' };
    const put = (more: object) => one.call('PUT', '/vehicles/van-9', { ...file, ...more });
    await put({ notes: ['hook at the rear'] });
    await put({ notes: ['hook at the rear'] });
    const { json: list } = await one.call('GET', '/vehicles/van-9/versions');
    expect(list.map((v: { version: number; by: string }) => [v.version, v.by])).toEqual([
      [2, 'ines'],
      [1, 'ines'],
    ]);
    expect((await one.call('GET', '/vehicles/van-9/versions/1')).json.notes).toEqual(file.notes);
    expect((await one.call('GET', '/vehicles/van-9/versions/2')).json.notes).toEqual(['hook at the rear']);
    expect((await one.call('GET', '/vehicles/van-9/versions/7')).status).toBe(404);
    expect((await new Tablet(shop, 'stranger').call('PUT', '/vehicles/van-9', file)).status).toBe(401);
  });
});

describe('a job as a file', () => {
  test('goes into an empty shop and is the same there; a changed one is refused', async () => {
    const file = (await one.call('GET', '/jobs/demo-saloon/file')).json;
    const empty = await openShop({ demo: false });
    try {
      const lead = new Tablet(empty, 'lead');
      expect((await lead.call('POST', '/people', { name: 'Ada', role: 'lead', pin: '1234' })).status).toBe(201);
      const [ada] = (await lead.call('GET', '/people')).json;
      await lead.signIn(ada.id, '1234');
      const changed = structuredClone(file);
      changed.entries[3].at = '2020-01-01T00:00:00.000Z';
      expect((await lead.call('POST', '/jobs/import', changed)).json.errors[0].field).toBe('entries[3]');
      expect((await lead.call('POST', '/jobs/import', file)).status).toBe(201);
      expect((await lead.call('POST', '/jobs/import', file)).status).toBe(409);
      const back = (await lead.call('GET', '/jobs/demo-saloon/file')).json;
      expect(back.entries).toEqual(file.entries);
      expect([back.job, back.chain, back.people]).toEqual([file.job, file.chain, file.people]);
    } finally {
      await empty.stop();
    }
  });
});

describe('faults', () => {
  test('database and server killed: every acknowledged entry is there', async () => {
    const sent: string[] = [];
    const acknowledged = new Set<string>();
    for (let i = 0; i < 30; i++) {
      const entry = one.entry('job-a', 'note', { text: `before the cut ${i}` });
      sent.push(entry.id);
      const answer = await one.append('job-a', [entry]).catch(() => null);
      for (const a of answer?.json?.accepted ?? []) acknowledged.add(a.id);
      if (i === 20) {
        process.kill(shop.db.pid(), 'SIGKILL');
        await shop.kill();
        await shop.db.launch();
        await shop.start();
      }
    }
    const { json } = await one.call('GET', '/jobs/job-a/entries');
    const there = new Set(json.entries.map((e: Entry) => e.id));
    for (const id of acknowledged) expect(there.has(id)).toBe(true);
    expect(acknowledged.size).toBeGreaterThanOrEqual(29);
    expect(sent.length).toBe(30);
    expect((await one.call('GET', '/jobs/job-a/chain')).json.brokenAt).toBeNull();
  });

  test('while the database is away the answer says so, and it recovers by itself', async () => {
    process.kill(shop.db.pid(), 'SIGKILL');
    const answer = await one.call('GET', '/jobs');
    expect([answer.status, answer.type]).toEqual([503, 'application/problem+json; charset=utf-8']);
    await shop.db.launch();
    for (let i = 0; i < 40; i++) if ((await one.call('GET', '/jobs')).status === 200) break;
    expect((await one.call('GET', '/jobs')).status).toBe(200);
  });

  test('two servers may start before one database at once', async () => {
    const db = await ownDatabase();
    try {
      const opened = await Promise.all([openDatabase(db.url()), openDatabase(db.url())]);
      for (const one of opened) {
        expect(await one.models.Person.count()).toBe(0);
        await one.sequelize.close();
      }
    } finally {
      await db.stop();
    }
  });
});
