import { col, Op, QueryTypes } from 'sequelize';
import { archetypes, figuresOf, logWriter, summaryOf, type ShopFigures } from '@iron-cradle/core';
import { openShop, ownDatabase } from '../../e2e/lib/server.ts';
import { until } from '../../e2e/lib/until.ts';
import { openDatabase, type Database } from '../src/db/connect.ts';
import { append } from '../src/jobs/appending/append.ts';
import { verifyChain } from '../src/jobs/chain.ts';
import { shelvesOf, type Shelves } from '../src/jobs/shelves.ts';
import { Tablet } from './tablet.ts';

/** Those who add to jobs at once go together in one transaction, and none of them suffers from another. */
const FIGURES: ShopFigures = figuresOf({ alone: 25, two: 40, lying: 15, helper: 5 });

let mariadb: Awaited<ReturnType<typeof ownDatabase>>;
let db: Database;
let shelves: Shelves;
beforeAll(async () => {
  mariadb = await ownDatabase();
  db = await openDatabase(mariadb.url());
  shelves = shelvesOf(db, null);
});
afterAll(async () => {
  await db.sequelize.close();
  await mariadb.stop();
});

const send = (jobId: string, ...entries: unknown[]) =>
  append(shelves, { jobId, entries, personId: 'ines', tokens: 'own', figures: FIGURES });

