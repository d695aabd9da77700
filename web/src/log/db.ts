import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Entry, Refusal } from '@iron-cradle/core';

/** Numbers this device may paint in one job for what no file lists. */
export interface TagBook {
  /** The job they are for. */
  jobId: string;
  /** The device's own block; null until the server gave one. */
  block: number | null;
  /** How many numbers of it were handed out. */
  used: number;
  /** Number by ledger key. */
  byKey: Record<string, number>;
}

/** What the server did not take, until somebody saw it. */
export interface NotTaken extends Refusal {
  /** Id of the entry. */
  id: string;
  /** The entry, as it was sent. */
  entry: Entry;
  /** Not refused, but kept back: it can't be read there, or does not stand on the history there. */
  keptBack: boolean;
}

/** An entry on its way. */
interface OutRow {
  place?: number;
  entry: Entry;
  /** What the sign-in of its maker had left here when it was made. */
  token?: string | null;
}

interface Cradle extends DBSchema {
  /** What the server confirmed, kept for a device without a network. */
  entries: { key: string; value: Entry; indexes: { job: string } };
  /** What is on its way to the server, in order. */
  outbox: { key: number; value: OutRow; indexes: { job: string } };
  /** What the server did not take. */
  notTaken: { key: string; value: NotTaken };
  /** How many entries this device made in a job. */
  counts: { key: string; value: number };
  tags: { key: string; value: TagBook };
  /** Photos taken here; `sent` is 1 once the server has it, 2 where it refused it. */
  photos: { key: string; value: { id: string; jobId: string; blob: Blob; sent: 0 | 1 | 2 } };
  meta: { key: string; value: unknown };
}

let opened: Promise<IDBPDatabase<Cradle>> | null = null;

/** This device's own store. */
export function store(): Promise<IDBPDatabase<Cradle>> {
  opened ??= openDB<Cradle>('cradle-1', 1, {
    upgrade(db) {
      db.createObjectStore('entries', { keyPath: 'id' }).createIndex('job', 'jobId');
      db.createObjectStore('outbox', { keyPath: 'place', autoIncrement: true }).createIndex('job', 'entry.jobId');
      db.createObjectStore('notTaken', { keyPath: 'id' });
      db.createObjectStore('counts');
      db.createObjectStore('tags', { keyPath: 'jobId' });
      db.createObjectStore('photos', { keyPath: 'id' });
      db.createObjectStore('meta');
    },
  });
  return opened;
}

/** The same, or null where the device has none: then everything goes on in memory. */
export const storeOrNone = (): Promise<IDBPDatabase<Cradle> | null> =>
  store().catch(() => {
    // A store that could not be opened is tried anew, not remembered.
    opened = null;
    return null;
  });

/** A small thing kept on this device; undefined where there is none. */
export async function readMeta<T>(key: string): Promise<T | undefined> {
  return (await (await storeOrNone())?.get('meta', key)) as T | undefined;
}

/** Keeps a small thing on this device. */
export async function writeMeta(key: string, value: unknown): Promise<void> {
  await (await storeOrNone())?.put('meta', value, key);
}
