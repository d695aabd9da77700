import type { Request, Response } from 'express';
import { Op } from 'sequelize';
import type { Database } from '../db/connect.ts';
import { entryOf } from './chain.ts';

/** How often the sequence in the database is looked at: another server process may have written. ms */
const POLL_MS = 700;
const HEARTBEAT_MS = 15_000;

/** Wakes listeners of a job in this process at once; those of other processes see it at the next look. */
export class Bell {
  private listeners = new Map<string, Set<() => void>>();

  ring(jobId: string): void {
    for (const wake of this.listeners.get(jobId) ?? []) wake();
  }

  listen(jobId: string, wake: () => void): () => void {
    const set = this.listeners.get(jobId) ?? new Set();
    this.listeners.set(jobId, set.add(wake));
    return () => {
      set.delete(wake);
      if (set.size === 0) this.listeners.delete(jobId);
    };
  }
}

/** Server-sent events: every entry after the last one the client has, then each new one. */
export function streamEntries({
  db,
  bell,
  request,
  response,
  jobId,
}: {
  db: Database;
  bell: Bell;
  request: Request;
  response: Response;
  jobId: string;
}): void {
  let last = Number(request.get('Last-Event-ID') ?? request.query.since ?? 0) || 0;
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store',
    'X-Accel-Buffering': 'no',
  });
  response.write('retry: 1500\n\n');
  let busy = false;
  let again = false;
  const send = async (): Promise<void> => {
    if (busy) return void (again = true);
    busy = true;
    try {
      do {
        again = false;
        const rows = await db.models.Entry.findAll({
          where: { jobId, seq: { [Op.gt]: last } },
          order: [['seq', 'ASC']],
        });
        for (const row of rows) {
          response.write(`id: ${row.seq}\nevent: entry\ndata: ${JSON.stringify(entryOf(row))}\n\n`);
          last = row.seq;
        }
      } while (again);
    } catch {
      // The database is away for a moment: the next look tries again, the client keeps what it has.
    } finally {
      busy = false;
    }
  };
  const stopListening = bell.listen(jobId, () => void send());
  const poll = setInterval(() => void send(), POLL_MS);
  const beat = setInterval(() => response.write(': here\n\n'), HEARTBEAT_MS);
  request.on('close', () => {
    stopListening();
    clearInterval(poll);
    clearInterval(beat);
  });
  void send();
}
