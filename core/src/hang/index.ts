export { atGoal } from './goal.ts';
export { crept, inspected, moved, pulled, stopDone, surprise } from './kinds.ts';
export { bindings, holdersAt, safeUnder, type Binding, type Holder } from './limits.ts';
export { CREEP, FIRST_STOP, MOVE_MINUTES, NEARLY, TILT_MINUTES, type Margins } from './margins.ts';
export {
  attached,
  isDone,
  isOn,
  portDrop,
  reachOf,
  doubted,
  slackFreed,
  slackOf,
  surelyReaches,
  takenOff,
  tiltLimitOf,
  waitsHere,
  type Sureness,
} from './model.ts';
export { BED_OFF, FILE_FITS, GOAL, RING_FROM_ABOVE, TAPE } from './questions.ts';
export { hangSlice, standingPulls } from './slice.ts';
export { tapeAt, tapeAtHome } from './tape.ts';
export type { HangSlice, TankState } from './types.ts';
