import { Op, type Transaction } from 'sequelize';
import type { Database } from '../db/connect.ts';

/** A number from elsewhere is kept only so far beyond the shop's own: one that is far off would use up all that are left. */
const FURTHEST = 100_000;

/**
 * The next number for a job. Its row is locked until the transaction ends, so that jobs opened at once wait for one another.
 *
 * @example await nextNumber(db, transaction) // 18
 */
export async function nextNumber(db: Database, transaction: Transaction): Promise<number> {
  const { Counter } = db.models;
  await Counter.increment('value', { where: { name: 'job' }, transaction });
  const row = await Counter.findByPk('job', { transaction, rejectOnEmpty: true });
  return row.value;
}

/** A number a job brings along, where nobody has it and it is not far off; else the next one. @example await numberFor(db, 17, transaction) */
export async function numberFor(db: Database, wanted: unknown, transaction: Transaction): Promise<number> {
  const { Counter, Job } = db.models;
  const last = await Counter.findByPk('job', { transaction, lock: transaction.LOCK.UPDATE, rejectOnEmpty: true });
  const fits = typeof wanted === 'number' && Number.isInteger(wanted) && wanted > 0 && wanted <= last.value + FURTHEST;
  if (!fits || (await Job.findOne({ where: { number: wanted }, transaction }))) return nextNumber(db, transaction);
  await Counter.update({ value: wanted }, { where: { name: 'job', value: { [Op.lt]: wanted } }, transaction });
  return wanted;
}
