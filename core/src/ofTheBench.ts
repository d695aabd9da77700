// What the subjects of the bench give to others; index.ts passes it on.
export { buildSteps, judgeBuilt, judgeRung, ladderOf, LIFT_OUT, nextRung, type RungId } from './bench/index.ts';
export { driverStands, foundOf } from './bench/index.ts';
export { judgePart, judgeUnit, partOf, pieceOf, unitBegun, wordOf, type Piece } from './bench/index.ts';
export {
  placesOf,
  placeStands,
  remedies,
  remediesFor,
  sparkActs,
  sparkOf,
  standingFindings,
  TEST_STOP,
  usualWaits,
  wetEnds,
  type ConditionPlace,
  type Finding,
  type PlaceLook,
  type RemedyId,
  type SparkAct,
} from './condition/index.ts';
export {
  boltClasses,
  boltThreads,
  crosswise,
  judgeTorque,
  lubricants,
  roundsTo,
  SNUG,
  STRAIGHT_STRAP,
  withLubricant,
  wrenchSetting,
  type BoltClass,
  type Lubricant,
  type Lies,
  type Snug,
  type StrapIs,
} from './fastener/index.ts';
export {
  alwaysMeasured,
  COMPARE,
  compareList,
  figureWord,
  judgeFit,
  judgePins,
  judgePort,
  judgeSet,
  meetingParts,
  pinUses,
  pinWord,
  portLines,
  type Compared,
  type FitFigure,
  type PinUse,
} from './fit/index.ts';
export {
  airJoints,
  freeVolume,
  heldTight,
  HOLD_CAUTION,
  HOLD_HOME_CAUTION,
  holdCompleted,
  holdOf,
  holeInWords,
  holes,
  judgeHeld,
  lookedAt,
  MOST,
  readHold,
  traceOf,
  writeHold,
  type HeldBody,
  type HoldJudged,
  type HoleName,
} from './hold/index.ts';
export { readRun, RUN_CAUTION, runFrom, writeRun, type RunReading } from './pump/index.ts';
export {
  driverSees,
  driverWord,
  lateIn,
  oneMore,
  passFrom,
  readSweep,
  senderFamilies,
  sweepAgain,
  sweeping,
  sweptWay,
  writeSweep,
  type DriverSees,
  type Sweeping,
  type SweptWay,
  type Trace,
} from './sender/index.ts';
export { drillFor, judgeThread, mustNotMeet, rankThreads, threads, type Measured, type Seals } from './thread/index.ts';
export {
  fallOf,
  searchPlaces,
  wayFrom,
  type VacuumReading,
  type SearchPlace,
  type TesterState,
  type WayState,
} from './vacuum/index.ts';
export {
  agreed,
  agreedSum,
  ownersWord,
  proposalWords,
  unanswered,
  worthWhileDown,
  type OwnersWord,
  type Proposal,
} from './owner/index.ts';
export {
  causes,
  chainWhole,
  evidenceBegun,
  fuelCauses,
  judgeCause,
  judgeReach,
  pointWord,
  streamOf,
  streamPoints,
  type FuelCause,
  type KeptSample,
  type StreamPoint,
} from './evidence/index.ts';
export { planPickup, type PickupPlan, type PlannedPickup } from './pickup/index.ts';
export { judgeHole, judgeSupport } from './conversion/index.ts';
export { judgeNut, judgeSocket, type NutJudged, type SocketJudged } from './thread/index.ts';
export {
  asItRuns,
  clampKinds,
  clampsFor,
  clampSizes,
  cutList,
  dipsAlong,
  fittedOutside,
  hoseGrades,
  hoseLength,
  hoseStates,
  rubbersOf,
  saidOf,
  wordOn,
  type ClampKind,
  type CutList,
  type HoseGrade,
  type HoseState,
  type RoutePoint,
  type Rubber,
} from './hose/index.ts';
export { groundOff, judgeRefill } from './wiring/index.ts';
export { fuelBack, type FuelBack } from './gates/index.ts';
export { BREATHS, RUBS, rubWord, spareLength, whichHose, type Breath, type Rubs } from './hose/index.ts';
export { judgeSeal, SEAL_SCHOOLS, type SealSchool } from './ledger/index.ts';
export { neckOrders, wayUp } from './stops/index.ts';
export { portDrop } from './hang/index.ts';
export { howItFalls, soapPlaces, type Fall } from './soap/index.ts';
