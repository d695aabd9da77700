import type { JobFile } from '@iron-cradle/core';
import { hashOf, rowOf } from '../../server/src/jobs/chain.ts';

const GENESIS = '0'.repeat(64);

/** A job file under another name, its chain walked anew: what anybody can do who has no key. */
export function renamed(file: JobFile, id: string): JobFile {
  const named = new Map(file.entries.map((entry) => [entry.id, `${id}-${entry.seq}`]));
  let last = GENESIS;
  const entries = file.entries.map((entry) => {
    const moved = { ...entry, id: named.get(entry.id)!, jobId: id, on: entry.on && (named.get(entry.on) ?? null) };
    last = hashOf(last, rowOf(moved));
    return { ...moved, hash: last };
  });
  return { ...file, job: { ...file.job, id }, chain: { ...file.chain, last }, entries };
}

/** A job file put together by hand from the entries of a device, its chain whole. */
export function fileWith(id: string, log: readonly object[], photos: Record<string, string> = {}): JobFile {
  let last = GENESIS;
  const entries = log.map((entry, i) => {
    const numbered = { ...entry, seq: i + 1, received: '2026-11-27T10:00:00.000Z' } as Parameters<typeof rowOf>[0];
    last = hashOf(last, rowOf(numbered));
    return { ...numbered, hash: last };
  });
  const chain = { length: entries.length, last };
  return {
    format: 'iron-cradle-job',
    version: 1,
    job: { id, number: 1 },
    shop: { name: 'x' },
    people: {},
    chain,
    entries,
    photos,
  };
}
