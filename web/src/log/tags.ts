import { deviceNumber } from '@iron-cradle/core';
import { call } from '../net/api.ts';
import { store, storeOrNone, type TagBook } from './db.ts';
import { deviceId } from './device.ts';
import { lineState, storageFailed } from './line.ts';

async function book(jobId: string): Promise<TagBook> {
  return (await (await storeOrNone())?.get('tags', jobId)) ?? { jobId, block: null, used: 0, byKey: {} };
}

/** Asks the server for this device's block of numbers, once a job, for when it is away. */
export async function ensureBlock(jobId: string): Promise<void> {
  if ((await book(jobId)).block !== null) return;
  try {
    const { block } = await call<{ block: number }>('PUT', `/jobs/${jobId}/devices/${deviceId()}`);
    await (await store()).put('tags', { ...(await book(jobId)), block });
  } catch {
    // Asked again when the job is next opened or its entries are delivered.
  }
}

/** How long somebody waits for the server’s number, ms; then the device’s own block serves. */
const PATIENCE = 1500;

async function fromServer(jobId: string, key: string): Promise<number | null> {
  if (lineState().server !== 'here') return null;
  const given = encodeURIComponent(key.replace(/[^\w-]/g, '-').slice(0, 60));
  const late = new Promise<null>((resolve) => setTimeout(() => resolve(null), PATIENCE));
  const asked = call<{ number: number | null }>('PUT', `/jobs/${jobId}/numbers/${given}`)
    .then(({ number }) => number)
    .catch(() => null);
  return Promise.race([asked, late]);
}

/**
 * A number for something no file lists: the server's, else one of this device's block; the same thing keeps its own.
 *
 * @returns null where there is neither: somebody types what they painted
 */
export async function drawNumber(jobId: string, key: string): Promise<number | null> {
  const had = (await book(jobId)).byKey[key];
  if (had !== undefined) return had;
  const served = await fromServer(jobId, key);
  const db = await storeOrNone();
  if (!db) return served;
  const tx = db.transaction('tags', 'readwrite');
  const now = (await tx.store.get(jobId)) ?? { jobId, block: null, used: 0, byKey: {} };
  const own = served === null && now.block !== null ? deviceNumber(now.block, now.used) : null;
  const number = served ?? own;
  if (own !== null) now.used += 1;
  if (number !== null) now.byKey[key] = number;
  try {
    await tx.store.put(now);
    await tx.done;
  } catch (error) {
    storageFailed(error);
    // A number of its own that nothing remembers would be painted twice.
    return served;
  }
  return number;
}
