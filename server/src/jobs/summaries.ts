import { col, Op, where } from 'sequelize';
import { summaryOf, type JobState, type JobSummary } from '@iron-cradle/core';
import { inTransaction, type Database } from '../db/connect.ts';
import { statement } from '../db/statement.ts';
import type { Job } from '../db/models.ts';
import type { States } from './states.ts';

/** So long it is waited for what else comes, ms. */
const PAUSE = 200;

/** Those whose rows nobody holds: one that waited for another would keep all others waiting. */
const FREE = 'SELECT id FROM jobs WHERE id IN (?) ORDER BY id FOR UPDATE SKIP LOCKED';
/** All in one, since they are held meanwhile; each only ever forward. */
const PUT_ALL = `
  UPDATE jobs SET summary = ELT(FIELD(id, ?), ?), summary_seq = ELT(FIELD(id, ?), ?)
  WHERE id IN (?) AND summary_seq < ELT(FIELD(id, ?), ?)`;

/**
 * What the bays show of jobs. It is reckoned after an entry was taken, not while its job is locked, and once for all that came
 * meanwhile; a row that was not reckoned yet when it is asked for is reckoned then.
 */
export class Summaries {
  private waiting = new Map<string, { state: JobState; seq: number }>();
  private soon: NodeJS.Timeout | null = null;

  constructor(
    private db: Database,
    private states: States,
  ) {}

  /** The state of a job has gone on: its row follows. */
  later(jobId: string, state: JobState, seq: number): void {
    this.waiting.set(jobId, { state, seq });
    // What this process no longer comes to is reckoned by the next; what can't be written now, when it is asked for.
    this.soon ??= setTimeout(() => void this.work().catch(() => undefined), PAUSE).unref();
  }

  private async work(): Promise<void> {
    this.soon = null;
    const jobs = [...this.waiting];
    this.waiting.clear();
    // Reckoned before they are held.
    const reckoned = jobs.map(([id, { state, seq }]) => ({ id, summary: JSON.stringify(summaryOf(state)), seq }));
    await inTransaction(this.db, async (transaction) => {
      const free = await statement<{ id: string }[]>(transaction, FREE, [reckoned.map(({ id }) => id)]);
      const rows = reckoned.filter(({ id }) => free.some((row) => row.id === id));
      if (rows.length === 0) return;
      const ids = rows.map(({ id }) => id);
      const seqs = rows.map(({ seq }) => seq);
      const summaries = rows.map(({ summary }) => summary);
      await statement(transaction, PUT_ALL, [ids, summaries, ids, seqs, ids, ids, seqs]);
    });
  }

  /** Rows as the bays show them, each as its log stands. */
  async of(jobs: readonly Job[]): Promise<(JobSummary & { id: string; number: number })[]> {
    const rows = [];
    for (const job of jobs) rows.push({ id: job.id, number: job.number, ...(await this.current(job)) });
    return rows;
  }

  private async current(job: Job): Promise<JobSummary> {
    if (job.summarySeq >= job.lastSeq) return JSON.parse(job.summary) as JobSummary;
    const { state, seq } = await this.states.of(job.id);
    if (!state) return JSON.parse(job.summary) as JobSummary;
    const summary = summaryOf(state);
    // Only ever forward: two servers may reckon the same job.
    await this.db.models.Job.update(
      { summary: JSON.stringify(summary), summarySeq: seq },
      { where: { id: job.id, summarySeq: { [Op.lt]: seq } } },
    );
    return summary;
  }

  /** What a server that was cut off had not reckoned; a signed job’s row was written with the signature. */
  async catchUp(): Promise<void> {
    const behind = await this.db.models.Job.findAll({
      where: { signed: false, [Op.and]: [where(col('summary_seq'), Op.lt, col('last_seq'))] },
    });
    await this.of(behind);
  }
}
