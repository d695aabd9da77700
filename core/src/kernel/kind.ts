import { type Sentence } from '../quantity/index.ts';
import type fc from 'fast-check';
import type { Draft } from 'immer';
import type { Pose } from '../pose/index.ts';
import type { Debt, Decided, RawEntry, Refusal } from './entry.ts';
import type { EventName, Events } from './events.ts';
import type { KernelState } from './state.ts';

/** Resources an entry reads and writes: `pose`, `line:feed`, `fuel`, `gate:2`. Two entries meet where one writes what the other reads or writes. */
interface Touches {
  /** What its meaning depends on. */
  reads: readonly string[];
  /** What it changes. */
  writes: readonly string[];
}

/** How a kind speaks of things and figures: names by the job, figures in the reader's units. */
export interface Speech {
  /** Short name of the thing behind a ledger key. */
  name: (key: string) => string;
  /** Names of the tank's two ends. */
  ends: readonly [string, string];
  /** A length in mm, as the reader reads it. */
  length: (mm: number) => string;
  /** Where the tank hangs. */
  pose: (pose: Pose) => string;
  /** How it was moved away from its place: “lowered”. */
  gone: string;
  /** And towards it: “raised”. */
  back: string;
  /** A volume in L. */
  litres: (l: number) => string;
  /** A pressure in bar. */
  bar: (p: number) => string;
}

/** Sends a named event to every slice that hears it. */
export type Tell = <N extends EventName>(name: N, event: Events[N]) => void;

/** What an entry knows when it takes effect. */
export interface Moment extends Stamp {
  /** The entry, its body as it reads now. */
  entry: RawEntry;
  /** In which version of its kind it was written: what was not asked then is owed by nobody. */
  written: number;
  /** Did its maker hold that entry? */
  knew: (id: string) => boolean;
}

/** What surrounds an entry, or an event of it, as it takes effect. */
interface Around<F> {
  /** The entry that does it. */
  moment: Moment;
  /** Sends an event to every slice that hears it. */
  tell: Tell;
  /** The fields of other slices that it reads. */
  facts: Readonly<F>;
}

/** Who did it, when, and in which entry. */
export interface Stamp {
  /** Id of the entry. */
  id: string;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/**
 * One kind of entry: an object that owns all that is its own, in its subject's folder.
 *
 * `K` its name, `B` its body, `S` the part of the state it changes, `F` what it reads beside that.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a list of kinds holds bodies and states of every sort
export interface Kind<K extends string = string, B extends object = any, S = any, F = any> {
  /** Its name in the log. */
  kind: K;
  /** Version of its body; a body of an earlier one is carried along by `migrate`. */
  version: number;
  /** Class whose decorators check a body. */
  Body: new () => B;
  /** The sense of a body beyond what its class says; throws InputError. */
  check?: (body: B) => void;
  /** Writes into a body what its maker knew: which openings it answers. */
  complete?: (state: Readonly<S & F>, body: B) => B;
  /** From each earlier version to the next. */
  migrate?: Record<number, (body: object) => object>;
  /** What it does to its own slice; it tells others by events. */
  apply?: (own: Draft<S>, body: B, around: Around<F>) => void;
  /** An intention says here what stands against it; facts have no such thing. */
  refuse?: (state: Readonly<S & F>, entry: RawEntry<K, B>) => Refusal | null;
  /** What is judged at the moment it gets its number, and kept. */
  decide?: (state: Readonly<S & F>, body: B) => Decided;
  /** What it reads and writes. */
  touches: (body: B, id: string) => Touches;
  /** Closes the log: what is made without knowing it is late. */
  closes?: boolean;
  /** Opens a closed log again: what was late takes effect. */
  reopens?: boolean;
  /** May be made knowing that the log is closed. */
  afterClosing?: boolean;
  /** What it says, in a few words. */
  words: (body: B, speech: Speech) => string;
  /** Bodies sensible and senseless, for property tests. */
  arbitrary: (f: typeof fc) => fc.Arbitrary<B>;
}

/** Names a kind and lets its types be found. @example defineKind({ kind: 'note', version: 1, Body: NoteBody, … }) */
export const defineKind = <K extends string, B extends object, S, F = S>(kind: Kind<K, B, S, F>): Kind<K, B, S, F> =>
  kind;

/** A line for the record: what a slice has to say there. */
export interface RecordLine {
  /** Under which heading. */
  under: 'flags' | 'work' | 'bench' | 'fuel' | 'proof' | 'deviations';
  /** In words. */
  text: Sentence;
  /** Person's id; null where several. */
  by: string | null;
  /** ISO time; null where several. */
  at: string | null;
}

/** One part of the state: its first value, the events it hears, what it owes and what it gives to the record. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a list of slices holds states of every sort
export interface Slice<S extends object = any, F = any> {
  /** Its name. */
  name: string;
  /** Its fields when the job is opened; every field of the slice is named here. */
  start: (opened: object, stamp: Stamp) => S;
  /** What it does when others tell. */
  hears?: {
    [N in EventName]?: (own: Draft<S>, event: Events[N], around: Around<F>) => void;
  };
  /** What stands between the job and its signature. */
  owes?: (state: Readonly<S & F>) => Debt[];
  /** Its lines on the record. */
  record?: (state: Readonly<S & F>) => RecordLine[];
  /** Fields that follow from the others, worked out once after every batch. */
  derive?: (state: Readonly<S & F & KernelState>) => Partial<S>;
}

/** Names a slice and lets its types be found. @example defineSlice({ name: 'proof', start: () => ({ joints: [] }) }) */
export const defineSlice = <S extends object, F = S>(slice: Slice<S, F>): Slice<S, F> => slice;
