import type { Transaction } from 'sequelize';
import {
  checkVehicle,
  foldJob,
  InputError,
  refusalOf,
  type Entry,
  type EntryKind,
  type JobState,
  type Refusal,
  type ShopKilograms,
  summaryOf,
} from '@iron-cradle/core';
import { checkBody, entryBodies } from '@iron-cradle/core/entries';
import { inTransaction, type Database } from '../db/connect.ts';
import type { Job } from '../db/models.ts';
import { entryOf, GENESIS, hashOf } from './chain.ts';

/** What became of each entry of a request. */
export interface Appended {
  accepted: { id: string; seq: number }[];
  refused: ({ id: string } & Refusal)[];
}

export interface Appending {
  jobId: string;
  entries: unknown[];
  /** Who is signed in on the device that delivers. */
  personId: string;
  shop: ShopKilograms;
}

/**
 * Appends entries in order, in one transaction: an entry already there is only confirmed, one that the state forbids is
 * refused with the reason and the others go on, each accepted one is chained to the one before.
 */
export async function append(db: Database, { jobId, entries, personId, shop }: Appending): Promise<Appended> {
  return inTransaction(db, async (transaction) => {
    const { Entry: Rows, Job: Jobs } = db.models;
    let job = await Jobs.findByPk(jobId, { transaction, lock: transaction.LOCK.UPDATE });
    const rows = job ? await Rows.findAll({ where: { jobId }, order: [['seq', 'ASC']], transaction }) : [];
    let state = foldJob(null, rows.map(entryOf), { shop });
    const known = new Map(rows.map((row) => [row.id, row.seq]));
    const result: Appended = { accepted: [], refused: [] };
    for (const raw of entries) {
      const id = idOf(raw);
      if (known.has(id)) {
        result.accepted.push({ id, seq: known.get(id)! });
        continue;
      }
      const read = await readEntry(db, raw, jobId, personId, transaction);
      const refusal = 'text' in read ? read : refusalOf(state, read, shop);
      if (refusal) {
        result.refused.push({ id, ...refusal });
        continue;
      }
      const entry = read as Entry;
      job ??= await firstRow(db, jobId, transaction);
      const seq = job.lastSeq + 1;
      const said = { id, jobId, seq, at: entry.at, by: entry.by, kind: entry.kind, body: JSON.stringify(entry.body) };
      const hash = hashOf(job.lastHash, said);
      await Rows.create({ ...said, hash }, { transaction });
      state = foldJob(state, [{ ...entry, seq }], { shop });
      job.set({ lastSeq: seq, lastHash: hash });
      known.set(id, seq);
      result.accepted.push({ id, seq });
    }
    if (job && state && result.accepted.length > 0) await save(job, state, transaction);
    return result;
  });
}

async function save(job: Job, state: JobState, transaction: Transaction): Promise<void> {
  job.set({ summary: JSON.stringify(summaryOf(state)), touched: new Date() });
  await job.save({ transaction });
}

async function firstRow(db: Database, jobId: string, transaction: Transaction): Promise<Job> {
  const number = ((await db.models.Job.max<number | null, Job>('number', { transaction })) ?? 0) + 1;
  return db.models.Job.create(
    { id: jobId, number, lastSeq: 0, lastHash: GENESIS, summary: '{}', touched: new Date() },
    { transaction },
  );
}

const idOf = (raw: unknown): string => {
  const id = (raw as { id?: unknown } | null)?.id;
  if (typeof id !== 'string' || !/^[\w-]{8,60}$/.test(id))
    throw new InputError('entries.id', String(id), 'an id of 8 to 60 letters, digits and dashes');
  return id;
};

const refuse = (text: string, todo: string): Refusal => ({ text, todo, owed: [] });

/** Checks the outside of an entry and its body; what is wrong with it is said, not thrown, so that the others go on. */
async function readEntry(
  db: Database,
  raw: unknown,
  jobId: string,
  personId: string,
  transaction: Transaction,
): Promise<Entry | Refusal> {
  const { id, kind, at, by, body } = raw as Record<string, unknown>;
  if (typeof kind !== 'string' || !(kind in entryBodies))
    return refuse(`“${String(kind)}” is no kind of entry this server knows`, 'update the application on this device');
  if (typeof at !== 'string' || Number.isNaN(Date.parse(at)))
    return refuse('the time of the entry cannot be read', 'check the clock of this device');
  if (typeof by !== 'string' || !(await db.models.Person.findByPk(by, { transaction })))
    return refuse('nobody of that name works here', 'sign in again');
  let checked: object;
  try {
    checked = checkBody(kind as EntryKind, body);
    if (kind === 'opened') checkVehicle((checked as { vehicle: Parameters<typeof checkVehicle>[0] }).vehicle);
  } catch (error) {
    if (error instanceof InputError) return refuse(error.message, 'enter it again as expected');
    return refuse('the vehicle file of this job cannot be read', 'choose the vehicle again');
  }
  if ((kind === 'signed' || kind === 'exception') && by !== personId)
    return refuse('somebody else is signed in on this device', `sign in as the one who did it, then deliver`);
  if (kind === 'exception') {
    const { gate, item, lead, approval } = checked as { gate: number; item: string; lead: string; approval: string };
    const given = await db.models.Approval.findByPk(approval, { transaction });
    if (!given || given.jobId !== jobId || given.lead !== lead || given.gate !== gate || given.item !== item)
      return refuse('the lead has not allowed this exception', 'let the lead type their PIN on this device');
  }
  return { id, jobId, kind, at, by, body: checked } as Entry;
}
