import { cpSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Where the shop's own keys lie: a folder of certificates for its network, the file it seals with; null: it has none. */
export interface KeyPlaces {
  /** Folder of the certificates. */
  lan: string | null;
  /** File of the key that seals. */
  seal: string | null;
}

const NAMES: Record<keyof KeyPlaces, string> = { lan: 'keys', seal: 'seal.pem' };
const each = Object.keys(NAMES) as (keyof KeyPlaces)[];

/** The shop's own keys go along with a copy, where it has any. */
export function keepKeys(folder: string, places: KeyPlaces): void {
  for (const which of each) {
    const place = places[which];
    if (place !== null && existsSync(place)) cpSync(place, join(folder, NAMES[which]), { recursive: true });
  }
}

/** What became of a key of a copy; `none`: the copy has none. */
export type PutBack = 'none' | 'stay' | 'put back';

/**
 * Keys of a copy, put where the shop has none: paired phones stay paired, and the shop seals with the same key. Keys that are there stay.
 *
 * @example putKeysBack('/copies/today', { lan: '.cradle/lan', seal: '.cradle/keys/shop.pem' }) // { lan: 'put back', seal: 'stay' }
 */
export const putKeysBack = (folder: string, places: KeyPlaces): Record<keyof KeyPlaces, PutBack> => ({
  lan: putBack(join(folder, NAMES.lan), places.lan),
  seal: putBack(join(folder, NAMES.seal), places.seal),
});

function putBack(from: string, to: string | null): PutBack {
  if (to === null || !existsSync(from)) return 'none';
  if (existsSync(to)) return 'stay';
  // Beside their place first: cut off half-way they are not taken for whole.
  const making = `${to}.making`;
  rmSync(making, { recursive: true, force: true });
  mkdirSync(dirname(to), { recursive: true, mode: 0o700 });
  cpSync(from, making, { recursive: true });
  renameSync(making, to);
  return 'put back';
}