/** A job that is open, and what writes its entries. */
async function open(jobId: string) {
  const write = logWriter(jobId, { by: 'ines', device: 'tablet-one' });
  const opened = write('opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]!, shop: FIGURES });
  expect((await send(jobId, opened)).accepted).toHaveLength(1);
  return (text: string) => ({ ...write('note', { text }), on: null });
}

/** How many statements of a kind the database was given since it began. */
const given = async (kind: 'commit' | 'insert' | 'update') => {
  const [row] = await db.sequelize.query<{ Value: string }>(`SHOW GLOBAL STATUS LIKE 'Com_${kind}'`, {
    type: QueryTypes.SELECT,
  });
  return Number(row!.Value);
};
/** While what the bays show is being written its jobs are held, and who adds to them waits singly: not what is counted here. */
const baysWritten = () =>
  until(
    () => db.models.Job.count({ where: { summarySeq: { [Op.lt]: col('last_seq') } } }),
    (behind) => behind === 0,
  );
const rowsOf = (jobId: string) => db.models.Entry.findAll({ where: { jobId }, order: [['seq', 'ASC']], raw: true });

test('twenty jobs at once share a few writes to the disk, and every chain is whole', async () => {
  const ids = Array.from({ length: 20 }, (_, i) => `job-many-${i}`);
  const notes = await Promise.all(ids.map(open));
  await baysWritten();
  const before = await given('commit');
  const answers = await Promise.all(ids.map((id, i) => send(id, notes[i]!('one more'))));
  expect(answers.map(({ accepted }) => accepted[0]?.seq)).toEqual(ids.map(() => 2));
  expect((await given('commit')) - before).toBeLessThan(10);
  for (const id of ids) expect(verifyChain(await rowsOf(id))).toMatchObject({ length: 2, brokenAt: null });
});

test('what the bays show of twenty jobs is written in a few statements: its rows are held meanwhile', async () => {
  const ids = Array.from({ length: 20 }, (_, i) => `job-shown-${i}`);
  const notes = await Promise.all(ids.map(open));
  await baysWritten();
  const before = await given('update');
  await Promise.all(ids.map((id, i) => send(id, notes[i]!('one more'))));
  await baysWritten();
  expect((await given('update')) - before).toBeLessThan(10);
  const rows = await db.models.Job.findAll({ where: { id: ids } });
  expect(rows.map(({ summarySeq }) => summarySeq)).toEqual(ids.map(() => 2));
  // Each its own, and as it is reckoned from its log.
  for (const { id, summary } of rows)
    expect(JSON.parse(summary)).toEqual(summaryOf((await shelves.states.of(id)).state!));
});

test('ten requests of one job at once are taken in their order', async () => {
  const note = await open('job-one');
  const texts = Array.from({ length: 10 }, (_, i) => `note ${i}`);
  const answers = await Promise.all(texts.map((text) => send('job-one', note(text))));
  expect(answers.map(({ accepted }) => accepted[0]?.seq)).toEqual(texts.map((_, i) => i + 2));
  const rows = await rowsOf('job-one');
  expect(rows.slice(1).map(({ body }) => (JSON.parse(body) as { text: string }).text)).toEqual(texts);
});

test('one that fails takes no other along, and leaves nothing behind', async () => {
  const [good, bad] = [await open('job-good'), await open('job-bad')];
  const fails = shelves.together.take({
    jobId: 'job-bad',
    ids: [],
    tokens: [],
    work: async (job) => {
      await job.add({ ...bad('never'), jobId: 'job-bad' } as never);
      throw new TypeError('a fault of ours');
    },
  });
  const [answer] = await Promise.all([
    send('job-good', good('here')),
    expect(fails).rejects.toThrow('a fault of ours'),
    send('job-bad', bad('after it')),
  ]);
  expect(answer.accepted).toHaveLength(1);
  expect((await rowsOf('job-bad')).map(({ kind, body }) => [kind, body.includes('never')])).toEqual([
    ['opened', false],
    ['note', false],
  ]);
});

test('while somebody holds a job, others go on', async () => {
  const [held, free] = [await open('job-held'), await open('job-free')];
  const holding = await db.sequelize.transaction();
  await db.models.Job.findByPk('job-held', { transaction: holding, lock: holding.LOCK.UPDATE });
  // By now what the bays show of both is about to be written, too.
  await new Promise((resolve) => setTimeout(resolve, 400));
  let waits = true;
  const late = send('job-held', held('late')).finally(() => (waits = false));
  expect((await send('job-free', free('first'))).accepted).toHaveLength(1);
  expect((await send('job-free', free('second'))).accepted).toHaveLength(1);
  expect(waits).toBe(true);
  await holding.commit();
  expect((await late).accepted).toHaveLength(1);
});

test('an entry whose id another job has is kept back: it would be taken for that one', async () => {
  const [first, second] = [await open('job-first'), await open('job-second')];
  const note = first('mine');
  await send('job-first', note);
  const { accepted, keptBack } = await send('job-second', { ...second('yours'), id: note.id });
  expect([accepted, keptBack[0]?.errors[0]?.field]).toEqual([[], 'id']);
  // Also where both come in the same moment.
  const [one, other] = [first('again'), second('again')];
  const both = await Promise.all([send('job-first', one), send('job-second', { ...other, id: one.id })]);
  expect(both.map(({ accepted: a, keptBack: k }) => [a.length, k.length])).toEqual([
    [1, 0],
    [0, 1],
  ]);
});

test('what is sent to a job nobody opened is refused, and uses up no number', async () => {
  await open('job-before');
  const write = logWriter('job-none', { by: 'ines', device: 'tablet-one' });
  const { refused } = await send('job-none', { ...write('note', { text: 'x' }), on: null });
  expect(refused).toHaveLength(1);
  await open('job-after');
  const numbers = await db.models.Job.findAll({ where: { id: ['job-before', 'job-after'] }, order: ['number'] });
  expect(numbers[1]!.number - numbers[0]!.number).toBe(1);
});

test('five hundred long notes come in one request, in more than one statement', async () => {
  const note = await open('job-long');
  const notes = Array.from({ length: 500 }, () => note('"'.repeat(2000)));
  const before = await given('insert');
  expect((await send('job-long', ...notes)).accepted).toHaveLength(500);
  expect((await given('insert')) - before).toBeGreaterThan(1);
  expect(verifyChain(await rowsOf('job-long'))).toMatchObject({ length: 501, brokenAt: null });
});

test('times stand in the database as they are everywhere, wherever its server stands', async () => {
  const shop = await openShop({ env: { TZ: 'Pacific/Auckland' } });
  const far = await openDatabase(shop.db.url());
  try {
    const tablet = new Tablet(shop, 'far');
    await tablet.signIn();
    await tablet.append('job-far', [
      tablet.entry('job-far', 'opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! }),
      tablet.entry('job-far', 'note', { text: 'x' }),
    ]);
    const [row] = await far.sequelize.query<{ off: number }>(
      "SELECT TIMESTAMPDIFF(SECOND, touched, UTC_TIMESTAMP()) AS off FROM jobs WHERE id = 'job-far'",
      { type: QueryTypes.SELECT },
    );
    expect(Math.abs(row!.off)).toBeLessThan(60);
  } finally {
    await far.sequelize.close();
    await shop.stop();
  }
});
