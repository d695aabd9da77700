export { HOLD_CAUTION, HOLD_HOME_CAUTION, judgeHold } from './judge.ts';
export { airThrough, areaOf, equivalentHole, outsideAt } from './orifice.ts';
export { diameters, holeInWords, holes, MOST, type HoleName } from './holes.ts';
export { tQuantile } from './student.ts';
export { emptyVolume, pushedVolume, type FreeVolume, type Push } from './volume.ts';
export type { HoldJudged, HoldRun } from './types.ts';
export { airJoints, openingsHeld, ringOpenings } from './joints.ts';
export {
  freeVolume,
  held,
  heldTight,
  holdCompleted,
  holdOf,
  holdSlice,
  judgeHeld,
  type Held,
  type HoldSlice,
} from './kinds.ts';
export { HeldBody, MOST_READINGS } from './bodies.ts';
export { readHold, writeHold } from './csv.ts';
export { traceOf, type HoldTrace } from './trace.ts';
export { lineThrough } from './line.ts';
export { lookedAt } from './look.ts';
