import { safeFill, type FuelKind } from '../fluid/index.ts';
import { answerTo, type Answered } from '../questions/index.ts';
import { CELSIUS } from './questions.ts';

/** Without an answer: filled on a cold day, stored through a hot one. °C; common practice, no source. */
const COLD = 0;
const HOT = 40;

/** Without an answer densities are taken as their standards give them. °C */
const STANDARD = 15;

/**
 * How warm the fuel is taken to be, °C: as the day was said to be.
 *
 * @example fuelCelsius(state) // 15 where nobody said
 */
export const fuelCelsius = (state: Answered): number => answerTo(state, CELSIUS, 'today') ?? STANDARD;

/**
 * How full a can may be today, for the hottest its store gets: the share of its capacity.
 *
 * @example safeFillToday(state) // 0.95
 */
export const safeFillToday = (state: Answered & { vehicle: { fuel: FuelKind } }): number =>
  safeFill(state.vehicle.fuel, answerTo(state, CELSIUS, 'today') ?? COLD, answerTo(state, CELSIUS, 'store') ?? HOT);
