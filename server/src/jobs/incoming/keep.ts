import type { Transaction } from 'sequelize';
import { inTransaction, type Database } from '../../db/connect.ts';
import { Problem } from '../../http/problem.ts';
import { keepSeals } from '../../sealing/seals.ts';
import type { Chained } from '../chain.ts';
import { numberFor } from '../numbers.ts';
import { keepState } from '../states.ts';
import { keepWords } from '../words.ts';
import type { ReadJob } from './read.ts';

/** Rows in one statement: far below the longest the database takes. */
const AT_ONCE = 500;

const parts = <T>(list: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(list.length / AT_ONCE) }, (_, i) => list.slice(i * AT_ONCE, (i + 1) * AT_ONCE));

/**
 * Takes a job in. People nobody knows here come along as names that cannot sign in. Photos are taken in where the log names them.
 *
 * @throws Problem 409 when the job, or an entry of it, is already here
 * @example await keepJob(db, await readJobFile(file)) // { id: 'job-17', number: 17 }
 */
export function keepJob(db: Database, job: ReadJob): Promise<{ id: string; number: number }> {
  const { id, rows, summary, seals, photos } = job;
  return inTransaction(db, async (transaction) => {
    const { Job, Entry, Person, Photo } = db.models;
    await mustBeNew(db, { id, rows }, transaction);
    const number = await numberFor(db, job.number, transaction);
    for (const by of new Set(rows.map((row) => row.by)))
      await Person.findOrCreate({
        where: { id: by },
        defaults: { id: by, name: (job.people[by] ?? by).slice(0, 80), role: 'technician', pinHash: null },
        transaction,
      });
    await Job.create(
      {
        id,
        number,
        lastSeq: rows.length,
        lastHash: job.last,
        signed: summary.signed !== null,
        summary: JSON.stringify(summary),
        signedMonth: summary.signed?.slice(0, 7) ?? null,
        summarySeq: rows.length,
        touched: new Date(),
        broughtIn: rows.length,
      },
      { transaction },
    );
    if (summary.signed) await keepWords(db, { jobId: id, name: summary.name, plate: summary.plate }, transaction);
    for (const some of parts(rows)) await Entry.bulkCreate(some, { transaction });
    await keepState(db, { jobId: id, seq: rows.length, hash: job.last, state: job.state }, transaction);
    await keepSeals(db, { jobId: id, seals }, transaction);
    for (const { bytes, ...photo } of photos)
      await Photo.findOrCreate({
        where: { id: photo.id },
        defaults: { ...photo, bytes: Buffer.from(bytes), jobId: id },
        transaction,
      });
    return { id, number };
  });
}

async function mustBeNew(
  db: Database,
  { id, rows }: { id: string; rows: readonly Chained[] },
  transaction: Transaction,
): Promise<void> {
  if (await db.models.Job.findByPk(id, { transaction }))
    throw new Problem(409, 'Already here', { detail: 'This job is already in this shop.' });
  for (const some of parts(rows)) {
    const double = await db.models.Entry.findOne({
      where: { id: some.map((row) => row.id) },
      attributes: ['id'],
      transaction,
    });
    if (double)
      throw new Problem(409, 'Already here', {
        detail: `Entry ${double.id} of this file is part of another job here.`,
      });
  }
}
