import { commonPractice } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { bar as inBar, say } from '../quantity/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** Suction in front of a pump outside of the tank, bar under the air; common practice, no source. */
const SUCTION = { sound: 0.15, restricted: 0.25 };

/**
 * Suction at the inlet of a pump outside of the tank: what is in front of it.
 *
 * @param under bar under the air, while it runs
 * @throws InputError for what no pump draws
 * @example judgeSuction(0.3).outcome // 'bad'
 */
export function judgeSuction(under: number): Verdict {
  if (!(under >= 0 && under < 1)) throw new InputError('suction', String(under), '0 to 1 bar under the air');
  const outcome = under < SUCTION.sound ? 'good' : under <= SUCTION.restricted ? 'doubtful' : 'bad';
  return {
    outcome,
    reasons: [
      {
        text:
          outcome === 'good' ? 'its inlet is free' : outcome === 'bad' ? 'restricted in front of it' : 'it has to pull',
        figure: say`${inBar(under)} under the air`,
        limit: say`${inBar(SUCTION.sound)}, restricted above ${inBar(SUCTION.restricted)}`,
        basis: commonPractice,
      },
    ],
    next:
      outcome === 'good'
        ? []
        : ['strainer in the tank, filter in front of the pump, a kinked or soft hose, the cap shut tight'],
  };
}
