import type { Server } from './testing.ts';
import { begun } from './testingJobs.ts';
import { store } from './db.ts';
import { drawNumber, ensureBlock } from './tags.ts';

let server: Server;

beforeEach(async () => {
  server = await begun();
});

describe('tag numbers', () => {
  test('what no file lists draws the server’s number, the same for the same thing', async () => {
    expect(await drawNumber('job-t', 'thing-1')).toBe(100);
    expect(await drawNumber('job-t', 'thing-2')).toBe(101);
    expect(await drawNumber('job-t', 'thing-1')).toBe(100);
  });

  test('with the server away it is one of this device’s block; without a block nobody makes one up', async () => {
    await ensureBlock('job-u');
    server.mode = 'away';
    const all = await Promise.all(['a', 'b', 'c'].map((key) => drawNumber('job-u', key)));
    expect(new Set(all).size).toBe(3);
    for (const number of all) expect(number).toBeGreaterThanOrEqual(200);
    expect(await drawNumber('job-w', 'a')).toBeNull();
  });

  test('the block is asked for once, and again when the server was away', async () => {
    server.mode = 'away';
    await ensureBlock('job-v');
    expect((await (await store()).get('tags', 'job-v'))?.block ?? null).toBeNull();
    server.mode = 'up';
    await ensureBlock('job-v');
    await ensureBlock('job-v');
    expect(server.requests.filter((r) => r.path.includes('/devices/') && r.path.includes('job-v'))).toHaveLength(2);
    expect((await (await store()).get('tags', 'job-v'))?.block).toBe(0);
  });
});
