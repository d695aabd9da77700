import { createHash, randomBytes } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { InputError, type RawEntry } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import { statement } from '../db/statement.ts';

/** A person on a device, by the token a sign-in left there. */
export interface Maker {
  /** Who. */
  personId: string;
  /** On which device. */
  device: string;
  /** Was it ended? */
  ended: boolean;
}

/** How often it is noted that a token was used, ms. */
const NOTED = 3_600_000;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/**
 * The token of somebody who is signed in on a device: the one that is there already, or a new one. Only its hash is kept.
 *
 * @param had what the device has of this person
 * @returns the token, and the hash it is known by here
 * @example await giveToken(db, { personId: 'ines', device: 'tablet-one' })
 */
export async function giveToken(
  db: Database,
  { personId, device, had }: { personId: string; device: string; had?: string | undefined },
): Promise<{ token: string; hash: string }> {
  const { DeviceToken } = db.models;
  const [now, hash] = [new Date(), had === undefined ? '' : hashOf(had)];
  const row = had === undefined ? null : await DeviceToken.findByPk(hash);
  if (had !== undefined && row && row.personId === personId && row.device === device && !row.ended) {
    await row.update({ used: now });
    return { token: had, hash };
  }
  const token = randomBytes(32).toString('base64url');
  const fresh = hashOf(token);
  await DeviceToken.create({ hash: fresh, personId, device, made: now, used: now });
  return { token, hash: fresh };
}

/** A token as it is looked up: whether it was ended (0 or 1), and whether it is long since it was noted that it was used. */
interface Looked {
  hash: string;
  personId: string;
  device: string;
  ended: number;
  unnoted: number;
}
/** Looks tokens up by their hashes. */
export const TOKENS = `
  SELECT hash, person_id AS personId, device, ended IS NOT NULL AS ended, used < ? AS unnoted
  FROM device_tokens WHERE hash IN (?)`;

/** Who stands behind tokens, those nobody gave left out. @example (await makersOf(db, [token], transaction)).get(token)?.personId */
export async function makersOf(
  db: Database,
  tokens: readonly (string | null)[],
  transaction: Transaction,
): Promise<Map<string, Maker>> {
  const given = [...new Set(tokens)].flatMap((token) => (token === null ? [] : [{ token, hash: hashOf(token) }]));
  if (given.length === 0) return new Map();
  const hashes = given.map(({ hash }) => hash);
  const now = Date.now();
  const rows = await statement<Looked[]>(transaction, TOKENS, [new Date(now - NOTED), hashes]);
  const used = rows.flatMap((row) => (row.unnoted ? [row.hash] : []));
  if (used.length > 0)
    await db.models.DeviceToken.update({ used: new Date(now) }, { where: { hash: used }, transaction });
  return new Map(
    given.flatMap(({ token, hash }) => {
      const row = rows.find((one) => one.hash === hash);
      return row ? [[token, { personId: row.personId, device: row.device, ended: row.ended === 1 }]] : [];
    }),
  );
}

/**
 * Was an entry made by whom it names, on the device it names? Delivered it may be by somebody else.
 *
 * @throws InputError where its maker is not known by a sign-in of their own
 */
export function mustBeMadeBy(maker: Maker | undefined, { by, device }: Pick<RawEntry, 'by' | 'device'>): void {
  const wrong = (found: string, expected: string): never => {
    throw new InputError('by', found, expected);
  };
  if (!maker) return wrong(by, 'whoever made it signed in on this device: sign in, then enter it again');
  if (maker.ended) return wrong(by, 'a sign-in that was not ended by the lead: sign in, then enter it again');
  if (maker.personId !== by) wrong(by, 'the one who was signed in when it was made');
  if (maker.device !== device) throw new InputError('device', device, 'the device its maker was signed in on');
}

/** Ends what somebody’s sign-ins left on devices: on one of them, or on all. */
export async function endTokens(db: Database, personId: string, device?: string): Promise<void> {
  const where = { personId, ended: null, ...(device === undefined ? {} : { device }) };
  await db.models.DeviceToken.update({ ended: new Date() }, { where });
}
