import type { Entry, Refusal } from '@iron-cradle/core';
import { ApiProblem, Away, call } from '../net/api.ts';
import { readMeta, store, writeMeta, type NotTaken } from './db.ts';
import { tabId } from './device.ts';
import { setLine } from './line.ts';
import { ensureBlock } from './tags.ts';

/** What the server says to each entry. */
interface Appended {
  accepted: Pick<Entry, 'id' | 'seq' | 'received' | 'decided' | 'hash'>[];
  refused: ({ id: string } & Refusal)[];
  keptBack: { id: string; errors: { field: string; found: string; expected: string }[] }[];
}

interface Row {
  place: number;
  entry: Entry;
}

type Delivered = (jobId: string, accepted: Entry[], refused: string[]) => void;

const listeners = new Set<Delivered>();
/** Hears what the server took and refused; gives back how to hear no more. */
export const onDelivered = (listener: Delivered): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** How soon it tries again while the server is away, how long one tab keeps the sending, how many go at once. */
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
  /** After a request that could not be read: one by one, so that one bad entry holds nobody. */
  let most = BATCH;
  for (;;) {
    const rows = (await db.getAll('outbox', undefined, most)) as Row[];
    setLine({ waiting: await db.count('outbox'), notTaken: await db.getAll('notTaken') });
    const first = rows[0];
    if (!first) return;
    const { jobId } = first.entry;
    // Entries of one job go together, in order; the next job's wait their turn.
    const cut = rows.findIndex((row) => row.entry.jobId !== jobId);
    const batch = cut < 0 ? rows : rows.slice(0, cut);
    try {
      const result = await call<Appended>('POST', `/jobs/${encodeURIComponent(jobId)}/entries`, {
        body: {
          entries: batch.map((row) => row.entry),
        },
      });
      await settle(batch, result);
      setLine({ server: 'here' });
      await ensureBlock(jobId);
    } catch (error) {
      if (error instanceof ApiProblem && error.status === 401) {
        setLine({ server: 'signIn' });
        return;
      }
      if (error instanceof ApiProblem && error.status < 500 && error.status !== 429) {
        if (batch.length > 1) {
          most = 1;
          continue;
        }
        const expected = error.detail || error.title;
        const errors = [{ field: 'entry', found: '', expected }];
        await settle(batch, { accepted: [], refused: [], keptBack: [{ id: first.entry.id, errors }] });
        continue;
      }
      if (!(error instanceof Away) && !(error instanceof ApiProblem)) throw error;
      setLine({ server: 'away' });
      setTimeout(deliver, RETRY_MS);
      return;
    }
  }
}

/** What the server took moves to the confirmed entries; what it did not is kept to be shown. All in one transaction. */
async function settle(batch: readonly Row[], result: Appended): Promise<void> {
  const tx = (await store()).transaction(['outbox', 'entries', 'notTaken'], 'readwrite');
  const accepted: Entry[] = [];
  const gone: string[] = [];
  for (const { place, entry } of batch) {
    const taken = result.accepted.find((a) => a.id === entry.id);
    const not = notTakenOf(entry, result);
    if (!taken && !not) continue;
    await tx.objectStore('outbox').delete(place);
    if (taken) {
      const confirmed = { ...entry, ...taken } as Entry;
      accepted.push(confirmed);
      await tx.objectStore('entries').put(confirmed);
    } else if (not) {
      gone.push(entry.id);
      await tx.objectStore('notTaken').put(not);
    }
  }
  await tx.done;
  const jobId = batch[0]?.entry.jobId ?? '';
  for (const tell of listeners) tell(jobId, accepted, gone);
}

function notTakenOf(entry: Entry, { refused, keptBack }: Appended): NotTaken | null {
  const no = refused.find((r) => r.id === entry.id);
  if (no) return { ...no, entry, keptBack: false };
  const kept = keptBack.find((k) => k.id === entry.id);
  if (!kept) return null;
  const text = kept.errors.map((e) => `${e.field}: expected ${e.expected}`).join('; ');
  return {
    id: entry.id,
    entry,
    keptBack: true,
    text,
    todo: 'look at it, then enter it again by hand or let it go',
    owed: [],
  };
}

/** Somebody saw it; the entry is let go. */
export async function letGo(id: string): Promise<void> {
  const db = await store();
  await db.delete('notTaken', id);
  setLine({ notTaken: await db.getAll('notTaken') });
}

/** Begins to deliver what waits, and again whenever the network comes back. */
export function startSender(): void {
  window.addEventListener('online', deliver);
  deliver();
}
