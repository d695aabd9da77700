import { logWriter } from '@iron-cradle/core';
import { opened, until, type Server } from './testing.ts';
import { begun, fresh, inOutbox } from './testingJobs.ts';
import { store } from './db.ts';
import { JobStore } from './jobStore.ts';

let server: Server;

beforeEach(async () => {
  server = await begun();
});

describe('what others enter', () => {
  test('is heard and folded in, before what is still on its way here', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    const again = new JobStore(job.jobId);
    again.subscribe(() => undefined);
    await until(() => again.snapshot().number === 1);
    server.other(job.jobId, 'note', { text: 'from Bo' });
    await until(() => again.snapshot().state?.notes.length === 1);
    server.mode = 'away';
    await again.append('ines', 'note', { text: 'mine' });
    server.other(job.jobId, 'note', { text: 'from Bo again' });
    await until(() => again.snapshot().state?.notes.length === 3);
    expect(again.snapshot().state?.notes.map((x) => x.text)).toEqual(['from Bo', 'from Bo again', 'mine']);
  });

  test('an entry made from the record alone does not hide the rest of the log after a reload', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    await (await store()).clear('entries');
    // As a device that never opened the job: it has the one entry it made, and not what came before.
    const record = new JobStore(job.jobId);
    await record.append('ines', 'note', { text: 'from the record' });
    await until(async () => (await inOutbox()).length === 0);
    const again = new JobStore(job.jobId);
    again.subscribe(() => undefined);
    await until(() => again.snapshot().status === 'ready');
    expect(again.snapshot().log.map((e) => e.kind)).toEqual(['opened', 'note']);
  });

  test('what was confirmed before an entry of another tablet was heard waits for it, and is shown meanwhile', async () => {
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    // Listening already: what is missed is told when a stream begins, not later.
    await until(() => server.listened(job.jobId));
    // Bo's entry stands on the server, but is not heard here before ours is taken.
    server.log.push({
      ...logWriter(job.jobId, { by: 'bo', device: 'other' })('note', { text: 'quiet' }),
      id: 'bo-quiet',
      seq: 2,
      on: server.log[0]!.id,
    });
    await job.append('ines', 'note', { text: 'mine' });
    await until(async () => (await inOutbox()).length === 0);
    expect(job.snapshot().state?.notes.map((x) => x.text)).toEqual(['mine']);
    server.hear(job.jobId, 2);
    await until(() => job.snapshot().state?.notes.length === 2);
    expect(job.snapshot().state?.notes.map((x) => x.text)).toEqual(['quiet', 'mine']);
  });

  test('a job nobody knows is missing, not endless', async () => {
    const job = new JobStore('nobody');
    job.subscribe(() => undefined);
    await until(() => job.snapshot().status === 'missing');
  });
});
