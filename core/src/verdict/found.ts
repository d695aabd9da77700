import type { Basis } from '../basis/index.ts';
import type { Sentence } from '../quantity/index.ts';
import { gravestFirst, worst, type Outcome, type Verdict } from './verdict.ts';

/** One thing a judgement found. */
export interface Found {
  /** What it comes to. */
  outcome: Outcome;
  /** In words. */
  text: Sentence;
  /** Where: a line, a joint, a height. */
  at?: string;
  /** What was read. */
  figure?: Sentence;
  /** What it is held against. */
  limit?: Sentence;
  /** Where its limit comes from, where that is not as for the others. */
  basis?: Basis;
  /** What to do. */
  next?: Sentence;
}

/**
 * What all that was found comes to: the gravest decides and stands first, and what to do about it too.
 *
 * @param basis of what brings none of its own
 * @param next what is to be done whatever was found
 * @example verdictFrom([{ outcome: 'bad', text: 'split' }], { basis: commonPractice }).outcome // 'bad'
 */
export function verdictFrom(
  found: readonly Found[],
  { basis, next = [] }: { basis: Basis; next?: readonly Sentence[] },
): Verdict {
  const ranked = gravestFirst(found);
  return {
    outcome: worst(found.map(({ outcome }) => outcome)),
    reasons: ranked.map(({ outcome: _, next: __, basis: own, ...reason }) => ({ ...reason, basis: own ?? basis })),
    next: [...new Set([...ranked.flatMap((one) => (one.next ? [one.next] : [])), ...next])],
  };
}
