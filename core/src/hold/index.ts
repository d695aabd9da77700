export { HOLD_CAUTION, judgeHold } from './judge.ts';
export { airThrough, areaOf, equivalentHole, outsideAt } from './orifice.ts';
export { diameters, holes, MOST, type HoleName } from './holes.ts';
export { tQuantile } from './student.ts';
export { emptyVolume, pushedVolume, type FreeVolume, type Push } from './volume.ts';
export type { HoldJudged, HoldRun } from './types.ts';
