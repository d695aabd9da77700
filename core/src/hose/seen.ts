import { commonPractice } from '../basis/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import { judgeBore } from './bore.ts';
import { judgeGrade, type HoseGrade } from './grade.ts';
import type { Rubber } from './rubber.ts';

/** What is seen of rubber. */
export const hoseStates = ['sound', 'cracked', 'hard', 'swollen', 'chafed', 'cut'] as const;
/** One of them. */
export type HoseState = (typeof hoseStates)[number];

/** A hose as somebody looked at it. */
export interface HoseLooked {
  /** What is printed on it. */
  grade: HoseGrade;
  /** bar a metric print names. */
  printedBar?: number | undefined;
  /** mm inside. */
  bore?: number | undefined;
  /** mm of what it goes on, at the tank and at the other end. */
  pipes: readonly number[];
  /** What is seen of it. */
  is: readonly HoseState[];
  /** Year printed on it. */
  year?: number | undefined;
}

/** From so many years on rubber is looked at twice; common practice, no source. */
const OLD = 10;

/**
 * May this hose stay, or go back? Its print against what stands in it, its bore on both pipes, what is seen of it.
 *
 * @param thisYear for its age
 * @example judgeHose({ grade: 'R7', bore: 7.9, pipes: [8], is: ['sound'] }, rubber, 2026).outcome
 */
export function judgeHose(looked: HoseLooked, { place }: Pick<Rubber, 'place'>, thisYear: number): Verdict {
  const { grade, printedBar, bore, pipes, is, year } = looked;
  const found: Found[] = is.flatMap((one) => (STATES[one] ? [STATES[one]] : []));
  found.push(...judgeGrade({ grade, bore: bore ?? 8, printedBar }, place));
  if (bore !== undefined)
    for (const pipe of pipes) {
      const { outcome, reasons, next } = judgeBore(bore, pipe);
      if (outcome !== 'good') found.push({ outcome, ...reasons[0]!, ...(next[0] ? { next: next[0] } : {}) });
    }
  else
    found.push({
      outcome: 'unknown',
      text: 'its bore was not measured',
      next: 'the shank of a drill that just goes in, or the print',
    });
  if (year !== undefined && thisYear - year >= OLD)
    found.push({
      outcome: 'doubtful',
      text: `printed ${year}`,
      limit: `${OLD} years`,
      next: 'bend it sharply over a finger: any crack, another one',
    });
  const worse = found.filter(({ outcome }) => outcome !== 'good');
  return verdictFrom(worse.length > 0 ? worse : found, { basis: commonPractice });
}

const STATES: Partial<Record<HoseState, Found>> = {
  cracked: {
    outcome: 'bad',
    text: 'cracked',
    next: 'another one: what cracks outside leaks when it is bent once more',
  },
  swollen: { outcome: 'bad', text: 'swollen or soft', next: 'another one, of a grade that stands this fuel' },
  chafed: { outcome: 'bad', text: 'chafed', next: 'another one, a sleeve where it rubs, and a clip that keeps it off' },
  cut: {
    outcome: 'bad',
    text: 'cut or torn at its end',
    next: 'cut it back if it stays long enough, else another one',
  },
  hard: { outcome: 'doubtful', text: 'hard', next: 'bend it sharply over a finger: any crack, another one' },
};
