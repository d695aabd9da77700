import type { Entry, Refusal } from '@iron-cradle/core';
import { ApiProblem, Away, call } from '../net/api.ts';
import { readMeta, store, writeMeta, type Refused } from './db.ts';
import { tabId } from './device.ts';
import { setLine } from './line.ts';
import { ensureBlock } from './tags.ts';

interface Appended {
  accepted: { id: string; seq: number }[];
  refused: ({ id: string } & Refusal)[];
}

type Delivered = (jobId: string, accepted: Entry[], refused: string[]) => void;

const listeners = new Set<Delivered>();
export const onDelivered = (listener: Delivered): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

const RETRY_MS = 2000;
const LEASE_MS = 8000;
const BATCH = 100;
let running = false;
let again = false;

/** Wakes the one sender of this device. */
export function deliver(): void {
  if (running) return void (again = true);
  running = true;
  void alone(run).finally(() => {
    running = false;
    if (again) {
      again = false;
      deliver();
    }
  });
}

/** One tab delivers: a web lock where the context is secure, a lease in the store where not. */
async function alone(work: () => Promise<void>): Promise<void> {
  if (navigator.locks) return void (await navigator.locks.request('cradle-sender', work));
  const lease = await readMeta<{ owner: string; until: number }>('lease');
  const owner = tabId();
  if (lease && lease.owner !== owner && lease.until > Date.now()) return void setTimeout(deliver, LEASE_MS / 2);
  await writeMeta('lease', { owner, until: Date.now() + LEASE_MS });
  await work();
}

async function run(): Promise<void> {
  const db = await store();
  for (;;) {
    const rows = await db.getAll('outbox', undefined, BATCH);
    setLine({ waiting: await db.count('outbox'), refused: await db.getAll('refused') });
    const jobId = rows[0]?.entry.jobId;
    if (!jobId) return;
    // Entries of one job go together, in order; the next job's wait their turn.
    const cut = rows.findIndex((row) => row.entry.jobId !== jobId);
    const batch = cut < 0 ? rows : rows.slice(0, cut);
    try {
      const result = await call<Appended>('POST', `/jobs/${encodeURIComponent(jobId)}/entries`, {
        entries: batch.map((row) => row.entry),
      });
      await settle(batch as { n: number; entry: Entry }[], result);
      setLine({ server: 'here' });
      await ensureBlock(jobId);
    } catch (error) {
      if (error instanceof ApiProblem && error.status === 401) {
        setLine({ server: 'signIn' });
        return;
      }
      if (error instanceof ApiProblem && error.status < 500 && error.status !== 429) {
        await settle(batch as { n: number; entry: Entry }[], {
          accepted: [],
          refused: batch.map((row) => ({
            id: row.entry.id,
            text: error.detail || error.title,
            todo: 'enter it again as expected',
            owed: [],
          })),
        });
        continue;
      }
      if (!(error instanceof Away) && !(error instanceof ApiProblem)) throw error;
      setLine({ server: 'away' });
      setTimeout(deliver, RETRY_MS);
      return;
    }
  }
}

/** What the server took moves to the confirmed entries; what it refused is kept to be shown. Both in one transaction. */
async function settle(batch: { n: number; entry: Entry }[], result: Appended): Promise<void> {
  const tx = (await store()).transaction(['outbox', 'entries', 'refused'], 'readwrite');
  const accepted: Entry[] = [];
  for (const { n, entry } of batch) {
    const seq = result.accepted.find((a) => a.id === entry.id)?.seq;
    const refused = result.refused.find((r) => r.id === entry.id);
    if (seq === undefined && !refused) continue;
    await tx.objectStore('outbox').delete(n);
    if (seq !== undefined) {
      const confirmed = { ...entry, seq };
      accepted.push(confirmed);
      await tx.objectStore('entries').put(confirmed);
    } else await tx.objectStore('refused').put({ ...refused, entry } as Refused);
  }
  await tx.done;
  const jobId = batch[0]!.entry.jobId;
  for (const tell of listeners)
    tell(
      jobId,
      accepted,
      result.refused.map((r) => r.id),
    );
}

/** Somebody saw the refusal; the entry is let go. */
export async function letGo(id: string): Promise<void> {
  const db = await store();
  await db.delete('refused', id);
  setLine({ refused: await db.getAll('refused') });
}

export function startSender(): void {
  window.addEventListener('online', deliver);
  deliver();
}
