export { judgeBore } from './bore.ts';
export {
  clampKinds,
  clampsFor,
  clampSizes,
  fittedOutside,
  judgeClamp,
  type BandWidth,
  type ClampKind,
} from './clamp.ts';
export { asItRuns, curveThrough, hoseLength } from './curve.ts';
export { cutList, type CoilCut, type CutList } from './cuts.ts';
export { dipsAlong, dipsOf, type Dip, type RoutePoint } from './dip.ts';
export { hoseGrades, judgeGrade, type HoseGrade, type HosePlace, type HoseUse } from './grade.ts';
export {
  clampPut,
  hoseRuns,
  hoseSeen,
  hoseSlice,
  saidOf,
  wordOn,
  type HoseSlice,
  type HoseWay,
  type HoseWord,
} from './kinds.ts';
export { rubbersOf, type Rubber } from './rubber.ts';
export { judgeRun } from './run.ts';
export { hoseStates, judgeHose, type HoseState } from './seen.ts';
export { BREATHS, spareLength, whichHose, type Breath, type Unmarked, type WhichHose } from './which.ts';
export { RUBS, rubWord, type Rubs } from './rubs.ts';
