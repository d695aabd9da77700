import { type Sentence } from '../quantity/index.ts';
/** What a judgement made of an intention, with the entries it rested on; kept with the entry for ever. */
export interface Decided {
  /** What was judged → how it came out. */
  outcomes: Record<string, string>;
  /** Ids of the entries it rested on. */
  restedOn: string[];
}

/** One line of a job's log, of any kind. */
export interface RawEntry<K extends string = string, B = unknown> {
  /** UUID made by the device. */
  id: string;
  /** The job it belongs to. */
  jobId: string;
  /** Version of its kind that the body is written in. */
  version: number;
  /** Which kind of entry it is. */
  kind: K;
  /** What it says. */
  body: B;
  /** Person's id; names stay outside the log. */
  by: string;
  /** Device that made it. */
  device: string;
  /** The device's own count in this job, from 1 on. */
  n: number;
  /** ISO time on the device that made it. */
  at: string;
  /** Id of the newest entry of the server that its maker held; null where there was none yet. */
  on: string | null;
  /** Entered again by hand after a history was put back: who said it first, and when. */
  said?: { by: string; at: string };
  /** Its number in the job, given by the server; an entry still on its way has none. */
  seq?: number;
  /** ISO time the server got it. */
  received?: string;
  /** s the clock of its device was behind the server's when it got it, below zero: ahead; left out under two minutes. */
  behind?: number;
  /** What was decided when it got its number. */
  decided?: Decided;
  /** Hash of the chain up to it. */
  hash?: string;
}

/** The device of entries the server itself makes: known to all, and they meet nothing. */
export const SERVER_DEVICE = 'server';

/** What still stands against an intention. */
export interface Debt {
  /** Its own id, for as long as the job lasts: `open:line:feed@…`, `identity`. */
  id: string;
  /** What it is about: a ledger key, or a subject's own word. */
  key: string;
  /** In one sentence. */
  text: Sentence;
}

/** Why an intention cannot be: in one sentence, with what is owed and what to do. */
export interface Refusal {
  /** Why. */
  text: Sentence;
  /** What stands against it. */
  owed: Debt[];
  /** What to do. */
  todo: string;
}

/** A refusal in one breath. @example refused('this job is already open', 'go on in the job as it is') */
export const refused = (text: Sentence, todo: string, owed: Debt[] = []): Refusal => ({ text, todo, owed });
