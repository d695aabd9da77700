import type { Entry } from '@iron-cradle/core';
import { logWriter } from '@iron-cradle/core';
import { JobStore } from './jobStore.ts';
import { opened, until, type Server } from './testing.ts';
import { begun } from './testingJobs.ts';

/** A page of a job that is left before it has read anything. */
let server: Server;
let answer: () => void;
beforeEach(async () => {
  server = await begun();
  server.readsWait = new Promise((resolve) => (answer = resolve));
});

/** A job the server has and this device does not. */
function there(jobId: string): JobStore {
  server.log.push({
    ...logWriter(jobId)('opened', opened),
    id: `${jobId}-1`,
    n: 1,
    seq: 1,
    hash: 'x',
  } as unknown as Entry);
  return new JobStore(jobId);
}
const reads = (jobId: string) => server.requests.filter(({ path }) => path.startsWith(`/jobs/${jobId}/entries`)).length;

test('six pages left before their first read is answered hold no connection', async () => {
  const before = server.streams();
  const jobs = Array.from({ length: 6 }, (_, i) => there(`left-${i}`));
  const leave = jobs.map((job) => job.subscribe(() => undefined));
  for (const { jobId } of jobs) await until(() => reads(jobId) > 0);
  leave.forEach((go) => go());
  answer();
  for (const job of jobs) await until(() => job.snapshot().state !== null);
  expect(server.streams()).toBe(before);
});

test('come back to before that, it is listened to once', async () => {
  const before = server.streams();
  const job = there('left-and-back');
  const leave = job.subscribe(() => undefined);
  await until(() => reads(job.jobId) > 0);
  leave();
  const again = job.subscribe(() => undefined);
  await until(() => reads(job.jobId) > 1);
  answer();
  await until(() => server.listened(job.jobId));
  expect(server.streams()).toBe(before + 1);
  again();
  expect(server.streams()).toBe(before);
});

test('left while the server is away, nothing is asked any more', async () => {
  server.mode = 'away';
  const job = there('left-away');
  const leave = job.subscribe(() => undefined);
  await until(() => reads(job.jobId) > 1);
  leave();
  server.mode = 'up';
  answer();
  const asked = reads(job.jobId);
  // Real time: a second try comes after two and a half seconds.
  await new Promise((resolve) => setTimeout(resolve, 3_500));
  expect(reads(job.jobId)).toBe(asked);
  expect(server.streams()).toBe(0);
});
