import { createHash } from 'node:crypto';
import { fn, col } from 'sequelize';
import { InputError, type Seal } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { verifyChain, type Chained } from '../jobs/chain.ts';
import { photosNamed } from '../jobs/photosNamed.ts';
import { brokenSeals } from '../sealing/seals.ts';
import { readManifest, readRows, type Manifest } from './files.ts';
import type { Cell } from './tables.ts';

/** What was walked through and found whole. */
export interface Checked {
  /** ISO time at which it all stood so. */
  made: string;
  /** Jobs, */
  jobs: number;
  /** their entries, */
  entries: number;
  /** and their photos. */
  photos: number;
}

/** Something that does not hold. */
export interface Broken {
  /** Number of the job, or its id. */
  job: string;
  /** What. */
  text: string;
}

/**
 * Reads a copy back: hashes of its files, rows, the chain of every job with its seals, the photos its logs name.
 *
 * @throws InputError naming the first thing that does not hold
 */
export async function checkCopy(folder: string): Promise<Checked & { manifest: Manifest }> {
  const manifest = await readManifest(folder);
  const heads = new Map<string, { number: number; last: string; length: number }>();
  const photos = new Map<string, string>();
  const jobs = await eachRow(folder, tableOf(manifest, 'jobs'), ({ id, number, last_hash, last_seq }) => {
    heads.set(String(id), { number: Number(number), last: String(last_hash), length: Number(last_seq) });
  });
  await eachRow(folder, tableOf(manifest, 'photos'), ({ id, bytes }) => {
    const content = Buffer.from((bytes as { bytes: string }).bytes, 'base64');
    photos.set(String(id), createHash('sha256').update(content).digest('hex'));
  });
  const seals = await sealsIn(folder, manifest);
  let log: Chained[] = [];
  const walk = () => {
    const [first] = log;
    if (!first) return;
    const head = heads.get(first.jobId);
    const [broken] = whatIsBroken(log, { head, photos, seals: seals.get(first.jobId) ?? [] });
    if (broken) throw new InputError(`job ${head?.number ?? first.jobId}`, broken, 'a log whose chain holds');
    heads.delete(first.jobId);
    log = [];
  };
  const entries = await eachRow(folder, tableOf(manifest, 'entries'), (row) => {
    const entry = chainedOf(row);
    if (log[0]?.jobId !== entry.jobId) walk();
    log.push(entry);
  });
  walk();
  const [empty] = heads.values();
  if (empty) throw new InputError(`job ${empty.number}`, 'no entries', 'its log');
  for (const table of manifest.tables) if (!READ.includes(table.name)) await eachRow(folder, table, () => undefined);
  return { manifest, made: manifest.made, jobs, entries, photos: photos.size };
}

/** Tables whose rows are looked at one by one. */
const READ = ['jobs', 'photos', 'entries', 'seals', 'seal_keys'];

/** Seals of a copy by their jobs; none in one that was made before there were any. */
async function sealsIn(folder: string, manifest: Manifest): Promise<Map<string, (Seal & { jobId: string })[]>> {
  const keys = new Map<string, string>();
  const seals = new Map<string, (Seal & { jobId: string })[]>();
  if (!manifest.tables.some(({ name }) => name === 'seals')) return seals;
  await eachRow(folder, tableOf(manifest, 'seal_keys'), (row) => {
    keys.set(String(row.fingerprint), String(row.public_key));
  });
  await eachRow(folder, tableOf(manifest, 'seals'), (row) => {
    const { job_id: jobId, key, ...seal } = row as unknown as Seal & { job_id: string; key: string };
    seals.set(jobId, [...(seals.get(jobId) ?? []), { ...seal, jobId, publicKey: keys.get(key) ?? '' }]);
  });
  return seals;
}

/** Reads the rows of a table once, by name. @returns how many; as many as the manifest says */
async function eachRow(
  folder: string,
  { name, columns, rows }: Manifest['tables'][number],
  look: (row: Record<string, Cell>) => void,
): Promise<number> {
  let there = 0;
  for await (const row of readRows(folder, name)) {
    there += 1;
    look(Object.fromEntries(columns.map((column, i) => [column, row[i] ?? null])));
  }
  if (there !== rows) throw new InputError(name, `${there} rows`, `${rows} rows`);
  return there;
}

/**
 * Walks through the whole shop: every chain to the head its job names, its seals, every photo a log names.
 *
 * @returns what does not hold; nothing where all does
 */
export async function verifyShop(db: Database): Promise<Checked & { broken: Broken[] }> {
  const { Job, Entry, Photo, Seal: Seals, SealKey } = db.models;
  const jobs = await Job.findAll({ attributes: ['id', 'number', 'lastSeq', 'lastHash'], order: [['number', 'ASC']] });
  const kept = await Photo.findAll({ attributes: ['id', [fn('SHA2', col('bytes'), 256), 'hash']] });
  const photos = new Map(kept.map((photo) => [photo.id, photo.get('hash') as string]));
  const keys = new Map((await SealKey.findAll()).map(({ fingerprint, publicKey }) => [fingerprint, publicKey]));
  const broken: Broken[] = [];
  let entries = 0;
  for (const { id, number, lastSeq, lastHash } of jobs) {
    const log = await Entry.findAll({ where: { jobId: id }, order: [['seq', 'ASC']] });
    const rows = await Seals.findAll({ where: { jobId: id }, raw: true });
    entries += log.length;
    const head = { last: lastHash, length: lastSeq };
    const seals = rows.map((row) => ({ ...row, publicKey: keys.get(row.key) ?? '' }));
    for (const text of whatIsBroken(log, { head, photos, seals })) broken.push({ job: String(number), text });
  }
  return { made: new Date().toISOString(), jobs: jobs.length, entries, photos: photos.size, broken };
}

/** What a log is held against. */
interface Against {
  /** Where its job says it ends. */
  head: { last: string; length: number } | undefined;
  /** SHA-256 of the photos that are there, by their ids. */
  photos: ReadonlyMap<string, string>;
  /** Seals on it. */
  seals: readonly (Seal & { jobId: string })[];
}

/** What of a job does not hold. */
export function whatIsBroken(log: readonly Chained[], { head, photos, seals }: Against): string[] {
  const chain = verifyChain(log);
  return [
    ...(chain.brokenAt === null ? [] : [`its entry ${chain.brokenAt} was changed, or one before it is missing`]),
    ...(head === undefined ? ['its log stands without the job'] : []),
    ...(chain.brokenAt === null && head && (head.last !== chain.last || head.length !== chain.length)
      ? [`its log ends at entry ${chain.length}, not where the job does`]
      : []),
    ...brokenSeals(log, seals),
    ...photosNamed(log).flatMap(({ file, sha256 }) => {
      const there = photos.get(file);
      if (there === undefined) return [`its photo ${file} is missing`];
      return sha256 === undefined || sha256 === there ? [] : [`its photo ${file} is not the one that was taken`];
    }),
  ];
}

function tableOf({ tables }: Manifest, name: string): Manifest['tables'][number] {
  const table = tables.find((one) => one.name === name);
  if (!table) throw new InputError('manifest.json', 'no such table', `the table ${name}`);
  return table;
}

const chainedOf = (row: Record<string, Cell>): Chained => ({
  ...(row as unknown as Chained),
  jobId: String(row.job_id),
  onId: row.on_id as string | null,
});
