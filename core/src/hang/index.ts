export type { LookBody } from './bodies.ts';
export { atGoal, goalOf } from './goal.ts';
export { crept, inspected, moved, pulled, stopDone, surprise } from './kinds.ts';
export { bindings, holdersAt, safeUnder, type Binding, type Holder } from './limits.ts';
export { CREEP, FIRST_STOP, FIST, MOVE_MINUTES, NEARLY, TILT_MINUTES, type Margins } from './margins.ts';
export {
  attached,
  isDone,
  isOn,
  portDrop,
  reachOf,
  slackFreed,
  slackOf,
  surelyReaches,
  takenOff,
  tiltLimitOf,
  type Reading,
} from './model.ts';
export { BED_OFF, GOAL, RING_FROM_ABOVE, TAPE } from './questions.ts';
export { hangSlice, standingPulls, type HangFacts } from './slice.ts';
export { tapeAt, tapeAtHome } from './tape.ts';
export type { Extra, HangSlice, Pull, TankState } from './types.ts';
