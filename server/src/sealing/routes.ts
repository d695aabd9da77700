import { Router } from 'express';
import { ComparedBody, checked } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { notFound, Problem } from '../http/problem.ts';
import { knownAs } from './seals.ts';

/** The keys this shop knows: its own, and those that came in on seals; the lead says whose one is. */
export function keyRoutes(db: Database): Router {
  const routes = Router();

  routes.get('/keys', async (_request, response) => {
    const keys = await db.models.SealKey.findAll({ order: [['since', 'DESC']] });
    response.json(keys.map((key) => ({ ...knownAs(key), since: key.since, comparedBy: key.comparedBy })));
  });

  /** Compared with the shop it belongs to, or no longer taken for compared. */
  routes.put('/keys/:fingerprint', async (request, response) => {
    const { shop } = checked(ComparedBody, request.body);
    const key = await db.models.SealKey.findByPk(request.params.fingerprint);
    if (!key) throw notFound('key');
    if (key.own) throw new Problem(409, 'Our own', { detail: 'This is a key of this shop.' });
    await key.update({ shop: shop ?? null, comparedBy: shop ? (request.session.personId ?? null) : null });
    response.json({ ...knownAs(key), since: key.since, comparedBy: key.comparedBy });
  });
  return routes;
}
