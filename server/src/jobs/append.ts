import type { Transaction } from 'sequelize';
import {
  decidedOf,
  InputError,
  refusalOf,
  SERVER_DEVICE,
  summaryOf,
  versionOf,
  type JobState,
  type RawEntry,
  type Refusal,
  type ShopFigures,
} from '@iron-cradle/core';
import { inTransaction, type Database } from '../db/connect.ts';
import type { Job } from '../db/models.ts';
import { makersOf, mustBeMadeBy } from '../people/tokens.ts';
import { GENESIS, hashOf, rowOf } from './chain.ts';
import { inTime } from './clock.ts';
import { nextNumber } from './numbers.ts';
import { idOf, readEntry, refusalOutside, useUp, type Wrong } from './read.ts';
import type { States } from './states.ts';
import type { Summaries } from './summaries.ts';

/** What became of each entry of a request. */
export interface Appended {
  /** Entries that have their number now, or had it before. */
  accepted: Pick<RawEntry, 'id' | 'seq' | 'received' | 'behind' | 'decided' | 'hash'>[];
  /** Entries that were refused, with what stands against them. */
  refused: ({ id: string } & Refusal)[];
  /** What can't be read or does not stand on this history: the device keeps it. */
  keptBack: { id: string; errors: Wrong[] }[];
}

/** Entries on their way into a job, as they came over the network. */
export interface Appending {
  /** The job. */
  jobId: string;
  /** The entries, not read yet. */
  entries: unknown[];
  /** Who is signed in on the device that delivers. */
  personId: string;
  /** The token of each entry’s maker, in the order of the entries; `own`: this server made them. */
  tokens: readonly (string | null)[] | 'own';
  /** s the clock of the device that delivers is behind; left out: it did not say. */
  behind?: number;
  /** The shop's figures, brought into every job that is open. */
  figures: ShopFigures;
}

/** Where jobs stand, and what is at hand of them. */
export interface Shelves {
  /** The database. */
  db: Database;
  /** States at hand. */
  states: States;
  /** Rows for the bays. */
  summaries: Summaries;
}

/** A job in its database, and the states at hand. */
interface Where extends Shelves {
  jobId: string;
}

/** A job while entries are added to it in one transaction. */
class Adding {
  result: Appended = { accepted: [], refused: [], keptBack: [] };
  private fresh: RawEntry[] = [];

  constructor(
    private where: Where & { transaction: Transaction; number: number },
    private job: Job | null,
    public state: JobState | null,
  ) {}

  /** Gives an entry its number: judged once, decided once, chained to the one before. */
  async add(read: RawEntry): Promise<void> {
    const { db, states, jobId, transaction, number } = this.where;
    this.job ??= await db.models.Job.create(
      { id: jobId, number, lastSeq: 0, lastHash: GENESIS, summary: '{}', touched: new Date() },
      { transaction },
    );
    const decided = decidedOf(this.state, read);
    const numbered = {
      ...read,
      ...(decided ? { decided } : {}),
      seq: this.job.lastSeq + 1,
      received: new Date().toISOString(),
    };
    const row = rowOf(numbered);
    const hash = hashOf(this.job.lastHash, row);
    await db.models.Entry.create({ ...row, hash }, { transaction });
    this.fresh.push(numbered);
    this.state = await states.fold(jobId, { base: this.state, fresh: [numbered], transaction, more: this.fresh });
    this.job.set({ lastSeq: numbered.seq, lastHash: hash });
    const { id, seq, received, behind } = numbered;
    this.result.accepted.push({
      id,
      seq,
      received,
      hash,
      ...(behind === undefined ? {} : { behind }),
      ...(decided ? { decided } : {}),
    });
    await states.write(jobId, { state: this.state, seq, hash }, transaction);
  }

  /** The server's own entry: the shop's figures are these from now on. */
  async bringFigures(figures: ShopFigures, by: string): Promise<void> {
    const { state } = this;
    if (
      !state ||
      state.signed ||
      (Object.keys(figures) as (keyof ShopFigures)[]).every((k) => state.shop[k] === figures[k])
    )
      return;
    const n = state.heads.filter((head) => head.device === SERVER_DEVICE).length + 1;
    await this.add({
      id: `figures-${this.where.jobId}-${n}`.slice(0, 60),
      jobId: this.where.jobId,
      version: versionOf('shopFigures'),
      kind: 'shopFigures',
      body: { ...figures },
      by,
      device: SERVER_DEVICE,
      n,
      at: new Date().toISOString(),
      on: null,
    });
    this.result.accepted.pop();
  }

