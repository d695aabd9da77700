import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { archetypes, summaryOf, foldJob, logWriter, startingFigures } from '@iron-cradle/core';
import { QueryTypes } from 'sequelize';
import { openShop, type Shop } from '../e2e/lib/server.ts';
import { openDatabase, type Database } from '../server/src/db/connect.ts';
import { GENESIS } from '../server/src/jobs/chain.ts';
import { wordsOf } from '../server/src/jobs/words.ts';
import { fileOf } from '../server/test/longFile.ts';
import { Tablet } from '../server/test/tablet.ts';
import { middle, row } from './lib.ts';

const MANY = 100_000;
const FEW = 20;
const LISTENERS = 500;
/** Streams of one sign-in: below what it may have. */
const EACH = 20;

const write = logWriter('bench-job');
const state = foldJob(null, [write('opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! })])!;
const summary = summaryOf(state);

/** Rows as fast as the database takes them. */
async function insert(db: Database, into: string, rows: readonly unknown[][]): Promise<void> {
  for (let i = 0; i < rows.length; i += 2000) {
    const some = rows.slice(i, i + 2000);
    await db.sequelize.query(
      `INSERT INTO ${into} VALUES ${some.map((one) => `(${one.map(() => '?').join(',')})`).join(',')}`,
      {
        type: QueryTypes.INSERT,
        replacements: some.flat(),
      },
    );
  }
}

/** Signed jobs of years, as their rows stand: 4,000 vehicles with a plate each. */
async function signedJobs(db: Database, from: number, to: number): Promise<void> {
  const numbers = Array.from({ length: to - from }, (_, i) => from + i);
  const seen = (n: number) => ({ name: `Van ${n % 4000}`, plate: `QX ${1000 + (n % 4000)}` });
  const day = (n: number) => new Date(Date.UTC(2018, 0, 1) + n * 45 * 60_000);
  await insert(
    db,
    'jobs (id, number, last_seq, last_hash, signed, summary, summary_seq, touched, signed_month)',
    numbers.map((n) => [
      `old-${n}`,
      10_000 + n,
      1,
      GENESIS,
      1,
      JSON.stringify({ ...summary, ...seen(n), signed: day(n).toISOString() }),
      1,
      day(n),
      day(n).toISOString().slice(0, 7),
    ]),
  );
  await insert(
    db,
    'job_words (word, job_id)',
    numbers.flatMap((n) => wordsOf(seen(n)).map((word) => [word, `old-${n}`])),
  );
}

/** Median of an answer over the loopback, ms. */
async function answer(tablet: Tablet, path: string): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < 25; i++) {
    const from = performance.now();
    const { status } = await tablet.call('GET', path);
    if (status !== 200) throw new Error(`${path}: ${status}`);
    times.push(performance.now() - from);
  }
  return middle(times);
}

/** s of processor a process has used, and kB it holds. */
const used = (pid: number) => {
  const stat = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
  const kb = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]);
  return { cpu: (Number(stat[11]) + Number(stat[12])) / 100, kb };
};
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** A shop of years: what its lists, its search, its listeners and its starts take, against the same of a small one. */
export async function benchShop(): Promise<void> {
  const shop = await openShop();
  const db = await openDatabase(shop.db.url());
  const ines = new Tablet(shop, 'bench');
  try {
    await ines.signIn();
    for (let i = 0; i < FEW; i++)
      await ines.append(`open-${i}`, [
        ines.entry(`open-${i}`, 'opened', {
          name: 'Van',
          complaint: 'pump',
          vehicle: archetypes[0]!,
          shop: startingFigures,
        }),
      ]);
    const [bays, signed] = [await answer(ines, '/jobs'), await answer(ines, '/jobs/signed?find=van')];
    await signedJobs(db, 0, 20_000);
    row('the bays of a shop with 20,000 jobs', await answer(ines, '/jobs'), 'with twenty', bays);
    await signedJobs(db, 20_000, MANY);
    await db.sequelize.query('ANALYZE TABLE jobs, job_words', { type: QueryTypes.SELECT });
    for (const find of ['van', 'van 1234', '2234', 'qx 1999', 'nothing', ''])
      row(
        `“${find}” looked for in ${MANY} jobs`,
        await answer(ines, `/jobs/signed?find=${find.replace(' ', '+')}`),
        'in a dozen',
        signed,
      );
    row('a month of them', await answer(ines, '/jobs/signed?month=2020-03'), 'a dozen', signed);
    await listeners(shop);
    await longFile(shop, ines);
    await memory(shop, ines);
    await starts(shop);
  } finally {
    await db.sequelize.close();
    await shop.stop();
  }
}

