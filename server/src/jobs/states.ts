import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { foldJob, FoldWhole, type JobState, type RawEntry } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import type { Job } from '../db/models.ts';
import { entryOf } from './chain.ts';

/** How many entries may be newer than the state that was written down. */
const APART = 100;
/** Jobs whose state is at hand in this process. */
const AT_HAND = 60;

/** Which code folded: another build throws away what this one wrote down. */
let build: string | null = null;
function buildOf(): string {
  if (build) return build;
  const root = fileURLToPath(import.meta.resolve('@iron-cradle/core')).replace(/index\.ts$/, '');
  const hash = createHash('sha256');
  for (const file of readdirSync(root, { recursive: true, encoding: 'utf8' }).sort())
    if (file.endsWith('.ts') && !file.endsWith('.test.ts')) hash.update(file).update(readFileSync(join(root, file)));
  return (build = hash.digest('hex'));
}

/** A state with the place in the log it stands for. */
export interface Held {
  /** The state; null before the job is opened. */
  state: JobState | null;
  /** Number of the newest entry in it. */
  seq: number;
  /** Hash of that entry. */
  hash: string;
}

/**
 * Writes a state down, JSON text, as this build folded it; one that is longer than the database takes in one statement is folded again when it
 * is asked for.
 */
export async function keepState(
  db: Database,
  held: { jobId: string; seq: number; hash: string; state: string },
  transaction: Transaction,
): Promise<void> {
  const [longest] = await db.sequelize.query<{ bytes: number }>('SELECT @@max_allowed_packet AS bytes', {
    type: QueryTypes.SELECT,
    transaction,
  });
  // Each quote of it takes two bytes on its way.
  if (Buffer.byteLength(held.state) * 2 > Number(longest?.bytes ?? 0)) return;
  await db.models.JobState.upsert({ ...held, build: buildOf() }, { transaction });
}

/**
 * States of jobs: by job, number and hash. What is at hand in the process is only ever used while the hash in the database
 * agrees; written down now and then, so that a long log is not folded anew by every process.
 */
export class States {
  private held = new Map<string, Held>();

  constructor(private db: Database) {}

  /** The state of a job as it stands in the database; its row, where that was read already. */
  async of(
    jobId: string,
    { transaction, job: row }: { transaction?: Transaction; job?: Pick<Job, 'lastSeq' | 'lastHash'> | null } = {},
  ): Promise<Held> {
    const { Job } = this.db.models;
    const options = transaction ? { transaction } : {};
    const job = row === undefined ? await Job.findByPk(jobId, options) : row;
    if (!job) return { state: null, seq: 0, hash: '' };
    const had = this.held.get(jobId);
    if (had && had.seq === job.lastSeq && had.hash === job.lastHash) return had;
    const from = await this.from(jobId, had, options);
    const rows = await this.db.models.Entry.findAll({
      where: { jobId, seq: { [Op.gt]: from?.seq ?? 0 } },
      order: [['seq', 'ASC']],
      ...options,
    });
    const state = await this.fold(jobId, { base: from?.state ?? null, fresh: rows.map(entryOf), transaction });
    return this.keep(jobId, { state, seq: job.lastSeq, hash: job.lastHash });
  }

  /** Folds on; where an earlier entry is taken back, the whole log. `more` are entries that stand in no row yet. */
  async fold(
    jobId: string,
    {
      base,
      fresh,
      transaction,
      more = fresh,
    }: { base: JobState | null; fresh: readonly RawEntry[]; transaction?: Transaction; more?: readonly RawEntry[] },
  ): Promise<JobState | null> {
    try {
      return foldJob(base, fresh);
    } catch (error) {
      if (!(error instanceof FoldWhole)) throw error;
      const rows = await this.db.models.Entry.findAll({
        where: { jobId },
        order: [['seq', 'ASC']],
        ...(transaction ? { transaction } : {}),
      });
      const there = new Set(rows.map((row) => row.id));
      return foldJob(null, [...rows.map(entryOf), ...more.filter((e) => !there.has(e.id))]);
    }
  }

  /** Keeps a state at hand. */
  keep(jobId: string, held: Held): Held {
    this.held.delete(jobId);
    this.held.set(jobId, held);
    const oldest = this.held.keys().next().value;
    if (this.held.size > AT_HAND && oldest !== undefined) this.held.delete(oldest);
    return held;
  }

  /** Is a state written down after the entry of this number? */
  isDue = (seq: number): boolean => seq % APART === 0;

  /** Writes a state down. */
  async write(jobId: string, { state, seq, hash }: Held, transaction: Transaction): Promise<void> {
    if (!state) return;
    await keepState(this.db, { jobId, seq, hash, state: JSON.stringify(state) }, transaction);
  }

  /** The nearest state that still stands in this history: at hand, or written down. */
  private async from(
    jobId: string,
    had: Held | undefined,
    options: { transaction?: Transaction },
  ): Promise<Held | null> {
    const { Entry, JobState: Rows } = this.db.models;
    const stands = async (held: Held) =>
      (await Entry.findOne({ where: { jobId, seq: held.seq }, attributes: ['hash'], ...options }))?.hash === held.hash;
    if (had && (await stands(had))) return had;
    const row = await Rows.findByPk(jobId, options);
    if (!row || row.build !== buildOf()) return null;
    const held = { state: JSON.parse(row.state) as JobState, seq: row.seq, hash: row.hash };
    return (await stands(held)) ? held : null;
  }
}
