import type { Entry } from '@iron-cradle/core';

/**
 * What follows on a log without a gap, and what has to wait for others’ entries in between.
 *
 * @param last number of its newest entry
 * @example inOrder(4, [six, five, eight]) // { follows: [five, six], waits: [eight] }
 */
export function inOrder(last: number, entries: readonly Entry[]): { follows: Entry[]; waits: Entry[] } {
  const waiting = new Map(entries.map((entry) => [entry.seq ?? 0, entry]));
  const follows: Entry[] = [];
  for (let next = last + 1, entry = waiting.get(next); entry; entry = waiting.get(++next)) follows.push(entry);
  const reached = last + follows.length;
  const waits = [...waiting.values()]
    .filter((entry) => (entry.seq ?? 0) > reached)
    .sort((a, b) => (a.seq ?? 0) - (b.seq ?? 0));
  return { follows, waits };
}
