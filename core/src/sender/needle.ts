import { commonPractice } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** Somebody saw the needle jump: in which way, and where. */
export interface Tap {
  /** From empty to full, or back. */
  way: 'up' | 'down';
  /** Share of the travel from empty, 0 to 1. */
  at: number;
}

/** Two taps so near together are one place, share of the travel: a hand is no faster. Common practice, no source. */
const SAME = 0.08;

/**
 * One slow pass up and back without a meter stream, a tap where the needle jumps. The same place twice is bad; a pass without
 * a tap shows only that nobody saw it jump.
 *
 * @throws InputError for a tap beside the travel
 * @example judgeNeedle([{ way: 'up', at: 0.4 }, { way: 'down', at: 0.42 }]).outcome // 'bad'
 */
export function judgeNeedle(taps: readonly Tap[]): Verdict {
  for (const { at } of taps)
    if (!(at >= 0 && at <= 1)) throw new InputError('at', String(at), 'a share of the travel, 0 to 1');
  const twice = taps.find((a) => taps.some((b) => a.way === 'up' && b.way === 'down' && Math.abs(a.at - b.at) <= SAME));
  const basis = commonPractice;
  if (twice)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'the needle jumps at one place, up and back',
          figure: `${Math.round(twice.at * 100)} % of its way`,
          basis,
        },
      ],
      next: ['do not refit this sender: another one, swept before it goes in'],
    };
  if (taps.length > 0)
    return {
      outcome: 'doubtful',
      reasons: [
        { text: `the needle jumped ${taps.length === 1 ? 'once' : `${taps.length} times`}, nowhere twice`, basis },
      ],
      next: ['a drop-out in any pass is never good: sweep it with a meter, or rather another one'],
    };
  return {
    outcome: 'doubtful',
    reasons: [{ text: 'nobody saw it jump; a short gap is quicker than a needle', basis }],
    next: ['sweep it with a meter: ten seconds up, ten back'],
  };
}
