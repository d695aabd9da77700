import { unsettledKeys, type Debt, type RecordLine } from '../kernel/index.ts';
import { fileName, splitKey } from '../vehicle/index.ts';
import { slices } from './slices.ts';
import type { JobState } from './state.ts';

/**
 * What people call a resource that two devices disagree about.
 *
 * @example resourceName(state, 'pose') // 'where the tank hangs'
 */
export function resourceName(state: Pick<JobState, 'vehicle' | 'items' | 'extras'>, key: string): string {
  const { kind, id } = splitKey(key);
  if (key === 'pose') return 'where the tank hangs';
  if (key === 'fuel') return 'the litres';
  if (kind === 'pickup') return 'where a pick-up is cut';
  if (kind === 'conversion') return 'what is converted';
  if (kind === 'built') return 'how the unit is put together';
  if (kind === 'stream') return 'how clean it is';
  if (kind === 'sample') return 'a sample';
  if (kind === 'proposal') return 'what the owner said';
  if (kind === 'gate') return `gate ${id.replace(':', ', ')}`;
  return (
    fileName(state.vehicle, key) ??
    state.items.find((item) => item.key === key)?.name ??
    state.extras.find((e) => e.id === id)?.name ??
    key.replace(/[:/]/g, ' ')
  );
}

/**
 * All that stands between the job and a signature, each with an id of its own. A deviation settles the one debt it names.
 * Empty when it may be signed.
 *
 * @example owed(state).map((debt) => debt.text) // ['feed line is open', 'plate and mileage are missing']
 */
export function owed(state: JobState): Debt[] {
  const excused = new Set(state.deviations.map((d) => d.debt));
  const open = unsettledKeys(state).map((key) => ({
    id: `two:${key}`,
    key: `two:${key}`,
    text: `two devices say different things of ${resourceName(state, key)}`,
  }));
  return [...open, ...slices.flatMap((slice) => slice.owes?.(state as never) ?? [])].filter(
    (debt) => !excused.has(debt.id),
  );
}

/** What every subject has to say on the record, in the order of time. @example recordLines(state).filter((l) => l.under === 'flags') */
export const recordLines = (state: JobState): RecordLine[] =>
  slices
    .flatMap((slice) => slice.record?.(state as never) ?? [])
    .sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? -1 : (a.at ?? '') > (b.at ?? '') ? 1 : 0));

/** Was the tank ever let down? @example wasLowered(state) // true */
export const wasLowered = (state: Pick<JobState, 'deepest' | 'out'>): boolean => state.out || state.deepest > 0;
