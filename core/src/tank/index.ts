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
export { portOf, spillTilt } from './ports.ts';
export { FIRST_FILL } from './fill.ts';
export { levelShare } from './level.ts';
export { fuelAboard, type FuelAboard, type Witness } from './aboard.ts';
export { staysAboard, tankOutlet, tiltReach, tiltSentence, type Stays } from './stays.ts';
