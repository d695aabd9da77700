import type { Entry } from '@iron-cradle/core';
import { store, storeOrNone, type NotTaken } from './db.ts';
import { setLine, storageFailed } from './line.ts';
import { tellTabs } from './tabs.ts';

/**
 * What the device's own store holds of a job: confirmed entries, and those on their way. Says how much waits in all.
 *
 * @example (await readShelf('j1')).outgoing.length // 2
 */
export async function readShelf(jobId: string): Promise<{ held: Entry[]; outgoing: Entry[] }> {
  const db = await storeOrNone();
  if (!db) return { held: [], outgoing: [] };
  // In one transaction: what the server takes meanwhile moves from one to the other, and would stand in neither.
  const tx = db.transaction(['entries', 'outbox']);
  const [held, rows] = await Promise.all([
    tx.objectStore('entries').index('job').getAll(jobId),
    tx.objectStore('outbox').index('job').getAll(jobId),
  ]);
  const outgoing = rows.map((row) => row.entry);
  setLine({ waiting: await db.count('outbox'), notTaken: await db.getAll('notTaken') });
  return { held, outgoing };
}

/** Keeps confirmed entries. No room: not kept for a night without a network; the job goes on with what was heard. */
export async function keepConfirmed(entries: readonly Entry[]): Promise<void> {
  try {
    const tx = (await store()).transaction('entries', 'readwrite');
    for (const entry of entries) await tx.store.put(entry);
    await tx.done;
  } catch (error) {
    storageFailed(error);
  }
}

/** What only this device holds, to be looked at by somebody. */
export const onlyHere = (held: readonly Entry[], there: ReadonlySet<string>): NotTaken[] =>
  held
    .filter((entry) => !there.has(entry.id))
    .map((entry) => ({
      id: entry.id,
      entry,
      keptBack: true,
      text: 'the shop’s history was put back to a time before it, and only this device has it',
      todo: 'look whether it is so, then enter it again or let it go',
      owed: [],
    }));

/** Keeps a history that was put back; `only`, which only this device holds, goes to what was not taken. */
export async function putBackOn(entries: readonly Entry[], only: readonly NotTaken[]): Promise<void> {
  try {
    const tx = (await store()).transaction(['entries', 'notTaken'], 'readwrite');
    for (const one of only) {
      await tx.objectStore('entries').delete(one.id);
      await tx.objectStore('notTaken').put(one);
    }
    for (const entry of entries) await tx.objectStore('entries').put(entry);
    await tx.done;
  } catch (error) {
    storageFailed(error);
  }
}

/**
 * Puts an entry into the outbox, counted on from what this device made before, `least` at least; with the token of its maker.
 *
 * @throws where the device can't keep it
 * @example (await putOut('j1', { least: 4, token }, (n) => ({ ...entry, n }))).n // 5
 */
export async function putOut(
  jobId: string,
  { least, token }: { least: number; token: string | null },
  made: (n: number) => Entry,
): Promise<Entry> {
  const db = await store();
  const tx = db.transaction(['outbox', 'counts'], 'readwrite');
  const counts = tx.objectStore('counts');
  const n = Math.max((await counts.get(jobId)) ?? 0, least) + 1;
  const entry = made(n);
  await counts.put(n, jobId);
  await tx.objectStore('outbox').add({ entry, token });
  await tx.done;
  setLine({ waiting: await db.count('outbox') });
  tellTabs(jobId);
  return entry;
}
