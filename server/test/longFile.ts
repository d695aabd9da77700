import { archetypes } from '@iron-cradle/core';
import { GENESIS, hashOf, rowOf } from '../src/jobs/chain.ts';
import type { Tablet } from './tablet.ts';

/** A job file of so many notes, its chain whole. @example fileOf(tablet, 'job-long', 12_000) */
export function fileOf(by: Tablet, id: string, notes: number): string {
  const vehicle = archetypes[0]!;
  const entries = [
    by.entry(id, 'opened', { name: 'Van', complaint: 'pump', vehicle }),
    ...Array.from({ length: notes }, (_, i) => by.entry(id, 'note', { text: `seen ${i}, “quoted”` })),
  ];
  let hash = GENESIS;
  const log = entries.map((entry, i) => {
    const numbered = { ...entry, seq: i + 1, received: '2026-05-04T10:00:00.000Z', on: entries[i - 1]?.id ?? null };
    hash = hashOf(hash, rowOf(numbered));
    return { ...numbered, hash };
  });
  return JSON.stringify({
    format: 'iron-cradle-job',
    version: 1,
    job: { id, number: 900 },
    shop: { name: 'Elsewhere' },
    people: { ines: 'Ines' },
    entries: log,
  });
}
