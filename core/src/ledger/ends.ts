import { isOpening, lineOf, splitKey, type VehicleSlice } from '../vehicle/index.ts';
import type { LedgerSlice } from './slice.ts';

/** One end that stands open while the job rests. */
export interface OpenEnd {
  /** Ledger key. */
  key: string;
  /** What people call it. */
  name: string;
  /** Number painted on it; null where nobody painted one. */
  tag: number | null;
  /** Fuel runs out of it. */
  wet: boolean;
  /** Both ends are capped. */
  capped: boolean;
}

/**
 * Ends that let fuel or vapour out, in the order in which they were parted.
 *
 * @example openEnds(state).filter((end) => !end.capped).map((end) => end.name) // ['feed line']
 */
export const openEnds = ({ vehicle, items }: Pick<LedgerSlice, 'items'> & VehicleSlice): OpenEnd[] =>
  items.flatMap((item) => {
    const line = item.kind === 'line' ? lineOf(vehicle, splitKey(item.key).id) : undefined;
    if (!line || (item.state !== 'open' && item.state !== 'deferred')) return [];
    if (!line.wetWhenOpen && !isOpening(line)) return [];
    return [{ key: item.key, name: item.name, tag: item.tag, wet: line.wetWhenOpen, capped: item.capped }];
  });
