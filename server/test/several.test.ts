import { openOwnShop, openShop, type OwnShop, type Shop } from '../../e2e/lib/server.ts';
import { badNight, behindBoth, delivered, mustBeWhole, opened, wait } from './badNight.ts';
import { Tablet } from './tablet.ts';

/** Two servers before one database, killed again and again while entries come in. KILLS=300 for a long night. */
const KILLS = Number(process.env.KILLS ?? 10);
/** Every so many of them it is the database. */
const DATABASE_EVERY = 5;

let first: OwnShop;
let second: Shop;
beforeAll(async () => {
  first = await openOwnShop();
  second = await openShop({ beside: first });
});
afterAll(async () => {
  await second.stop();
  await first.stop();
});

test('two servers: whoever signed in at one is known at the other, and no number is given twice', async () => {
  const tablet = behindBoth({ first, second }, 'both');
  await tablet.signIn('ines', '2580');
  const ids = Array.from({ length: 8 }, (_, i) => `job-both-${i}`);
  await Promise.all(ids.map((id) => delivered(tablet, id, [opened(tablet, id, 'ines')])));
  const jobs = (await tablet.call('GET', '/jobs')).json as { id: string; number: number }[];
  const numbers = jobs.filter(({ id }) => ids.includes(id)).map(({ number }) => number);
  expect(numbers).toHaveLength(8);
  expect(new Set(numbers).size).toBe(8);
});

test('what one server took is heard at the other', async () => {
  const [here, there] = [new Tablet(first, 'here'), new Tablet(second, 'there')];
  for (const tablet of [here, there]) await tablet.signIn('bo', '1470');
  const stop = new AbortController();
  const answer = await fetch(`${second.base}/api/jobs/job-both-0/events?since=0`, {
    headers: { cookie: there.cookieNow },
    signal: stop.signal,
  });
  const reader = answer
    .body!.pipeThrough(new TextDecoderStream() as never)
    .getReader() as ReadableStreamDefaultReader<string>;
  let heard = '';
  const hears = async (text: string) => {
    while (!heard.includes(text)) heard += (await reader.read()).value ?? '';
  };
  await hears('"opened"');
  await here.append('job-both-0', [here.entry('job-both-0', 'note', { text: 'from the other server' }, 'bo')]);
  await hears('from the other server');
  stop.abort();
});

test(`${KILLS} kills of servers and database under load: nothing acknowledged is lost, every chain is whole, every stream complete`, async () => {
  const kill = async (i: number) => {
    if (i % DATABASE_EVERY === 0) {
      process.kill(first.db.pid(), 'SIGKILL');
      await wait(100);
      await first.db.launch();
    } else {
      const shop = i % 2 ? first : second;
      await shop.kill();
      await shop.start();
    }
  };
  mustBeWhole(await badNight({ first, second, kills: KILLS, kill }), KILLS);
});
