import { COMPARE, fitMeasured, pinsRead, portLaid, setPart } from '../fit/index.ts';
import { held } from '../hold/index.ts';
import { clampPut, hoseRuns, hoseSeen } from '../hose/index.ts';
import { answerKind } from '../questions/index.ts';
import {
  armMeasured,
  built,
  driverSaw,
  partSaid,
  partSwapped,
  unitSwapped,
  pumpRan,
  ringTried,
  senderKept,
  swept,
} from '../bench/index.ts';
import { holePlanned, supportPlanned } from '../conversion/index.ts';
import { finding, spark } from '../condition/index.ts';
import { pressure, PUMP_RUNS, SCHOOL } from '../depressurise/index.ts';
import { QUICK_TEST } from '../diagnosis/index.ts';
import { CAP_OPENS, HOSE_HEAD, SAMPLE, SECOND_TANK, WAY_OUT } from '../drain/index.ts';
import { labTold, sampleHanded, sampleKept, streamLooked, suspected } from '../evidence/index.ts';
import { torque } from '../fastener/index.ts';
import { exception, gate, gateItem } from '../gates/index.ts';
import {
  BED_OFF,
  crept,
  FILE_FITS,
  GOAL,
  inspected,
  moved,
  pulled,
  RING_FROM_ABOVE,
  stopDone,
  surprise,
  TAPE,
} from '../hang/index.ts';
import { note, parked, photo, wait } from '../journal/index.ts';
import { ownerSaid, proposalClosed, proposed } from '../owner/index.ts';
import { settled, takeBack } from '../kernel/index.ts';
import {
  capped,
  cleared,
  cut,
  deferred,
  deviation,
  loosened,
  made,
  putIn,
  replaced,
  restored,
  ring,
  takenOut,
} from '../ledger/index.ts';
import { lineHeld, searched, valveTried } from '../vacuum/index.ts';
import { bondRead, refillRead, wireJoined, wireTried } from '../wiring/index.ts';
import { codesRead, engineStarted } from '../start/index.ts';
import { dayEnded } from '../dayEnd/index.ts';
import { HERE, KIT } from '../needed/index.ts';
import { approval, complaintAgain, complaintTest, identity, opened, shopFigures } from '../order/index.ts';
import { pickupPlanned, screensKnown } from '../pickup/index.ts';
import { battery, keyOff, keyOn, vehicleMoved } from '../power/index.ts';
import { jointSeen, seenFrom } from '../proof/index.ts';
import { PRICE } from '../quote/index.ts';
import { addendum, countersigned, followUpDone, reopened, signedKind } from '../signing/index.ts';
import { CELSIUS, container, DRAIN_PLUG, fill, fuelMoved, fuelWitness, tankShape } from '../tank/index.ts';
import { WORKED_ON } from '../handling/index.ts';
import { BLOCKS, MORE_TILT, PUMP, REACH, SEALED, SLACK, VARIANT } from '../vehicle/index.ts';
import { owed } from './owed.ts';

/** Every question somebody may answer. */
export const questions = [
  SLACK,
  BLOCKS,
  REACH,
  MORE_TILT,
  VARIANT,
  PUMP,
  PUMP_RUNS,
  WORKED_ON,
  SEALED,
  GOAL,
  FILE_FITS,
  TAPE,
  RING_FROM_ABOVE,
  BED_OFF,
  CELSIUS,
  SCHOOL,
  QUICK_TEST,
  CAP_OPENS,
  DRAIN_PLUG,
  HOSE_HEAD,
  SAMPLE,
  SECOND_TANK,
  WAY_OUT,
  COMPARE,
  HERE,
  KIT,
  PRICE,
] as const;

/** Every kind of entry: the one list of what can stand in a log. */
export const kinds = [
  opened,
  shopFigures,
  identity,
  complaintTest,
  complaintAgain,
  approval,
  note,
  photo,
  wait,
  parked,
  answerKind(questions),
  fuelWitness,
  container,
  fuelMoved,
  tankShape,
  fill,
  pressure,
  battery,
  keyOn,
  keyOff,
  vehicleMoved,
  gateItem,
  gate,
  exception,
  stopDone,
  crept,
  moved,
  surprise,
  pulled,
  inspected,
  cleared,
  capped,
  restored,
  made,
  putIn,
  takenOut,
  loosened,
  deferred,
  deviation,
  cut,
  replaced,
  ring,
  torque,
  jointSeen,
  seenFrom,
  held,
  fitMeasured,
  portLaid,
  pinsRead,
  setPart,
  hoseSeen,
  hoseRuns,
  clampPut,
  refillRead,
  wireTried,
  bondRead,
  wireJoined,
  engineStarted,
  codesRead,
  dayEnded,
  valveTried,
  searched,
  lineHeld,
  finding,
  spark,
  holePlanned,
  supportPlanned,
  pickupPlanned,
  screensKnown,
  streamLooked,
  sampleKept,
  sampleHanded,
  labTold,
  suspected,
  proposed,
  ownerSaid,
  proposalClosed,
  partSaid,
  swept,
  pumpRan,
  partSwapped,
  unitSwapped,
  armMeasured,
  driverSaw,
  senderKept,
  ringTried,
  built,
  signedKind(owed),
  addendum,
  countersigned,
  followUpDone,
  reopened,
  takeBack,
  settled,
] as const;
