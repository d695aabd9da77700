import { Router } from 'express';
import { Op } from 'sequelize';
import { checked, InputError, NewPinBody, PersonChangeBody } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import type { Person } from '../db/models.ts';
import { notFound, Problem } from '../http/problem.ts';
import { mustBeLead } from './lead.ts';
import { forgetDevice } from './paired.ts';
import { pinMark } from './session.ts';
import { checkPin, hashPin } from './signIn.ts';
import { endTokens } from './tokens.ts';

/** What somebody is called whose name was forgotten. */
const FORGOTTEN = 'Former colleague';

/** What the lead does about people and their devices; one's own PIN anybody changes. */
export function doorRoutes(db: Database): Router {
  const routes = Router();
  const worker = async (id: string): Promise<Person> => {
    const person = await db.models.Person.findByPk(id);
    if (!person?.pinHash) throw notFound('person');
    return person;
  };
  /** A shop is never left without somebody who can open its doors. */
  const notTheLast = async (person: Person): Promise<void> => {
    const leads = (await db.models.Person.findAll({ where: { role: 'lead' } })).filter(
      ({ pinHash }) => pinHash !== null,
    );
    if (leads.length === 1 && leads[0]!.id === person.id)
      throw new Problem(409, 'The only lead', { detail: 'Make somebody else lead first: a shop needs one.' });
  };

  routes.patch('/people/:id', async (request, response) => {
    const body = checked(PersonChangeBody, request.body);
    // What is said to be nothing stays as it is.
    const [name, role] = [body.name ?? undefined, body.role ?? undefined];
    const person = await worker(request.params.id);
    if (name !== undefined && name !== person.name && (await db.models.Person.findOne({ where: { name } })))
      throw new InputError('name', name, 'a name nobody here has yet');
    if (role === 'technician') await notTheLast(person);
    await person.update({ ...(name === undefined ? {} : { name }), ...(role === undefined ? {} : { role }) });
    response.json({ id: person.id, name: person.name, role: person.role });
  });

  routes.put('/people/:id/pin', async (request, response) => {
    const { personId } = request.session;
    if (request.params.id !== personId) await mustBeLead(db, request);
    const { pin, old } = checked(NewPinBody, request.body);
    const person = await worker(request.params.id);
    if (person.id === personId) await checkPin(db, { personId: person.id, pin: old ?? '' });
    const pinHash = await hashPin(pin);
    await person.update({ pinHash, failed: 0, lockedUntil: null });
    // Whoever came in by the old one is out, on every device but the one that changed it.
    if (person.id === personId) request.session.pin = pinMark(pinHash);
    else await endTokens(db, person.id);
    response.status(204).end();
  });

  /** Taken from the people who work here; what they did stands under their name. */
  routes.delete('/people/:id', async (request, response) => {
    const person = await worker(request.params.id);
    await notTheLast(person);
    await person.update({ pinHash: null });
    await endTokens(db, person.id);
    response.status(204).end();
  });

  /** On their wish, of somebody who works here no more: records stay true, each entry under the same id, which is nobody's name. */
  routes.delete('/people/:id/name', async (request, response) => {
    const person = await db.models.Person.findByPk(request.params.id);
    if (!person) throw notFound('person');
    if (person.pinHash !== null)
      throw new Problem(409, 'Works here', {
        detail: 'Say first that they work here no more; then their name can be forgotten.',
      });
    if (!person.name.startsWith(FORGOTTEN)) {
      const others = await db.models.Person.count({ where: { name: { [Op.startsWith]: FORGOTTEN } } });
      await person.update({ name: `${FORGOTTEN} ${others + 1}` });
    }
    response.status(204).end();
  });

  routes.get('/people/:id/devices', async (request, response) => {
    await lookingAt(request.params.id, request.session.personId, () => mustBeLead(db, request));
    const rows = await db.models.DeviceToken.findAll({
      where: { personId: request.params.id, ended: null },
      order: [['used', 'DESC']],
    });
    const newest = new Map<string, Date>();
    for (const { device, used } of rows) if (!newest.has(device)) newest.set(device, used);
    response.json([...newest].map(([device, used]) => ({ device, used })));
  });

  routes.delete('/people/:id/devices/:device', async (request, response) => {
    const { id, device } = request.params;
    await lookingAt(id, request.session.personId, () => mustBeLead(db, request));
    await endTokens(db, id, device);
    await forgetDevice(db, device);
    response.status(204).end();
  });
  return routes;
}

/** One's own devices, or anybody's for the lead. */
async function lookingAt(id: string, me: string | undefined, lead: () => Promise<void>): Promise<void> {
  if (id !== me) await lead();
}
