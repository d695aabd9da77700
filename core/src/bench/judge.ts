import { commonPractice, computed } from '../basis/index.ts';
import type { OrderSlice } from '../order/index.ts';
import { unitOf, type PartKind, type UnitPart, type VehicleSlice } from '../vehicle/index.ts';
import { gravestFirst, worst, type Outcome, type Verdict } from '../verdict/index.ts';
import { pieceOf, wordOf, type BenchSlice, type How } from './slice.ts';

/** What the bench is judged by. */
export type BenchFacts = BenchSlice & VehicleSlice & Pick<OrderSlice, 'complaint'>;

/** What a look is not enough for: what this job is about, and what is new. */
const TESTED: Partial<Record<PartKind, Exclude<How, 'looked'>>> = { pump: 'run', sender: 'swept' };

/** What is asked of a whole new unit too: its seal, its index, what closes it. */
const CLOSES: readonly PartKind[] = ['flange', 'seal', 'ring', 'collar', 'screws'];

/**
 * One part of the unit as it goes back: its newest word; a pump that this job is about, or that is new, is run, a sender swept. What came
 * in a whole new unit is asked only where it closes, and where it is what the job is about.
 *
 * @example judgePart(state, part).outcome // 'unknown' while nobody said a word
 */
export function judgePart(state: BenchFacts, part: UnitPart): Verdict {
  const piece = pieceOf(state, part.id);
  const word = wordOf(piece);
  const test = TESTED[part.kind];
  const about = state.complaint === 'pump' ? 'pump' : state.complaint === 'level' ? 'sender' : null;
  const asked = test !== undefined && (part.kind === about || (piece.called !== null && !piece.whole));
  const basis = computed('newest word about each part');
  if (!word && piece.whole && !asked && !CLOSES.includes(part.kind))
    return { outcome: 'good', reasons: [{ text: 'came in the whole new unit', basis: commonPractice }], next: [] };
  if (!word)
    return {
      outcome: 'unknown',
      reasons: [{ text: piece.called ? 'new: nobody tested or looked at it' : 'nobody looked at it', basis }],
      next: [test && asked ? `${test === 'run' ? 'run' : 'sweep'} it` : 'look at it'],
    };
  if (asked && word.how !== test && word.verdict.outcome === 'good')
    return {
      outcome: 'unknown',
      reasons: [{ text: test === 'run' ? 'looked at, not run' : 'looked at, not swept', basis }],
      next: [test === 'run' ? 'run it: a look shows no flow' : 'sweep it: a look shows no dead spot'],
    };
  return word.verdict;
}

/** Has anybody begun with the unit on the bench? @example unitBegun(state) // false: the gate asks plainly */
export const unitBegun = ({ pieces }: BenchSlice): boolean => Object.keys(pieces).length > 0;

/**
 * Has every part of the unit its word, and is none of them bad? What goes back in is judged, not what came out.
 *
 * @example judgeUnit(state).outcome // 'bad' while a part is bad or nobody said a word about it
 */
export function judgeUnit(state: BenchFacts): Verdict {
  const parts = unitOf(state.vehicle).parts.map((part) => ({ part, ...judgePart(state, part) }));
  const basis = computed('newest word about each part');
  const open = gravestFirst(parts.filter(({ outcome }) => outcome !== 'good'));
  const total: Outcome = worst(parts.map(({ outcome }) => outcome));
  if (open.length === 0)
    return {
      outcome: 'good',
      reasons: [{ text: `every part has its word, ${parts.length} of them`, basis }],
      next: [],
    };
  return {
    outcome: total === 'unknown' ? 'bad' : total,
    reasons: open.map(({ part, reasons }) => ({
      ...(reasons[0] ?? { text: '', basis }),
      text: reasons[0]?.text ?? '',
      at: part.name,
    })),
    next: open.flatMap(({ part, next }) =>
      next[0] ? [typeof next[0] === 'string' ? `${part.name}: ${next[0]}` : next[0]] : [],
    ),
  };
}
