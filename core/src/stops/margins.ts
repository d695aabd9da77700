import { commonPractice } from '../basis/index.ts';

/** What stands between a figure and the tank. mm; common practice, no source. */
export interface Margins {
  /** A jack goes this much too far. */
  overshoot: number;
  /** The eye errs by this much when it judges play. */
  eye: number;
}

export const standardMargins: Margins = { overshoot: 10, eye: 10 };

/** Less than two fingers of play is “nearly tight”, mm. */
export const NEARLY = 40;
/** “More than a fist” of play, mm. */
export const FIST = 100;
/** Heights are logged and planned on this grid, mm. */
export const GRID = 5;
/** The first stop is never deeper, mm: high enough to go back at once, low enough to look on top. */
export const FIRST_STOP = 25;
/** A creep moves at most this far, hand and eye on the line, mm. */
export const CREEP = 10;

export const gridDown = (mm: number): number => Math.floor(mm / GRID) * GRID;
export const gridUp = (mm: number): number => Math.ceil(mm / GRID) * GRID;
export const gridNearest = (mm: number): number => Math.round(mm / GRID) * GRID;

/** One change of height with its look, minutes; common practice, no source. */
export const MOVE_MINUTES = { lo: 1, typ: 2, hi: 4, basis: commonPractice };
/** Setting one end lower than the other takes so much more, minutes; common practice, no source. */
export const TILT_MINUTES = 1;
/**
 * Calling a second pair of hands from their own work, minutes; common practice, no source. What a shop starts with; it
 * sets its own.
 */
export const HELPER_MINUTES = 5;
