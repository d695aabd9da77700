import type { Chained } from './chain.ts';

/** A photo as its log names it. */
interface Named {
  /** Its id. */
  file: string;
  /** SHA-256 of its bytes; left out by a log of before there was one. */
  sha256?: string;
}

/** The photos a log names. @example photosNamed(rows) // [{ file: '7c…', sha256: 'ab…' }] */
export const photosNamed = (log: readonly Pick<Chained, 'kind' | 'body'>[]): Named[] =>
  log.filter(({ kind }) => kind === 'photo').map(({ body }) => JSON.parse(body) as Named);
