import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { InputError } from '@iron-cradle/core';
import type { Cell } from './tables.ts';

/** What a copy says of itself. */
export interface Manifest {
  /** What it is. */
  format: 'iron-cradle-backup';
  /** Of this shape. */
  version: 1;
  /** ISO time at which everything in it stood so. */
  made: string;
  /** Migrations its tables had been through. */
  migrations: string[];
  /** Where the database's own history of changes stood then; null, or left out by copies of before: it kept none. */
  history?: { file: string; position: number } | null;
  /** Each table: columns, rows, and the SHA-256 of its file. */
  tables: { name: string; columns: string[]; rows: number; sha256: string }[];
}

const MANIFEST = 'manifest.json';
const fileOf = (folder: string, table: string): string => join(folder, `${table}.ndjson.gz`);

/** Writes the rows of a table, a line each, packed. @returns how many, and the hash of the file */
export async function writeRows(
  folder: string,
  { table, rows }: { table: string; rows: AsyncIterable<Cell[]> },
): Promise<{ rows: number; sha256: string }> {
  const hash = createHash('sha256');
  let count = 0;
  async function* lines() {
    for await (const row of rows) {
      count += 1;
      yield `${JSON.stringify(row)}\n`;
    }
  }
  const hashed = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk);
      done(null, chunk);
    },
  });
  await pipeline(lines, createGzip(), hashed, createWriteStream(fileOf(folder, table), { flags: 'wx' }));
  return { rows: count, sha256: hash.digest('hex') };
}

/** Reads the rows of a table, one after the other. */
export async function* readRows(folder: string, table: string): AsyncGenerator<Cell[]> {
  const packed = createReadStream(fileOf(folder, table)).pipe(createGunzip());
  for await (const line of createInterface({ input: packed, crlfDelay: Infinity })) yield JSON.parse(line) as Cell[];
}

/**
 * What a copy says of itself, once every file of it was found to be as it was written.
 *
 * @throws InputError for what is no copy, or one that was damaged
 */
export async function readManifest(folder: string): Promise<Manifest> {
  if (!existsSync(join(folder, MANIFEST))) throw new InputError('folder', folder, 'a folder that a backup has made');
  const manifest = manifestOf(readFileSync(join(folder, MANIFEST), 'utf8'));
  for (const { name, sha256 } of manifest.tables) {
    const hash = createHash('sha256');
    const path = fileOf(folder, name);
    if (!existsSync(path)) throw new InputError(name, 'nothing', `${name}.ndjson.gz, as the manifest names it`);
    await pipeline(createReadStream(path), hash);
    if (hash.digest('hex') !== sha256)
      throw new InputError(name, 'a file that was changed or cut off', 'the file as it was written');
  }
  return manifest;
}

function manifestOf(text: string): Manifest {
  const wrong = () => new InputError(MANIFEST, 'something else', 'what a backup says of itself, version 1');
  let read: Partial<Manifest> | null;
  try {
    read = JSON.parse(text) as Partial<Manifest> | null;
  } catch {
    throw wrong();
  }
  if (read?.format !== 'iron-cradle-backup' || read.version !== 1 || !Array.isArray(read.tables)) throw wrong();
  if (!read.tables.every(({ name }) => /^[a-z_]{1,60}$/.test(name))) throw wrong();
  return read as Manifest;
}

/** Where the manifest of a copy stands. @example manifestIn('/copies/today') */
export const manifestIn = (folder: string): string => join(folder, MANIFEST);
