import { call } from '../net/api.ts';
import { store, type TagBook } from './db.ts';
import { deviceId } from './device.ts';

/** Numbers in a block; the first device paints 1 to 40, the second 41 to 80. */
const BLOCK = 40;

/** The nth number of a device's block; past its end it goes on in a range of its own, still nobody else's. */
export const numberOf = (block: number, n: number): number =>
  n < BLOCK ? block * BLOCK + n + 1 : 1000 * (block + 1) + (n - BLOCK);

async function book(jobId: string): Promise<TagBook> {
  return (await (await store()).get('tags', jobId)) ?? { jobId, block: null, used: 0, byKey: {} };
}

/** Asks the server for this device's block of numbers, once a job. Without a server the first block is taken for a job made here. */
export async function ensureBlock(jobId: string): Promise<void> {
  if ((await book(jobId)).block !== null) return;
  try {
    const { block } = await call<{ block: number }>('PUT', `/jobs/${jobId}/devices/${deviceId()}`);
    await (await store()).put('tags', { ...(await book(jobId)), block });
  } catch {
    // Asked again when the job is next opened or its entries are delivered.
  }
}

/**
 * Reserves a number for each key, once: the same thing keeps its number in this job and no number is used twice.
 *
 * @param taken numbers that stand in the log
 */
export async function reserve(
  jobId: string,
  keys: readonly string[],
  taken: readonly number[],
): Promise<Record<string, number>> {
  const tx = (await store()).transaction('tags', 'readwrite');
  const now = (await tx.store.get(jobId)) ?? { jobId, block: null, used: 0, byKey: {} };
  for (const key of keys) {
    if (now.byKey[key] !== undefined) continue;
    // Numbers already in the log stay theirs, also in a job that was taken in from elsewhere.
    while (taken.includes(numberOf(now.block ?? 0, now.used))) now.used += 1;
    now.byKey[key] = numberOf(now.block ?? 0, now.used);
    now.used += 1;
  }
  await tx.store.put(now);
  await tx.done;
  return now.byKey;
}
