import { IsArray, IsOptional, IsString, Length, MaxLength } from 'class-validator';
import { defineKind, refused, type Debt, type Kind } from '../kernel/index.ts';
import { say } from '../quantity/index.ts';
import type { SigningSlice } from './slice.ts';

/** The signature. */
class SignedBody {
  /** Seen on the way, for the next job. */
  @IsOptional() @IsArray() @IsString({ each: true }) alsoSeen?: string[];
}

/** Words after the signature. */
class WordsBody {
  /** In words. */
  @IsString() @Length(1, 2000) text!: string;
}

/** A follow-up was done: which one, and what was seen. */
class FollowUpDoneBody extends WordsBody {
  /** Id of the follow-up; left out: one that is not on the list. */
  @IsOptional() @IsString() @Length(1, 200) of?: string;
}

/** Why the job is opened again. */
class ReopenedBody {
  /** Why. */
  @IsString() @Length(3, 300) reason!: string;
}

/** Nothing more to say, or a few words. */
class BriefBody {
  /** In words. */
  @IsOptional() @IsString() @MaxLength(200) words?: string;
}

const afterwards = () => refused('the job is not signed yet', 'write it as a note');

/**
 * The signature: an intention, refused while anything is owed.
 *
 * @param owed all that stands between a job and its signature
 * @example signedKind(owed)
 */
export const signedKind = <F>(owed: (state: Readonly<F>) => Debt[]): Kind<'signed', SignedBody, SigningSlice, F> =>
  defineKind<'signed', SignedBody, SigningSlice, F>({
    kind: 'signed',
    version: 1,
    Body: SignedBody,
    closes: true,
    refuse: (state) => {
      const debts = owed(state);
      const first = debts[0];
      return first
        ? refused(say`not yet: ${first.text}`, 'close what is owed, or enter a deviation with a reason', debts)
        : null;
    },
    apply: (own, _body, { moment: { id, by, at } }) => {
      own.signed = { id, by, at };
      own.signatures.push({ id, by, at });
    },
    touches: () => ({ reads: [], writes: ['signature'] }),
    words: () => 'signed',
    arbitrary: (f) => f.constant({}),
  });

/** Something added after the signature. */
export const addendum = defineKind<'addendum', WordsBody, SigningSlice>({
  kind: 'addendum',
  version: 1,
  Body: WordsBody,
  afterClosing: true,
  refuse: (state) => (state.signed ? null : afterwards()),
  apply: (own, { text }, { moment: { id, by, at } }) => void own.addenda.push({ text, id, by, at }),
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'addendum',
  arbitrary: (f) => f.constant({ text: 'later' }),
});

/** Somebody else looked and signs beside. */
export const countersigned = defineKind<'countersigned', BriefBody, SigningSlice>({
  kind: 'countersigned',
  version: 1,
  Body: BriefBody,
  afterClosing: true,
  refuse: (state, { by }) => {
    if (!state.signed) return afterwards();
    return state.signed.by === by ? refused('the same person signed it', 'let somebody else look') : null;
  },
  apply: (own, _body, { moment: { id, by, at } }) => void own.countersigned.push({ id, by, at }),
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'countersigned',
  arbitrary: (f) => f.constant({}),
});

/** A follow-up, as the cold recheck, was done. */
export const followUpDone = defineKind<'followUpDone', FollowUpDoneBody, SigningSlice>({
  kind: 'followUpDone',
  version: 1,
  Body: FollowUpDoneBody,
  afterClosing: true,
  refuse: (state) => (state.signed ? null : afterwards()),
  apply: (own, { text, of }, { moment: { id, by, at } }) =>
    void own.followUpsDone.push({ text, of: of ?? null, id, by, at }),
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'follow-up done',
  arbitrary: (f) => f.constant({ text: 'cold and dry' }),
});

/** The lead opens a signed job again; what came late takes effect now. */
export const reopened = defineKind<'reopened', ReopenedBody, SigningSlice>({
  kind: 'reopened',
  version: 1,
  Body: ReopenedBody,
  afterClosing: true,
  reopens: true,
  refuse: (state) => (state.signed ? null : refused('the job is not signed', 'go on in it as it is')),
  apply: (own, { reason }, { moment: { id, by, at }, tell }) => {
    own.reopenings.push({ text: reason, id, by, at });
    tell('reopened', {});
  },
  touches: () => ({ reads: [], writes: ['signature'] }),
  words: () => 'reopened',
  arbitrary: (f) => f.constant({ reason: 'the recheck weeps' }),
});
