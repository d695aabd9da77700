import { createHash } from 'node:crypto';
import type { Request, RequestHandler, Response } from 'express';
import type { SessionData } from 'express-session';
import type { Database } from '../db/connect.ts';

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
type SignedIn = Partial<Pick<SessionData, 'personId' | 'pin' | 'token'>>;

/** What a PIN is known by in a session: of its hash only a hash. @example pinMark(person.pinHash) */
export const pinMark = (pinHash: string): string => createHash('sha256').update(pinHash).digest('hex');

/** May somebody who signed in go on? Not once they were removed, have another PIN, or their sign-in on this device was ended. */
async function mayGoOn(db: Database, { personId, pin, token }: SignedIn): Promise<boolean> {
  if (!personId) return false;
  const person = await db.models.Person.findByPk(personId, { attributes: ['pinHash'] });
  if (!person?.pinHash || pin !== pinMark(person.pinHash)) return false;
  return token === undefined || (await db.models.DeviceToken.findByPk(token))?.ended === null;
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

/** Is whoever opened this request still signed in, not signed out elsewhere, ended or removed? */
async function stillSignedIn(db: Database, request: Request): Promise<boolean> {
  const kept = await new Promise<SignedIn | null>((resolve, reject) =>
    request.sessionStore.get(request.sessionID, (error: unknown, data) =>
      error ? reject(error as Error) : resolve(data ?? null),
    ),
  );
  return kept !== null && mayGoOn(db, kept);
}

/** How often it is asked whether a stream’s sign-in still stands, ms. */
const ASKED = 10_000;

/** Ends what stays open with the sign-in that opened it. */
export function endsWithSignIn(db: Database, { request, response }: { request: Request; response: Response }): void {
  const asks = setInterval(() => {
    void stillSignedIn(db, request)
      // The database is away for a moment: asked again.
      .catch(() => true)
      .then((still) => still || response.end());
  }, ASKED);
  request.on('close', () => clearInterval(asks));
}
