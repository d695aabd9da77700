import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize';

/**
 * The words of name and plate as this step wrote them: a step does the same for ever, whatever the search learns later.
 *
 * @example wordsThen({ name: 'Van 4', plate: 'IS 204' }) // ['van', '4', 'is', '204', 'is204', 's204', '204', '04']
 */
function wordsThen({ name, plate }: { name: string; plate: string | null }): string[] {
  const split = (text: string) =>
    text
      .toLowerCase()
      .normalize('NFKC')
      .split(/[^\p{L}\p{N}]+/u)
      .filter((word) => word !== '')
      .map((word) => word.slice(0, 40));
  const whole = split(plate ?? '').join('');
  const ends = Array.from({ length: Math.max(0, whole.length - 1) }, (_, i) => whole.slice(i, i + 40));
  return [...new Set([...split(name), ...split(plate ?? ''), ...ends])];
}

/** Jobs looked at in one step. */
const PAGE = 500;

async function index(q: QueryInterface, name: string, fields: string[]) {
  const there = (await q.showIndex('jobs')) as { name: string }[];
  if (!there.some((one) => one.name === name)) await q.addIndex('jobs', fields, { name });
}

/** Signed jobs are found by the words of their vehicle and plate, and by their month: by an index, not by reading every row. */
export async function up(q: QueryInterface): Promise<void> {
  if (!('signed_month' in (await q.describeTable('jobs'))))
    await q.addColumn('jobs', 'signed_month', { type: DataTypes.STRING(7), allowNull: true });
  await index(q, 'jobs_signed_touched', ['signed', 'touched']);
  await index(q, 'jobs_month_touched', ['signed_month', 'touched']);
  await q.createTable('job_words', {
    word: { type: DataTypes.STRING(40), primaryKey: true },
    job_id: { type: DataTypes.STRING(60), primaryKey: true },
  });
  const words = (await q.showIndex('job_words')) as { name: string }[];
  if (!words.some((one) => one.name === 'job_words_job'))
    await q.addIndex('job_words', ['job_id'], { name: 'job_words_job' });
  // Those that were signed before; a step may be done again.
  for (let last = ''; ;) {
    const rows: { id: string; summary: string }[] = await q.sequelize.query<{ id: string; summary: string }>(
      'SELECT id, summary FROM jobs WHERE signed AND id > ? ORDER BY id LIMIT ?',
      { type: QueryTypes.SELECT, replacements: [last, PAGE] },
    );
    for (const { id, summary } of rows) {
      const { name, plate, signed } = JSON.parse(summary) as { name: string; plate: string | null; signed: string };
      const list = wordsThen({ name, plate });
      if (list.length > 0)
        await q.sequelize.query(
          `INSERT IGNORE INTO job_words (word, job_id) VALUES ${list.map(() => '(?, ?)').join(', ')}`,
          {
            type: QueryTypes.INSERT,
            replacements: list.flatMap((word) => [word, id]),
          },
        );
      await q.sequelize.query('UPDATE jobs SET signed_month = ? WHERE id = ?', {
        type: QueryTypes.UPDATE,
        replacements: [signed.slice(0, 7), id],
      });
    }
    if (rows.length < PAGE) return;
    last = rows.at(-1)!.id;
  }
}
