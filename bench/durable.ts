import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import { createPool } from 'mariadb';
import { archetypes, figuresOf, logWriter } from '@iron-cradle/core';
import { ownDatabase } from '../e2e/lib/server.ts';
import { openDatabase } from '../server/src/db/connect.ts';
import { append } from '../server/src/jobs/appending/append.ts';
import type { Chained } from '../server/src/jobs/chain.ts';
import { HEAD, KNOWN, putEntries, putJobs, PUT_JOB, valuesOf } from '../server/src/jobs/appending/statements.ts';
import { shelvesOf, type Shelves } from '../server/src/jobs/shelves.ts';
import { giveToken, TOKENS } from '../server/src/people/tokens.ts';
import { middle, row } from './lib.ts';

/** Entries of all clients together in one measurement, and before the first: a server runs for days. */
const ENTRIES = 600;
const WARM = 1000;
/** Measurements of each of the two, in turns: what else the machine does meets both. */
const ROUNDS = 5;
/** What follows a while after an entry was taken is over by then, ms. */
const AFTERWARDS = 300;
const DEVICE = 'bench-tablet';
/** Rows as they stand in the database. */
interface Job {
  last_hash: string;
  summary: string;
}
type NoteRow = Omit<Chained, 'jobId' | 'onId'>;
const FIGURES = figuresOf({ alone: 25, two: 40, lying: 15, helper: 5 });

/** Notes in a job at most, as long as one gets in a day. */
const LONG = 60;

/** ms an entry, of so many clients at once. */
async function timeOf(clients: number, work: (client: number) => Promise<void>, entries = ENTRIES): Promise<number> {
  const each = Math.ceil(entries / clients);
  const from = performance.now();
  await Promise.all(
    Array.from({ length: clients }, async (_, client) => {
      for (let i = 0; i < each; i++) await work(client);
    }),
  );
  return (performance.now() - from) / (clients * each);
}

/** A job in Plan, and what delivers one note more, as a tablet does. */
async function noteIn(shelves: Shelves, token: string): Promise<() => Promise<void>> {
  const jobId = randomUUID();
  const write = logWriter(jobId, { by: 'ines', device: DEVICE });
  const take = async (entry: object) => {
    const { accepted } = await append(shelves, {
      jobId,
      entries: [entry],
      personId: 'ines',
      tokens: [token],
      figures: FIGURES,
    });
    if (accepted.length !== 1) throw new Error('the entry was not taken');
  };
  await take(write('opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]!, shop: FIGURES }));
  return () => take({ ...write('note', { text: 'one more' }), on: null });
}

/** A client who goes from one job to the next. */
export async function clientOf(shelves: Shelves, token: string, entries: number): Promise<() => Promise<void>> {
  const jobs: (() => Promise<void>)[] = [];
  while (jobs.length * LONG < entries) jobs.push(await noteIn(shelves, token));
  let made = 0;
  return () => jobs[Math.floor(made++ / LONG)]!();
}

/** An entry that is there after a power cut, against the same transaction by the bare driver, and against the least that adds a row. */
export async function benchDurable(): Promise<void> {
  const mariadb = await ownDatabase();
  const db = await openDatabase(mariadb.url());
  const pool = createPool(`${mariadb.url()}?connectionLimit=12&acquireTimeout=60000`);
  try {
    await db.models.Person.create({ id: 'ines', name: 'Ines', role: 'technician', pinHash: null });
    const { token, hash } = await giveToken(db, { personId: 'ines', device: DEVICE });
    const shelves = shelvesOf(db, null);
    for (const clients of [1, 4, 16, 50]) {
      const each = Math.ceil((WARM + ROUNDS * (ENTRIES + clients)) / clients);
      const notes = await Promise.all(Array.from({ length: clients }, () => clientOf(shelves, token, each)));
      const ours = (client: number) => notes[client]!();
      await timeOf(clients, ours, WARM);
      await setTimeout(AFTERWARDS);
      const same = await bareTransaction(pool, clients, hash);
      const least = await bareTransaction(pool, clients, null);
      await timeOf(clients, same, WARM);
      const times: [number[], number[], number[]] = [[], [], []];
      for (let i = 0; i < ROUNDS; i++) {
        times[0].push(await timeOf(clients, ours));
        await setTimeout(AFTERWARDS);
        times[1].push(await timeOf(clients, same));
        times[2].push(await timeOf(clients, least));
      }
      const [entry, bare, three] = times.map(middle) as [number, number, number];
      const what = `an entry, ${clients} at once, job in Plan`;
      row(what, entry, 'the same transaction by the bare driver', bare);
      row(what, entry, 'a row locked, one added, one changed', three);
    }
  } finally {
    await pool.end();
    await db.sequelize.close();
    await mariadb.stop();
  }
}

/**
 * Adds a note to jobs of its own, by the driver alone: with the very statements an entry is added with, one after the other.
 *
 * @param token its hash; null: it is not asked who made the entry, nor whether it came before
 */
async function bareTransaction(
  pool: ReturnType<typeof createPool>,
  clients: number,
  token: string | null,
): Promise<(client: number) => Promise<void>> {
  const [job]: Job[] = await pool.execute('SELECT * FROM jobs ORDER BY touched DESC LIMIT 1');
  const [note]: NoteRow[] = await pool.execute("SELECT * FROM entries WHERE kind = 'note' LIMIT 1");
  const jobs = Array.from({ length: clients }, () => randomUUID());
  for (const id of jobs) {
    const [{ top }] = await pool.execute<[{ top: number }]>('SELECT MAX(number) AS top FROM jobs');
    await pool.execute(putJobs(1), [0, job!.last_hash, false, new Date(), id, top + 1, job!.summary]);
  }
  await pool.execute('UPDATE counters SET value = (SELECT MAX(number) FROM jobs)');
  let seq = 0;
  return async (client) => {
    const jobId = jobs[client]!;
    const entry: Chained = { ...note!, onId: null, id: randomUUID(), jobId, seq: (seq += 1) };
    const connection = await pool.getConnection();
    try {
      await connection.beginTransaction();
      await connection.execute(HEAD, [jobId]);
      if (token !== null) {
        await connection.execute(KNOWN, [entry.id, entry.id]);
        await connection.execute(TOKENS, [new Date(), token]);
      }
      await connection.execute(PUT_JOB, [seq, entry.hash, false, new Date(), jobId]);
      await connection.execute(putEntries(1), valuesOf(entry));
      await connection.commit();
    } finally {
      await connection.release();
    }
  };
}
