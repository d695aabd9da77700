export { handUnitNear, handUnits, HAND_ERROR, type HandUnit } from './hand.ts';
export { readQuantity, type ReadOptions } from './read.ts';
export {
  bar,
  celsius,
  figureInWords,
  inWords,
  joined,
  kilograms,
  litres,
  litresPerMinute,
  mm,
  newtonMetres,
  say,
  type Measure,
  type Quantity,
  type Sentence,
} from './say.ts';
export { lengthIn, lengthText, scaleSteps, unitSystems, type LengthWords, type UnitSystem } from './system.ts';
export { findUnit, fromSI, toSI, units, type Dimension, type Unit } from './units.ts';
export { inchFraction, plainNumber, writeQuantity, type WriteOptions } from './write.ts';
