import { InputError } from '../errors/index.ts';
import type { RouteModel, RouteWay } from './types.ts';

/**
 * Minutes, then moves, then two-person minutes in one exact integer, so that ties are broken alike everywhere. Minutes
 * count in hundredths; up to 2,600 minutes and 255 moves fit into 53 bits.
 */
const MOVES = 2 ** 18;
const MINUTES = 2 ** 26;

const hundredths = (minutes: number, field: string): number => {
  if (!(minutes >= 0 && minutes <= 600)) throw new InputError(field, String(minutes), '0 to 600 minutes');
  return Math.round(minutes * 100);
};

/** What a way costs in the order of the search: minutes first, then minutes of a second person. @throws InputError above 600 minutes @example wayCost(way, model) */
export const wayCost = (way: RouteWay, model: RouteModel): number => {
  const more = way.people > 1 ? model.helperMinutes : 0;
  const minutes = hundredths(way.minutes + more, `${way.id}.minutes`);
  return minutes * MINUTES + (way.people > 1 ? hundredths(way.minutes, `${way.id}.minutes`) : 0);
};

/** What a move costs: its minutes, and that it is one. @throws InputError above 600 minutes @example moveCost(model) */
export const moveCost = (model: RouteModel): number => hundredths(model.moveMinutes, 'moveMinutes') * MINUTES + MOVES;

/** What it costs more where the tilt changes. @throws InputError above 600 minutes @example tiltCost(model) */
export const tiltCost = (model: RouteModel): number => hundredths(model.tiltMinutes, 'tiltMinutes') * MINUTES;

/** Back to what people count. @example unpack(moveCost(model)).moves // 1 */
export const unpack = (cost: number): { minutes: number; moves: number; twoPersonMinutes: number } => {
  const rest = cost % MINUTES;
  return {
    minutes: Math.floor(cost / MINUTES) / 100,
    moves: Math.floor(rest / MOVES),
    twoPersonMinutes: (rest % MOVES) / 100,
  };
};
