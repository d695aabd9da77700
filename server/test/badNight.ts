import { archetypes, type Entry } from '@iron-cradle/core';
import type { Shop } from '../../e2e/lib/server.ts';
import { until } from '../../e2e/lib/until.ts';
import { openDatabase } from '../src/db/connect.ts';
import { verifyShop } from '../src/keeping/verify.ts';
import { Tablet } from './tablet.ts';

/** Two servers before one database while entries come in and one thing after another is killed. */
export interface Night {
  first: Shop;
  second: Shop;
  /** So many things go wrong. */
  kills: number;
  /** The i-th of them, from 1, until it works again. */
  kill: (i: number) => Promise<void>;
}

const PINS = { ines: '2580', bo: '1470', marit: '3690' };
const CLIENTS = Object.keys(PINS) as (keyof typeof PINS)[];
const SHARED = 'job-shared';
const vehicle = archetypes[0]!;

export const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Opens a job. @example opened(tablet, 'job-1', 'ines') */
export const opened = (tablet: Tablet, jobId: string, person: string): Entry =>
  tablet.entry(jobId, 'opened', { name: 'Van', complaint: 'pump', vehicle }, person);

/** A tablet whose requests go to the one or the other, as a proxy sends them. */
export function behindBoth({ first, second }: Pick<Night, 'first' | 'second'>, name: string): Tablet {
  let turn = 0;
  const front = {
    get base() {
      return (turn++ % 2 === 0 ? first : second).base;
    },
  };
  return new Tablet(front as Shop, name);
}

/** Again and again until it was taken, as a tablet's outbox does it. */
export async function delivered(tablet: Tablet, jobId: string, entries: Entry[]): Promise<void> {
  for (;;) {
    const answer = await tablet.append(jobId, entries).catch(() => null);
    if (answer?.status === 200 && answer.json.accepted.length === entries.length) return;
    // 503 is said while the database is away; anything else would be a fault of the server's.
    if (answer && answer.status !== 503) throw new Error(`${answer.status}: ${JSON.stringify(answer.json)}`);
    await wait(50);
  }
}

/** Hears of the shared job at one server, and comes back with the last it heard. @returns the numbers, in the order they came */
async function listening(shop: Shop, { cookie, going }: { cookie: string; going: () => boolean }): Promise<number[]> {
  const heard: number[] = [];
  while (going() || heard.length === 0)
    try {
      const answer = await fetch(`${shop.base}/api/jobs/${SHARED}/events`, {
        headers: { cookie, 'Last-Event-ID': String(heard.at(-1) ?? 0) },
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
}

/** What such a night leaves. */
export interface Morning {
  /** Entries the servers acknowledged. */
  acknowledged: number;
  /** Of these, what is not there. */
  lost: { job: string; id: string }[];
  /** Numbers of the shared job's log. */
  seqs: number[];
  /** Numbers each of two streams told, in order. */
  heard: number[][];
  /** What a check of the whole shop finds broken. */
  broken: unknown[];
}

/** Three people write on two jobs each, two streams listen, things are killed. @example await badNight({ first, second, kills: 10, kill }) */
export async function badNight({ first, second, kills, kill }: Night): Promise<Morning> {
  let going = true;
  const acknowledged: { job: string; id: string }[] = [];
  const tablets = await Promise.all(
    CLIENTS.map(async (person) => {
      const tablet = behindBoth({ first, second }, `tablet-${person}`);
      // As somebody does it at a tablet: again where the server is away.
      await until(
        () => tablet.signIn(person, PINS[person]),
        ({ status }) => status === 201,
      );
      return { person, tablet };
    }),
  );
  const { tablet: opener, person: opens } = tablets[0]!;
  await delivered(opener, SHARED, [opened(opener, SHARED, opens)]);
  const writing = tablets.map(async ({ person, tablet }) => {
    const own = `job-of-${person}`;
    await delivered(tablet, own, [opened(tablet, own, person)]);
    for (let i = 0; going; i++) {
      const job = i % 2 ? own : SHARED;
      const notes = [0, 1].map((k) => tablet.entry(job, 'note', { text: `${person} ${i} ${k}` }, person));
      await delivered(tablet, job, notes);
      acknowledged.push(...notes.map(({ id }) => ({ job, id })));
      await wait(15);
    }
  });
  const streams = [first, second].map((shop) => listening(shop, { cookie: opener.cookieNow, going: () => going }));
  const killing = (async () => {
    for (let i = 1; i <= kills; i++) {
      await wait(200 + ((i * 97) % 400));
      await kill(i);
    }
    await wait(2_000);
    going = false;
  })();
  await Promise.all([killing, ...writing]);
  const heard = await Promise.all(streams);

  const { entries } = (await opener.call('GET', `/jobs/${SHARED}/entries`)).json as { entries: Entry[] };
  const there = new Set(entries.map(({ id }) => id));
  for (const person of CLIENTS)
    for (const { id } of (await opener.call('GET', `/jobs/job-of-${person}/entries`)).json.entries as Entry[])
      there.add(id);
  const db = await openDatabase(first.db.url());
  const { broken } = await verifyShop(db);
  await db.sequelize.close();
  return {
    acknowledged: acknowledged.length,
    lost: acknowledged.filter(({ id }) => !there.has(id)),
    seqs: entries.map(({ seq }) => seq ?? 0),
    heard,
    broken,
  };
}

const counted = (list: unknown[]): number[] => list.map((_, i) => i + 1);

/** Nothing acknowledged is lost, every chain is whole, every stream complete and in order. */
export function mustBeWhole({ acknowledged, lost, seqs, heard, broken }: Morning, kills: number): void {
  expect(lost).toEqual([]);
  expect(seqs).toEqual(counted(seqs));
  expect(acknowledged).toBeGreaterThan(kills * 10);
  // None twice, none left out; the last few may still be on their way.
  for (const list of heard) {
    expect(list).toEqual(counted(list));
    expect(list.length).toBeGreaterThan(seqs.length - 40);
  }
  expect(broken).toEqual([]);
  console.log(`${acknowledged} entries acknowledged over ${kills} kills, none lost`);
}
