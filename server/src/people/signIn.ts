import { hash, verify } from '@node-rs/argon2';
import { inTransaction, type Database } from '../db/connect.ts';
import type { Person } from '../db/models.ts';
import { Problem } from '../http/problem.ts';

/** Wrong PINs in a row before a pause; common practice, no source. */
const MOST_FAILS = 5;
/** The first pause and the longest, ms; each is twice the one before. Common practice, no source. */
const PAUSE = { first: 60_000, longest: 3_600_000 };

/** Whose PIN it is: chosen from the list, or typed where no list is shown. */
type Whom = { personId: string } | { name: string };

/** Nobody who signs in here. */
class Nobody extends Problem {
  constructor(typed: boolean) {
    super(401, 'Not signed in', {
      detail: typed
        ? 'No such name with that PIN. Type both as they were given to you; after five wrong ones there is a pause.'
        : 'That name cannot sign in here. Choose another.',
    });
  }
}

/** argon2id with the package's defaults. */
export const hashPin = (pin: string): Promise<string> => hash(pin);

/**
 * Checks a PIN. The try is counted in the database before anything is said, so that many at once and other server
 * processes count too.
 *
 * @throws Problem 401 when it is wrong, 429 while a pause lasts
 */
export async function checkPin(
  db: Database,
  { pin, now = Date.now(), ...who }: Whom & { pin: string; now?: number },
): Promise<Person> {
  const { person, tries } = await counted(db, who, now).catch(async (error: unknown) => {
    // A name that is none takes as long as a wrong PIN, and is told in the same words.
    if ('name' in who && error instanceof Nobody) await hashPin(pin);
    throw error;
  });
  if (await verify(person.pinHash ?? '', pin)) {
    await person.update({ failed: 0, lockedUntil: null });
    return person;
  }
  if ('name' in who) throw new Nobody(true);
  const left = MOST_FAILS - (tries % MOST_FAILS || MOST_FAILS);
  throw new Problem(401, 'Wrong PIN', {
    detail:
      left === 0
        ? `Wrong PIN. There is a pause of ${inWords(pauseAfter(tries))} now.`
        : `Wrong PIN. ${left} ${left === 1 ? 'try' : 'tries'} left before a pause.`,
  });
}

/** Counts a try, and begins the pause that follows should it be wrong. */
const counted = (db: Database, who: Whom, now: number): Promise<{ person: Person; tries: number }> =>
  inTransaction(db, async (transaction) => {
    const where = 'name' in who ? { name: who.name } : { id: who.personId };
    const person = await db.models.Person.findOne({ where, transaction, lock: transaction.LOCK.UPDATE });
    if (!person?.pinHash) throw new Nobody('name' in who);
    const left = Math.ceil(((person.lockedUntil?.getTime() ?? 0) - now) / 1000);
    // Whether a name that was typed is one of here cannot be told, also not by its pause.
    if (left > 0 && 'name' in who) throw new Nobody(true);
    if (left > 0)
      throw new Problem(429, 'Wait a moment', {
        detail: `Too many wrong PINs. Try again in ${left} s.`,
        more: { retryAfter: left },
      });
    const tries = person.failed + 1;
    const lockedUntil = tries % MOST_FAILS === 0 ? new Date(now + pauseAfter(tries)) : null;
    await person.update({ failed: tries, lockedUntil }, { transaction });
    return { person, tries };
  });

const pauseAfter = (tries: number): number => Math.min(PAUSE.longest, PAUSE.first * 2 ** (tries / MOST_FAILS - 1));
const inWords = (ms: number): string => (ms === 60_000 ? 'one minute' : `${ms / 60_000} minutes`);
