import { createHash } from 'node:crypto';
import { checkBody, foldJob, InputError, jobFileSchema, summaryOf, type JobFile, type Seal } from '@iron-cradle/core';
import { bySchema } from '../../http/bySchema.ts';
import { mustBeSealed } from '../../sealing/seals.ts';
import { entryOf, rowOf, verifyChain, type Chained } from '../chain.ts';
import { pictureType } from '../photos.ts';
import { photosNamed } from '../photosNamed.ts';

// Files without the line that counts their chain are read too: the chain is walked in any case.
const readFile = bySchema<JobFile>({
  ...jobFileSchema,
  required: jobFileSchema.required.filter((one) => one !== 'chain'),
});

/** A job from its file, read and checked: what is left to do is to keep it. */
export interface ReadJob {
  /** Of the job. */
  id: string;
  /** The number it had in its shop. */
  number: unknown;
  /** Names by the ids of people. */
  people: Record<string, string>;
  /** Its log. */
  rows: Chained[];
  /** The seals on it. */
  seals: readonly Seal[];
  /** Hash of the last entry. */
  last: string;
  /** What the bays and the search need of it. */
  summary: ReturnType<typeof summaryOf>;
  /** The state it comes to, JSON text: folded once. */
  state: string;
  /** The pictures its log names. */
  photos: { id: string; type: string; bytes: Uint8Array }[];
}

/**
 * Reads a job's file: the chain must hold, every seal fit, every body too. It takes as long as the log is, and asks no database.
 *
 * @throws InputError naming the first thing that is wrong
 * @example (await readJobFile(JSON.parse(text))).rows.length
 */
export async function readJobFile(raw: unknown): Promise<ReadJob> {
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
  for (const { kind, version, body } of file.entries) checkBody(kind, body, version);
  const state = foldJob(null, rows.map(entryOf));
  if (!state) throw new InputError('entries', 'no opened job', 'a log that opens a job');
  return {
    id,
    number: file.job.number,
    people: file.people,
    rows,
    seals,
    last: chain.last,
    summary: summaryOf(state),
    state: JSON.stringify(state),
    photos: await photosOf(file, rows),
  };
}

/** The pictures of a file that its log names, each told by its content. @throws InputError for what is no picture, or not the one that was taken */
async function photosOf(file: JobFile, log: readonly Chained[]): Promise<ReadJob['photos']> {
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
