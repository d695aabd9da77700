import { nameOf } from '../job/index.ts';
import type { JobRecord } from './recordOf.ts';

/** A photo as the record lists it. */
export interface PhotoLine {
  /** Its letter: on the chord of what it shows, and under itself. */
  letter: string;
  /** Ledger key; null: of the job as a whole. */
  key: string | null;
  /** Id of the picture. */
  file: string;
  /** What it shows, and who took it. */
  caption: string;
}

const letterOf = (i: number): string =>
  i < 26
    ? String.fromCharCode(97 + i)
    : `${String.fromCharCode(96 + Math.floor(i / 26))}${String.fromCharCode(97 + (i % 26))}`;

/**
 * Photos of a job in the order in which they were taken, each with its letter.
 *
 * @example photoList(record)[0] // { letter: 'a', key: 'line:feed', file: '…', caption: '7 feed line, Ines Calder' }
 */
export const photoList = ({ state, name }: JobRecord): PhotoLine[] =>
  state.photos.map(({ file, key, by }, i) => {
    const tag = key === null ? null : (state.items.find((item) => item.key === key)?.tag ?? null);
    const what = key === null ? 'the job' : `${tag === null ? '' : `${tag} `}${nameOf(state, key)}`;
    return { letter: letterOf(i), key, file, caption: `${what}, ${name(by)}` };
  });

/**
 * Letters of the photos of each thing.
 *
 * @example photoLetters(photoList(record)).get('line:feed') // 'a, c'
 */
export function photoLetters(list: readonly Pick<PhotoLine, 'key' | 'letter'>[]): Map<string, string> {
  const letters = new Map<string, string>();
  for (const { key, letter } of list)
    if (key !== null) letters.set(key, [letters.get(key), letter].filter(Boolean).join(', '));
  return letters;
}
