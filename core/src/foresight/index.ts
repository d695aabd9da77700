export { ahead, minutesInWords, stopsAfter, stopsInWords, type Ahead } from './ahead.ts';
export { asks } from './asks.ts';
export { type Change } from './change.ts';
export { foresee, type Foresight } from './foresee.ts';
export { whatMatters } from './matters.ts';
export { outlook } from './outlook.ts';
export { type Remedy } from './remedies.ts';
