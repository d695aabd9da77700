import { foldJob, type Entry, archetypes, logWriter } from '@iron-cradle/core';
import { median, row } from './lib.ts';

/** A long log of work on one vehicle: looks, notes, lines parted and made, heights; numbered. */
export function longLog(length: number, jobId = 'long'): Entry[] {
  const write = logWriter(jobId);
  const vehicle = archetypes[0]!;
  const log: Entry[] = [write('opened', { name: 'Van', complaint: 'pump', vehicle, gauge: 0.5 })];
  const line = (i: number) => `line:${vehicle.connections[i % vehicle.connections.length]!.id}`;
  for (let i = 1; log.length < length; i++) {
    if (i % 4 === 0) log.push(write('note', { text: `seen ${i}` }));
    else if (i % 4 === 1) log.push(write('cleared', { key: line(i >> 2), tag: 1 + (i % 90) }));
    else if (i % 4 === 2) log.push(write('moved', { to: { f: 5 * (i % 20), r: 5 * (i % 20) }, why: 'raised' }));
    else
      log.push(write('made', { key: line(i >> 2), openings: [`${line(i >> 2)}@${log.at(-2)!.id}`] } as never) as Entry);
  }
  return log.map((entry, i) => ({ ...entry, seq: i + 1, on: log[i - 1]?.id ?? null }) as Entry);
}

/** Folding a log is linear in its length: time an entry at 5,000 and 20,000 against 1,000. */
export function benchLog(): void {
  const perEntry = [1_000, 5_000, 20_000].map((length) => {
    const log = longLog(length);
    return { length, ms: median(() => void foldJob(null, log), length > 5_000 ? 3 : 9) / length };
  });
  const base = perEntry[0]!.ms;
  for (const { length, ms } of perEntry)
    row(`folding a log of ${length} entries, each`, ms, 'an entry of a log of 1000', base);
}
