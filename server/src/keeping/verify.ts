import { entryOf, verifyChain, type Chained } from '../jobs/chain.ts';
import { InputError } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
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
 * Reads a copy back: hashes of its files, rows, the chain of every job, the photos its logs name.
 *
 * @throws InputError naming the first thing that does not hold
 */
export async function checkCopy(folder: string): Promise<Checked & { manifest: Manifest }> {
  const manifest = await readManifest(folder);
  const heads = new Map<string, { number: number; last: string; length: number }>();
  const photos = new Set<string>();
  const jobs = await eachRow(folder, tableOf(manifest, 'jobs'), ({ id, number, last_hash, last_seq }) => {
    heads.set(String(id), { number: Number(number), last: String(last_hash), length: Number(last_seq) });
  });
  await eachRow(folder, tableOf(manifest, 'photos'), ({ id }) => void photos.add(String(id)));
  let log: Chained[] = [];
  const walk = () => {
    const [first] = log;
    if (!first) return;
    const head = heads.get(first.jobId);
    const [broken] = whatIsBroken(log, { head, photos });
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
  for (const table of manifest.tables)
    if (!['jobs', 'photos', 'entries'].includes(table.name)) await eachRow(folder, table, () => undefined);
  return { manifest, made: manifest.made, jobs, entries, photos: photos.size };
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
 * Walks through the whole shop: every chain to the head its job names, every photo a log names.
 *
 * @returns what does not hold; nothing where all does
 */
export async function verifyShop(db: Database): Promise<Checked & { broken: Broken[] }> {
  const { Job, Entry, Photo } = db.models;
  const jobs = await Job.findAll({ attributes: ['id', 'number', 'lastSeq', 'lastHash'], order: [['number', 'ASC']] });
  const photos = new Set((await Photo.findAll({ attributes: ['id'] })).map(({ id }) => id));
  const broken: Broken[] = [];
  let entries = 0;
  for (const { id, number, lastSeq, lastHash } of jobs) {
    const log = await Entry.findAll({ where: { jobId: id }, order: [['seq', 'ASC']] });
    entries += log.length;
    const head = { last: lastHash, length: lastSeq };
    for (const text of whatIsBroken(log, { head, photos })) broken.push({ job: String(number), text });
  }
  return { made: new Date().toISOString(), jobs: jobs.length, entries, photos: photos.size, broken };
}

/** What of a job does not hold. */
export function whatIsBroken(
  log: readonly Chained[],
  { head, photos }: { head: { last: string; length: number } | undefined; photos: ReadonlySet<string> },
): string[] {
  const chain = verifyChain(log);
  const named = log.flatMap((row) => {
    const { kind, body } = entryOf(row);
    return kind === 'photo' ? [(body as { file: string }).file] : [];
  });
  return [
    ...(chain.brokenAt === null ? [] : [`its entry ${chain.brokenAt} was changed, or one before it is missing`]),
    ...(head === undefined ? ['its log stands without the job'] : []),
    ...(chain.brokenAt === null && head && (head.last !== chain.last || head.length !== chain.length)
      ? [`its log ends at entry ${chain.length}, not where the job does`]
      : []),
    ...named.filter((file) => !photos.has(file)).map((file) => `its photo ${file} is missing`),
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
