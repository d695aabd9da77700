import { scrypt } from '@noble/hashes/scrypt.js';
import { randomBytes } from '@noble/hashes/utils.js';

/** Work per guess: some tens of milliseconds on a tablet; the package's own advice for a password typed by hand. */
const WORK = { N: 2 ** 13, r: 8, p: 1, dkLen: 32 };

let held: { salt: Uint8Array; hash: Uint8Array } | null = null;
const hashOf = (pin: string, salt: Uint8Array): Uint8Array => scrypt(new TextEncoder().encode(pin), salt, WORK);

/** Keeps what the PIN of whoever signed in is known by, in this page alone: it opens the lock again while the server is away. */
export function holdPin(pin: string): void {
  const salt = randomBytes(16);
  held = { salt, hash: hashOf(pin, salt) };
}

/** Is it the PIN that signed in here? False too where the page was loaded anew since. */
export const isPinHere = (pin: string): boolean =>
  held !== null && hashOf(pin, held.salt).every((byte, i) => byte === held!.hash[i]);

/** Somebody else works here. */
export const forgetPin = (): void => void (held = null);