/** Who listens and hears nothing should cost nothing. */
async function listeners(shop: Shop): Promise<void> {
  const before = used(shop.pid());
  await wait(10_000);
  const idle = used(shop.pid()).cpu - before.cpu;
  const stop = new AbortController();
  for (let i = 0; i < LISTENERS / EACH; i++) {
    const one = new Tablet(shop, `listener-${i}`);
    await one.signIn();
    for (let k = 0; k < EACH; k++)
      void fetch(`${shop.base}/api/jobs/${k % 2 ? 'events' : `open-${k}/events`}`, {
        headers: { cookie: one.cookieNow },
        signal: stop.signal,
      })
        .then((response) => response.text())
        .catch(() => undefined);
  }
  await wait(5_000);
  const from = used(shop.pid());
  await wait(20_000);
  const share = (used(shop.pid()).cpu - from.cpu) / 20;
  console.log(
    `${LISTENERS} listeners, nothing happens`.padEnd(44),
    `${(100 * share).toFixed(1)} % of a processor; without them ${(idle * 10).toFixed(1)} %`,
  );
  stop.abort();
}

/** A job of 60,000 notes comes in: how long somebody else waits at the most, against how long it takes. */
async function longFile(shop: Shop, ines: Tablet): Promise<void> {
  const body = fileOf(ines, 'long-file', 60_000);
  let done = false;
  let longest = 0;
  const others = (async () => {
    while (!done) {
      const from = performance.now();
      await fetch(`${shop.base}/api/health`);
      longest = Math.max(longest, performance.now() - from);
      await wait(20);
    }
  })();
  const from = performance.now();
  const { status } = await ines.call('POST', '/jobs/import', body);
  if (status !== 201) throw new Error(`the file was not taken: ${status}`);
  const took = performance.now() - from;
  done = true;
  await others;
  row('longest wait while 60,000 notes come in', longest, 'the time that takes', took);
}

/** Ten thousand entries after one another: what the server holds at the end against half-way. */
async function memory(shop: Shop, ines: Tablet): Promise<void> {
  const held: number[] = [];
  for (let i = 0; i < 10_000; i += 50) {
    const job = `open-${(i / 50) % FEW}`;
    const notes = Array.from({ length: 50 }, () => ines.entry(job, 'note', { text: 'one more' }));
    const { json } = await ines.append(job, notes);
    if (json.accepted.length !== 50) throw new Error('not all were taken');
    held.push(used(shop.pid()).kb);
  }
  const mb = (of: readonly number[]) => Math.round(of.reduce((sum, kb) => sum + kb, 0) / of.length / 1024);
  const [third, last] = [mb(held.slice(60, 100)), mb(held.slice(160))];
  console.log(
    'held after 10,000 entries'.padEnd(44),
    `${last} MB   ${(last / third).toFixed(2)} × half-way (${third} MB)`,
  );
}

/** From a kill to the first answer; and the second start of the whole against its database’s own. */
async function starts(shop: Shop): Promise<void> {
  const times: number[] = [];
  for (let i = 0; i < 5; i++) {
    await shop.kill();
    const from = performance.now();
    await shop.start();
    await fetch(`${shop.base}/api/health`);
    times.push(performance.now() - from);
  }
  console.log('from a kill to the first answer'.padEnd(44), `${(middle(times) / 1000).toFixed(2)} s`);
  const started = (env: NodeJS.ProcessEnv) =>
    new Promise<number>((resolve, reject) => {
      const from = performance.now();
      const child = spawn(process.execPath, ['scripts/start.mjs'], {
        env: { ...process.env, ...env },
        stdio: ['ignore', 'pipe', 'inherit'],
      });
      child.stdout.on('data', (text: Buffer) => {
        if (!text.includes('Iron Cradle is at')) return;
        const took = performance.now() - from;
        child.once('exit', () => resolve(took));
        child.kill('SIGINT');
      });
      child.once('exit', (code) => code && reject(new Error(`npm start ended with ${code}`)));
    });
  const env = { DATABASE_URL: shop.db.url(), PORT: '0', SECURITY_LOG: '/dev/null' };
  await started(env);
  console.log('second npm start, its database running'.padEnd(44), `${((await started(env)) / 1000).toFixed(2)} s`);
}
