import { safeFill } from '../fluid/index.ts';
import type { JobState } from '../job/types.ts';

/** Under which answers the day’s temperature and the hottest of the store stand in the log, °C. */
export const CELSIUS = { today: 'celsius today', store: 'celsius store' } as const;

/** Without an answer: filled on a cold day, stored through a hot one. °C; common practice, no source. */
const COLD = 0;
const HOT = 40;

/**
 * How full a can may be today, for the hottest its store gets: the share of its capacity.
 *
 * @example safeFillToday(state) // 0.95
 */
export function safeFillToday({ vehicle, answers }: Pick<JobState, 'vehicle' | 'answers'>): number {
  const at = (question: string, otherwise: number) => {
    const said = Number(answers[question] ?? NaN);
    return said >= -50 && said <= 95 ? said : otherwise;
  };
  return safeFill(vehicle.fuel, at(CELSIUS.today, COLD), at(CELSIUS.store, HOT));
}
