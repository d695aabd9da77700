import type { Transaction } from 'sequelize';
import type { Database } from '../db/connect.ts';

/** A number from elsewhere is kept only so far beyond the shop's own: one that is far off would use up all that are left. */
const FURTHEST = 100_000;

/** Numbers for jobs, from a counter that is held until the transaction ends: jobs opened at once wait for one another. */
export interface Numbers {
  /** The last one given; it may be set on, never back. */
  last: number;
  /** One more. */
  next: () => number;
  /** Writes down how far they went. */
  keep: () => Promise<void>;
}

/** Holds the counter; a job that is not opened after all uses up none. @example (await takeNumbers(db, transaction)).next() // 18 */
export async function takeNumbers(db: Database, transaction: Transaction): Promise<Numbers> {
  const row = await db.models.Counter.findByPk('job', {
    transaction,
    lock: transaction.LOCK.UPDATE,
    rejectOnEmpty: true,
  });
  const numbers: Numbers = {
    last: row.value,
    next: () => (numbers.last += 1),
    keep: async () => void (numbers.last > row.value && (await row.update({ value: numbers.last }, { transaction }))),
  };
  return numbers;
}

/** A number a job brings along, where nobody has it and it is not far off; else the next one. @example await numberFor(db, 17, transaction) */
export async function numberFor(db: Database, wanted: unknown, transaction: Transaction): Promise<number> {
  const numbers = await takeNumbers(db, transaction);
  const fits =
    typeof wanted === 'number' && Number.isInteger(wanted) && wanted > 0 && wanted <= numbers.last + FURTHEST;
  const free = fits && !(await db.models.Job.findOne({ where: { number: wanted }, transaction }));
  const number = free ? wanted : numbers.next();
  numbers.last = Math.max(numbers.last, number);
  await numbers.keep();
  return number;
}
