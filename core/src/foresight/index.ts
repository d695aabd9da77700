export { asks } from './asks.ts';
export { type Change } from './change.ts';
export { foresee, type Foresight, type Way } from './foresee.ts';
export { whatMatters } from './matters.ts';
export { minutesAhead, outlook } from './outlook.ts';
export { type Remedy } from './remedies.ts';
