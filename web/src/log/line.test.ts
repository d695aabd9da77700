import { deliver } from './sender.ts';
import { opened, until, type Server } from './testing.ts';
import { begun, fresh, inOutbox } from './testingJobs.ts';
import { JobStore } from './jobStore.ts';
import { lineState } from './line.ts';

let server: Server;

beforeEach(async () => {
  server = await begun();
});

describe('what is said of the server', () => {
  test('a job that is still on its way there, and so not known there yet, does not say that it is away', async () => {
    await settledHere();
    let over: () => void = () => undefined;
    server.writesWait = new Promise((resolve) => (over = resolve));
    const job = new JobStore('on-its-way');
    await job.append('ines', 'opened', opened);
    job.subscribe(() => undefined);
    await until(() => server.requests.some(({ method, path }) => method === 'GET' && path.includes(job.jobId)));
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(lineState().server).toBe('here');
    expect(job.snapshot()).toMatchObject({ status: 'ready', number: null });
    over();
    await until(() => job.snapshot().number === 1);
  });

  test('signed out: nothing is lost, the screen is told', async () => {
    const job = fresh();
    server.mode = 'signedOut';
    await job.append('ines', 'opened', opened);
    await until(() => lineState().server === 'signIn');
    expect(await inOutbox()).toEqual(['opened']);
  });

  test('a device that asks for the PIN is not told that the server is away; opened, it reads on', async () => {
    const job = await settledHere();
    server.mode = 'locked';
    const asked = server.requests.length;
    const again = new JobStore(job.jobId);
    again.subscribe(() => undefined);
    await until(() => server.requests.slice(asked).some(({ method }) => method === 'GET'));
    await until(() => lineState().server === 'pin');
    server.mode = 'up';
    await until(() => again.snapshot().number !== null);
  });

  test('a server in trouble is tried again; a request it cannot read is said, not repeated for ever', async () => {
    const job = fresh();
    server.mode = 'broken';
    await job.append('ines', 'opened', opened);
    await until(() => lineState().server === 'away');
    expect(await inOutbox()).toEqual(['opened']);
    server.mode = 'badRequest';
    deliver();
    await until(() => lineState().notTaken.length > 0);
    expect(await inOutbox()).toEqual([]);
    expect(lineState().notTaken[0]?.text).toContain('expected an id');
  });
});

/** The line as a delivered entry leaves it. */
async function settledHere(): Promise<JobStore> {
  const job = fresh();
  await job.append('ines', 'opened', opened);
  await until(async () => (await inOutbox()).length === 0);
  await until(() => lineState().server === 'here');
  return job;
}
