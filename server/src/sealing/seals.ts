import type { Transaction } from 'sequelize';
import { InputError, standingOf, type KnownKey, type Seal, type Standing } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';
import type { SealRow } from '../db/models.ts';
import { verifyChain, type Chained } from '../jobs/chain.ts';
import { fingerprintOf, isSealOf, type ShopKey } from './key.ts';

/**
 * Makes a key known here as one of the shop's own, from its first start on.
 *
 * @returns whether the shop sealed with another one before: that was lost, and a new one made
 */
export async function knowOwnKey(db: Database, { fingerprint, publicKey }: ShopKey): Promise<boolean> {
  const { SealKey } = db.models;
  const others = await SealKey.count({ where: { own: true } });
  const [row, fresh] = await SealKey.findOrCreate({
    where: { fingerprint },
    defaults: { fingerprint, publicKey, own: true, shop: null, since: new Date(), comparedBy: null },
  });
  // It came along with a job before: now its private half is here too.
  const another = fresh || !row.own;
  if (!row.own) await row.update({ own: true });
  return another && others > 0;
}

/** Puts the shop's seal on a head of a log, in the transaction that wrote it. */
export async function sealHead(
  db: Database,
  { key, jobId, head }: { key: ShopKey; jobId: string; head: { seq: number; hash: string } },
  transaction: Transaction,
): Promise<void> {
  const { seq, hash, at, signature } = key.seal(jobId, { ...head, at: new Date().toISOString() });
  await db.models.Seal.create({ jobId, seq, hash, at, key: key.fingerprint, signature }, { transaction });
}

/** Seals of a job, the oldest first. */
const rowsOf = (db: Database, jobId: string): Promise<SealRow[]> =>
  db.models.Seal.findAll({ where: { jobId }, order: [['seq', 'ASC']] });

/** Keys by their fingerprints. */
async function keysOf(db: Database, rows: readonly SealRow[]) {
  const keys = await db.models.SealKey.findAll({ where: { fingerprint: [...new Set(rows.map((row) => row.key))] } });
  return new Map(keys.map((key) => [key.fingerprint, key]));
}

/** Seals of a job as they go along with its file. */
export async function sealsOf(db: Database, jobId: string): Promise<Seal[]> {
  const rows = await rowsOf(db, jobId);
  const keys = await keysOf(db, rows);
  return rows.map(({ seq, hash, at, key, signature }) => ({
    seq,
    hash,
    at,
    publicKey: keys.get(key)?.publicKey ?? '',
    signature,
  }));
}

/**
 * That every seal of a file is one, on an entry of its log.
 *
 * @throws InputError naming the first that is not
 */
export function mustBeSealed(jobId: string, log: readonly Chained[], seals: readonly Seal[]): void {
  for (const [i, seal] of seals.entries())
    if (log[seal.seq - 1]?.hash !== seal.hash || !isSealOf(jobId, seal))
      throw new InputError(`seals[${i}]`, `a seal on entry ${seal.seq} that does not fit it`, 'seals that hold');
}

/** Keeps seals that came along with a job; keys nobody knows yet stand there to be compared. */
export async function keepSeals(
  db: Database,
  { jobId, seals }: { jobId: string; seals: readonly Seal[] },
  transaction: Transaction,
): Promise<void> {
  for (const { publicKey, seq, hash, at, signature } of seals) {
    const key = fingerprintOf(publicKey);
    await db.models.SealKey.findOrCreate({
      where: { fingerprint: key },
      defaults: { fingerprint: key, publicKey, own: false, shop: null, since: new Date(), comparedBy: null },
      transaction,
    });
    await db.models.Seal.findOrCreate({
      where: { jobId, seq, key },
      defaults: { jobId, seq, hash, at, key, signature },
      transaction,
    });
  }
}

/** Who a key is, as it is known here. */
export const knownAs = (key: { fingerprint: string; own: boolean; shop: string | null }): KnownKey => ({
  fingerprint: key.fingerprint,
  whose: key.own ? 'own' : key.shop !== null ? 'compared' : 'unknown',
  shop: key.shop,
});

/** What does not hold of the seals on a log. */
export const brokenSeals = (log: readonly Chained[], seals: readonly (Seal & { jobId: string })[]): string[] =>
  seals
    .filter((seal) => log[seal.seq - 1]?.hash !== seal.hash || !isSealOf(seal.jobId, seal))
    .map(({ seq }) => `its seal on entry ${seq} does not fit it`);

/** How far a job's log can be trusted; null: there is no such job. */
export async function standingHere(db: Database, jobId: string): Promise<Standing | null> {
  const job = await db.models.Job.findByPk(jobId, { attributes: ['broughtIn'] });
  if (!job) return null;
  const log = await db.models.Entry.findAll({ where: { jobId }, order: [['seq', 'ASC']] });
  const rows = await rowsOf(db, jobId);
  const keys = await keysOf(db, rows);
  const seals = rows.map((row) => ({ ...row.get(), publicKey: keys.get(row.key)?.publicKey ?? '' }));
  return standingOf({
    holds: verifyChain(log).brokenAt === null && brokenSeals(log, seals).length === 0,
    length: log.length,
    broughtIn: job.broughtIn,
    seals: rows.flatMap(({ seq, at, key }) => {
      const known = keys.get(key);
      return known ? [{ seq, at, key: knownAs(known) }] : [];
    }),
  });
}
