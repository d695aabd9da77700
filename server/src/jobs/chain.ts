import { createHash } from 'node:crypto';
import type { Entry } from '@iron-cradle/core';

/** The hash before the first entry of a job. */
export const GENESIS = '0'.repeat(64);

/** An entry as it is hashed: the fields in this order, the body as stored. */
export interface Chained {
  id: string;
  jobId: string;
  seq: number;
  at: string;
  by: string;
  kind: string;
  /** JSON text */
  body: string;
  hash: string;
}

/** SHA-256 over the hash before and all that the entry says. */
export function hashOf(previous: string, entry: Omit<Chained, 'hash'>): string {
  const said = JSON.stringify([previous, entry.id, entry.jobId, entry.seq, entry.at, entry.by, entry.kind, entry.body]);
  return createHash('sha256').update(said).digest('hex');
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

export const entryOf = (row: Omit<Chained, 'hash'>): Entry =>
  ({
    id: row.id,
    jobId: row.jobId,
    seq: row.seq,
    at: row.at,
    by: row.by,
    kind: row.kind,
    body: JSON.parse(row.body) as unknown,
  }) as Entry;
