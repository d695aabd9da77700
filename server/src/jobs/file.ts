import { IsArray, IsDefined, IsIn, IsObject, IsOptional } from 'class-validator';
import { checkBody, checked, foldJob, InputError, summaryOf, type JobFile, type JobState } from '@iron-cradle/core';
import { inTransaction, type Database } from '../db/connect.ts';
import { notFound, Problem } from '../http/problem.ts';
import { readShop } from '../shop/shop.ts';
import { entryOf, rowOf, verifyChain, type Chained, type Numbered } from './chain.ts';
import { numberFor } from './numbers.ts';
import { pictureType } from './photos.ts';

class JobFileBody {
  @IsIn(['iron-cradle-job']) format!: 'iron-cradle-job';
  @IsIn([1]) version!: 1;
  @IsDefined() @IsObject() job!: { id: string; number: number };
  @IsDefined() @IsObject() shop!: { name: string };
  @IsDefined() @IsObject() people!: Record<string, string>;
  @IsArray() entries!: JobFile['entries'];
  @IsOptional() @IsObject() photos?: Record<string, string>;
}

/**
 * A job as a file, with its photos in it or only named.
 *
 * @throws Problem 404 when there is no such job
 */
export async function exportJob(db: Database, jobId: string, withPhotos = false): Promise<JobFile> {
  const job = await db.models.Job.findByPk(jobId);
  if (!job) throw notFound('job');
  const rows = await db.models.Entry.findAll({ where: { jobId }, order: [['seq', 'ASC']] });
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
  const file = checked(JobFileBody, raw);
  const id = text(file.job.id, 'job.id');
  // The chain is walked over the text as it came, before anything is checked or carried to a newer version.
  const rows = file.entries.map((entry, i) => rowFrom(entry, id, i));
  const chain = verifyChain(rows);
  if (chain.brokenAt !== null)
    throw new InputError(`entries[${chain.brokenAt - 1}]`, 'an entry that was changed', 'a log whose chain holds');
  for (const { kind, body } of file.entries) checkBody(kind, body);
  const state = foldJob(null, rows.map(entryOf));
  if (!state) throw new InputError('entries', 'no opened job', 'a log that opens a job');
  const photos = await photosOf(file, state);
  return inTransaction(db, async (transaction) => {
    const { Job, Entry, Person, Photo } = db.models;
    if (await Job.findByPk(id, { transaction }))
      throw new Problem(409, 'Already here', { detail: 'This job is already in this shop.' });
    const number = await numberFor(db, file.job.number, transaction);
    for (const by of new Set(rows.map((row) => row.by)))
      await Person.findOrCreate({
        where: { id: by },
        defaults: { id: by, name: String(file.people[by] ?? by).slice(0, 80), role: 'technician', pinHash: null },
        transaction,
      });
    await Job.create(
      {
        id,
        number,
        lastSeq: rows.length,
        lastHash: chain.last,
        signed: state.signed !== null,
        summary: JSON.stringify(summaryOf(state)),
        summarySeq: rows.length,
        touched: new Date(),
      },
      { transaction },
    );
    await Entry.bulkCreate(rows, { transaction });
    for (const photo of photos)
      await Photo.findOrCreate({ where: { id: photo.id }, defaults: { ...photo, jobId: id }, transaction });
    return { id, number };
  });
}

/** The pictures of a file that its log names, each told by its content. @throws InputError for what is no picture */
async function photosOf(file: JobFileBody, state: JobState): Promise<{ id: string; type: string; bytes: Buffer }[]> {
  const named = new Set(state.photos.map((photo) => photo.file));
  return Promise.all(
    Object.entries(file.photos ?? {})
      .filter(([id]) => named.has(id))
      .map(async ([id, content]) => {
        const field = `photos.${id.slice(0, 60)}`;
        const bytes = Buffer.from(typeof content === 'string' ? content : '', 'base64');
        return { id, type: await pictureType(bytes, field), bytes };
      }),
  );
}

/** An entry of a file as a row. @throws InputError for a field that can't be one */
function rowFrom(entry: Numbered, jobId: string, i: number): Chained {
  for (const field of ['id', 'at', 'by', 'kind', 'hash', 'device', 'received'] as const)
    text(entry[field], `entries[${i}].${field}`);
  for (const field of ['seq', 'n', 'version'] as const)
    if (!Number.isInteger(entry[field]))
      throw new InputError(`entries[${i}].${field}`, String(entry[field]), 'a whole number');
  if (entry.on !== null) text(entry.on, `entries[${i}].on`);
  return { ...rowOf({ ...entry, jobId }), hash: entry.hash };
}

function text(value: unknown, field: string): string {
  if (typeof value !== 'string' || value.length === 0 || value.length > 64)
    throw new InputError(field, String(value).slice(0, 60), 'a short text');
  return value;
}
