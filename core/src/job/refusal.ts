import { judgeGate } from './gates.ts';
import { owed, type Debt } from './owed.ts';
import { startingKilograms, type ShopKilograms } from '../handling/index.ts';
import type { Entry, JobState } from './types.ts';

/** Why an intention cannot be: in one sentence, with what is owed and what to do. */
export interface Refusal {
  text: string;
  owed: Debt[];
  todo: string;
}

const refuse = (text: string, todo: string, debts: Debt[] = []): Refusal => ({ text, todo, owed: debts });

/**
 * Is this entry an intention that the state forbids? Facts never are: what happened is entered and flagged.
 *
 * @returns null when it may stand
 * @example refusalOf(state, signedEntry)?.owed // what is still owed
 */
export function refusalOf(
  state: JobState | null,
  entry: Entry,
  shop: ShopKilograms = startingKilograms,
): Refusal | null {
  if (!state) return entry.kind === 'opened' ? null : refuse('this job has not been opened', 'open the job first');
  if (entry.kind === 'opened') return refuse('this job is already open', 'go on in the job as it is');
  if (entry.jobId !== state.jobId) return refuse('this entry belongs to another job', 'enter it there');
  if (state.signed && entry.kind !== 'addendum') return refuse('the job is signed', 'write it as an addendum');
  switch (entry.kind) {
    case 'addendum':
      return state.signed ? null : refuse('the job is not signed yet', 'write it as a note');
    case 'takeBack': {
      const newest = state.kept.at(-1);
      if (!newest || newest.kind === 'opened') return refuse('there is nothing to take back', 'go on');
      if (newest.id !== entry.body.entry)
        return refuse('something was entered after it', 'take back the newest entry first, or enter what is true now');
      return null;
    }
    case 'gate': {
      const missing = judgeGate(state, entry.body.gate, shop).filter((j) => !j.through);
      if (missing.length === 0) return null;
      return refuse(
        `gate ${entry.body.gate} is not ready: ${missing.map((j) => j.item.short).join(', ')}`,
        missing[0]!.verdict.next[0] ?? missing[0]!.item.question,
        missing.map((j) => ({
          key: `gate:${entry.body.gate}:${j.item.id}`,
          text: `${j.item.short}: ${j.verdict.reasons.map((r) => r.text).join(', ')}`,
        })),
      );
    }
    case 'signed': {
      const debts = owed(state, shop);
      return debts.length === 0
        ? null
        : refuse(`not yet: ${debts[0]!.text}`, 'close what is owed, or enter a deviation with a reason', debts);
    }
    default:
      return null;
  }
}
