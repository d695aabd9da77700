import { hash, verify } from '@node-rs/argon2';
import type { Database } from '../db/connect.ts';
import type { Person } from '../db/models.ts';
import { Problem } from '../http/problem.ts';

/** Wrong PINs in a row before a pause, and how long it lasts. */
export const MOST_FAILS = 5;
/** How long a person waits after too many wrong PINs. */
export const PAUSE_MS = 60_000;

/** argon2id with the package's defaults. */
export const hashPin = (pin: string): Promise<string> => hash(pin);

/**
 * Checks a PIN. The count of wrong ones stands in the database, so that a second server process knows it too.
 *
 * @throws Problem 401 when it is wrong, 429 while the pause lasts
 */
export async function checkPin(
  db: Database,
  { personId, pin, now = Date.now() }: { personId: string; pin: string; now?: number },
): Promise<Person> {
  const person = await db.models.Person.findByPk(personId);
  if (!person?.pinHash)
    throw new Problem(401, 'Not signed in', { detail: 'That name cannot sign in here. Choose another.' });
  const left = (person.lockedUntil?.getTime() ?? 0) - now;
  if (left > 0)
    throw new Problem(429, 'Wait a moment', {
      detail: `Too many wrong PINs. Try again in ${Math.ceil(left / 1000)} s.`,
      more: {
        retryAfter: Math.ceil(left / 1000),
      },
    });
  if (await verify(person.pinHash, pin)) {
    await person.update({ failed: 0, lockedUntil: null });
    return person;
  }
  const failed = person.failed + 1;
  const lock = failed >= MOST_FAILS;
  await person.update({ failed: lock ? 0 : failed, lockedUntil: lock ? new Date(now + PAUSE_MS) : null });
  const tries = MOST_FAILS - failed;
  throw new Problem(401, 'Wrong PIN', {
    detail: lock
      ? 'Wrong PIN. There is a pause of one minute now.'
      : `Wrong PIN. ${tries} ${tries === 1 ? 'try' : 'tries'} left before a pause.`,
  });
}
