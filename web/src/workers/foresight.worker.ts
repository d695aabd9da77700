import { foresee, type Change, type Foresight } from '@iron-cradle/core/foresight';
import type { TankState } from '@iron-cradle/core';
import type { Told } from './useAnswer.ts';

export interface ForesightAsk {
  state: TankState;
  changes: Change[];
}

/** The search for the way ahead, out of the way of the hand. */
self.onmessage = ({ data }: MessageEvent<ForesightAsk>) => {
  const tell = (told: Told<Foresight>) => self.postMessage(told);
  try {
    tell({ answer: foresee(data.state, data.changes, (progress) => tell({ progress })) });
  } catch (error) {
    tell({ problem: error instanceof Error ? error.message : 'the search failed' });
  }
};
