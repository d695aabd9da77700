import { foresee, type Change, type Foresight } from '@iron-cradle/core/foresight';
import type { TankState } from '@iron-cradle/core';

export interface ForesightAsk {
  state: TankState;
  changes: Change[];
}

export type ForesightTold = { progress: number } | { foresight: Foresight } | { problem: string };

/** The search for the way ahead, out of the way of the hand. */
self.onmessage = ({ data }: MessageEvent<ForesightAsk>) => {
  const tell = (told: ForesightTold) => self.postMessage(told);
  try {
    tell({ foresight: foresee(data.state, data.changes, (progress) => tell({ progress })) });
  } catch (error) {
    tell({ problem: error instanceof Error ? error.message : 'the search failed' });
  }
};
