import {
  createHash,
  createPrivateKey,
  createPublicKey,
  generateKeyPairSync,
  sign,
  verify,
  type KeyObject,
} from 'node:crypto';
import {
  closeSync,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readFileSync,
  rmSync,
  writeSync,
} from 'node:fs';
import { dirname } from 'node:path';
import { sealText, type Seal } from '@iron-cradle/core';

/** The key a shop seals with, Ed25519 (RFC 8032). */
export interface ShopKey {
  /** Its public half as SubjectPublicKeyInfo, base64. */
  publicKey: string;
  /** SHA-256 of that, hexadecimal. */
  fingerprint: string;
  /** Signs a head of a log. */
  seal: (jobId: string, head: Pick<Seal, 'seq' | 'hash' | 'at'>) => Seal;
}

/** SHA-256 of a public key, hexadecimal. @throws where it is no base64 @example fingerprintOf('MCowBQ…') // 'ab12…' */
export const fingerprintOf = (publicKey: string): string =>
  createHash('sha256').update(Buffer.from(publicKey, 'base64')).digest('hex');

/**
 * The shop's key from its file; made where there is none yet. A file that is there is never written over.
 *
 * @throws Error where the file holds no key of this kind
 * @example shopKey('.cradle/seal/shop.pem').fingerprint
 */
export function shopKey(path: string): ShopKey {
  if (!existsSync(path)) makeKey(path);
  const privateKey = readKey(path);
  const publicKey = createPublicKey(privateKey).export({ type: 'spki', format: 'der' }).toString('base64');
  return {
    publicKey,
    fingerprint: fingerprintOf(publicKey),
    seal: (jobId, { seq, hash, at }) => ({
      seq,
      hash,
      at,
      publicKey,
      signature: sign(null, Buffer.from(sealText(jobId, { seq, hash, at })), privateKey).toString('base64'),
    }),
  };
}

function readKey(path: string): KeyObject {
  let key: KeyObject | null = null;
  try {
    key = createPrivateKey(readFileSync(path));
  } catch {
    // Said below, with what was expected.
  }
  if (key?.asymmetricKeyType !== 'ed25519')
    throw new Error(`KEY_FILE ${path}: expected a private key of Ed25519 in PEM; put the shop’s key back from a copy`);
  return key;
}

/** Written beside its place and linked there: two servers that start at once keep one and the same key. */
function makeKey(path: string): void {
  mkdirSync(dirname(path), { recursive: true, mode: 0o700 });
  const making = `${path}.${process.pid}`;
  rmSync(making, { force: true });
  const file = openSync(making, 'wx', 0o600);
  writeSync(file, generateKeyPairSync('ed25519').privateKey.export({ type: 'pkcs8', format: 'pem' }).toString());
  fsyncSync(file);
  closeSync(file);
  try {
    linkSync(making, path);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  } finally {
    rmSync(making, { force: true });
  }
}

/**
 * Was a seal put on this head, by the key it names?
 *
 * @example isSealOf('job-1', seal) // true
 */
export function isSealOf(jobId: string, { publicKey, signature, ...head }: Seal): boolean {
  try {
    const key = createPublicKey({ key: Buffer.from(publicKey, 'base64'), format: 'der', type: 'spki' });
    return (
      key.asymmetricKeyType === 'ed25519' &&
      verify(null, Buffer.from(sealText(jobId, head)), key, Buffer.from(signature, 'base64'))
    );
  } catch {
    return false;
  }
}
