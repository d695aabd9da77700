export { countsFor, ignoredWitnesses, type FuelAboard, type Witness } from './aboard.ts';
export { BURST, burstClock, burstLitres, OWN_PUMP_FLOW, REST } from './bursts.ts';
export { fuelCelsius, safeFillToday } from './day.ts';
export { FIRST_FILL } from './fill.ts';
export { container, fill, fuelMoved, fuelWitness, tankShape } from './kinds.ts';
export { levelShare } from './level.ts';
export { spillTilt } from './ports.ts';
export { CELSIUS, DRAIN_PLUG } from './questions.ts';
export {
  BURSTS,
  fuelOf,
  fuelSlice,
  litresIn,
  litresInCans,
  litresOut,
  type FuelFacts,
  type FuelSlice,
} from './slice.ts';
export { staysAboard, tankOutlet, tiltReach, tiltSentence } from './stays.ts';
export { COUNT_ERROR, GAUGE_ERROR, witnessLitres, witnessSource, witnessWord, type WitnessKind } from './witness.ts';
