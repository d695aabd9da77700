import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Entry, Refusal } from '@iron-cradle/core';

/** Numbers this device may paint in one job. */
export interface TagBook {
  jobId: string;
  /** The device's own block; null until the server gave one. */
  block: number | null;
  /** How many numbers of it were handed out. */
  used: number;
  byKey: Record<string, number>;
}

export interface Refused extends Refusal {
  id: string;
  entry: Entry;
}

interface Cradle extends DBSchema {
  /** What the server confirmed, kept for a device without a network. */
  entries: { key: string; value: Entry; indexes: { job: string } };
  /** What is on its way to the server, in order. */
  outbox: { key: number; value: { n?: number; entry: Entry }; indexes: { job: string } };
  /** What the server said no to, until somebody saw it. */
  refused: { key: string; value: Refused };
  tags: { key: string; value: TagBook };
  /** Photos taken here; `sent` is 1 once the server has it. */
  photos: { key: string; value: { id: string; jobId: string; blob: Blob; sent: 0 | 1 } };
  meta: { key: string; value: unknown };
}

let opened: Promise<IDBPDatabase<Cradle>> | null = null;

/** This device's own store. */
export function store(): Promise<IDBPDatabase<Cradle>> {
  opened ??= openDB<Cradle>('cradle', 2, {
    upgrade(db, had) {
      if (had < 2) db.createObjectStore('photos', { keyPath: 'id' });
      if (had >= 1) return;
      db.createObjectStore('entries', { keyPath: 'id' }).createIndex('job', 'jobId');
      db.createObjectStore('outbox', { keyPath: 'n', autoIncrement: true }).createIndex('job', 'entry.jobId');
      db.createObjectStore('refused', { keyPath: 'id' });
      db.createObjectStore('tags', { keyPath: 'jobId' });
      db.createObjectStore('meta');
    },
  });
  return opened;
}

export async function readMeta<T>(key: string): Promise<T | undefined> {
  return (await (await store()).get('meta', key)) as T | undefined;
}

export async function writeMeta(key: string, value: unknown): Promise<void> {
  await (await store()).put('meta', value, key);
}
