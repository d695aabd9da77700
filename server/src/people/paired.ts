import { parse } from 'cookie';
import { createHash, randomBytes } from 'node:crypto';
import type { Request, Response } from 'express';
import type { Database } from '../db/connect.ts';

/** What a device keeps after the first sign-in on it: from then on it is shown who works here. */
const COOKIE = 'cradle-known';
/** A year, ms. */
const LASTS = 365 * 24 * 3_600_000;

const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
const heldBy = (request: Pick<Request, 'headers'>): string | undefined => parse(request.headers.cookie ?? '')[COOKIE];

/** Did somebody sign in on this device before, and it was not ended since? */
export async function isPaired(db: Database, request: Pick<Request, 'headers'>): Promise<boolean> {
  const held = heldBy(request);
  return held !== undefined && (await db.models.KnownDevice.findByPk(hashOf(held))) !== null;
}

/** Makes the device of a sign-in known, once. */
export async function makeKnown(
  db: Database,
  { request, response, device }: { request: Request; response: Response; device: string },
): Promise<void> {
  if (await isPaired(db, request)) return;
  const secret = randomBytes(32).toString('base64url');
  await db.models.KnownDevice.create({ hash: hashOf(secret), device, made: new Date() });
  response.cookie(COOKIE, secret, {
    httpOnly: true,
    sameSite: 'strict',
    secure: request.secure,
    maxAge: LASTS,
    path: '/api',
  });
}

/** A device is a stranger again: it is shown no names. */
export async function forgetDevice(db: Database, device: string): Promise<void> {
  await db.models.KnownDevice.destroy({ where: { device } });
}
