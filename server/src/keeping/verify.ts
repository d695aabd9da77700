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
export async function checkCopy(folder: string): Promise<Checked> {
  const manifest = await readManifest(folder);
  const rows = (name: string) => rowsAs(folder, tableOf(manifest, name));
  const heads = new Map<string, { number: number; last: string; length: number }>();
  let counted = 0;
  for await (const row of rows('jobs')) {
    counted += 1;
    heads.set(String(row.id), {
      number: Number(row.number),
      last: String(row.last_hash),
      length: Number(row.last_seq),
    });
  }
  const photos = new Set<string>();
  for await (const row of rows('photos')) photos.add(String(row.id));
  let entries = 0;
  const walk = async (log: Chained[]) => {
    const id = log[0]?.jobId ?? '';
    const head = heads.get(id);
    const [broken] = whatIsBroken(log, { head, photos });
    if (broken) throw new InputError(`job ${head?.number ?? id}`, broken, 'a log whose chain holds');
    heads.delete(id);
  };
  let log: Chained[] = [];
  for await (const row of rows('entries')) {
    entries += 1;
    const entry = chainedOf(row);
    if (log.length > 0 && log[0]!.jobId !== entry.jobId) {
      await walk(log);
      log = [];
    }
    log.push(entry);
  }
  if (log.length > 0) await walk(log);
  const [empty] = heads.values();
  if (empty) throw new InputError(`job ${empty.number}`, 'no entries', 'its log');
  for (const { name, rows: said } of manifest.tables) {
    let there = 0;
    for await (const _ of readRows(folder, name)) there += 1;
    if (there !== said) throw new InputError(name, `${there} rows`, `${said} rows`);
  }
  return { made: manifest.made, jobs: counted, entries, photos: photos.size };
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

async function* rowsAs(
  folder: string,
  { name, columns }: Manifest['tables'][number],
): AsyncGenerator<Record<string, Cell>> {
  for await (const row of readRows(folder, name)) yield Object.fromEntries(columns.map((c, i) => [c, row[i] ?? null]));
}

const chainedOf = (row: Record<string, Cell>): Chained => ({
  ...(row as unknown as Chained),
  jobId: String(row.job_id),
  onId: row.on_id as string | null,
});
