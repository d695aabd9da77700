import express, { Router } from 'express';
import { fileTypeFromBuffer } from 'file-type';
import { InputError } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { notFound } from '../http/problem.ts';

/** Shrunk on the device a photo is some hundred kilobytes; this is room to spare. */
const MOST = '6mb';
/** What a record can print, too. */
const kinds = new Set(['image/jpeg', 'image/png']);

/** What a picture is, told by its content. @throws InputError for what is no picture */
export async function pictureType(bytes: Buffer, field: string): Promise<string> {
  const type = (await fileTypeFromBuffer(bytes))?.mime;
  if (!type || !kinds.has(type)) throw new InputError(field, type ?? 'no picture', 'a JPEG or PNG picture');
  return type;
}

/** Photos of a job: what it is is told by its content, never by its name or by what the sender says. */
export function photoRoutes(db: Database): Router {
  const routes = Router({ mergeParams: true });

  routes.put('/:photo', express.raw({ type: () => true, limit: MOST }), async (request, response) => {
    const { id, photo } = request.params as { id: string; photo: string };
    if (!/^[\w-]{8,60}$/.test(photo)) throw new InputError('photo', photo, 'an id of 8 to 60 letters and figures');
    if (!(await db.models.Job.findByPk(id))) throw notFound('job');
    const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
    const type = await pictureType(bytes, 'photo');
    // The same photo again is only confirmed: a device that lost the answer sends it twice.
    await db.models.Photo.findOrCreate({ where: { id: photo }, defaults: { id: photo, jobId: id, type, bytes } });
    response.status(204).end();
  });

  routes.get('/:photo', async (request, response) => {
    const { id, photo } = request.params as { id: string; photo: string };
    const row = await db.models.Photo.findOne({ where: { id: photo, jobId: id } });
    if (!row) throw notFound('photo');
    response.set('Cache-Control', 'private, max-age=31536000, immutable');
    response.set('X-Content-Type-Options', 'nosniff');
    response.type(row.type).send(row.bytes);
  });
  return routes;
}
