import { archetypes, type Entry } from '@iron-cradle/core';
import { openShop, type Shop } from '../../e2e/lib/server.ts';
import { openDatabase } from '../src/db/connect.ts';
import { verifyShop } from '../src/keeping/verify.ts';
import { Tablet } from './tablet.ts';

/** Two servers before one database, killed again and again while entries come in. KILLS=300 for a long night. */
const KILLS = Number(process.env.KILLS ?? 10);
/** Every so many of them it is the database. */
const DATABASE_EVERY = 5;
const CLIENTS = ['ines', 'bo', 'marit'] as const;
const PINS = { ines: '2580', bo: '1470', marit: '3690' };
const SHARED = 'job-shared';

let first: Shop;
let second: Shop;
beforeAll(async () => {
  first = await openShop();
  second = await openShop({ beside: first });
}, 60_000);
afterAll(async () => {
  await second.stop();
  await first.stop();
});

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const vehicle = archetypes[0]!;
/** A tablet whose requests go to the one or the other, as a proxy sends them. */
const behindBoth = (name: string): Tablet => {
  let turn = 0;
  const front = {
    get base() {
      return (turn++ % 2 === 0 ? first : second).base;
    },
  };
  return new Tablet(front as Shop, name);
};
/** Again and again until it was taken, as a tablet's outbox does it. */
async function delivered(tablet: Tablet, jobId: string, entries: Entry[]): Promise<void> {
  for (;;) {
    const answer = await tablet.append(jobId, entries).catch(() => null);
    if (answer?.status === 200 && answer.json.accepted.length === entries.length) return;
    if (answer && answer.status < 500) throw new Error(`${answer.status}: ${JSON.stringify(answer.json)}`);
    await wait(50);
  }
}

test('two servers: whoever signed in at one is known at the other, and no number is given twice', async () => {
  const tablet = behindBoth('both');
  await tablet.signIn('ines', '2580');
  const ids = Array.from({ length: 8 }, (_, i) => `job-both-${i}`);
  await Promise.all(
    ids.map((id) => delivered(tablet, id, [tablet.entry(id, 'opened', { name: 'Van', complaint: 'pump', vehicle })])),
  );
  const jobs = (await tablet.call('GET', '/jobs')).json as { id: string; number: number }[];
  const numbers = jobs.filter(({ id }) => ids.includes(id)).map(({ number }) => number);
  expect(numbers).toHaveLength(8);
  expect(new Set(numbers).size).toBe(8);
}, 60_000);

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
}, 30_000);

test(
  `${KILLS} kills of servers and database under load: nothing acknowledged is lost, every chain is whole, every stream complete`,
  async () => {
    let going = true;
    const acknowledged: { job: string; id: string }[] = [];
    const tablets = await Promise.all(
      CLIENTS.map(async (person) => {
        const tablet = behindBoth(`tablet-${person}`);
        await tablet.signIn(person, PINS[person]);
        return { person, tablet };
      }),
    );
    const { tablet: opener, person: opens } = tablets[0]!;
    await delivered(opener, SHARED, [
      opener.entry(SHARED, 'opened', { name: 'Van', complaint: 'pump', vehicle }, opens),
    ]);
    const writing = tablets.map(async ({ person, tablet }) => {
      const own = `job-of-${person}`;
      await delivered(tablet, own, [tablet.entry(own, 'opened', { name: 'Van', complaint: 'pump', vehicle }, person)]);
      for (let i = 0; going; i++) {
        const job = i % 2 ? own : SHARED;
        const notes = [0, 1].map((k) => tablet.entry(job, 'note', { text: `${person} ${i} ${k}` }, person));
        await delivered(tablet, job, notes);
        acknowledged.push(...notes.map(({ id }) => ({ job, id })));
        await wait(15);
      }
    });
    // One listens at each server, and comes back with the last it heard.
    const listening = [first, second].map(async (shop) => {
      const heard: number[] = [];
      while (going || heard.length === 0)
        try {
          const answer = await fetch(`${shop.base}/api/jobs/${SHARED}/events`, {
            headers: { cookie: opener.cookieNow, 'Last-Event-ID': String(heard.at(-1) ?? 0) },
            signal: AbortSignal.timeout(1_500),
          });
          let text = '';
          for await (const piece of answer.body!.pipeThrough(
            new TextDecoderStream() as never,
          ) as unknown as AsyncIterable<string>) {
            text += piece;
            const whole = text.split('\n\n');
            text = whole.pop()!;
            for (const event of whole) {
              const id = /^id: (\d+)$/m.exec(event)?.[1];
              if (id !== undefined) heard.push(Number(id));
            }
          }
        } catch {
          await wait(50);
        }
      return heard;
    });
    const killing = (async () => {
      for (let i = 1; i <= KILLS; i++) {
        await wait(200 + ((i * 97) % 400));
        if (i % DATABASE_EVERY === 0) {
          process.kill(first.db.pid(), 'SIGKILL');
          await wait(100);
          await first.db.launch();
        } else {
          const shop = i % 2 ? first : second;
          await shop.kill();
          await shop.start();
        }
      }
      await wait(2_000);
      going = false;
    })();
    await Promise.all([killing, ...writing]);
    const heard = await Promise.all(listening);

    const { entries } = (await opener.call('GET', `/jobs/${SHARED}/entries`)).json as { entries: Entry[] };
    const seqs = entries.map(({ seq }) => seq);
    expect(seqs).toEqual(seqs.map((_, i) => i + 1));
    const there = new Set(entries.map(({ id }) => id));
    for (const person of CLIENTS)
      for (const { id } of (await opener.call('GET', `/jobs/job-of-${person}/entries`)).json.entries as Entry[])
        there.add(id);
    expect(acknowledged.filter(({ id }) => !there.has(id))).toEqual([]);
    expect(acknowledged.length).toBeGreaterThan(KILLS * 10);
    // In order, none twice, none left out; the last few may still be on their way.
    for (const list of heard) {
      expect(list).toEqual(list.map((_, i) => i + 1));
      expect(list.length).toBeGreaterThan(seqs.length - 40);
    }
    const db = await openDatabase(first.db.url());
    expect((await verifyShop(db)).broken).toEqual([]);
    await db.sequelize.close();
    console.log(`${acknowledged.length} entries acknowledged over ${KILLS} kills, none lost`);
  },
  Math.max(120_000, KILLS * 4_000),
);
