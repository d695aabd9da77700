import type { Verdict } from '../verdict/index.ts';
import type { HoleName } from './holes.ts';
import type { Reid } from './gas.ts';
import type { FreeVolume } from './volume.ts';

/** A tank under a little pressure or vacuum, shut off, and what the gauge showed. */
export interface HoldRun {
  /** s since it began and Pa over the air, one after the other; below zero: vacuum. */
  readings: readonly (readonly [number, number])[];
  /** Smallest step of the gauge, Pa. */
  step: number;
  /** Free volume, L. */
  volume: FreeVolume;
  /** Air outside, Pa. */
  outside: { lo: number; hi: number };
  /** °C when it began. */
  celsius: number;
  /** °C when it ended, by a thermometer in or on the tank; left out: nobody read one. */
  ends?: number;
  /** Which hole it must be tighter than. */
  hole: HoleName;
  /** Is the tank drained and aired, so that no vapour stands in it? */
  aired: boolean;
  /** Over petrol that stands in balance with its vapour: what is known of it. Left out: nobody said. */
  over?: Reid;
  /** Pa that the file allows this tank; left out: what any tank bears. */
  most?: number;
}

/** A hold, judged. */
export interface HoldJudged {
  /** Does it hold? */
  verdict: Verdict;
  /** How fast √p falls, with the ends of what is certain, and the limit at either end of the volume; √Pa/s. */
  fall: { lo: number; typ: number; hi: number; limit: { lo: number; hi: number } } | null;
  /** √Pa where the line begins. */
  from: number | null;
  /** The hole it falls like, mm. */
  millimetres: { lo: number; hi: number } | null;
  /** Outside air that goes through it, L/min. */
  litresPerMinute: { lo: number; hi: number } | null;
  /** s more until it is one or the other; null: decided, or no time decides. */
  more: number | null;
  /** Pa that the drift in temperature nobody measured may stand for. */
  drift: number;
}
