import { foresee, type Change } from '@iron-cradle/core/foresight';
import type { TankState } from '@iron-cradle/core';
import { answering } from './answering.ts';

/** The way ahead of a tank, with something changed or nothing. */
export interface ForesightAsk {
  /** The tank as it hangs. */
  state: TankState;
  /** What is changed. */
  changes: Change[];
}

// The search for the way ahead, out of the way of the hand.
answering(({ state, changes }: ForesightAsk, onProgress) => foresee(state, { changes, onProgress }));
