import { commonPractice } from '../basis/index.ts';

/** What stands between a figure and the tank. mm; common practice, no source. */
export interface Margins {
  /** A jack goes this much too far. */
  overshoot: number;
  /** The eye errs by this much when it judges play. */
  eye: number;
}

/** Less than two fingers of play is “nearly tight”, mm. Common practice, no source. */
export const NEARLY = 40;
/** “More than a fist” of play, mm. Common practice, no source. */
export const FIST = 100;
/** The first stop is never deeper, mm: high enough to go back at once, low enough to look on top. Common practice, no source. */
export const FIRST_STOP = 25;
/** A creep moves at most this far, hand and eye on the line, mm. Common practice, no source. */
export const CREEP = 10;

/** One change of height with its look, minutes; common practice, no source. */
export const MOVE_MINUTES = { lo: 1, typ: 2, hi: 4, basis: commonPractice };
/** Setting one end lower than the other takes so much more, minutes; common practice, no source. */
export const TILT_MINUTES = 1;
