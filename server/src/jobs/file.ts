import type { JobFile } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { notFound } from '../http/problem.ts';
import { sealsOf } from '../sealing/seals.ts';
import { readShop } from '../shop/shop.ts';
import { entryOf } from './chain.ts';

/**
 * A job as a file, with its photos in it or only named.
 *
 * @throws Problem 404 when there is no such job
 */
export async function exportJob(db: Database, jobId: string, withPhotos = false): Promise<JobFile> {
  const job = await db.models.Job.findByPk(jobId);
  if (!job) throw notFound('job');
  const rows = await db.models.Entry.findAll({ where: { jobId }, order: [['seq', 'ASC']] });
  const seals = await sealsOf(db, jobId);
  const people = await db.models.Person.findAll();
  const there = new Set(rows.map((row) => row.by));
  const photos = withPhotos ? await db.models.Photo.findAll({ where: { jobId }, order: [['id', 'ASC']] }) : [];
  return {
    format: 'iron-cradle-job',
    version: 1,
    job: { id: job.id, number: job.number },
    shop: { name: (await readShop(db)).name },
    people: Object.fromEntries(people.filter((p) => there.has(p.id)).map((p) => [p.id, p.name])),
    chain: { length: rows.length, last: job.lastHash },
    entries: rows.map(entryOf),
    ...(seals.length > 0 ? { seals } : {}),
    ...(withPhotos ? { photos: Object.fromEntries(photos.map((p) => [p.id, p.bytes.toString('base64')])) } : {}),
  };
}
