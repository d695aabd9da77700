import { computed, shopRule } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { GRAVITY, kilograms, say } from '../quantity/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** A support that a shop made itself, or that carries more than it was made for. */
export interface SupportPlan {
  /** kg it carries, full. */
  kilograms: number;
  /** How many share it. */
  count: number;
  /** How many times its weight a bump makes of it: the shop’s; null: not set. */
  shock: number | null;
  /** What one of each is good for, kN, as somebody who knows it says; null: nobody said. */
  good: { hook: number | null; strap: number | null; bolt: number | null };
  /** Somebody outside signed for it: who. */
  signedBy?: string;
}

/**
 * Full mass times the shop’s shock factor, shared by what carries it, against what hook, strap and bolt are good for. Where the
 * shop has set no factor, or nobody says what one is good for, it is unknown: no figure is made up. What does not carry it goes to
 * somebody outside who signs for it.
 *
 * @throws InputError for no mass, no support, or a factor below one
 * @example judgeSupport({ kilograms: 110, count: 2, shock: 3, good: { hook: 4, strap: 8, bolt: 12 } }).outcome // 'good'
 */
export function judgeSupport({ kilograms: mass, count, shock, good, signedBy }: SupportPlan): Verdict {
  if (!(mass > 0)) throw new InputError('kilograms', String(mass), 'more than nothing');
  if (!(Number.isInteger(count) && count >= 1)) throw new InputError('count', String(count), 'one and more');
  if (shock !== null && !(shock >= 1)) throw new InputError('shock', String(shock), 'once its weight and more');
  const signed = signedBy?.trim();
  if (shock === null)
    return {
      outcome: signed ? 'doubtful' : 'unknown',
      reasons: [
        { text: 'the shop has set no factor for bumps', basis: shopRule },
        ...(signed ? [{ text: `${signed} signed for it`, basis: shopRule }] : []),
      ],
      next: ['the lead sets it in the shop’s rules; until then somebody outside signs for it'],
    };
  // A strap that carries alone for a moment is no rare thing, but shared is what it is made for.
  const each = (mass * shock * GRAVITY) / count / 1000;
  const parts = (['hook', 'strap', 'bolt'] as const).map((part) => ({ part, good: good[part] }));
  const missing = parts.filter((p) => p.good === null).map(({ part }) => part);
  const weak = parts.filter((p) => p.good !== null && p.good < each);
  const figure = `${roundTo(each, 0.1)} kN`;
  const carried = say`${kilograms(mass, mass)} full, ${String(shock)} times, shared by ${String(count)}`;
  const basis = computed('mass × factor × g / supports');
  if (weak.length > 0)
    return {
      outcome: signed ? 'doubtful' : 'bad',
      reasons: [
        ...weak.map((p) => ({ text: `the ${p.part} is not good for it`, figure, limit: `${p.good} kN`, basis })),
        { text: carried, basis: shopRule },
        ...(signed ? [{ text: `${signed} signed for it`, basis: shopRule }] : []),
      ],
      next: [
        signed
          ? 'keep what was signed with the job'
          : 'stronger, or one more; beyond that somebody outside signs for it',
      ],
    };
  if (missing.length > 0)
    return {
      outcome: 'unknown',
      reasons: [
        {
          text: `nobody says what ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} good for`,
          figure,
          basis,
        },
        { text: carried, basis: shopRule },
      ],
      next: ['what its maker says, or somebody outside signs for it'],
    };
  return {
    outcome: 'good',
    reasons: [{ text: carried, figure, limit: `${Math.min(...parts.map((p) => p.good!))} kN`, basis }],
    next: [],
  };
}
