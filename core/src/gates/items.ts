import type { GateItem } from './item.ts';
import { beforeKey } from './keyItems.ts';
import { beforeOpening, beforeSupports } from './openItems.ts';
import { beforeRing } from './ringItems.ts';
import type { GateNumber } from './slice.ts';

export type { GateItem } from './item.ts';

/** Each gate, by what it stands before. */
export const gateTitles: Record<GateNumber, string> = {
  1: 'before anything is opened',
  2: 'before the supports come off',
  3: 'before the ring closes',
  4: 'before key on at the test stop',
};

/** What each gate asks, in order. */
export const gateItems: Record<GateNumber, GateItem[]> = {
  1: beforeOpening,
  2: beforeSupports,
  3: beforeRing,
  4: beforeKey,
};
