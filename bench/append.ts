import { ownDatabase } from '../e2e/lib/server.ts';
import { figuresOf, type Entry } from '@iron-cradle/core';
import { openDatabase } from '../server/src/db/connect.ts';
import { append } from '../server/src/jobs/appending/append.ts';
import { shelvesOf } from '../server/src/jobs/shelves.ts';
import { longLog } from './log.ts';
import { middle, row } from './lib.ts';

const RUNS = 40;

/** Appending one entry to a long job against one to a short job, in the database and all. */
export async function benchAppend(): Promise<void> {
  const mariadb = await ownDatabase();
  const db = await openDatabase(mariadb.url());
  try {
    await db.models.Person.create({ id: 'ines', name: 'Ines', role: 'technician', pin: 'none' } as never);
    const figures = figuresOf({ alone: 25, two: 40, lying: 15, helper: 5 });
    const shelves = shelvesOf(db, null);
    const timeOf = async (length: number): Promise<number> => {
      const jobId = `long-${length}`;
      const log = longLog(length, jobId).map(({ seq: _seq, ...entry }) => entry);
      for (let i = 0; i < log.length; i += 100)
        await append(shelves, { jobId, entries: log.slice(i, i + 100), personId: 'ines', tokens: 'own', figures });
      const times: number[] = [];
      for (let i = 0; i < RUNS; i++) {
        const n = length + i + 1;
        const entry = { ...log[0], id: `${jobId}-${n}`, kind: 'note', version: 1, body: { text: 'more' }, n } as Entry;
        const from = performance.now();
        const { accepted } = await append(shelves, {
          jobId,
          entries: [{ ...entry, on: log.at(-1)!.id }],
          personId: 'ines',
          tokens: 'own',
          figures,
        });
        times.push(performance.now() - from);
        if (accepted.length !== 1) throw new Error('the entry was not taken');
      }
      return middle(times);
    };
    // Once for nothing, so that both are measured warm.
    await timeOf(49);
    const short = await timeOf(50);
    row('appending to a job of 5000 entries', await timeOf(5000), 'to a job of 50', short);
  } finally {
    await db.sequelize.close();
    await mariadb.stop();
  }
}
