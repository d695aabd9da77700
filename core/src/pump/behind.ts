import { commonPractice } from '../basis/index.ts';
import { bar as inBar, say } from '../quantity/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Found } from '../verdict/index.ts';
import { wantedBar } from './need.ts';
import type { PumpRun } from './run.ts';

/** What may sit between the first gauge and the second. */
export const behinds = ['filter', 'regulator'] as const;

/** Bar a filter may hold back while fuel flows, and from where it starves: of a low pump and of a high one. Common practice, no source. */
const FILTER = { low: { good: 0.05, bad: 0.1 }, high: { good: 0.2, bad: 0.4 } };
/** Up to here a pump is a low one, bar. */
const LOW = 1.2;
/** A regulator keeps to so much of what the engine is asked for; common practice, no source. */
const KEEPS = 0.1;

/**
 * A second gauge behind the filter, or behind the regulator: before it and after it tells which of them holds back.
 *
 * @example behindIt({ volts: 12, bar: 3.9, behind: { what: 'filter', bar: 3.2 } }, file)[0]?.outcome // 'bad': the filter is blocked
 */
export function behindIt({ bar, behind }: PumpRun, file: VehicleFile): Found[] {
  if (!behind || bar === undefined) return [];
  const basis = commonPractice;
  const figure = say`${inBar(bar)} before, ${inBar(behind.bar)} behind`;
  if (behind.what === 'filter') {
    const limits = bar <= LOW ? FILTER.low : FILTER.high;
    const held = bar - behind.bar;
    const limit = say`${inBar(limits.good)} held back`;
    if (held <= limits.good) return [{ outcome: 'good', text: 'the filter lets it through', figure, limit, basis }];
    return [
      {
        outcome: held > limits.bad ? 'bad' : 'doubtful',
        text: 'the filter holds it back',
        figure,
        limit,
        basis,
        next: 'another filter, its arrow with the flow; cut the old one open: dirty at its inlet only, it did its job',
      },
    ];
  }
  const wanted = wantedBar(file);
  if (!wanted)
    return [
      {
        outcome: 'unknown',
        text: 'behind the regulator: nobody knows what this engine asks',
        figure,
        basis,
        next: 'its service information',
      },
    ];
  const limit = say`${inBar(wanted.lo, wanted.hi)}`;
  if (behind.bar < wanted.lo * (1 - KEEPS))
    return [
      {
        outcome: 'bad',
        text: 'the regulator lets too much back',
        figure,
        limit,
        basis,
        next: 'clamp the return for a moment, gauge in sight: does it rise? Then it is the regulator',
      },
    ];
  if (behind.bar > wanted.hi * (1 + KEEPS))
    return [
      {
        outcome: 'bad',
        text: 'the regulator holds too much, or the return is shut',
        figure,
        limit,
        basis,
        next: 'blow through the return: free, and it is the regulator',
      },
    ];
  return [{ outcome: 'good', text: 'the regulator keeps it where the engine wants it', figure, limit, basis }];
}
