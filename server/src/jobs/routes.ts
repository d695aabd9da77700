import express, { Router } from 'express';
import { Op } from 'sequelize';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsISO8601, IsOptional } from 'class-validator';
import { checked, figuresOf, InputError, jobFileSchema, SERVER_NUMBERS } from '@iron-cradle/core';
import { inTransaction } from '../db/connect.ts';
import { notFound } from '../http/problem.ts';
import { readShop } from '../shop/shop.ts';
import { append } from './appending/append.ts';
import type { Streams } from '../people/streams.ts';
import type { Shelves } from './shelves.ts';
import { behindBy } from './clock.ts';
import { entryOf, verifyChain } from './chain.ts';
import type { Bell } from './bell.ts';
import { streamEntries, streamJobs } from './events.ts';
import { signedJobs } from './signed.ts';
import { photoRoutes } from './photos.ts';
import { exportJob } from './file.ts';
import { keepJob } from './incoming/keep.ts';
import { readBeside } from './incoming/reader.ts';
import { recordRoutes } from '../record/routes.ts';

class EntriesBody {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(500) entries!: unknown[];
  /** The token of each entry’s maker, in their order. */
  @IsOptional() @IsArray() @ArrayMaxSize(500) tokens?: unknown[] | null;
  /** What the device’s clock shows. */
  @IsOptional() @IsISO8601() clock?: string | null;
}

/** Where a job file comes in, under the API. */
export const IMPORT = '/jobs/import';

/** Jobs: the rows for the bays, and the log of each. */
export function jobRoutes(shelves: Shelves, { bell, streams }: { bell: Bell; streams: Streams }): Router {
  const { db, summaries } = shelves;
  const routes = Router();

  routes.get('/', async (_request, response) => {
    const jobs = await db.models.Job.findAll({ where: { signed: false }, order: [['number', 'ASC']] });
    response.json(await summaries.of(jobs));
  });

  // What can be no job's id is no job, at every route.
  routes.use('/:id', (request, _response, next) =>
    next(/^[\w-]{2,60}$/.test(request.params.id) ? undefined : notFound('job')),
  );
  routes.get('/schema', (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(jobFileSchema));
  });

  routes.get('/signed', async (request, response) => {
    response.json(await summaries.of(await signedJobs(db, request.query)));
  });

  routes.get('/events', (request, response) => streamJobs({ db, bell, streams, request, response }));

  const whole = express.raw({ type: ['application/json', 'application/zip'], limit: '120mb' });
  routes.post('/import', whole, async (request, response) => {
    const body: unknown = request.body;
    if (!Buffer.isBuffer(body)) throw new InputError('file', 'nothing', 'a job file, as JSON or as a zip');
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    const zipped = request.is('application/zip') !== false;
    response.status(201).json(await keepJob(db, await readBeside({ bytes: body, zipped }, gone.signal)));
  });

  routes.post('/:id/entries', async (request, response) => {
    const { entries, tokens, clock } = checked(EntriesBody, request.body);
    const result = await append(shelves, {
      jobId: request.params.id,
      entries,
      personId: request.session.personId!,
      tokens: (tokens ?? []).map((token) => (typeof token === 'string' ? token : null)),
      ...(clock ? { behind: behindBy(clock) } : {}),
      figures: figuresOf(await readShop(db)),
    });
    bell.ring(request.params.id);
    response.json(result);
  });

  routes.get('/:id/entries', async (request, response) => {
    const since = Number(request.query.since ?? 0);
    if (!Number.isInteger(since) || since < 0)
      throw new InputError('since', String(request.query.since), 'a whole number of entries');
    const job = await db.models.Job.findByPk(request.params.id);
    if (!job) throw notFound('job');
    // What it holds last, by its hash: where that is not what stands here, its history is another one, and it gets the whole.
    const { hash } = request.query;
    const last =
      since > 0 && typeof hash === 'string'
        ? await db.models.Entry.findOne({ where: { jobId: job.id, seq: since } })
        : null;
    const putBack = since > 0 && typeof hash === 'string' && last?.hash !== hash;
    const rows = await db.models.Entry.findAll({
      where: { jobId: job.id, seq: { [Op.gt]: putBack ? 0 : since } },
      order: [['seq', 'ASC']],
    });
    response.json({ number: job.number, entries: rows.map(entryOf), putBack });
  });

  routes.use('/:id/photos', photoRoutes(db));
  routes.use('/:id', recordRoutes(db));

  routes.get('/:id/events', (request, response) =>
    streamEntries({ db, bell, streams, request, response, jobId: request.params.id }),
  );

  routes.get('/:id/chain', async (request, response) => {
    const rows = await db.models.Entry.findAll({ where: { jobId: request.params.id }, order: [['seq', 'ASC']] });
    if (rows.length === 0) throw notFound('job');
    response.json(verifyChain(rows));
  });

  routes.get('/:id/file', async (request, response) => {
    response.json(await exportJob(db, request.params.id, request.query.photos === 'yes'));
  });

  /** Numbers for tags: each device has a block of its own, so that two tablets never paint the same number. */
  routes.put('/:id/devices/:device', async (request, response) => {
    const { id: jobId, device } = request.params;
    if (!/^[\w-]{8,60}$/.test(device)) throw new InputError('device', device, 'the id of a device');
    const block = await inTransaction(db, async (transaction) => {
      const { TagBlock } = db.models;
      const mine = await TagBlock.findOne({ where: { jobId, device }, transaction });
      if (mine) return mine.block;
      const taken = await TagBlock.count({ where: { jobId }, transaction });
      return (await TagBlock.create({ jobId, device, block: taken }, { transaction })).block;
    });
    response.json({ block });
  });
  /** A number for what no file lists, the same for the same thing however often it is asked. */
  routes.put('/:id/numbers/:for', async (request, response) => {
    const { id: jobId, for: givenFor } = request.params;
    if (!/^[\w-]{2,60}$/.test(givenFor)) throw new InputError('for', givenFor, 'the id of an entry');
    if (!(await db.models.Job.findByPk(jobId))) throw notFound('job');
    const number = await inTransaction(db, async (transaction) => {
      const { TagNumber } = db.models;
      const mine = await TagNumber.findOne({ where: { jobId, givenFor }, transaction });
      if (mine) return mine.number;
      const next = SERVER_NUMBERS.from + (await TagNumber.count({ where: { jobId }, transaction }));
      if (next > SERVER_NUMBERS.to) return null;
      return (await TagNumber.create({ jobId, number: next, givenFor }, { transaction })).number;
    });
    response.json({ number });
  });
  return routes;
}
