import { opened, tokenFor, until, type Server } from './testing.ts';
import { begun, fresh, inOutbox } from './testingJobs.ts';
import { lineState } from './line.ts';
import { deliver } from './sender.ts';
import { askToken, tokenOf } from './tokens.ts';

let server: Server;
beforeEach(async () => {
  server = await begun();
});

describe('whose entries are', () => {
  test('one tablet handed round: what was entered before the network came back is delivered by the next, as the first one’s', async () => {
    await askToken('ines');
    server.mode = 'away';
    const job = fresh();
    await job.append('ines', 'opened', opened);
    server.signedIn = 'bo';
    server.mode = 'up';
    await askToken('bo');
    await job.append('bo', 'note', { text: 'mine' });
    deliver();
    await until(() => server.log.length === 2);
    expect(server.log.map(({ by }) => by)).toEqual(['ines', 'bo']);
    expect([await tokenOf('ines'), await tokenOf('bo')]).toEqual([tokenFor('ines'), tokenFor('bo')]);
  });

  test('a sign-in that was ended: what was made by it is listed, and the rest goes out', async () => {
    await askToken('ines');
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(async () => (await inOutbox()).length === 0);
    server.ended.add(tokenFor('ines'));
    await job.append('ines', 'note', { text: 'from a lost tablet' });
    server.signedIn = 'bo';
    await askToken('bo');
    await job.append('bo', 'note', { text: 'goes on' });
    await until(() => server.log.some((entry) => entry.by === 'bo'));
    await until(() => lineState().notTaken.length === 1);
    expect(lineState().notTaken[0]).toMatchObject({ keptBack: true, text: 'expected a sign-in of theirs' });
    expect(server.log.map(({ kind }) => kind)).toEqual(['opened', 'note']);
  });

  test('entered before its token had come it is asked for when it goes out', async () => {
    server.signedIn = 'marit';
    const job = fresh();
    await job.append('marit', 'opened', opened);
    await until(() => server.log.length === 1);
    expect(server.requests.map(({ path }) => path)).toContain('/session/token');
    expect(lineState().notTaken).toEqual([]);
  });

  test('a device that lost its id is another one: it asks for a token of its own', async () => {
    await askToken('ines');
    localStorage.setItem('cradle-device', 'another-device-than-before');
    expect(await tokenOf('ines')).toBeNull();
    const before = server.requests.length;
    const job = fresh();
    await job.append('ines', 'opened', opened);
    await until(() => server.log.length === 1);
    expect(server.requests.slice(before).map(({ path }) => path)).toContain('/session/token');
    expect(server.log[0]!.device).toBe('another-device-than-before');
  });
});
