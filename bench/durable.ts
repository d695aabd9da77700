import { randomUUID } from 'node:crypto';
import { createPool } from 'mariadb';
import { archetypes, figuresOf, logWriter } from '@iron-cradle/core';
import { ownDatabase } from '../e2e/lib/server.ts';
import { openDatabase } from '../server/src/db/connect.ts';
import { append } from '../server/src/jobs/append.ts';
import { shelvesOf, type Shelves } from '../server/src/jobs/shelves.ts';
import { row } from './lib.ts';

/** Entries of each client, after a few to warm up. */
const EACH = 40;
const WARM = 5;
const FIGURES = figuresOf({ alone: 25, two: 40, lying: 15, helper: 5 });

/** ms an entry, of so many clients at once, each in a job of its own. */
async function timeOf(clients: number, work: (client: number) => Promise<void>): Promise<number> {
  const all = (times: number) =>
    Promise.all(
      Array.from({ length: clients }, async (_, client) => {
        for (let i = 0; i < times; i++) await work(client);
      }),
    );
  await all(WARM);
  const from = performance.now();
  await all(EACH);
  return (performance.now() - from) / (clients * EACH);
}

/** A job in Plan, and what enters one note more. */
async function noteIn(shelves: Shelves): Promise<() => Promise<void>> {
  const jobId = randomUUID();
  const write = logWriter(jobId, { by: 'ines', device: 'bench-tablet' });
  const take = async (entry: object) => {
    const { accepted } = await append(shelves, {
      jobId,
      entries: [entry],
      personId: 'ines',
      tokens: 'own',
      figures: FIGURES,
    });
    if (accepted.length !== 1) throw new Error('the entry was not taken');
  };
  await take(write('opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]!, shop: FIGURES }));
  return () => take({ ...write('note', { text: 'one more' }), on: null });
}

/** An entry that is there after a power cut, against the bare driver's same transaction: a row locked, one added, one changed. */
export async function benchDurable(): Promise<void> {
  const mariadb = await ownDatabase();
  const db = await openDatabase(mariadb.url());
  const pool = createPool(`${mariadb.url()}?connectionLimit=12&acquireTimeout=60000`);
  try {
    await db.models.Person.create({ id: 'ines', name: 'Ines', role: 'technician', pinHash: null });
    const shelves = shelvesOf(db, null);
    await pool.execute('CREATE TABLE bare_jobs (id VARCHAR(60) PRIMARY KEY, last_seq INT NOT NULL)');
    await pool.execute(
      'CREATE TABLE bare (id VARCHAR(60) PRIMARY KEY, job_id VARCHAR(60) NOT NULL, body LONGTEXT NOT NULL)',
    );
    for (const clients of [1, 4, 16, 50]) {
      const notes = await Promise.all(Array.from({ length: clients }, () => noteIn(shelves)));
      const ours = await timeOf(clients, (client) => notes[client]!());
      const jobs = Array.from({ length: clients }, () => randomUUID());
      for (const id of jobs) await pool.execute('INSERT INTO bare_jobs VALUES (?, 0)', [id]);
      const bare = await timeOf(clients, async (client) => {
        const connection = await pool.getConnection();
        try {
          await connection.beginTransaction();
          await connection.execute('SELECT * FROM bare_jobs WHERE id = ? FOR UPDATE', [jobs[client]]);
          await connection.execute('INSERT INTO bare VALUES (?, ?, ?)', [
            randomUUID(),
            jobs[client],
            '{"text":"one more"}',
          ]);
          await connection.execute('UPDATE bare_jobs SET last_seq = last_seq + 1 WHERE id = ?', [jobs[client]]);
          await connection.commit();
        } finally {
          await connection.release();
        }
      });
      row(`an entry, ${clients} at once, job in Plan`, ours, 'the bare driver’s same transaction', bare);
    }
  } finally {
    await pool.end();
    await db.sequelize.close();
    await mariadb.stop();
  }
}
