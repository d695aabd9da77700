import { InputError } from '../errors/index.ts';

/** A question somebody may answer in a job, with the type of its answer. */
export interface Question<V = unknown> {
  /** Its name in the log. */
  id: string;
  /** Is it asked of one thing at a time, named beside it? */
  ofThing: boolean;
  /** How the log names it to people. */
  words: string;
  /** What an answer is expected to be. */
  expects: string;
  /** Reads an answer as it stands in a log; undefined for what it can’t be. */
  read: (value: unknown) => V | undefined;
  /** A few of its answers, to try it with. */
  some: readonly V[];
  /** What an answer moves besides itself, as an entry names what it writes. */
  writes?: readonly string[];
}

/** The type of a question’s answers. */
export type ValueOf<Q> = Q extends Question<infer V> ? V : never;

/** Answers of a job; read only through their question. */
export type AnswerBook = Readonly<Record<string, string | number | boolean>>;

/** What can be asked of: a job, or the part of it that has its answers. */
export interface Answered {
  /** The answers, by question and thing. */
  answers: AnswerBook;
}

/** Under what an answer is kept. @example bookKey('blocks', 'exhaust') // 'blocks/exhaust' */
export const bookKey = (question: string, of: string | null): string => (of === null ? question : `${question}/${of}`);

/**
 * A question with a few answers to choose from.
 *
 * @example askChoice('cap opens', 'the cap', { among: ['yes', 'no'] })
 */
export const askChoice = <const V extends string>(
  id: string,
  words: string,
  { among, ofThing = false, writes = [] }: { among: readonly V[]; ofThing?: boolean; writes?: readonly string[] },
): Question<V> => ({
  id,
  ofThing,
  words,
  expects: `one of ${among.join(', ')}`,
  read: (value) => among.find((v) => v === value),
  some: among,
  writes,
});

/**
 * A question for a figure, or for one of a few words in its place.
 *
 * @param limits least and most, in the unit its words name
 * @example askNumber('reach', 'longer reach', { limits: { lo: 1, hi: 500 }, ofThing: true })
 */
export const askNumber = <const W extends string = never>(
  id: string,
  words: string,
  {
    limits,
    instead = [],
    ofThing = false,
  }: { limits: { lo: number; hi: number }; instead?: readonly W[]; ofThing?: boolean },
): Question<number | W> => ({
  id,
  ofThing,
  words,
  expects: [`${limits.lo} to ${limits.hi}`, ...instead].join(', or '),
  read: (value) =>
    typeof value === 'number'
      ? value >= limits.lo && value <= limits.hi
        ? value
        : undefined
      : instead.find((word) => word === value),
  some: [limits.lo, limits.hi, ...instead],
});

/** A question answered in words. @example askText('variant', 'variant', true) */
export const askText = (id: string, words: string, ofThing = false): Question<string> => ({
  id,
  ofThing,
  words,
  expects: 'a few words',
  read: (value) => (typeof value === 'string' && value.length > 0 && value.length <= 80 ? value : undefined),
  some: ['as it was'],
});

/**
 * What was answered, by the type its question declares; undefined where it was not.
 *
 * @param of the thing it was asked of, where it is asked of one
 * @example answerTo(state, CAP_OPENS) // 'no'
 */
export const answerTo = <V>(state: Answered, question: Question<V>, of: string | null = null): V | undefined =>
  question.read(state.answers[bookKey(question.id, of)]);

/**
 * An answer as it is entered.
 *
 * @throws InputError for what the question does not expect
 * @example answerOf(SLACK, 45, 'feed') // { question: 'slack', of: 'feed', value: 45 }
 */
export function answerOf<V extends string | number | boolean>(
  question: Question<V>,
  value: V,
  of?: string,
): { question: string; of?: string; value: string | number | boolean } {
  if (question.read(value) === undefined) throw new InputError(question.words, String(value), question.expects);
  return { question: question.id, ...(of === undefined ? {} : { of }), value };
}
