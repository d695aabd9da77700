import { Router } from 'express';
import {
  AllowBody,
  checked,
  DeviceBody,
  SignInBody,
  UnlockBody,
  unitSystems,
  type UnitSystem,
} from '@iron-cradle/core';
import { IsIn } from 'class-validator';
import { randomUUID } from 'node:crypto';
import type { Database } from '../db/connect.ts';
import { Problem } from '../http/problem.ts';
import { makeKnown } from './paired.ts';
import { checkPin } from './signIn.ts';
import { giveToken } from './tokens.ts';
import { pinMark } from './session.ts';

class UnitsBody {
  @IsIn(unitSystems) units!: UnitSystem;
}

/** Who is there, and who is signed in on this device. */
export function peopleRoutes(db: Database): Router {
  const routes = Router();
  const me = async (id: string | undefined) => {
    const person = id ? await db.models.Person.findByPk(id) : null;
    return person ? { id: person.id, name: person.name, role: person.role, units: person.units } : null;
  };

  routes.get('/people', async (_request, response) => {
    const people = await db.models.Person.findAll({ order: [['name', 'ASC']] });
    response.json(people.map((p) => ({ id: p.id, name: p.name, role: p.role, signsIn: p.pinHash !== null })));
  });

  routes.get('/session', async (request, response) => {
    response.json({ person: await me(request.session.personId), locked: request.session.locked === true });
  });

  routes.put('/session/lock', (request, response) => {
    request.session.locked = true;
    response.status(204).end();
  });

  /** Opened again by the PIN of whoever is signed in: what ran under it goes on. */
  routes.post('/session/unlock', async (request, response) => {
    const { pin } = checked(UnlockBody, request.body);
    await checkPin(db, { personId: request.session.personId!, pin });
    delete request.session.locked;
    response.status(204).end();
  });

  routes.post('/session', async (request, response) => {
    const { personId, name, pin } = checked(SignInBody, request.body);
    const person = await checkPin(db, { ...(name ? { name } : { personId: personId ?? '' }), pin });
    // A new session for a new person, so that an old cookie is worth nothing.
    await new Promise<void>((resolve, reject) =>
      request.session.regenerate((e: unknown) => (e ? reject(e as Error) : resolve())),
    );
    request.session.personId = person.id;
    request.session.pin = pinMark(person.pinHash ?? '');
    response.status(201).json({ person: await me(person.id) });
  });

  /** What entries of this person are made by on this device: kept there, given along when they are delivered, by whomever. */
  routes.post('/session/token', async (request, response) => {
    const personId = request.session.personId!;
    const { device, token: had } = checked(DeviceBody, request.body);
    const { token, hash } = await giveToken(db, { personId, device, had: had ?? undefined });
    request.session.token = hash;
    await makeKnown(db, { request, response, device });
    response.json({ personId, token });
  });

  routes.put('/session/units', async (request, response) => {
    const personId = request.session.personId!;
    const { units } = checked(UnitsBody, request.body);
    await db.models.Person.update({ units }, { where: { id: personId } });
    response.json({ person: await me(personId) });
  });

  routes.delete('/session', async (request, response) => {
    await new Promise<void>((resolve) => request.session.destroy(() => resolve()));
    response.status(204).end();
  });

  routes.post('/approvals', async (request, response) => {
    const body = checked(AllowBody, request.body);
    const lead = await checkPin(db, { personId: body.personId, pin: body.pin });
    if (lead.role !== 'lead')
      throw new Problem(403, 'Only the lead', { detail: 'An exception at a gate takes the lead’s PIN.' });
    const approval = await db.models.Approval.create({
      id: randomUUID(),
      jobId: body.jobId,
      lead: lead.id,
      gate: body.gate,
      item: body.item,
      given: new Date(),
    });
    response.status(201).json({ approval: approval.id, lead: lead.id });
  });
  return routes;
}
