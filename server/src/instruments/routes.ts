import { InputError, instruments, readInstrument, type InstrumentKind, type JobState } from '@iron-cradle/core';
import { Router, type Request } from 'express';
import { notFound, signInFirst } from '../http/problem.ts';
import type { States } from '../jobs/states.ts';

/** How often a live reading comes, ms. */
const EVERY = 400;

/**
 * The instruments of a shop: list, read, stream. Those that ship are simulated and follow what a demo job hides; a shop of
 * its own has none here, so that no simulated figure can stand in a real record.
 */
export function instrumentRoutes(states: States, simulated: boolean): Router {
  const routes = Router({ mergeParams: true });
  routes.use((request, _response, next) => next(request.session.personId ? undefined : signInFirst()));

  const stateOf = async (jobId: string): Promise<JobState> => {
    const { state } = await states.of(jobId);
    if (!state) throw notFound('job');
    return state;
  };
  const asked = (request: Request<{ id?: string; kind?: string }>) => {
    const { id = '', kind = '' } = request.params;
    const instrument = instruments.find((i) => i.kind === kind);
    if (!simulated || !instrument) throw notFound('instrument');
    const channel = String(request.query.channel ?? instrument.channels[0]!.id);
    if (!instrument.channels.some((c) => c.id === channel))
      throw new InputError('channel', channel, instrument.channels.map((c) => c.id).join(', '));
    return { id, kind: instrument.kind satisfies InstrumentKind, channel };
  };
  const read = async (
    { id, kind, channel }: { id: string; kind: InstrumentKind; channel: string },
    since = Date.now(),
  ) => ({
    ...readInstrument(await stateOf(id), { kind, channelId: channel, at: Date.now(), since, chance: Math.random }),
    simulated: true,
  });

  routes.get('/', (_request, response) => void response.json(simulated ? instruments : []));
  routes.get('/:kind', async (request, response) => void response.json(await read(asked(request))));
  routes.get('/:kind/stream', async (request, response) => {
    const what = asked(request);
    // Read once before the stream begins, so that a job that is not there is an error and not a silence.
    const since = Date.now();
    const first = await read(what, since);
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    });
    const write = (reading: unknown) => response.write(`data: ${JSON.stringify(reading)}\n\n`);
    write(first);
    let open = true;
    request.on('close', () => (open = false));
    const next = async (): Promise<void> => {
      if (!open) return;
      try {
        write(await read(what, since));
      } catch {
        response.end();
        return;
      }
      setTimeout(() => void next(), EVERY);
    };
    setTimeout(() => void next(), EVERY);
  });
  return routes;
}
