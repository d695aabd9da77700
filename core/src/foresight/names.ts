import type { TankState } from '../hang/index.ts';
import { fileName, splitKey } from '../vehicle/index.ts';

/** What people call the thing behind a key. @example nameOf(state, 'line:feed') // 'feed' */
export const nameOf = (state: TankState, key: string): string =>
  fileName(state.vehicle, key) ?? state.extras.find((e) => e.id === splitKey(key).id)?.name ?? splitKey(key).id;
