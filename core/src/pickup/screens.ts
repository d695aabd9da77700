import { addMonths, differenceInMonths, formatISO, isAfter, isValid, parseISO } from 'date-fns';
import { median } from 'simple-statistics';
import { commonPractice, learned } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** Screens in the tank of a hard-run diesel are cleaned every so many months; common practice, no source. */
const USUAL = { lo: 8, hi: 12 };

/** What is known of the screens. */
export interface ScreensKnown {
  /** ISO days on which they were cleaned, in any order. */
  cleaned: readonly string[];
  /** Is there a filter ahead of the pump? */
  filterAhead: boolean;
  /** Petrol with its pump in the tank: its own sock. */
  sock: boolean;
}

/** When the screens are due, and whether removing them pays. */
export interface ScreensJudged {
  /** good: not due; doubtful: due within a month; bad: overdue; unknown: no day. */
  verdict: Verdict;
  /** ISO days between which they are due; null where no day is known. */
  due: { from: string; to: string } | null;
  /** May they go out for a filter ahead of the pump? */
  mayGo: boolean;
}

/**
 * Screens have a history: the next cleaning by what lay between the earlier ones, else by what is usual. Booked for when the tank
 * is low. Taking them out pays only with a filter ahead of the pump; a petrol pump’s own sock is never left out.
 *
 * @param today ISO day
 * @throws InputError for a day that is none, or that is to come
 * @example judgeScreens({ cleaned: ['2026-01-10'], filterAhead: false, sock: false }, '2026-11-27').verdict.outcome // 'doubtful'
 */
export function judgeScreens({ cleaned, filterAhead, sock }: ScreensKnown, today: string): ScreensJudged {
  // A day is a day in every zone: read and written by the same clock.
  const now = parseISO(today);
  const days = cleaned.map((day) => {
    const at = parseISO(day);
    if (!isValid(at) || isAfter(at, now)) throw new InputError('cleaned', day, 'a day that has been');
    return at;
  });
  days.sort((a, b) => a.getTime() - b.getTime());
  const mayGo = filterAhead && !sock;
  const going = sock
    ? 'a petrol pump’s own sock is never left out'
    : filterAhead
      ? 'a filter ahead of the pump may do the catching instead: its interval gets shorter, and slime wants biocide and the water out first'
      : 'taking them out would let dirt into the pump: only with a filter ahead of it';
  const last = days.at(-1);
  if (!last)
    return {
      verdict: {
        outcome: 'unknown',
        reasons: [{ text: 'nobody knows when they were cleaned', basis: commonPractice }],
        next: ['look at them now, write the day down', going],
      },
      due: null,
      mayGo,
    };
  const gaps = days.slice(1).map((day, i) => Math.max(1, differenceInMonths(day, days[i]!)));
  const span = gaps.length >= 2 ? { lo: Math.min(...gaps), hi: Math.round(median(gaps)) } : USUAL;
  const basis = gaps.length >= 2 ? learned(gaps.length) : commonPractice;
  const due = { from: addMonths(last, span.lo), to: addMonths(last, Math.max(span.lo, span.hi)) };
  const outcome = now > due.to ? 'bad' : now >= due.from ? 'doubtful' : 'good';
  const day = (at: Date): string => formatISO(at, { representation: 'date' });
  return {
    verdict: {
      outcome,
      reasons: [
        {
          text: { bad: 'overdue', doubtful: 'due now', good: 'not due yet' }[outcome],
          figure: `cleaned ${day(last)}`,
          limit: `every ${span.lo} to ${Math.max(span.lo, span.hi)} months`,
          basis,
        },
      ],
      next: [...(outcome === 'good' ? [] : ['book it for when the tank is low: less to drain, less to lift']), going],
    },
    due: { from: day(due.from), to: day(due.to) },
    mayGo,
  };
}
