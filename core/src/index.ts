export * from './ofTheBench.ts';
export * from './ofTheVehicle.ts';
export { basisInWords } from './basis/index.ts';
export { checked, expectedOf } from './checked/index.ts';
export {
  anotherDrop,
  complaintKinds,
  complaintOf,
  hoursInWords,
  callLine,
  elsewhere,
  makeCall,
  startingCans,
  type Call,
  type CallQuestion,
} from './call/index.ts';
export { OPEN_BELOW, PUMP_RUNS, SCHOOL, schoolsFor, type School } from './depressurise/index.ts';
export { diagnose, QUICK_TEST, type QuickTest } from './diagnosis/index.ts';
export {
  CAP_OPENS,
  drainFacts,
  drainWays,
  fuelBalance,
  HOSE_HEAD,
  judgeSample,
  kitOf,
  SAMPLE,
  SAMPLE_STANDS,
  sampleLooks,
  SECOND_TANK,
  shareOut,
  WAY_OUT,
  type Balance,
  type DrainWay,
  type SampleLook,
} from './drain/index.ts';
export { InputError, present, problemInWords } from './errors/index.ts';
export { exactly, rangeInWords, roundTo, type Estimate, type Span } from './estimate/index.ts';
export { endOf, leftInWords, minutesLeft, minutesSince, type Wait } from './journal/index.ts';
export {
  gateTitles,
  isPassed,
  jointsDueHere,
  judgeProofFuel,
  judgeGate,
  type GateItem,
  type GateNumber,
  type JudgedItem,
} from './gates/index.ts';
export {
  drained,
  judgeJack,
  judgeTwoJacks,
  kilogramsOf,
  judgeLift,
  litresToTakeOut,
  postBalance,
  raiseHeight,
  tankCentre,
  tankMass,
  teamLift,
  type ExitWay,
  type LiftPosture,
  WORKED_ON,
} from './handling/index.ts';
export {
  bindings,
  CREEP,
  FILE_FITS,
  GOAL,
  holdersAt,
  isOn,
  TAPE,
  tapeAt,
  tapeAtHome,
  type Holder,
  type TankState,
} from './hang/index.ts';
export {
  BLEEDING,
  instruments,
  OfferedLine,
  ReadingLine,
  readingOf,
  readInstrument,
  servedBy,
  SourceBody,
  type Channel,
  type Instrument,
  type InstrumentKind,
  type Reading,
} from './instrument/index.ts';
export {
  asDeviceSays,
  checkBody,
  kindOf,
  chords,
  completed,
  decidedOf,
  descended,
  entryInLog,
  entryInWords,
  foldJob,
  foldJobOn,
  isKind,
  logWriter,
  nameOf,
  owed,
  recordLines,
  refusalOf,
  resourceName,
  stationNow,
  stations,
  stationsDone,
  takeBackInWords,
  vapourFrom,
  versionOf,
  wasLowered,
  type Bodies,
  type Chord,
  type Entry,
  type EntryKind,
  type JobFile,
  type JobState,
  type StationId,
  jobFileSchema,
} from './job/index.ts';
export {
  FoldWhole,
  refused,
  SERVER_DEVICE,
  UnknownEntry,
  unsettledKeys,
  type Debt,
  type Decided,
  type RawEntry,
  type Refusal,
  type RecordLine,
} from './kernel/index.ts';
export {
  fittedParts,
  keptCurve,
  keptFigures,
  keptPlaces,
  lessons,
  taught,
  withFitted,
  withKept,
  type Fitted,
  type Lesson,
} from './learning/index.ts';
export {
  openEnds,
  type OpenEnd,
  backInWords,
  CUT_CAUTION,
  cutKinds,
  inOrderOfReturn,
  judgeCut,
  openItems,
  triedFirst,
  untriedOf,
  type CutKind,
  type LedgerItem,
} from './ledger/index.ts';
export { HERE, KIT, neededFor, onceOrder, ruleWord, type Needed, type NeededRule } from './needed/index.ts';
export { figuresOf, startingFigures, type Complaint, type ShopFigures, testedSince } from './order/index.ts';
export { comeback, SHOWS, type Show, type Suspect } from './comeback/index.ts';
export { dayChecks, dayItems, type DayCheck } from './dayEnd/index.ts';
export { codesOf, judgeStart, STARTS } from './start/index.ts';
export { JOINTS, WIRE_SEEN, gauges, judgeJoined, judgeWire, judgeBond, lostIn, type WireSeen } from './wiring/index.ts';
export { jointsLeft, jointsToSee, proofLitres, walkOf, wetsOf, type Joint, type WalkPlace } from './proof/index.ts';
export {
  canBeMeant,
  handUnitNear,
  inWords,
  kilograms,
  lengthIn,
  lengthText,
  litres,
  mm,
  ownUnit,
  readQuantity,
  rounded,
  say,
  scaleSteps,
  siUnit,
  units,
  unitSystems,
  writeQuantity,
  type Dimension,
  type Sentence,
  type UnitSystem,
} from './quantity/index.ts';
export { answerOf, answerTo, type Question, type ValueOf } from './questions/index.ts';
export {
  PRICE,
  quoteCsv,
  quoteJsonLines,
  quoteOf,
  type Quote,
  type QuoteLine,
  type ShopPrices,
} from './quote/index.ts';
export { heightInWords, planSheet, spokenStop, stepsOf, type PlanSheet, type SheetStop } from './steps/index.ts';
export {
  gatesBefore,
  endByEnd,
  marksAhead,
  nextStop,
  afterStop,
  nextUp,
  planChanged,
  slackFromString,
  stepHeight,
  stopAt,
  testStop,
  type Action,
  type Stop,
  type StringLine,
  type StringSlack,
  type UpItem,
} from './stops/index.ts';
export { AllowBody, bayKinds, PersonBody, Shop, SignInBody, startingShop } from './shop/index.ts';
export { summaryOf, type JobSummary } from './summary/index.ts';
export { gravestFirst, gravestOf, outcomeWord, type Outcome, type Verdict } from './verdict/index.ts';
export { followUps, type FollowUp } from './signing/index.ts';
export {
  cellText,
  fuelTable,
  handsOn,
  hoursTable,
  jointsTable,
  ownersPage,
  partsTable,
  photoLetters,
  photoList,
  readCode,
  readingsTable,
  recordCode,
  recordOf,
  recordSections,
  sectionsFirst,
  tagCode,
  torquesTable,
  type JobRecord,
  type PhotoLine,
  type RecordCell,
  type RecordSection,
  type RecordTable,
} from './record/index.ts';
