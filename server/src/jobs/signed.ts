import { col, fn, literal, Op, where, type WhereOptions } from 'sequelize';
import { InputError } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import type { Job } from '../db/models.ts';

/** More than so many nobody reads through: say more of what is looked for. */
const MOST = 60;

/** Small letters: what a JSON holds compares letter by letter. */
const field = (name: 'name' | 'plate' | 'signed') =>
  fn('LOWER', fn('JSON_VALUE', col('summary'), literal(`'$.${name}'`)));
/** What stands for anything in a search is looked for as it is. */
const literally = (text: string): string => text.replace(/[\\%_]/g, (c) => `\\${c}`);

/**
 * Signed jobs, the newest first: of a vehicle, of a plate, of a month.
 *
 * @throws InputError for a month that is none
 * @example signedJobs(db, { find: 'van 4', month: '2026-11' })
 */
export async function signedJobs(db: Database, query: { find?: unknown; month?: unknown }): Promise<Job[]> {
  const find = typeof query.find === 'string' ? query.find.trim().toLowerCase() : '';
  const month = typeof query.month === 'string' ? query.month : '';
  if (month !== '' && !/^\d{4}-(0[1-9]|1[0-2])$/.test(month))
    throw new InputError('month', month, 'a month like 2026-11');
  const also: WhereOptions[] = [];
  if (find !== '')
    also.push({
      [Op.or]: (['name', 'plate'] as const).map((name) => where(field(name), { [Op.like]: `%${literally(find)}%` })),
    });
  if (month !== '') also.push(where(field('signed'), { [Op.like]: `${month}%` }));
  return db.models.Job.findAll({
    where: { signed: true, [Op.and]: also },
    order: [['touched', 'DESC']],
    limit: MOST,
  });
}