  /** Keeps the row of the job, where anything was added. */
  async save(): Promise<void> {
    if (!this.job || !this.state || this.fresh.length === 0) return;
    const signed = this.state.signed !== null;
    this.job.set({ touched: new Date(), signed });
    // A signed job is found by what its row says: there it never lags behind.
    if (signed) this.job.set({ summary: JSON.stringify(summaryOf(this.state)), summarySeq: this.job.lastSeq });
    await this.job.save({ transaction: this.where.transaction });
  }

  /** The place in the log that was reached. */
  get held() {
    return { state: this.state, seq: this.job?.lastSeq ?? 0, hash: this.job?.lastHash ?? '' };
  }
}

async function adding<T>(where: Where, work: (job: Adding, transaction: Transaction) => Promise<T>): Promise<T> {
  const { db, states, jobId } = where;
  // Asked outside: a plain read in the transaction would hold on to what was there before its lock.
  const there = (await db.models.Job.count({ where: { id: jobId } })) > 0;
  const [result, held] = await inTransaction(db, async (transaction) => {
    // Jobs that are opened at once wait for one another at the counter.
    const number = there ? 0 : await nextNumber(db, transaction);
    const job = await db.models.Job.findByPk(jobId, { transaction, lock: transaction.LOCK.UPDATE });
    const { state } = await states.of(jobId, transaction);
    const one = new Adding({ ...where, transaction, number }, job, state);
    const done = await work(one, transaction);
    await one.save();
    return [done, one.held] as const;
  });
  // Only what was committed is at hand for the next.
  if (held.state) {
    states.keep(jobId, held);
    where.summaries.later(jobId, held.state, held.seq);
  }
  return result;
}

/**
 * Appends entries in order, in one transaction: an entry already there is only confirmed, one that was refused before gets
 * the same answer, one that can't be read is kept back and the others go on.
 */
export const append = (
  shelves: Shelves,
  { jobId, entries, personId, tokens, behind, figures }: Appending,
): Promise<Appended> =>
  adding({ ...shelves, jobId }, async (job, transaction) => {
    const { db } = shelves;
    const { Entry, Refusal: Refusals } = db.models;
    const makers = tokens === 'own' ? null : await makersOf(db, tokens, transaction);
    for (const [i, raw] of entries.entries()) {
      const id = idOf(raw);
      const there = await Entry.findByPk(id, { transaction });
      if (there) {
        const { seq, received, hash, behind: late, decided } = there;
        job.result.accepted.push({
          id,
          seq,
          received,
          hash,
          ...(late === null ? {} : { behind: late }),
          ...(decided ? { decided: JSON.parse(decided) as never } : {}),
        });
        continue;
      }
      const before = await Refusals.findByPk(id, { transaction });
      if (before) {
        job.result.refused.push({ id, ...(JSON.parse(before.refusal) as Refusal) });
        continue;
      }
      try {
        const read = inTime(readEntry(raw, jobId, job.state), behind, job.state);
        if (makers && tokens !== 'own') mustBeMadeBy(makers.get(tokens[i] ?? ''), read);
        const goesWith =
          read.kind === 'takeBack'
            ? await Refusals.findByPk((read.body as { entry: string }).entry, { transaction })
            : null;
        const refusal = goesWith
          ? ({ text: 'what it takes back was refused', todo: 'go on', owed: [] } satisfies Refusal)
          : ((await refusalOutside(db, { entry: read, personId, transaction })) ?? refusalOf(job.state, read));
        if (refusal) {
          await Refusals.create({ id, jobId, refusal: JSON.stringify(refusal) }, { transaction });
          job.result.refused.push({ id, ...refusal });
        } else {
          await job.add(read);
          await useUp(db, read, transaction);
        }
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        const { field, found, expected } = error;
        job.result.keptBack.push({ id, errors: [{ field, found, expected }] });
      }
    }
    await job.bringFigures(figures, personId);
    return job.result;
  });

/** Brings the shop's figures into every job that is open. */
export async function bringFigures(
  shelves: Shelves,
  { figures, by }: { figures: ShopFigures; by: string },
): Promise<string[]> {
  const open = await shelves.db.models.Job.findAll({ where: { signed: false }, attributes: ['id'] });
  for (const { id } of open) await adding({ ...shelves, jobId: id }, (job) => job.bringFigures(figures, by));
  return open.map(({ id }) => id);
}
