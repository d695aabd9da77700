export { readQuantity, type ReadOptions } from './read.ts';
export { writeQuantity, plainNumber, inchFraction, type WriteOptions } from './write.ts';
export { units, toSI, fromSI, findUnit, type Dimension, type Unit } from './units.ts';
export { lengthIn, lengthText, scaleSteps, unitSystems, type LengthWords, type UnitSystem } from './system.ts';
export { handUnitNear, handUnits, HAND_ERROR, type HandUnit } from './hand.ts';
