import type { Transaction } from 'sequelize';
import type { Database } from '../../db/connect.ts';
import { statement } from '../../db/statement.ts';
import type { Chained } from '../chain.ts';
import type { Adding } from './adding.ts';
import { putEntries, putJobs, PUT_JOB, valuesOf } from './statements.ts';

/** Text of one statement, bytes of it: with every quote doubled far below the longest the database takes. */
const AT_ONCE = 2_000_000;

/** Rows in parts that fit into a statement. */
function inParts(rows: readonly Chained[]): Chained[][] {
  const parts: Chained[][] = [];
  let room = 0;
  for (const row of rows) {
    const bytes = 500 + Buffer.byteLength(row.body) + Buffer.byteLength(row.decided ?? '');
    if (bytes > room) {
      parts.push([]);
      room = AT_ONCE;
    }
    room -= bytes;
    parts.at(-1)?.push(row);
  }
  return parts;
}

/**
 * Writes what was added to jobs: a statement for the rows of all jobs, one for all entries. One after the other and never sent ahead:
 * where the database undoes the transaction, what came after would stand alone.
 */
export async function writeAll(db: Database, jobs: readonly Adding[], transaction: Transaction): Promise<void> {
  const changed = jobs.filter(({ head, rows }) => head && rows.length > 0);
  const heads = changed.map(({ head, state }) => {
    const { id, number, lastSeq, lastHash } = head!;
    return [lastSeq, lastHash, Boolean(state?.signed), new Date(), id, number, '{}'];
  });
  if (changed.length === 1 && !changed[0]?.isNew) await statement(transaction, PUT_JOB, heads[0]!.slice(0, 5));
  else if (heads.length > 0) await statement(transaction, putJobs(heads.length), heads.flat());
  for (const some of inParts(jobs.flatMap(({ rows }) => rows)))
    await statement(transaction, putEntries(some.length), some.flatMap(valuesOf));
  const refusals = jobs.flatMap((job) => job.refusals);
  if (refusals.length > 0) await db.models.Refusal.bulkCreate(refusals, { transaction });
  for (const job of jobs) await job.finish();
}
