import type { Request, RequestHandler, Response } from 'express';
import type { Database } from '../db/connect.ts';

declare module 'express-session' {
  interface SessionData {
    /** Who is signed in. */
    personId: string;
    /** Hash of the token this sign-in left on its device; none where the device did not ask for one. */
    token?: string;
  }
}

/** May somebody who signed in go on? Not once they were removed, or their sign-in on this device was ended. */
async function mayGoOn(db: Database, { personId, token }: { personId?: string; token?: string }): Promise<boolean> {
  if (!personId) return false;
  const person = await db.models.Person.findByPk(personId, { attributes: ['pinHash'] });
  if (!person?.pinHash) return false;
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
  const kept = await new Promise<{ personId?: string; token?: string } | null>((resolve, reject) =>
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
