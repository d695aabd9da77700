import type { Transaction } from 'sequelize';
import { inTransaction } from '../../db/connect.ts';
import { statement } from '../../db/statement.ts';
import { takeNumbers } from '../numbers.ts';
import type { Stock } from '../shelves.ts';
import { Adding, type JobHead } from './adding.ts';
import { readBefore, type Before } from './before.ts';
import { HEAD, HEADS, THERE } from './statements.ts';
import { writeAll } from './write.ts';

/** What somebody wants to add to a job. */
export interface Turn<T> {
  /** The job. */
  jobId: string;
  /** Ids of which it has to be known whether they came before. */
  ids: readonly string[];
  /** Tokens of those who made the entries. */
  tokens: readonly (string | null)[];
  /** What can be done for it while the database looks up where its job stands. It must not throw. */
  ready?: () => void;
  /** Adds it. Called again where the transaction is; nothing it did then stands. */
  work: (job: Adding, before: Before, transaction: Transaction) => Promise<T>;
}

/** What became of turns that shared a transaction. */
export interface Shared<Some> {
  /** What their work returned; it is written. */
  results: [Some, unknown][];
  /** Those whose job somebody else holds. */
  held: Some[];
  /** Those whose job is not there. */
  missing: Some[];
}

/**
 * Several turns in one transaction, in their order. Where it fails nothing of any of them stands.
 *
 * @param opens jobs that are not there get a number and are opened: the counter is held first, in the same order for all
 */
export async function share<Some extends Turn<unknown>>(
  stock: Stock,
  turns: readonly Some[],
  opens: boolean,
): Promise<Shared<Some>> {
  const { db, states, summaries } = stock;
  const { jobs, ...shared } = await inTransaction(db, async (transaction) => {
    const numbers = opens ? await takeNumbers(db, transaction) : null;
    const jobIds = [...new Set(turns.map(({ jobId }) => jobId))];
    const ids = turns.flatMap((turn) => turn.ids);
    const tokens = turns.flatMap((turn) => turn.tokens);
    const asked = Promise.all([
      // One by itself waits for whoever holds its job; several leave it behind.
      statement<JobHead[]>(transaction, jobIds.length > 1 ? HEADS : HEAD, [jobIds]),
      readBefore(db, { ids, tokens }, transaction),
    ]);
    for (const turn of turns) turn.ready?.();
    const [rows, before] = await asked;
    const heads = new Map(rows.map((head) => [head.id, head]));
    const others = jobIds.filter((id) => !heads.has(id));
    const held = new Set(jobIds.length > 1 ? await thereOf(transaction, others) : []);
    const jobs = new Map<string, Adding>();
    const jobOf = async (jobId: string): Promise<Adding> => {
      const head = heads.get(jobId) ?? null;
      const { state } = await states.of(jobId, { transaction, job: head });
      return new Adding({ jobId, stock, transaction, nextNumber: () => numbers?.next() ?? 0 }, head, state);
    };
    const shared: Shared<Some> = { results: [], held: [], missing: [] };
    for (const turn of turns) {
      const { jobId } = turn;
      if (held.has(jobId)) shared.held.push(turn);
      else if (!heads.has(jobId) && !numbers) shared.missing.push(turn);
      else {
        const job = jobs.get(jobId) ?? (await jobOf(jobId));
        jobs.set(jobId, job);
        shared.results.push([turn, await turn.work(job, before, transaction)]);
      }
    }
    await writeAll(db, [...jobs.values()], transaction);
    await numbers?.keep();
    return { ...shared, jobs };
  });
  // Only what was committed is at hand for the next.
  for (const [jobId, { held, rows }] of jobs) {
    if (!held.state) continue;
    states.keep(jobId, held);
    if (rows.length > 0) summaries.later(jobId, held.state, held.seq);
  }
  return shared;
}

const thereOf = async (transaction: Transaction, ids: readonly string[]): Promise<string[]> =>
  ids.length === 0 ? [] : (await statement<{ id: string }[]>(transaction, THERE, [ids])).map(({ id }) => id);
