import { commonPractice } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo } from '../estimate/index.ts';
import { mm, say } from '../quantity/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** Shares of the pipe by which a bore may be tighter over a barb, or bigger. Common practice, no source. */
const TIGHTER = { good: 0.06, doubtful: 0.08 };
const BIGGER = { good: 0.01, doubtful: 0.03 };
/** A rule and a calliper err so far, share. */
const READ = 1e-9;

/**
 * Does this hose go on this pipe and stay tight? Tighter over a barb is fine, bigger no clamp cures.
 *
 * @param bore of the hose, mm; `pipe` over its barb or bead, mm
 * @throws InputError for no size
 * @example judgeBore(9.53, 7.94).outcome // 'bad': one size up
 */
export function judgeBore(bore: number, pipe: number): Verdict {
  for (const [field, value] of [
    ['bore', bore],
    ['pipe', pipe],
  ] as const)
    if (!(value >= 2 && value <= 80)) throw new InputError(field, String(value), '2 to 80 mm');
  const by = bore / pipe - 1;
  const limits = by < 0 ? TIGHTER : BIGGER;
  const off = Math.abs(by) - READ;
  const outcome = off <= limits.good ? 'good' : off <= limits.doubtful ? 'doubtful' : 'bad';
  const share = `${roundTo(Math.abs(by) * 100, 0.1)} %`;
  return {
    outcome,
    reasons: [
      {
        text:
          outcome === 'good'
            ? 'bore and pipe suit each other'
            : by < 0
              ? `tighter than the pipe by ${share}`
              : `bigger than the pipe by ${share}: no clamp cures that`,
        figure: say`${mm(bore, bore, 1)} on ${mm(pipe, pipe, 1)}`,
        limit: by < 0 ? `${TIGHTER.good * 100} % tighter` : `${BIGGER.good * 100} % bigger`,
        basis: commonPractice,
      },
    ],
    next: outcome === 'good' ? [] : [by < 0 ? 'warm the hose, or the next size' : 'the hose of the pipe’s own size'],
  };
}
