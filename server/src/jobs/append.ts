import type { Transaction } from 'sequelize';
import {
  decidedOf,
  InputError,
  isSealedAfter,
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
import type { EntryRow, Job } from '../db/models.ts';
import { sealHead } from '../sealing/seals.ts';
import { makersOf, mustBeMadeBy } from '../people/tokens.ts';
import { GENESIS, hashOf, rowOf } from './chain.ts';
import { inTime } from './clock.ts';
import { nextNumber } from './numbers.ts';
import { idOf, readEntry, refusalOutside, useUp, type Wrong } from './read.ts';
import type { Shelves } from './shelves.ts';
import { keepWords } from './words.ts';

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
    const { key } = this.where;
    if (key && isSealedAfter(read.kind))
      await sealHead(db, { key, jobId, head: { seq: numbered.seq, hash } }, transaction);
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
    const { db, jobId, transaction } = this.where;
    if (signed) {
      const summary = summaryOf(this.state);
      const month = summary.signed?.slice(0, 7) ?? null;
      this.job.set({ summary: JSON.stringify(summary), summarySeq: this.job.lastSeq, signedMonth: month });
      await keepWords(db, { jobId, name: summary.name, plate: summary.plate }, transaction);
    }
    await this.job.save({ transaction });
  }

  /** The place in the log that was reached. */
  get held() {
    return { state: this.state, seq: this.job?.lastSeq ?? 0, hash: this.job?.lastHash ?? '' };
  }
}

/** The job is not there yet: what opens it waits at the counter first. */
class NotOpened extends Error {}

async function adding<T>(where: Where, work: (job: Adding, transaction: Transaction) => Promise<T>): Promise<T> {
  const { db, states, jobId } = where;
  const once = (opens: boolean) =>
    inTransaction(db, async (transaction) => {
      const number = opens ? await nextNumber(db, transaction) : 0;
      const job = await db.models.Job.findByPk(jobId, { transaction, lock: transaction.LOCK.UPDATE });
      if (!job && !opens) throw new NotOpened();
      const { state } = await states.of(jobId, { transaction, job });
      const one = new Adding({ ...where, transaction, number }, job, state);
      const done = await work(one, transaction);
      await one.save();
      return [done, one.held] as const;
    });
  const [result, held] = await once(false).catch((error: unknown) => {
    if (error instanceof NotOpened) return once(true);
    throw error;
  });
  // Only what was committed is at hand for the next.
  if (held.state) {
    states.keep(jobId, held);
    where.summaries.later(jobId, held.state, held.seq);
  }
  return result;
}

/** What became of entries that came before, by their ids; asked for all of a request at once. */
async function knownOf({ db, ids, transaction }: { db: Database; ids: string[]; transaction: Transaction }) {
  const { Entry, Refusal: Refusals } = db.models;
  const where = { id: ids };
  const [entries, refusals] = [
    await Entry.findAll({ where, attributes: ['id', 'seq', 'received', 'hash', 'behind', 'decided'], transaction }),
    await Refusals.findAll({ where, transaction }),
  ];
  return {
    accepted: new Map(entries.map((row): [string, Appended['accepted'][number]] => [row.id, confirmed(row)])),
    refused: new Map(refusals.map(({ id, refusal }) => [id, JSON.parse(refusal) as Refusal])),
  };
}

const confirmed = ({ id, seq, received, hash, behind, decided }: EntryRow): Appended['accepted'][number] => ({
  id,
  seq,
  received,
  hash,
  ...(behind === null ? {} : { behind }),
  ...(decided ? { decided: JSON.parse(decided) as never } : {}),
});

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
    const { result } = job;
    const makers = tokens === 'own' ? null : await makersOf(db, tokens, transaction);
    const ids = entries.map(idOf);
    const known = await knownOf({ db, ids, transaction });
    const refuse = (id: string, refusal: Refusal) => void result.refused.push({ id, ...refusal });
    for (const [i, raw] of entries.entries()) {
      const id = ids[i] ?? '';
      const there = known.accepted.get(id) ?? result.accepted.find((one) => one.id === id);
      const before = known.refused.get(id);
      if (there) result.accepted.push(there);
      else if (before) refuse(id, before);
      else
        try {
          const read = inTime(readEntry(raw, jobId, job.state), behind, job.state);
          if (makers && tokens !== 'own') mustBeMadeBy(makers.get(tokens[i] ?? ''), read);
          const refusal = await whatStandsAgainst(read, { db, personId, job, transaction });
          if (refusal) {
            await db.models.Refusal.create({ id, jobId, refusal: JSON.stringify(refusal) }, { transaction });
            known.refused.set(id, refusal);
            refuse(id, refusal);
          } else {
            await job.add(read);
            await useUp(db, read, transaction);
          }
        } catch (error) {
          if (!(error instanceof InputError)) throw error;
          const { field, found, expected } = error;
          result.keptBack.push({ id, errors: [{ field, found, expected }] });
        }
    }
    await job.bringFigures(figures, personId);
    return result;
  });

/** What stands against an entry: that what it takes back was refused, its maker, or the job. */
async function whatStandsAgainst(
  read: RawEntry,
  { db, personId, job, transaction }: { db: Database; personId: string; job: Adding; transaction: Transaction },
): Promise<Refusal | null> {
  if (
    read.kind === 'takeBack' &&
    (await db.models.Refusal.findByPk((read.body as { entry: string }).entry, { transaction }))
  )
    return { text: 'what it takes back was refused', todo: 'go on', owed: [] };
  return (await refusalOutside(db, { entry: read, personId, transaction })) ?? refusalOf(job.state, read);
}

/** Brings the shop's figures into every job that is open. */
export async function bringFigures(
  shelves: Shelves,
  { figures, by }: { figures: ShopFigures; by: string },
): Promise<string[]> {
  const open = await shelves.db.models.Job.findAll({ where: { signed: false }, attributes: ['id'] });
  for (const { id } of open) await adding({ ...shelves, jobId: id }, (job) => job.bringFigures(figures, by));
  return open.map(({ id }) => id);
}
