import { jest } from '@jest/globals';
import { logWriter, type Entry } from '@iron-cradle/core';
import { opened, Server, until } from './testing.ts';
import { store } from './db.ts';
import { deviceId, newId } from './device.ts';
import { JobStore } from './jobStore.ts';
import { lineState } from './line.ts';
import { sendPhotos } from './photos.ts';
import { deliver } from './sender.ts';
import { readShelf } from './shelf.ts';

let server: Server;
let n = 0;
const inOutbox = async () => (await (await store()).getAll('outbox')).map((row) => row.entry.kind);
const fresh = async () => {
  const job = new JobStore(`kept-${++n}`);
  job.subscribe(() => undefined);
  return job;
};

beforeEach(async () => {
  server = new Server();
  const db = await store();
  for (const name of ['outbox', 'notTaken', 'entries', 'tags', 'counts'] as const) await db.clear(name);
});

describe('a device that can keep nothing', () => {
  const full = () =>
    jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError');
    });
  afterEach(() => jest.restoreAllMocks());

  test('full: what is entered stands on the screen, goes straight out, and it is said', async () => {
    const job = await fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    full();
    server.mode = 'away';
    await job.append('ines', 'note', { text: 'weeps' });
    await job.append('ines', 'note', { text: 'at the neck' });
    expect(job.snapshot().state?.notes.map((x) => x.text)).toEqual(['weeps', 'at the neck']);
    expect(lineState()).toMatchObject({ storage: 'full' });
    await until(() => lineState().waiting === 2);
    server.mode = 'up';
    deliver();
    await until(() => server.log.length === 3 && job.snapshot().state?.lastSeq === 3);
    // Each by a count of its own, in order, once.
    expect(server.log.map((e) => e.n)).toEqual([1, 2, 3]);
    expect(job.snapshot().state?.notes.map((x) => x.text)).toEqual(['weeps', 'at the neck']);
    await until(() => lineState().waiting === 0 && lineState().storage === null);
  });

  test('with room again it is kept as before, and counts on', async () => {
    const job = await fresh();
    await job.append('ines', 'opened', opened);
    full();
    await job.append('ines', 'note', { text: 'one' });
    await until(() => server.log.length === 2);
    jest.restoreAllMocks();
    await until(() => job.snapshot().state?.lastSeq === 2);
    await job.append('ines', 'note', { text: 'two' });
    await until(() => server.log.length === 3);
    expect(server.log.map((e) => e.n)).toEqual([1, 2, 3]);
  });
});

describe('another tab of this device', () => {
  test('what was entered there is shown here before it is delivered, and once', async () => {
    const job = await fresh();
    await job.append('ines', 'opened', opened);
    await until(() => job.snapshot().state?.lastSeq === 1);
    server.mode = 'away';
    // What the other tab does: its entry into the outbox, then the news.
    const other = new BroadcastChannel('cradle-jobs');
    const entry = {
      ...logWriter(job.jobId, { by: 'ines', device: deviceId() })('note', { text: 'from the other tab' }),
      id: newId(),
      n: 2,
      on: job.snapshot().log.at(-1)!.id,
    } as Entry;
    await (await store()).add('outbox', { entry });
    other.postMessage('some-other-job');
    other.postMessage(job.jobId);
    await until(() => job.snapshot().state?.notes.length === 1);
    expect(lineState().waiting).toBe(1);
    server.mode = 'up';
    deliver();
    await until(() => job.snapshot().state?.lastSeq === 2);
    expect(job.snapshot().state?.notes.map((x) => x.text)).toEqual(['from the other tab']);
    other.close();
  });
});

describe('the device’s own store', () => {
  test('an entry the server takes while it is read stands in it: on its way, or confirmed', async () => {
    const job = await fresh();
    await job.append('ines', 'opened', opened);
    await until(() => job.snapshot().state?.lastSeq === 1);
    const confirmed = job.snapshot().log[0]!;
    const db = await store();
    await db.clear('entries');
    await db.add('outbox', { entry: confirmed });
    const begins = jest.spyOn(IDBDatabase.prototype, 'transaction');
    const read = readShelf(job.jobId);
    // As soon as the reading has begun it moves.
    while (begins.mock.calls.length === 0) await Promise.resolve();
    begins.mockRestore();
    const tx = db.transaction(['outbox', 'entries'], 'readwrite');
    void tx.objectStore('outbox').clear();
    void tx.objectStore('entries').put(confirmed);
    const [{ held, outgoing }] = await Promise.all([read, tx.done]);
    expect([...held, ...outgoing].map(({ id }) => id)).toEqual([confirmed.id]);
  });
});

describe('photos', () => {
  test('one the server refuses is said and holds none of the others', async () => {
    const db = await store();
    await db.clear('photos');
    const blob = new Blob(['x']);
    for (const id of ['p1-bad', 'p2-good']) await db.put('photos', { id, jobId: 'job', blob, sent: 0 });
    globalThis.fetch = ((url: string) =>
      Promise.resolve(new Response('', { status: String(url).includes('bad') ? 413 : 200 }))) as never;
    await sendPhotos();
    expect((await db.getAll('photos')).map((p) => [p.id, p.sent])).toEqual([
      ['p1-bad', 2],
      ['p2-good', 1],
    ]);
    expect(lineState().photosRefused).toBe(1);
    await db.clear('photos');
    await sendPhotos();
    expect(lineState().photosRefused).toBe(0);
  });
});
