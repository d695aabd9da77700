import type { Request, Response } from 'express';
import { Op } from 'sequelize';
import type { Database } from '../db/connect.ts';
import type { Streams } from '../people/streams.ts';
import { oneAtATime, type Bell } from './bell.ts';
import { entryOf } from './chain.ts';

const HEARTBEAT_MS = 15_000;

interface Streaming {
  db: Database;
  bell: Bell;
  streams: Streams;
  request: Request;
  response: Response;
}

/** Opens a stream and keeps it alive; it ends with the sign-in that opened it. */
function opened(
  { streams, request, response }: Pick<Streaming, 'streams' | 'request' | 'response'>,
  listen: () => () => void,
): void {
  streams.add({ sessionID: request.sessionID, request, response });
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store',
    'X-Accel-Buffering': 'no',
  });
  response.write('retry: 1500\n\n');
  const stopListening = listen();
  const beat = setInterval(() => response.write(': here\n\n'), HEARTBEAT_MS);
  request.on('close', () => {
    stopListening();
    clearInterval(beat);
  });
}

/** Server-sent events for the bays: one whenever anything of any job has changed. */
export function streamJobs(streaming: Streaming): void {
  const { bell, response } = streaming;
  opened(streaming, () => bell.listenToAll(() => void response.write('event: jobs\ndata: changed\n\n')));
}

/** Server-sent events: every entry after the last one the client has, then each new one. */
export function streamEntries({ jobId, ...streaming }: Streaming & { jobId: string }): void {
  const { db, bell, request, response } = streaming;
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
  opened(streaming, () => bell.listen(jobId, look));
  look();
}
