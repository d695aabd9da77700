import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import {
  decidedOf,
  isSealedAfter,
  SERVER_DEVICE,
  summaryOf,
  versionOf,
  type JobState,
  type RawEntry,
  type Refusal,
  type ShopFigures,
} from '@iron-cradle/core';
import { sealHead } from '../../sealing/seals.ts';
import { GENESIS, hashOf, rowOf, type Chained } from '../chain.ts';
import type { Stock } from '../shelves.ts';
import type { Held } from '../states.ts';
import { keepWords } from '../words.ts';
import { confirmed, type Confirmed } from './before.ts';

/** Where a job stands in its row. */
export interface JobHead {
  /** The job. */
  id: string;
  /** On its tag. */
  number: number;
  /** Number of its newest entry. */
  lastSeq: number;
  /** Hash of that entry. */
  lastHash: string;
}

/** A job in its database, inside a transaction that holds its row. */
export interface Where {
  /** The job. */
  jobId: string;
  /** Where it stands, and what it is sealed with. */
  stock: Stock;
  /** The transaction. */
  transaction: Transaction;
  /** Gives a job that is opened its number. */
  nextNumber: () => number;
}

/** A job while entries are added to it in one transaction. What has to be written waits here until all is judged. */
export class Adding {
  /** Rows of what was added. */
  readonly rows: Chained[] = [];
  /** Rows of what was refused. */
  readonly refusals: { id: string; jobId: string; refusal: string }[] = [];
  /** Is it opened only now? */
  readonly isNew: boolean;
  private fresh: RawEntry[] = [];
  private after: (() => Promise<void>)[] = [];

  constructor(
    private where: Where,
    /** Its row, as it will be. */
    public head: JobHead | null,
    /** Its state, as it will be. */
    public state: JobState | null,
  ) {
    this.isNew = head === null;
  }

  /** Gives an entry its number: judged once, decided once, chained to the one before. */
  async add(read: RawEntry): Promise<Confirmed> {
    const { jobId, transaction, stock, nextNumber } = this.where;
    const { db, states, key } = stock;
    const head = (this.head ??= { id: jobId, number: nextNumber(), lastSeq: 0, lastHash: GENESIS });
    const decided = decidedOf(this.state, read);
    const seq = head.lastSeq + 1;
    const numbered = { ...read, ...(decided ? { decided } : {}), seq, received: new Date().toISOString() };
    const row = rowOf(numbered);
    const hash = hashOf(head.lastHash, row);
    // One that can't be folded is kept back, and no later fold meets it.
    const more = [...this.fresh, numbered];
    const state = await states.fold(jobId, { base: this.state, fresh: [numbered], transaction, more });
    this.fresh = more;
    this.rows.push({ ...row, hash });
    this.state = state;
    this.head = { ...head, lastSeq: seq, lastHash: hash };
    if (key && isSealedAfter(read.kind))
      this.after.push(() => sealHead(db, { key, jobId, head: { seq, hash } }, transaction));
    if (states.isDue(seq)) this.after.push(() => states.write(jobId, { state, seq, hash }, transaction));
    return confirmed({ ...row, hash });
  }

  /** Keeps the answer an entry got. */
  refuse(id: string, refusal: Refusal): void {
    this.refusals.push({ id, jobId: this.where.jobId, refusal: JSON.stringify(refusal) });
  }

  /** The server's own entry: the shop's figures are these from now on. */
  async bringFigures(figures: ShopFigures, by: string): Promise<void> {
    const { state } = this;
    const { jobId } = this.where;
    const names = Object.keys(figures) as (keyof ShopFigures)[];
    if (!state || state.signed || names.every((name) => state.shop[name] === figures[name])) return;
    const n = state.heads.filter((head) => head.device === SERVER_DEVICE).length + 1;
    await this.add({
      id: randomUUID(),
      jobId,
      version: versionOf('shopFigures'),
      kind: 'shopFigures',
      body: { ...figures },
      by,
      device: SERVER_DEVICE,
      n,
      at: new Date().toISOString(),
      on: null,
    });
  }

  /** Writes what hangs on its rows, once they stand. */
  async finish(): Promise<void> {
    for (const write of this.after) await write();
    const { head, state } = this;
    if (!head || !state?.signed || this.rows.length === 0) return;
    // A signed job is found by what its row says: there it never lags behind.
    const { jobId: id, stock, transaction } = this.where;
    const summary = summaryOf(state);
    const signedMonth = summary.signed?.slice(0, 7) ?? null;
    await stock.db.models.Job.update(
      { summary: JSON.stringify(summary), summarySeq: head.lastSeq, signedMonth },
      { where: { id }, transaction },
    );
    await keepWords(stock.db, { jobId: id, name: summary.name, plate: summary.plate }, transaction);
  }

  /** The place in the log that was reached. */
  get held(): Held {
    return { state: this.state, seq: this.head?.lastSeq ?? 0, hash: this.head?.lastHash ?? '' };
  }
}
