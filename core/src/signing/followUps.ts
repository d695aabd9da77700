import { addDays, formatISO, parseISO } from 'date-fns';
import type { HoseSlice } from '../hose/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import { jointsToSee } from '../proof/index.ts';
import type { Sentence } from '../quantity/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import type { SigningSlice } from './slice.ts';

/** Something that is looked at once more after the signature. */
export interface FollowUp {
  /** Its id. */
  id: string;
  /** In words. */
  text: Sentence;
  /** Day it is due, `2026-11-28`; null: as it is said in words. */
  due: string | null;
  /** Is it done? */
  done: boolean;
}

type FollowUpFacts = SigningSlice & LedgerSlice & VehicleSlice & Pick<HoseSlice, 'clamps'>;

/** The engine has been warm and is cold again; common practice, no source. */
const COLD = 1;

/**
 * What follows a signed job: the cold recheck of every joint that was opened, worm clamps once more with the key, cold, and whatever was left
 * off or is temporary until its day.
 *
 * @example followUps(state)[0] // { id: 'cold', text: 'every joint once more, cold: 5 of them', due: '2026-11-28', done: false }
 */
export function followUps(state: FollowUpFacts): FollowUp[] {
  if (!state.signed) return [];
  const next = dayAfter(state.signed.at, COLD);
  const done = (id: string) => state.followUpsDone.some(({ of }) => of === id);
  const joints = jointsToSee(state).length;
  const worms = Object.values(state.clamps).filter((words) => words.some(({ worm }) => worm)).length;
  const list: Omit<FollowUp, 'done'>[] = [
    ...(joints > 0 ? [{ id: 'cold', text: `every joint once more, cold: ${joints} of them`, due: next }] : []),
    ...(worms > 0
      ? [{ id: 'worms', text: `worm clamps once more with the key, cold: ${worms} of them`, due: next }]
      : []),
    ...state.deviations.map(({ debt, what, due }) => ({
      id: `left:${debt}`,
      text: `${what}: ${due}`,
      due: dayIn(due),
    })),
  ];
  return list.map((one) => ({ ...one, done: done(one.id) }));
}

const dayAfter = (at: string, days: number): string =>
  formatISO(addDays(parseISO(at.slice(0, 10)), days), { representation: 'date' });

/** A day that somebody wrote as one. */
const dayIn = (due: string): string | null => /\b\d{4}-\d{2}-\d{2}\b/.exec(due)?.[0] ?? null;
