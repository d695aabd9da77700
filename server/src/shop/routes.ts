import { Router, type Request } from 'express';
import { IsIn, IsString, Length, Matches } from 'class-validator';
import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { figuresOf, InputError } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { bodyOf } from '../http/body.ts';
import { Problem, signInFirst } from '../http/problem.ts';
import { hashPin } from '../people/signIn.ts';
import { bringFigures } from '../jobs/append.ts';
import type { Bell } from '../jobs/events.ts';
import type { States } from '../jobs/states.ts';
import { readShop, Shop, writeShop } from './shop.ts';

class PersonBody {
  @IsString() @Length(1, 40) name!: string;
  @IsIn(['technician', 'lead']) role!: 'technician' | 'lead';
  @IsString() @Matches(/^\d{4,8}$/, { message: 'pin must be four to eight digits' }) pin!: string;
}

/** The shop's own figures and people; changed by the lead, or by the first person in an empty shop. */
export function shopRoutes(
  db: Database,
  { demoPins, states, bell }: { demoPins: Record<string, string> | null; states: States; bell: Bell },
): Router {
  const routes = Router();
  const nobodyYet = async () => (await db.models.Person.count({ where: { pinHash: { [Op.ne]: null } } })) === 0;

  const mustBeLead = async (request: Request): Promise<void> => {
    const id = request.session.personId;
    if (!id) throw signInFirst();
    const person = await db.models.Person.findByPk(id);
    if (person?.role !== 'lead') throw new Problem(403, 'Only the lead', { detail: 'Ask the lead to change this.' });
  };

  routes.get('/shop', async (_request, response) => {
    response.json({ ...(await readShop(db)), demoPins });
  });

  routes.put('/shop', async (request, response) => {
    await mustBeLead(request);
    const shop = bodyOf(Shop, request.body);
    if (shop.two < shop.alone) throw new InputError('two', String(shop.two), `at least the ${shop.alone} kg of one`);
    await writeShop(db, { ...shop });
    for (const id of await bringFigures(db, states, { figures: figuresOf(shop), by: request.session.personId ?? '' }))
      bell.ring(id);
    response.json(await readShop(db));
  });

  routes.post('/people', async (request, response) => {
    const first = await nobodyYet();
    if (!first) await mustBeLead(request);
    const { name, role, pin } = bodyOf(PersonBody, request.body);
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
