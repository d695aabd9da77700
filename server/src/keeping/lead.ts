import { InputError } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { hashPin } from '../people/signIn.ts';
import { endTokens } from '../people/tokens.ts';

/**
 * Makes somebody who works here, or did, lead with a new PIN, where no lead is left who could. Done on the server's own machine; their
 * sign-ins end everywhere.
 *
 * @throws InputError for a name nobody has, or a PIN that is none
 * @example await makeLead(db, { name: 'Marit', pin: '246810' }) // 'marit'
 */
export async function makeLead(db: Database, { name, pin }: { name: string; pin: string }): Promise<string> {
  if (!/^\d{4,8}$/.test(pin)) throw new InputError('PIN', `${pin.length} letters`, 'four to eight digits');
  const person = await db.models.Person.findOne({ where: { name } });
  if (!person) {
    const names = (await db.models.Person.findAll({ order: [['name', 'ASC']] })).map((one) => one.name);
    throw new InputError(
      'name',
      name || 'none',
      `one of ${names.join(', ') || 'nobody: open the shop and say who you are'}`,
    );
  }
  await person.update({ role: 'lead', pinHash: await hashPin(pin), failed: 0, lockedUntil: null });
  await endTokens(db, person.id);
  return person.id;
}
