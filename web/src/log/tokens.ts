import { call } from '../net/api.ts';
import { readMeta, writeMeta } from './db.ts';
import { deviceId } from './device.ts';

/** For a device that keeps nothing. */
const inMemory = new Map<string, string>();
/** Of this device: one that lost its id is another, and has none yet. */
const place = (personId: string): string => `token ${deviceId()} ${personId}`;

/** What a sign-in of this person left on this device; null: none did. */
export const tokenOf = async (personId: string): Promise<string | null> =>
  inMemory.get(place(personId)) ?? (await readMeta<string>(place(personId)).catch(() => undefined)) ?? null;

/**
 * Asks for the token of whoever is signed in: what they enter is theirs by it, whoever delivers it later.
 *
 * @param known who that is, where it is known: what the device has of them is used again
 * @throws Away, ApiProblem
 */
export async function askToken(known?: string): Promise<void> {
  const token = known === undefined ? null : await tokenOf(known);
  const given = await call<{ personId: string; token: string }>('POST', '/session/token', {
    body: { device: deviceId(), ...(token === null ? {} : { token }) },
  });
  inMemory.set(place(given.personId), given.token);
  await writeMeta(place(given.personId), given.token).catch(() => undefined);
}
