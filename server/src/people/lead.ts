import type { Request } from 'express';
import type { Database } from '../db/connect.ts';
import { Problem, signInFirst } from '../http/problem.ts';

/**
 * Only the lead may do this.
 *
 * @throws Problem 401 where nobody is signed in, 403 where it is somebody else
 */
export async function mustBeLead(db: Database, request: Request): Promise<void> {
  const id = request.session.personId;
  if (!id) throw signInFirst();
  const person = await db.models.Person.findByPk(id);
  if (person?.role !== 'lead') throw new Problem(403, 'Only the lead', { detail: 'Ask the lead to change this.' });
}
