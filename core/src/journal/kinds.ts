import {
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { defineKind } from '../kernel/index.ts';
import type { JournalSlice } from './slice.ts';

/** A note, perhaps about a thing. */
class NoteBody {
  /** What it says. */
  @IsString() @Length(1, 2000) text!: string;
  /** Ledger key. */
  @IsOptional() @IsString() @MaxLength(90) key?: string;
}

/** A photo, perhaps of a thing. */
class PhotoBody {
  /** Id of the picture. */
  @IsString() @Length(1, 100) file!: string;
  /** Ledger key. */
  @IsOptional() @IsString() @MaxLength(90) key?: string;
  /** SHA-256 of the picture, hexadecimal: what the log says of it stands in the chain. */
  @IsOptional() @Matches(/^[0-9a-f]{64}$/) sha256?: string;
}

/** Starts a wait that uses no hands, or ends it. */
class WaitBody {
  /** For what. */
  @IsString() @Length(1, 80) what!: string;
  /** Which. */
  @IsIn(['start', 'end']) state!: 'start' | 'end';
  /** How long it takes. */
  @IsOptional() @IsInt() @Min(1) @Max(20160) minutes?: number;
  /** Or until when: a part on order, an answer. ISO time. */
  @IsOptional() @IsISO8601({ strict: true }) until?: string;
  /** Must the vehicle stay in its bay while it runs? */
  @IsOptional() @IsBoolean() bay?: boolean;
}

/** The job rests outside until something happens; `reason` left out takes it up again. */
class ParkedBody {
  /** Until what. */
  @IsOptional() @IsString() @MaxLength(200) reason?: string;
}

/** A note. */
export const note = defineKind<'note', NoteBody, JournalSlice>({
  kind: 'note',
  version: 1,
  Body: NoteBody,
  apply: (own, { text, key }, { moment: { by, at } }) => void own.notes.push({ text, key: key ?? null, by, at }),
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'note',
  arbitrary: (f) => f.constant({ text: 'seen' }),
});

/** A photo. */
export const photo = defineKind<'photo', PhotoBody, JournalSlice>({
  kind: 'photo',
  version: 1,
  Body: PhotoBody,
  apply: (own, { file, key }, { moment: { id, by, at } }) =>
    void own.photos.push({ id, file, key: key ?? null, by, at }),
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'photo',
  arbitrary: (f) => f.constant({ file: 'f1' }),
});

/** A wait starts or ends. */
export const wait = defineKind<'wait', WaitBody, JournalSlice>({
  kind: 'wait',
  version: 2,
  // Until when, and whether the bay is needed, was not said before.
  migrate: { 1: (body) => body },
  Body: WaitBody,
  apply: (own, { what, state, minutes, until, bay }, { moment: { by, at }, tell }) => {
    if (state === 'start')
      own.waits.push({
        what,
        minutes: minutes ?? null,
        until: until ?? null,
        bay: bay ?? null,
        started: at,
        ended: null,
        by,
      });
    else for (const running of own.waits) if (running.what === what && !running.ended) running.ended = at;
    tell('waiting', { what, state });
  },
  touches: ({ what }) => ({ reads: [], writes: [`wait:${what}`] }),
  words: ({ what, state }) => `${what} ${state === 'start' ? 'started' : 'ended'}`,
  arbitrary: (f) =>
    f.record({
      what: f.constant('soak'),
      state: f.constantFrom('start' as const, 'end' as const),
      minutes: f.constant(20),
    }),
});

/** The job rests, or is taken up again. */
export const parked = defineKind<'parked', ParkedBody, JournalSlice>({
  kind: 'parked',
  version: 1,
  Body: ParkedBody,
  apply: (own, { reason }) => void (own.parked = reason ?? null),
  touches: () => ({ reads: [], writes: ['parked'] }),
  words: ({ reason }) => (reason ? 'parked' : 'taken up again'),
  arbitrary: (f) => f.constant({ reason: 'seal' }),
});
