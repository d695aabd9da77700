import type { Verdict } from '../verdict/index.ts';
import type { GateFactsToJudge } from './facts.ts';

/** One question of a gate: asked, or judged from the log. */
export interface GateItem {
  /** Its id. */
  id: string;
  /** One word on the rail. */
  short: string;
  /** As it is asked. */
  question: string;
  /** The caution where the hand is about to move. */
  caution: string;
  /** Answers to choose from, with what each is taken as; empty where it is judged. */
  answers: { value: string; label: string; outcome: Verdict['outcome']; says: string; next?: string }[];
  /** Is it asked of this vehicle at all? */
  applies?: (state: GateFactsToJudge) => boolean;
  /** In the words of what carries this tank, or of what this job is. */
  by?: (state: GateFactsToJudge) => Partial<Pick<GateItem, 'short' | 'question' | 'caution' | 'answers'>>;
  /** Judged from the log instead of being asked. */
  judge?: (state: GateFactsToJudge) => Verdict;
  /** Ids of the entries its judgement rests on. */
  rests?: (state: GateFactsToJudge) => string[];
}

/** An answer that is go, and one that is not yet, with what to do then. @example yesNo('Air is moving', 'Not yet', 'open the doors') */
export const yesNo = (yes: string, no: string, next: string): GateItem['answers'] => [
  { value: 'yes', label: yes, outcome: 'good', says: yes.toLowerCase() },
  { value: 'no', label: no, outcome: 'bad', says: no.toLowerCase(), next },
];

/** What stands behind every caution. */
export const service = 'The service information for this vehicle and local codes come first.';
