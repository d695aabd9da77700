import type { Connection } from 'mariadb';
import type { Transaction } from 'sequelize';

/**
 * One statement of a transaction, sent by the driver itself: for the few that are said with every entry. By way of the models each costs
 * three times the work (`docs/decisions/038-together.md`).
 *
 * @param values stand for the `?` of the statement, a list for `IN (?)` as an array
 * @returns rows as the driver reads them, or what was changed
 * @throws what the database said, as the driver has it
 * @example await statement<{ id: string }[]>(transaction, 'SELECT id FROM jobs WHERE id IN (?)', [['job-17']])
 */
export const statement = <T>(transaction: Transaction, sql: string, values: readonly unknown[]): Promise<T> =>
  (transaction as unknown as { connection: Connection }).connection.query<T>(
    { sql, typeCast: undefined as never },
    values.map((value) => (value instanceof Date ? inUtc(value) : value)),
  );

/** The database keeps times in UTC; the driver would write them in those of this machine. */
const inUtc = (time: Date): string => time.toISOString().replace('T', ' ').replace('Z', '');

/** Places for rows of so many values. @example placesFor(2, 3) // '(?,?,?),(?,?,?)' */
export function placesFor(rows: number, values: number): string {
  const row = `(${Array.from({ length: values }, () => '?').join()})`;
  return Array.from({ length: rows }, () => row).join();
}
