import type { Entry } from '@iron-cradle/core';
import { opened, until, type Server } from './testing.ts';
import { begun, fresh, inOutbox } from './testingJobs.ts';
import { store } from './db.ts';
import { deviceId, newId, tabId } from './device.ts';
import { JobStore } from './jobStore.ts';
import { lineState } from './line.ts';
import { deliver, letGo } from './sender.ts';

let server: Server;

beforeEach(async () => {
  server = await begun();
});

describe('one way in', () => {
  test('what is entered is shown at once, delivered, and confirmed with its number', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    expect(job.snapshot().state?.name).toBe('Van 4');
    await job.append('ines', 'note', { text: 'first' });
    expect(job.snapshot().state?.notes).toHaveLength(1);
    await until(async () => (await inOutbox()).length === 0);
    expect(server.log.map((e) => [e.kind, e.seq])).toEqual([
      ['opened', 1],
      ['note', 2],
    ]);
    await until(() => job.snapshot().state?.lastSeq === 2);
    // The count on the line follows the outbox a moment later.
    await until(() => lineState().waiting === 0);
    expect(lineState()).toMatchObject({ server: 'here', waiting: 0 });
  });

  test('a body that does not fit is refused before the outbox, with its field', async () => {
    const job = fresh();
    await expect(job.append('ines', 'fill', { litres: -1 })).rejects.toThrow(/body\.litres/);
    expect(await inOutbox()).toEqual([]);
  });

  test('while the server is away everything goes on; it arrives in order, once, when it is back', async () => {
    const job = fresh();
    server.mode = 'away';
    await job.append('ines', 'opened', opened);
    for (const text of ['a', 'b', 'c']) await job.append('ines', 'note', { text });
    await until(() => lineState().server === 'away');
    expect(job.snapshot().state?.notes.map((x) => x.text)).toEqual(['a', 'b', 'c']);
    expect(lineState().waiting).toBe(4);
    server.mode = 'up';
    deliver();
    deliver();
    await until(async () => (await inOutbox()).length === 0);
    expect(server.log.map((e) => (e.kind === 'note' ? e.body.text : e.kind))).toEqual(['opened', 'a', 'b', 'c']);
  });

  test('a history that was put back: the server’s height stands, what only this device holds is listed and can be entered again', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await job.append('ines', 'moved', { to: { f: 20, r: 20 }, why: 'lowered' });
    await job.append('ines', 'moved', { to: { f: 45, r: 45 }, why: 'lowered' });
    await job.append('ines', 'note', { text: 'the strap is cracked' });
    await until(() => job.snapshot().state?.lastSeq === 4 && server.log.length === 4);
    server.putBack(job.jobId, 2);
    await until(() => job.snapshot().putBack !== null);
    expect(job.snapshot().state).toMatchObject({ pose: { f: 20, r: 20 }, lastSeq: 2, notes: [] });
    expect(lineState().notTaken.map((one) => [one.entry.kind, one.keptBack])).toEqual(
      expect.arrayContaining([
        ['moved', true],
        ['note', true],
      ]),
    );
    // Gone from the device’s own store too: a reload shows the same.
    expect((await (await store()).getAllFromIndex('entries', 'job', job.jobId)).map((e) => e.seq).sort()).toEqual([
      1, 2,
    ]);
    const note = lineState().notTaken.find((one) => one.entry.jobId === job.jobId && one.entry.kind === 'note')!;
    server.signedIn = 'bo';
    await job.enterAgain('bo', note.entry);
    await letGo(note.id);
    await until(() => job.snapshot().state?.lastSeq === 3);
    expect(job.snapshot().state?.notes.map((x) => x.text)).toEqual(['the strap is cracked']);
    expect(server.log.at(-1)).toMatchObject({ by: 'bo', said: { by: 'ines' } });
    job.seenPutBack();
    expect(job.snapshot().putBack).toBeNull();
  });

  test('put back to before the whole job: it is missing there, and all this device holds of it is listed', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await job.append('ines', 'note', { text: 'mine' });
    await until(() => job.snapshot().state?.lastSeq === 2);
    server.putBack(job.jobId, 0);
    await until(() => job.snapshot().status === 'missing');
    expect(lineState().server).toBe('here');
    const held = lineState().notTaken.filter((one) => one.entry.jobId === job.jobId);
    expect(held.map((one) => one.entry.kind)).toEqual(['opened', 'note']);
  });

  test('“there is no such job” that was said before the job arrived there says nothing once it has', async () => {
    let over: () => void = () => undefined;
    server.readsWait = new Promise((resolve) => (over = resolve));
    const job = fresh();
    // Asked while nothing of it was at the server; the answer is slow, the delivery is not.
    await until(() => server.requests.some(({ method, path }) => method === 'GET' && path.includes(job.jobId)));
    await job.append('ines', 'opened', opened);
    await until(() => job.snapshot().state?.lastSeq === 1);
    server.readsWait = null;
    over();
    await until(() => server.listened(job.jobId));
    expect(job.snapshot()).toMatchObject({ status: 'ready', putBack: null });
    expect(lineState().notTaken.filter((one) => one.entry.jobId === job.jobId)).toEqual([]);
    expect((await (await store()).getAllFromIndex('entries', 'job', job.jobId)).map((e) => e.kind)).toEqual(['opened']);
  });

  test('another history of the same length is told by its hash', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await job.append('ines', 'note', { text: 'mine' });
    await until(() => job.snapshot().state?.lastSeq === 2);
    server.log = server.log.filter((e) => e.jobId !== job.jobId || e.seq === 1);
    server.other(job.jobId, 'note', { text: 'theirs' });
    server.putBack(job.jobId, 2);
    await until(() => job.snapshot().putBack !== null);
    expect(job.snapshot().state?.notes.map((x) => x.text)).toEqual(['theirs']);
  });

  test('a reload while away shows the same job', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    server.mode = 'away';
    await job.append('ines', 'note', { text: 'only here' });
    const again = new JobStore(job.jobId);
    again.subscribe(() => undefined);
    await until(() => again.snapshot().status === 'ready');
    expect(again.snapshot().state).toEqual(job.snapshot().state);
  });

  test('an answer that got lost is asked for again and adds nothing', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    const entry = { ...server.log[0]! };
    await (await store()).add('outbox', { entry });
    deliver();
    await until(async () => (await inOutbox()).length === 0);
    expect(server.log).toHaveLength(1);
    expect(job.snapshot().state?.heads).toHaveLength(1);
  });

  test('what the server refuses is kept to be shown, and what came after it goes on', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    server.mode = 'away';
    await job.append('ines', 'note', { text: 'mine' });
    const mine = job.snapshot().state!.newest;
    await job.append('ines', 'takeBack', { entry: mine });
    await job.append('ines', 'note', { text: 'after' });
    // The note is lost on its way; its taking back names nothing the server holds.
    const db = await store();
    const [row] = await db.getAll('outbox');
    await db.delete('outbox', row!.place!);
    server.mode = 'up';
    deliver();
    await until(async () => (await inOutbox()).length === 0);
    await until(() => lineState().notTaken.length > 0);
    expect(lineState().notTaken).toMatchObject([{ keptBack: false, text: 'there is no such entry here' }]);
    expect(server.log.map((e) => e.kind)).toEqual(['opened', 'note']);
    await letGo(lineState().notTaken[0]!.id);
    expect(lineState().notTaken).toEqual([]);
  });

  test('what stands on a history the server does not hold is kept back; entered again it says who said it first', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    await job.append('ines', 'note', { text: 'before' });
    await until(async () => (await inOutbox()).length === 0);
    // The shop's history is put back to the opening: what was newest here is not there any more.
    server.log = server.log.slice(0, 1);
    await job.append('ines', 'note', { text: 'only here' });
    // What was confirmed before is listed as well once the device hears of it.
    const mine = () =>
      lineState().notTaken.find(({ entry }) => entry.kind === 'note' && entry.body.text === 'only here');
    await until(() => mine() !== undefined);
    const kept = mine();
    expect(kept).toMatchObject({ keptBack: true, text: 'expected an entry held here' });
    expect(await inOutbox()).toEqual([]);
    server.signedIn = 'bo';
    await job.enterAgain('bo', kept!.entry);
    expect(job.snapshot().log.at(-1)).toMatchObject({ by: 'bo', said: { by: 'ines', at: kept!.entry.at } });
  });

  test('every entry says what its maker held, and counts on', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    const first = server.log.at(-1)!;
    server.mode = 'away';
    await job.append('ines', 'note', { text: 'a' });
    await job.append('ines', 'note', { text: 'b' });
    const [a, b] = job.snapshot().log.slice(-2);
    expect([first, a!, b!].map((e) => [e.n, e.on, e.device, e.version])).toEqual([
      [1, null, deviceId(), 1],
      [2, first.id, deviceId(), 1],
      [3, first.id, deviceId(), 1],
    ]);
  });

  test.each([400, 500] as const)(
    'one entry answered with %d holds nobody: the others go out one by one',
    async (status) => {
      const job = fresh();
      server.poisoned = status;
      server.mode = 'away';
      await job.append('ines', 'opened', opened);
      await job.append('ines', 'note', { text: 'poisoned' });
      await job.append('ines', 'note', { text: 'sound' });
      server.poison = job.snapshot().log[1]!.id;
      server.mode = 'up';
      deliver();
      await until(async () => (await inOutbox()).length === 0);
      await until(() => lineState().notTaken.length === 1);
      expect(server.log.map((e) => (e.kind === 'note' ? e.body.text : e.kind))).toEqual(['opened', 'sound']);
      server.poison = null;
    },
  );

  test('a server with a fault of its own at everything keeps nobody’s entries for good: they wait', async () => {
    const job = fresh();
    server.mode = 'away';
    await job.append('ines', 'opened', opened);
    for (const text of ['a', 'b', 'c']) await job.append('ines', 'note', { text });
    server.mode = 'faulty';
    deliver();
    await until(() => lineState().notTaken.length === 1);
    await until(() => lineState().server === 'away');
    expect(await inOutbox()).toEqual(['note', 'note', 'note']);
    expect(lineState().notTaken).toHaveLength(1);
    // Real time, two tries long. Tried again, and again: still at fault, and no more is taken out of what waits.
    await new Promise((resolve) => setTimeout(resolve, 4500));
    expect(await inOutbox()).toEqual(['note', 'note', 'note']);
    expect(lineState().notTaken).toHaveLength(1);
    server.mode = 'up';
    await until(async () => (await inOutbox()).length === 0);
  });

  test('an entry of a later version: the screen says reload', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(() => job.snapshot().number === 1);
    server.other(job.jobId, 'note', { text: 'x' });
    const future = { ...server.log.at(-1)!, version: 99 } as Entry;
    server.log[server.log.length - 1] = future;
    const again = new JobStore(job.jobId);
    await (await store()).clear('entries');
    again.subscribe(() => undefined);
    await until(() => again.snapshot().status === 'reload');
  });

  test('entries of two jobs go out each to its own, in the order they were made', async () => {
    const [a, b] = [fresh(), fresh()];
    server.mode = 'away';
    await a.append('ines', 'opened', opened);
    await b.append('ines', 'opened', opened);
    await a.append('ines', 'note', { text: 'a' });
    server.mode = 'up';
    server.requests = [];
    deliver();
    await until(async () => (await inOutbox()).length === 0);
    const posts = server.requests.filter((r) => r.method === 'POST').map((r) => [r.path.split('/')[2], r.ids.length]);
    expect(posts).toEqual([
      [a.jobId, 1],
      [b.jobId, 1],
      [a.jobId, 1],
    ]);
  });
});

test('a device and a tab keep their ids; entries never share one', () => {
  expect(deviceId()).toBe(deviceId());
  expect(tabId()).toBe(tabId());
  expect(new Set(Array.from({ length: 500 }, newId)).size).toBe(500);
});
