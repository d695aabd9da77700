import { createHash } from 'node:crypto';
import type { Decided, RawEntry } from '@iron-cradle/core';

/** The hash before the first entry of a job. */
export const GENESIS = '0'.repeat(64);

/** An entry as it is stored and hashed: what is JSON stands as its text. */
export interface Chained {
  /** Id of the entry. */
  id: string;
  /** Of its job. */
  jobId: string;
  /** Its number in the job, from one on. */
  seq: number;
  /** Of its kind. */
  version: number;
  /** What sort of entry it is. */
  kind: string;
  /** JSON text */
  body: string;
  /** Who made it. */
  by: string;
  /** On which device. */
  device: string;
  /** Its number on that device. */
  n: number;
  /** When it was made, by the device's clock. */
  at: string;
  /** Newest entry its maker held. */
  onId: string | null;
  /** JSON text */
  said: string | null;
  /** JSON text */
  decided: string | null;
  /** When it arrived. */
  received: string;
  /** s the clock of its device was behind then; null: it was right, or nobody said. */
  behind: number | null;
  /** Of this entry and the one before, SHA-256. */
  hash: string;
}

/** SHA-256 over the hash before and all that the entry says; what the server noted of its arrival (number, time, clock) is left out. */
export function hashOf(previous: string, entry: Omit<Chained, 'hash' | 'seq' | 'received' | 'behind'>): string {
  const { id, jobId, version, kind, body, by, device, n, at, onId, said, decided } = entry;
  const text = JSON.stringify([previous, id, jobId, version, kind, body, by, device, n, at, onId, said, decided]);
  return createHash('sha256').update(text).digest('hex');
}

/** Walks a chain. `brokenAt` is the first entry that does not follow from the one before. */
export function verifyChain(rows: readonly Chained[]): { length: number; last: string; brokenAt: number | null } {
  let previous = GENESIS;
  let expected = 1;
  for (const row of rows) {
    if (row.seq !== expected || row.hash !== hashOf(previous, row))
      return { length: rows.length, last: previous, brokenAt: row.seq };
    previous = row.hash;
    expected += 1;
  }
  return { length: rows.length, last: previous, brokenAt: null };
}

/** A numbered entry, as clients and files have it. */
export type Numbered = RawEntry & { seq: number; received: string; hash: string };

const parsed = <T>(text: string | null): T | undefined => (text === null ? undefined : (JSON.parse(text) as T));

/** A row as an entry. */
export function entryOf(row: Chained): Numbered {
  const said = parsed<{ by: string; at: string }>(row.said);
  const decided = parsed<Decided>(row.decided);
  return {
    id: row.id,
    jobId: row.jobId,
    version: row.version,
    kind: row.kind,
    body: JSON.parse(row.body) as unknown,
    by: row.by,
    device: row.device,
    n: row.n,
    at: row.at,
    on: row.onId,
    ...(said ? { said } : {}),
    ...(decided ? { decided } : {}),
    seq: row.seq,
    received: row.received,
    ...(row.behind === null ? {} : { behind: row.behind }),
    hash: row.hash,
  };
}

/** An entry as a row; what is JSON becomes its text. */
export const rowOf = (entry: RawEntry & { seq: number; received: string }): Omit<Chained, 'hash'> => ({
  id: entry.id,
  jobId: entry.jobId,
  seq: entry.seq,
  version: entry.version,
  kind: entry.kind,
  body: JSON.stringify(entry.body),
  by: entry.by,
  device: entry.device,
  n: entry.n,
  at: entry.at,
  onId: entry.on,
  said: entry.said ? JSON.stringify(entry.said) : null,
  decided: entry.decided ? JSON.stringify(entry.decided) : null,
  received: entry.received,
  behind: entry.behind ?? null,
});
