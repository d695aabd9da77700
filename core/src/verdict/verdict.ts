import type { Basis } from '../basis/index.ts';
import type { Sentence } from '../quantity/index.ts';

/** good = go on, doubtful = look, bad = halt, unknown = nobody can say yet (a real answer). */
export type Outcome = 'good' | 'doubtful' | 'bad' | 'unknown';

/** One reason for a judgement. */
interface Reason {
  /** What was found. */
  text: Sentence;
  /** Where: a line, a joint, a height. */
  at?: string;
  /** The figure that was found. */
  figure?: Sentence;
  /** What it was held against. */
  limit?: Sentence;
  /** Where the limit comes from. */
  basis: Basis;
}

/** The one shape of every judgement. */
export interface Verdict {
  /** What it comes to. */
  outcome: Outcome;
  /** Why, the gravest first. */
  reasons: Reason[];
  /** What to do next, most useful first. */
  next: Sentence[];
}

/** The word shown beside the shape of an outcome. */
export const outcomeWord: Record<Outcome, string> = { good: 'go', doubtful: 'look', bad: 'halt', unknown: 'not known' };

/** What weighs most comes first: what is bad is bad whatever else is unknown, and what is unknown is not good. */
const GRAVITY: readonly Outcome[] = ['bad', 'unknown', 'doubtful', 'good'];

/** The gravest of several outcomes; good where there is none. @example worst(['good', 'doubtful']) // 'doubtful' */
export const worst = (outcomes: readonly Outcome[]): Outcome =>
  GRAVITY.find((outcome) => outcomes.includes(outcome)) ?? 'good';

/** Findings with the gravest first, else as they were. @example gravestFirst([{ outcome: 'good' }, { outcome: 'bad' }])[0]?.outcome // 'bad' */
export const gravestFirst = <T extends { outcome: Outcome }>(found: readonly T[]): T[] =>
  [...found].sort((a, b) => GRAVITY.indexOf(a.outcome) - GRAVITY.indexOf(b.outcome));

/** Of several that were judged the gravest, the first of equals; null: none. @example gravestOf(words)?.verdict.outcome // 'bad' */
export const gravestOf = <T extends { verdict: Verdict }>(judged: readonly T[]): T | null =>
  gravestFirst(judged.map((one) => ({ one, outcome: one.verdict.outcome })))[0]?.one ?? null;
