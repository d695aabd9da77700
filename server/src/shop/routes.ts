import { Router } from 'express';
import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { checked, figuresOf, InputError, PersonBody, Shop } from '@iron-cradle/core';
import { hashPin } from '../people/signIn.ts';
import { bringFigures } from '../jobs/appending/append.ts';
import type { Shelves } from '../jobs/shelves.ts';
import type { Bell } from '../jobs/bell.ts';
import { readShop, writeShop } from './shop.ts';

/** The shop's own figures and people; changed by the lead, or by the first person in an empty shop. */
export function shopRoutes(
  shelves: Shelves,
  { demoPins, bell }: { demoPins: Record<string, string> | null; bell: Bell },
): Router {
  const { db } = shelves;
  const routes = Router();
  const nobodyYet = async () => (await db.models.Person.count({ where: { pinHash: { [Op.ne]: null } } })) === 0;

  routes.get('/shop', async (_request, response) => {
    response.json({ ...(await readShop(db)), demoPins });
  });

  routes.put('/shop', async (request, response) => {
    const shop = checked(Shop, request.body);
    await writeShop(db, { ...shop });
    for (const id of await bringFigures(shelves, { figures: figuresOf(shop), by: request.session.personId ?? '' }))
      bell.ring(id);
    response.json(await readShop(db));
  });

  routes.post('/people', async (request, response) => {
    const first = await nobodyYet();
    const { name, role, pin } = checked(PersonBody, request.body);
    if (await db.models.Person.findOne({ where: { name } }))
      throw new InputError('name', name, 'a name nobody here has yet');
    const person = await db.models.Person.create({
      id: randomUUID(),
      name,
      role: first ? 'lead' : role,
      pinHash: await hashPin(pin),
    });
    response.status(201).json({ id: person.id, name: person.name, role: person.role });
  });
  return routes;
}
