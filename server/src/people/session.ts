import { createHash } from 'node:crypto';
import type { RequestHandler } from 'express';
import type { SessionData } from 'express-session';
import type { Database } from '../db/connect.ts';
import type { DeviceToken, Person } from '../db/models.ts';

declare module 'express-session' {
  interface SessionData {
    /** Who is signed in. */
    personId: string;
    /** What their PIN was known by at the sign-in: with another PIN it is over. */
    pin: string;
    /** Nobody touched its device for a while: only the PIN opens it again. */
    locked?: boolean;
    /** Hash of the token this sign-in left on its device; none where the device did not ask for one. */
    token?: string;
  }
}

/** What of a session says who may go on. */
export type SignedIn = Partial<Pick<SessionData, 'personId' | 'pin' | 'token'>>;

/** What a PIN is known by in a session: of its hash only a hash. @example pinMark(person.pinHash) */
export const pinMark = (pinHash: string): string => createHash('sha256').update(pinHash).digest('hex');

/** Does a sign-in stand? Not once its person was removed or has another PIN, or it was ended on this device. */
export function stands(
  { personId, pin, token }: SignedIn,
  known: { person: Pick<Person, 'pinHash'> | null | undefined; token: Pick<DeviceToken, 'ended'> | null | undefined },
): boolean {
  if (!personId || !known.person?.pinHash || pin !== pinMark(known.person.pinHash)) return false;
  return token === undefined || known.token?.ended === null;
}

async function mayGoOn(db: Database, session: SignedIn): Promise<boolean> {
  const { personId, token } = session;
  const person = personId ? await db.models.Person.findByPk(personId, { attributes: ['pinHash'] }) : null;
  return stands(session, { person, token: token === undefined ? null : await db.models.DeviceToken.findByPk(token) });
}

/** Signs out whoever may not go on: from then on they are asked to sign in. */
export const onlyWhoMay =
  (db: Database): RequestHandler =>
  async (request, _response, next) => {
    const { session } = request;
    if (!session.personId || (await mayGoOn(db, session))) return next();
    await new Promise<void>((resolve) => session.destroy(() => resolve()));
    // A session of nobody, so that what follows finds one.
    request.sessionStore.generate(request);
    next();
  };
