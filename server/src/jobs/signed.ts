import { literal, Op, type WhereOptions } from 'sequelize';
import { InputError } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import type { Job } from '../db/models.ts';
import { sought } from './words.ts';

/** More than so many nobody reads through: say more of what is looked for. */
const MOST = 60;

/**
 * Signed jobs, the newest first: of a vehicle, of a plate, of a month. All by an index, however many there were in the years before.
 *
 * @throws InputError for a month that is none
 * @example signedJobs(db, { find: 'van 4', month: '2026-11' })
 */
export async function signedJobs(db: Database, query: { find?: unknown; month?: unknown }): Promise<Job[]> {
  const find = typeof query.find === 'string' ? sought(query.find) : [];
  const month = typeof query.month === 'string' ? query.month : '';
  if (month !== '' && !/^\d{4}-(0[1-9]|1[0-2])$/.test(month))
    throw new InputError('month', month, 'a month like 2026-11');
  const also: WhereOptions[] = find.map((word) => ({
    id: { [Op.in]: literal(`(SELECT job_id FROM job_words WHERE word LIKE ${db.sequelize.escape(`${word}%`)})`) },
  }));
  // What was looked for and holds no word at all is found in nothing.
  if (typeof query.find === 'string' && query.find.trim() !== '' && find.length === 0) return [];
  return db.models.Job.findAll({
    where: { signed: true, ...(month === '' ? {} : { signedMonth: month }), [Op.and]: also },
    order: [['touched', 'DESC']],
    limit: MOST,
  });
}
