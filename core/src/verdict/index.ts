import type { Basis } from '../basis/index.ts';
import type { Sentence } from '../quantity/index.ts';

/** good = go on, doubtful = look, bad = halt, unknown = nobody can say yet (a real answer). */
export type Outcome = 'good' | 'doubtful' | 'bad' | 'unknown';

/** One reason for a judgement. */
export interface Reason {
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

const weight: Record<Outcome, number> = { good: 0, doubtful: 1, unknown: 2, bad: 3 };

/**
 * Several verdicts as one: the gravest outcome counts, reasons and next steps are kept in order, gravest first.
 *
 * @example worstOf([good, bad]).outcome // 'bad'
 */
export function worstOf(verdicts: readonly Verdict[]): Verdict {
  const sorted = [...verdicts].sort((a, b) => weight[b.outcome] - weight[a.outcome]);
  return {
    outcome: sorted[0]?.outcome ?? 'unknown',
    reasons: sorted.flatMap((v) => v.reasons),
    next: [...new Set(sorted.flatMap((v) => v.next))],
  };
}

/** The word shown beside the shape of an outcome. */
export const outcomeWord: Record<Outcome, string> = { good: 'go', doubtful: 'look', bad: 'halt', unknown: 'not known' };
