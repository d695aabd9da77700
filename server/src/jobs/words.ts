import { Op, type Transaction } from 'sequelize';
import type { Database } from '../db/connect.ts';

/** Letters of a word that are looked for; more tell nothing apart. */
const LONGEST = 40;

const split = (text: string): string[] =>
  text
    .toLowerCase()
    .normalize('NFKC')
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '')
    .map((word) => word.slice(0, LONGEST));

/**
 * The words a signed job is found by, each looked for from its beginning: those of its vehicle's name, and its plate from every letter on,
 * since people remember the end of one.
 *
 * @example wordsOf({ name: 'Van 4', plate: 'IS 204' }) // ['van', '4', 'is', '204', 'is204', 's204', '04', …]
 */
export function wordsOf({ name, plate }: { name: string; plate: string | null }): string[] {
  const whole = split(plate ?? '').join('');
  const ends = Array.from({ length: Math.max(0, whole.length - 1) }, (_, i) => whole.slice(i, i + LONGEST));
  return [...new Set([...split(name), ...split(plate ?? ''), ...ends])];
}

/** What somebody looks for, word by word; a job must have all of them. @example sought('Van-4, IS') // ['van', '4', 'is'] */
export const sought = (find: string): string[] => [...new Set(split(find))].slice(0, 8);

/** Keeps what a signed job is found by. */
export async function keepWords(
  db: Database,
  { jobId, name, plate }: { jobId: string; name: string; plate: string | null },
  transaction: Transaction,
): Promise<void> {
  const words = wordsOf({ name, plate });
  await db.models.JobWord.destroy({ where: { jobId, word: { [Op.notIn]: words } }, transaction });
  await db.models.JobWord.bulkCreate(
    words.map((word) => ({ jobId, word })),
    { transaction, ignoreDuplicates: true },
  );
}
