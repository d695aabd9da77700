import { InputError } from '../errors/index.ts';
import type { Span } from '../estimate/index.ts';
import { foldJob, logWriter, type JobState } from '../job/index.ts';
import { lowerMinutes } from '../waysIn/index.ts';

/**
 * What it takes to bring this vehicle’s tank down once more from the start, as far as its file is known by now, and what that
 * costs at the price of an hour; null where the shop has set none.
 *
 * @param hour in the shop’s currency
 * @throws InputError for a price below zero
 * @example anotherDrop(state, 60)?.typ // 240: four hours
 */
export function anotherDrop(state: JobState, hour: number | null): Span | null {
  if (hour === null) return null;
  if (!(hour >= 0)) throw new InputError('hour', String(hour), 'zero or more');
  const { name, complaint, vehicle } = state;
  const fresh = foldJob(null, [logWriter('again')('opened', { name, complaint, vehicle })]);
  if (!fresh) throw new InputError('vehicle', name, 'a file that opens a job');
  const { lo, typ, hi } = lowerMinutes(fresh).total;
  return { lo: (lo / 60) * hour, typ: (typ / 60) * hour, hi: (hi / 60) * hour };
}
