import { castDraft, type Draft } from 'immer';
import type { Moment } from '../kernel/index.ts';
import type { BenchSlice, PartWord } from './slice.ts';

/** The resource a word about a part writes. @example written('pump') // 'part:pump' */
export const written = (part: string): string => `part:${part}`;

/** The resource a whole new unit writes, that every word about a part reads. */
export const MODULE = 'module';

/** Adds a word to the piece that goes back. @example add(own, 'pump', { how: 'run', verdict, moment }) */
export function add(
  own: Draft<BenchSlice>,
  part: string,
  { moment, ...word }: Pick<PartWord, 'how' | 'verdict' | 'sweep' | 'rated'> & { moment: Moment },
): void {
  const list = (own.pieces[part] ??= [{ called: null, tag: null, words: [] }]);
  const { id, by, at } = moment;
  list.at(-1)!.words.push(castDraft({ ...word, id, by, at }));
}
