import { roundTo } from '../estimate/index.ts';
import { litres, say } from '../quantity/index.ts';
import { estimateOf, type VehicleFile } from '../vehicle/index.ts';
import type { Found } from '../verdict/index.ts';
import type { Ends } from './found.ts';
import { needleAt } from './kept.ts';

/** Shares of the old one’s span by which an end may differ; common practice, no source. */
const END = { doubtful: 0.05, bad: 0.1 };

/**
 * New beside old, where no file says what it should read: the gauge was made for the old one. Ends that differ are litres on the
 * needle; one that runs the other way shows full when it is empty.
 *
 * @returns null where one of them has no ends to compare
 * @example besideOld({ empty: 20, full: 80 }, { empty: 80, full: 20 }, file)[0].outcome // 'bad'
 */
export function besideOld(now: Ends, old: Ends, file: VehicleFile): Found[] | null {
  if (now.empty === null || now.full === null || old.empty === null || old.full === null) return null;
  const span = old.full - old.empty;
  if (span === 0) return null;
  if (Math.abs(now.full - now.empty) < END.bad * Math.abs(span))
    return [
      {
        outcome: 'bad',
        text: 'it does not change from stop to stop',
        figure: `${roundTo(now.empty, 0.1)} Ω`,
        next: 'another one',
      },
    ];
  if (Math.sign(now.full - now.empty) !== Math.sign(span))
    return [
      {
        outcome: 'bad',
        text: 'it runs the other way than the one that came out: the gauge would show full when it is empty',
        next: 'another one, of the old one’s family',
      },
    ];
  const capacity = estimateOf(file, file.tank.litres).typ;
  return (['empty', 'full'] as const).flatMap((end): Found[] => {
    const off = Math.abs(now[end]! - old[end]!) / Math.abs(span);
    if (off <= END.doubtful) return [];
    const shown = needleAt(now[end]!, { empty: old.empty!, full: old.full! });
    return [
      {
        outcome: off > END.bad ? 'bad' : 'doubtful',
        text: say`at ${end} the gauge would show ${litres(roundTo(Math.max(0, Math.min(1, shown ?? 0)) * capacity, 1))}`,
        figure: `${roundTo(now[end]!, 0.1)} Ω`,
        limit: `${roundTo(old[end]!, 0.1)} Ω of the one that came out`,
        next: 'another one, or the gauge that belongs to it',
      },
    ];
  });
}
