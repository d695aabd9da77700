import { createHash } from 'node:crypto';
import { checkBody, foldJob, InputError, jobFileSchema, summaryOf, type JobFile } from '@iron-cradle/core';
import { inTransaction, type Database } from '../db/connect.ts';
import { bySchema } from '../http/bySchema.ts';
import { notFound, Problem } from '../http/problem.ts';
import { keepSeals, mustBeSealed, sealsOf } from '../sealing/seals.ts';
import { readShop } from '../shop/shop.ts';
import { entryOf, rowOf, verifyChain, type Chained } from './chain.ts';
import { numberFor } from './numbers.ts';
import { pictureType } from './photos.ts';
import { photosNamed } from './photosNamed.ts';
import { keepWords } from './words.ts';

// Files without the line that counts their chain are read too: the chain is walked in any case.
const readFile = bySchema<JobFile>({
  ...jobFileSchema,
  required: jobFileSchema.required.filter((one) => one !== 'chain'),
});

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

/**
 * Takes a job in from its file: the chain must hold and every body must fit. People nobody knows here come along as
 * names that cannot sign in. Photos are taken in where the log names them.
 *
 * @throws InputError, or Problem 409 when the job is already here
 */
export async function importJob(db: Database, raw: unknown): Promise<{ id: string; number: number }> {
  const file = readFile(raw);
  const { id } = file.job;
  // The chain is walked over the text as it came, before anything is checked or carried to a newer version.
  const rows = file.entries.map((entry) => ({ ...rowOf({ ...entry, jobId: id }), hash: entry.hash }));
  const chain = verifyChain(rows);
  if (chain.brokenAt !== null)
    throw new InputError(`entries[${chain.brokenAt - 1}]`, 'an entry that was changed', 'a log whose chain holds');
  const seals = file.seals ?? [];
  mustBeSealed(id, rows, seals);
  if (new Set(rows.map((row) => row.id)).size < rows.length)
    throw new InputError('entries', 'an entry that stands in it twice', 'every entry once');
  for (const { kind, body } of file.entries) checkBody(kind, body);
  const state = foldJob(null, rows.map(entryOf));
  if (!state) throw new InputError('entries', 'no opened job', 'a log that opens a job');
  const photos = await photosOf(file, rows);
  return inTransaction(db, async (transaction) => {
    const { Job, Entry, Person, Photo } = db.models;
    if (await Job.findByPk(id, { transaction }))
      throw new Problem(409, 'Already here', { detail: 'This job is already in this shop.' });
    const double = await Entry.findOne({ where: { id: rows.map((row) => row.id) }, attributes: ['id'], transaction });
    if (double)
      throw new Problem(409, 'Already here', {
        detail: `Entry ${double.id} of this file is part of another job here.`,
      });
    const summary = summaryOf(state);
    const number = await numberFor(db, file.job.number, transaction);
    for (const by of new Set(rows.map((row) => row.by)))
      await Person.findOrCreate({
        where: { id: by },
        defaults: { id: by, name: (file.people[by] ?? by).slice(0, 80), role: 'technician', pinHash: null },
        transaction,
      });
    await Job.create(
      {
        id,
        number,
        lastSeq: rows.length,
        lastHash: chain.last,
        signed: state.signed !== null,
        summary: JSON.stringify(summary),
        signedMonth: summary.signed?.slice(0, 7) ?? null,
        summarySeq: rows.length,
        touched: new Date(),
        broughtIn: rows.length,
      },
      { transaction },
    );
    if (state.signed) await keepWords(db, { jobId: id, name: summary.name, plate: summary.plate }, transaction);
    await Entry.bulkCreate(rows, { transaction });
    await keepSeals(db, { jobId: id, seals }, transaction);
    for (const photo of photos)
      await Photo.findOrCreate({ where: { id: photo.id }, defaults: { ...photo, jobId: id }, transaction });
    return { id, number };
  });
}

/** The pictures of a file that its log names, each told by its content. @throws InputError for what is no picture, or not the one that was taken */
async function photosOf(
  file: JobFile,
  log: readonly Chained[],
): Promise<{ id: string; type: string; bytes: Buffer }[]> {
  const named = new Map(photosNamed(log).map((photo) => [photo.file, photo.sha256]));
  return Promise.all(
    Object.entries(file.photos ?? {})
      .filter(([id]) => named.has(id))
      .map(async ([id, content]) => {
        const field = `photos.${id.slice(0, 60)}`;
        const bytes = Buffer.from(content, 'base64');
        const type = await pictureType(bytes, field);
        const taken = named.get(id);
        if (taken !== undefined && createHash('sha256').update(bytes).digest('hex') !== taken)
          throw new InputError(field, 'another picture', 'the one that was taken');
        return { id, type, bytes };
      }),
  );
}
