import { IsNotEmpty, IsOptional, IsString, Length, ValidateBy } from 'class-validator';
import { InputError } from '../errors/index.ts';
import { defineKind, defineSlice, type Kind } from '../kernel/index.ts';
import { bookKey, type AnswerBook, type Question } from './question.ts';

const IsPlain = () =>
  ValidateBy({
    name: 'isPlain',
    validator: {
      validate: (value) => ['string', 'number', 'boolean'].includes(typeof value),
      defaultMessage: () => 'a word, a figure, or yes or no',
    },
  });

/** The answer to a question that matters. */
class AnswerBody {
  /** Id of the question. */
  @IsString() @Length(1, 80) question!: string;
  /** The thing it was asked of, where it is asked of one. */
  @IsOptional() @IsString() @Length(1, 80) of?: string;
  /** As its question expects. */
  @IsNotEmpty() @IsPlain() value!: string | number | boolean;
}

/** What the state keeps of answers. */
export interface AnswersSlice {
  /** Answers by question and thing. */
  answers: AnswerBook;
}

/** The part of the state that holds what was answered. */
export const answersSlice = defineSlice<AnswersSlice>({ name: 'answers', start: () => ({ answers: {} }) });

/**
 * The kind of an answer, over the questions there are: one that nobody asks, or an answer it does not expect, is an error.
 *
 * @example answerKind([SLACK, CAP_OPENS])
 */
export function answerKind(questions: readonly Question[]): Kind<'answer', AnswerBody, AnswersSlice, AnswersSlice> {
  const known = new Map(questions.map((q) => [q.id, q]));
  if (known.size !== questions.length) throw new Error('Two questions have one name.');
  return defineKind<'answer', AnswerBody, AnswersSlice, AnswersSlice>({
    kind: 'answer',
    version: 1,
    Body: AnswerBody,
    check: ({ question, of, value }) => {
      const asked = known.get(question);
      if (!asked) throw new InputError('body.question', question, 'a question somebody asks');
      if (asked.ofThing !== (of !== undefined))
        throw new InputError('body.of', of ?? '', asked.ofThing ? 'the thing it is asked of' : 'nothing');
      if (asked.read(value) === undefined) throw new InputError('body.value', String(value), asked.expects);
    },
    apply: (own, { question, of, value }, { tell }) => {
      own.answers[bookKey(question, of ?? null)] = value;
      tell('answered', { question, of: of ?? null, value: known.get(question)?.read(value) });
    },
    // What an answer moves depends on where the tank hangs.
    touches: ({ question, of }) => ({
      reads: ['pose'],
      writes: [`answer:${bookKey(question, of ?? null)}`, ...(known.get(question)?.writes ?? [])],
    }),
    words: ({ question }) => `${known.get(question)?.words ?? question} answered`,
    arbitrary: (f) =>
      f.oneof(
        ...questions.map(({ id, ofThing, some }) => {
          const value = f.constantFrom(...(some as AnswerBody['value'][]));
          const question = f.constant(id);
          // A thing no vehicle has is asked about too.
          return ofThing
            ? f.record({ question, of: f.constantFrom('feed', 'vent', 'moon'), value })
            : f.record({ question, value });
        }),
      ),
  });
}
