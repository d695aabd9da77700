import type { Request, Response } from 'express';
import { Op } from 'sequelize';
import type { Database } from '../db/connect.ts';
import { Problem } from '../http/problem.ts';
import { endsWithSignIn } from '../people/session.ts';
import { entryOf } from './chain.ts';

/** How often the sequence in the database is looked at: another server process may have written. ms */
const POLL_MS = 700;
/** The same for all jobs at once, which is a longer look. ms */
const POLL_ALL_MS = 3000;
const HEARTBEAT_MS = 15_000;
/** Under which those listen who hear of every job. */
const ALL = '*';

/** Wakes listeners of a job in this process at once; those of other processes see it at the next look. */
export class Bell {
  private listeners = new Map<string, Set<() => void>>();

  ring(jobId: string): void {
    for (const heard of [jobId, ALL]) for (const wake of this.listeners.get(heard) ?? []) wake();
  }

  listenToAll = (wake: () => void): (() => void) => this.listen(ALL, wake);

  listen(jobId: string, wake: () => void): () => void {
    const set = this.listeners.get(jobId) ?? new Set();
    this.listeners.set(jobId, set.add(wake));
    return () => {
      set.delete(wake);
      if (set.size === 0) this.listeners.delete(jobId);
    };
  }
}

interface Streaming {
  db: Database;
  bell: Bell;
  request: Request;
  response: Response;
}

/** Streams that one sign-in has open here. */
const open = new Map<string, number>();
/** So many pages at once are a person’s; more are a mistake. Common practice, no source. */
const MOST_OPEN = 24;

/** Opens a stream, keeps it alive, looks again and again; it ends with the sign-in that opened it. */
function opened(
  { db, request, response }: Pick<Streaming, 'db' | 'request' | 'response'>,
  { look, listen, every }: { look: () => void; listen: (wake: () => void) => () => void; every: number },
): void {
  const { sessionID } = request;
  const many = (open.get(sessionID) ?? 0) + 1;
  if (many > MOST_OPEN)
    throw new Problem(429, 'Too many pages', { detail: 'Too many pages are open on this device. Close some.' });
  open.set(sessionID, many);
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store',
    'X-Accel-Buffering': 'no',
  });
  response.write('retry: 1500\n\n');
  const stopListening = listen(look);
  const poll = setInterval(look, every);
  const beat = setInterval(() => response.write(': here\n\n'), HEARTBEAT_MS);
  endsWithSignIn(db, { request, response });
  request.on('close', () => {
    const left = (open.get(sessionID) ?? 1) - 1;
    if (left > 0) open.set(sessionID, left);
    else open.delete(sessionID);
    stopListening();
    clearInterval(poll);
    clearInterval(beat);
  });
  look();
}

/** Work that runs once at a time; asked for meanwhile it runs once more. What fails is tried at the next look. */
function oneAtATime(work: () => Promise<void>): () => void {
  let busy = false;
  let again = false;
  const run = async (): Promise<void> => {
    if (busy) return void (again = true);
    busy = true;
    try {
      do {
        again = false;
        await work();
      } while (again);
    } catch {
      // The database is away for a moment: the client keeps what it has.
    } finally {
      busy = false;
    }
  };
  return () => void run();
}

/** Server-sent events for the bays: one whenever anything of any job has changed. */
export function streamJobs({ db, bell, request, response }: Streaming): void {
  let last: string | null = null;
  const look = oneAtATime(async () => {
    // The newest few, by an index, also where two changed in the same millisecond: never a walk over all there ever were.
    const newest = await db.models.Job.findAll({
      attributes: ['id', 'lastSeq', 'touched'],
      order: [['touched', 'DESC']],
      limit: 16,
    });
    const now = JSON.stringify(newest);
    if (last !== null && now !== last) response.write('event: jobs\ndata: changed\n\n');
    last = now;
  });
  opened({ db, request, response }, { look, listen: bell.listenToAll, every: POLL_ALL_MS });
}

/** Server-sent events: every entry after the last one the client has, then each new one. */
export function streamEntries({ db, bell, request, response, jobId }: Streaming & { jobId: string }): void {
  let last = Number(request.get('Last-Event-ID') ?? request.query.since ?? 0) || 0;
  const look = oneAtATime(async () => {
    const rows = await db.models.Entry.findAll({
      where: { jobId, seq: { [Op.gt]: last } },
      order: [['seq', 'ASC']],
    });
    for (const row of rows) {
      response.write(`id: ${row.seq}\nevent: entry\ndata: ${JSON.stringify(entryOf(row))}\n\n`);
      last = row.seq;
    }
  });
  opened({ db, request, response }, { look, listen: (wake) => bell.listen(jobId, wake), every: POLL_MS });
}
