import { Server } from './testing.ts';
import { store } from './db.ts';
import { JobStore } from './jobStore.ts';

let n = 0;

/** A job nobody knew before, being watched. */
export function fresh(): JobStore {
  const job = new JobStore(`job-${++n}`);
  job.subscribe(() => undefined);
  return job;
}

/** Kinds of what is still on its way. */
export const inOutbox = async () => (await (await store()).getAll('outbox')).map((row) => row.entry.kind);

/** A device that holds nothing, and a server that does not either. */
export async function begun(): Promise<Server> {
  const server = new Server();
  const db = await store();
  for (const name of ['outbox', 'notTaken', 'entries', 'tags', 'counts'] as const) await db.clear(name);
  return server;
}
