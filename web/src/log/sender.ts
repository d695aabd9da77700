import type { Entry, Refusal } from '@iron-cradle/core';
import { ApiProblem, Away, call } from '../net/api.ts';
import { readMeta, store, storeOrNone, writeMeta, type NotTaken } from './db.ts';
import { tabId } from './device.ts';
import { lineState, setLine, storageFailed } from './line.ts';
import { tellTabs } from './tabs.ts';
import { ensureBlock } from './tags.ts';
import { askToken, tokenOf } from './tokens.ts';

/** What the server says to each entry. */
interface Appended {
  accepted: Pick<Entry, 'id' | 'seq' | 'received' | 'behind' | 'decided' | 'hash'>[];
  refused: ({ id: string } & Refusal)[];
  keptBack: { id: string; errors: { field: string; found: string; expected: string }[] }[];
}

interface Row {
  /** Below zero: it is held in memory only. */
  place: number;
  entry: Entry;
  /** What the sign-in of its maker had left here when it was made; none: it had not come yet. */
  token?: string | null;
}

/** What this device could not keep: it goes out from here, after what was kept before. */
const inMemory: Omit<Row, 'place'>[] = [];
/** Delivers an entry that the device has no room to keep. */
export function holdInMemory(entry: Entry, token: string | null): void {
  inMemory.push({ entry, token });
  deliver();
}
/** Entries that are only in memory, of one job. */
export const heldInMemory = (jobId: string): readonly Entry[] =>
  inMemory.map(({ entry }) => entry).filter((e) => e.jobId === jobId);

/** What waits, in order: what is kept, then what is not. */
async function waitingRows(most: number): Promise<Row[]> {
  const db = await storeOrNone();
  const kept = ((await db?.getAll('outbox', undefined, most).catch(() => [])) ?? []) as Row[];
  return [...kept, ...inMemory.map((row, i) => ({ place: -1 - i, ...row }))].slice(0, most);
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

/**
 * When the server last broke at an entry with a fault of its own, and took none since. One entry may be to blame; a second one so
 * soon says that the server is, and everything waits for it, try after try.
 */
let brokeAt = -Infinity;
/** After so long another entry may be to blame, ms. */
const BLAME_AGAIN = 60_000;

/** Is this answer about the one entry, which then is kept to be shown, or about the server? */
const keepsBack = (status: number): boolean =>
  (status < 500 && status !== 429) || (status === 500 && Date.now() - brokeAt > BLAME_AGAIN);

async function run(): Promise<void> {
  /** After a request that could not be read: one by one, so that one bad entry holds nobody. */
  let most = BATCH;
  for (;;) {
    const rows = await waitingRows(most);
    const db = await storeOrNone();
    setLine({
      waiting: ((await db?.count('outbox')) ?? 0) + inMemory.length,
      ...(db ? { notTaken: await db.getAll('notTaken') } : {}),
    });
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
          tokens: await tokensOf(batch),
          clock: new Date().toISOString(),
        },
      });
      await settle(batch, result);
      brokeAt = -Infinity;
      setLine({ server: 'here' });
      await ensureBlock(jobId);
    } catch (error) {
      if (error instanceof ApiProblem && error.status === 401) {
        setLine({ server: 'signIn' });
        return;
      }
      if (error instanceof ApiProblem && keepsBack(error.status)) {
        if (batch.length > 1) {
          most = 1;
          continue;
        }
        if (error.status === 500) brokeAt = Date.now();
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

/** Each maker’s token; one whose token had not come when it was made uses what is there now, or is asked for now. */
async function tokensOf(batch: readonly Row[]): Promise<(string | null)[]> {
  const without = batch.filter((row) => !row.token).map((row) => row.entry.by);
  const known = new Map<string, string | null>();
  for (const by of new Set(without)) known.set(by, await tokenOf(by));
  if ([...known.values()].includes(null)) {
    await askToken();
    for (const by of known.keys()) known.set(by, await tokenOf(by));
  }
  return batch.map((row) => row.token ?? known.get(row.entry.by) ?? null);
}

/** What the server took moves to the confirmed entries; what it did not is kept to be shown. All in one transaction. */
async function settle(batch: readonly Row[], result: Appended): Promise<void> {
  const told = batch.flatMap(({ place, entry }) => {
    const taken = result.accepted.find((a) => a.id === entry.id);
    const not = notTakenOf(entry, result);
    return taken || not ? [{ place, entry, taken, not }] : [];
  });
  const accepted = told.flatMap(({ entry, taken }) => (taken ? [{ ...entry, ...taken } as Entry] : []));
  const refused = told.flatMap(({ taken, not }) => (!taken && not ? [not] : []));
  try {
    const tx = (await store()).transaction(['outbox', 'entries', 'notTaken'], 'readwrite');
    for (const { place } of told) if (place >= 0) await tx.objectStore('outbox').delete(place);
    for (const entry of accepted) await tx.objectStore('entries').put(entry);
    for (const not of refused) await tx.objectStore('notTaken').put(not);
    await tx.done;
  } catch (error) {
    // The server has them; the same entries delivered again would only be confirmed again.
    storageFailed(error);
    if (told.some(({ place }) => place >= 0)) throw new Away();
  }
  for (const { entry } of told) {
    const at = inMemory.findIndex((row) => row.entry.id === entry.id);
    if (at >= 0) inMemory.splice(at, 1);
  }
  // All of it is at the server: nothing hangs on this page any more. Said again at the next thing that finds no room.
  if (lineState().storage !== null && inMemory.length === 0) setLine({ storage: null });
  const jobId = batch[0]?.entry.jobId ?? '';
  tellTabs(jobId);
  const gone = refused.map(({ id }) => id);
  for (const tell of listeners) tell(jobId, accepted, gone);
}

/** Fields no person ever typed: what was expected says enough. */
const OUTSIDE = new Set(['by', 'device', 'at', 'on', 'n', 'kind', 'version']);

function notTakenOf(entry: Entry, { refused, keptBack }: Appended): NotTaken | null {
  const no = refused.find((r) => r.id === entry.id);
  if (no) return { ...no, entry, keptBack: false };
  const kept = keptBack.find((k) => k.id === entry.id);
  if (!kept) return null;
  const text = kept.errors.map((e) => `${OUTSIDE.has(e.field) ? '' : `${e.field}: `}expected ${e.expected}`).join('; ');
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
