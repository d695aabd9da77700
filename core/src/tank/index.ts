export { fuelAboard, type FuelAboard, type Witness } from './aboard.ts';
export { BURST, burstClock, burstLitres, OWN_PUMP_FLOW, REST, type BurstClock } from './bursts.ts';
export { safeFillToday } from './day.ts';
export { FIRST_FILL } from './fill.ts';
export { container, fill, fuelMoved, fuelWitness, tankShape } from './kinds.ts';
export { levelShare } from './level.ts';
export { portOf, spillTilt } from './ports.ts';
export { CELSIUS } from './questions.ts';
export {
  BURSTS,
  fuelSlice,
  litresIn,
  litresOut,
  type Container,
  type Fill,
  type FuelFacts,
  type FuelMove,
  type FuelSlice,
  type Pour,
} from './slice.ts';
export { staysAboard, tankOutlet, tiltReach, tiltSentence, type Stays } from './stays.ts';
export {
  COUNT_ERROR,
  GAUGE_ERROR,
  LEVEL_ERROR,
  WEIGHT_ERROR,
  witnessLitres,
  witnessSource,
  witnessWord,
  type WitnessKind,
} from './witness.ts';
