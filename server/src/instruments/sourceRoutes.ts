import { checked, SourceBody } from '@iron-cradle/core';
import { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { addSource, readSources, removeSource } from './sources.ts';

/** The gateways of the shop: everybody who is signed in sees them, the lead adds and removes. */
export function sourceRoutes(db: Database): Router {
  const routes = Router();
  const shown = async () =>
    (await readSources(db)).map(({ id, name, address, lines }) => ({ id, name, address, lines }));
  routes.get('/', async (_request, response) => {
    response.json(await shown());
  });
  routes.post('/', async (request, response) => {
    await addSource(db, checked(SourceBody, request.body));
    response.status(201).json(await shown());
  });
  routes.delete('/:id', async (request, response) => {
    await removeSource(db, request.params.id);
    response.json(await shown());
  });
  return routes;
}
