import {
  InputError,
  instruments,
  readInstrument,
  readingOf,
  type InstrumentKind,
  type JobState,
} from '@iron-cradle/core';
import { Router, type Request, type Response } from 'express';
import { notFound } from '../http/problem.ts';
import type { Shelves } from '../jobs/shelves.ts';
import type { Streams } from '../people/streams.ts';
import { moments } from './moments.ts';
import { readRemote, streamRemote } from './remote.ts';
import { listed, readSources, sourceFor } from './sources.ts';

/** How often a simulated reading comes, ms. */
const EVERY = 400;

/** What is asked of an instrument. */
interface Asked {
  id: string;
  kind: InstrumentKind;
  channel: string;
  /** When what a simulated one follows was set in motion, and when it was switched off, ms since the epoch. */
  since: number | undefined;
  off: number | undefined;
}

/**
 * The instruments of a shop: list, read, stream. Gateways the lead added come first; those that ship are simulated and follow
 * what a demo job hides, so that no simulated figure can stand in the record of a shop of its own.
 */
export function instrumentRoutes(
  { db, states }: Pick<Shelves, 'db' | 'states'>,
  { simulated, streams }: { simulated: boolean; streams: Streams },
): Router {
  const routes = Router({ mergeParams: true });

  const stateOf = async (jobId: string): Promise<JobState> => {
    const { state } = await states.of(jobId);
    if (!state) throw notFound('job');
    return state;
  };
  const asked = (request: Request<{ id?: string; kind?: string }>): Asked => {
    const { id = '', kind = '' } = request.params;
    const instrument = instruments.find((i) => i.kind === kind);
    if (!instrument) throw notFound('instrument');
    const channel = String(request.query.channel ?? instrument.channels[0]!.id);
    if (!instrument.channels.some((c) => c.id === channel))
      throw new InputError('channel', channel, instrument.channels.map((c) => c.id).join(', '));
    return { id, kind: instrument.kind, channel, since: moment(request, 'since'), off: moment(request, 'off') };
  };
  const read = async ({ id, kind, channel, since, off }: Asked, at = Date.now()) => ({
    ...readInstrument(await stateOf(id), {
      kind,
      channelId: channel,
      at,
      since: since ?? at,
      off,
      chance: Math.random,
    }),
    simulated: true,
  });
  const remote = async (what: Asked) => sourceFor(await readSources(db), what);

  routes.get('/', async (_request, response) => {
    const own = listed(await readSources(db));
    const covered = (kind: InstrumentKind, channel: string) =>
      own.some((one) => one.kind === kind && one.channels.some(({ id }) => id === channel));
    response.json(
      instruments.flatMap((instrument) => {
        const channels = instrument.channels
          .map((channel) => ({ ...channel, simulated: !covered(instrument.kind, channel.id) }))
          .filter((channel) => simulated || !channel.simulated);
        return channels.length > 0 ? [{ ...instrument, channels }] : [];
      }),
    );
  });

  routes.get('/:kind', async (request, response) => {
    const what = asked(request);
    const from = await remote(what);
    if (!from && !simulated) throw notFound('instrument');
    if (!from) return void response.json(await read(what));
    await stateOf(what.id);
    const line = await readRemote(from.source.at, from.line);
    response.json({ ...readingOf(line, { ...what, now: Date.now() }), simulated: false, source: from.source.name });
  });

  routes.get('/:kind/stream', async (request, response) => {
    const what = asked(request);
    const from = await remote(what);
    if (!from && !simulated) throw notFound('instrument');
    streams.add({ sessionID: request.sessionID, request, response });
    if (!from) {
      // Who lost the line comes back with the moment at which it began: the arm is not at its stop again.
      const again = Number(request.get('Last-Event-ID'));
      const since = what.since ?? (Number.isInteger(again) && again > 0 ? again : Date.now());
      // Read once before the stream begins, so that a job that is not there is an error and not a silence.
      await stateOf(what.id);
      const write = begun(response, since);
      const gone = new AbortController();
      request.on('close', () => gone.abort());
      try {
        for await (const at of moments({ begin: Date.now(), every: EVERY, signal: gone.signal }))
          write(await read({ ...what, since }, at));
      } catch {
        response.end();
      }
      return;
    }
    await stateOf(what.id);
    let write: ReturnType<typeof begun> | null = null;
    const stop = await streamRemote(from.source.at, from.line, {
      onReading: (line) => {
        write ??= begun(response);
        write({ ...readingOf(line, { ...what, now: Date.now() }), simulated: false, source: from.source.name });
      },
      onEnd: () => void response.end(),
    });
    write ??= begun(response);
    request.on('close', stop);
  });
  return routes;
}

/** A moment of the last hours, as a query says it. @throws InputError for one that is none */
function moment(request: Request, name: string): number | undefined {
  const said = request.query[name];
  if (said === undefined) return undefined;
  const at = Number(said);
  if (!(Number.isInteger(at) && at > 0)) throw new InputError(name, String(said), 'milliseconds since 1970');
  return at;
}

/** Begins a stream of events, each with this id where there is one; what it returns writes one. */
function begun(response: Response, id?: number): (reading: unknown) => void {
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store',
    'X-Accel-Buffering': 'no',
  });
  if (id !== undefined) response.write(`id: ${id}\n`);
  return (reading) => void response.write(`data: ${JSON.stringify(reading)}\n\n`);
}
