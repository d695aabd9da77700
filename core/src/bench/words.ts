import { castDraft, type Draft } from 'immer';
import type { Moment } from '../kernel/index.ts';
import type { SweepKept } from '../sender/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { BenchSlice, How } from './slice.ts';

/** The resource a word about a part writes. @example written('pump') // 'part:pump' */
export const written = (part: string): string => `part:${part}`;

/** The resource a whole new unit writes, that every word about a part reads. */
export const MODULE = 'module';

/** Adds a word to the piece that goes back. @example add(own, 'pump', { how: 'run', verdict, moment }) */
export function add(
  own: Draft<BenchSlice>,
  part: string,
  { how, verdict, sweep, moment }: { how: How; verdict: Verdict; sweep?: SweepKept; moment: Moment },
): void {
  const list = (own.pieces[part] ??= [{ called: null, tag: null, words: [] }]);
  const { id, by, at } = moment;
  list.at(-1)!.words.push(castDraft({ id, by, at, how, verdict, ...(sweep ? { sweep } : {}) }));
}
