import { fileName, splitKey } from '../vehicle/index.ts';
import type { JobState } from './state.ts';

/** What people call the thing behind a key; the id where nothing lists it. @example nameOf(state, 'line:feed') // 'feed line' */
export const nameOf = (state: Pick<JobState, 'vehicle' | 'extras' | 'items'>, key: string): string =>
  fileName(state.vehicle, key) ??
  state.extras.find((e) => e.id === splitKey(key).id)?.name ??
  state.items.find((item) => item.key === key)?.name ??
  splitKey(key).id;
