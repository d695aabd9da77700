import { cpSync, existsSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';

const inCopy = (folder: string): string => join(folder, 'keys');

/** The shop's own keys go along with a copy, where it has any. */
export function keepKeys(folder: string, keys: string | null): void {
  if (keys !== null && existsSync(keys)) cpSync(keys, inCopy(folder), { recursive: true });
}

/**
 * Keys of a copy, put where the shop has none: phones that were paired stay so. Keys that are there stay.
 *
 * @returns what became of them; `none`: the copy has none
 * @example putKeysBack('/copies/today', '.cradle/lan') // 'put back'
 */
export function putKeysBack(folder: string, keys: string): 'none' | 'stay' | 'put back' {
  if (!existsSync(inCopy(folder))) return 'none';
  if (existsSync(keys)) return 'stay';
  // Beside their place first: cut off half-way they are not taken for whole.
  const making = `${keys}.making`;
  rmSync(making, { recursive: true, force: true });
  cpSync(inCopy(folder), making, { recursive: true });
  renameSync(making, keys);
  return 'put back';
}
