/** A seal over a log up to one of its entries: whoever holds the key says that it stood so, then. */
export interface Seal {
  /** Number of the last entry it covers. */
  seq: number;
  /** Hash of the chain there. */
  hash: string;
  /** ISO time it was put on. */
  at: string;
  /** The key, Ed25519, as SubjectPublicKeyInfo in base64. */
  publicKey: string;
  /** Signature over the text of the seal, in base64. */
  signature: string;
}

/**
 * The words that are signed: what they are, the job, how far, when.
 *
 * @example sealText('job-1', { seq: 4, hash: 'ab…', at: '2026-11-27T10:00:00.000Z' }) // '["iron-cradle seal",1,"job-1",4,"ab…","2026-…"]'
 */
export const sealText = (jobId: string, { seq, hash, at }: Pick<Seal, 'seq' | 'hash' | 'at'>): string =>
  JSON.stringify(['iron-cradle seal', 1, jobId, seq, hash, at]);

/** After which entries the log is sealed: it went through a gate, or somebody put their name to it. */
const SEALED = new Set(['gate', 'signed', 'countersigned', 'reopened']);

/** Is the log sealed after such an entry? @example isSealedAfter('gate') // true */
export const isSealedAfter = (kind: string): boolean => SEALED.has(kind);
