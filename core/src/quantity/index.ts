export { handUnitNear } from './hand.ts';
export { canBeMeant } from './meant.ts';
export { ATMOSPHERE, GAS, GRAVITY } from './nature.ts';
export { readQuantity } from './read.ts';
export {
  bar,
  celsius,
  inWords,
  kilograms,
  kilopascals,
  litres,
  mm,
  newtonMetres,
  rounded,
  say,
  type Sentence,
} from './say.ts';
export { lengthIn, lengthText, scaleSteps, unitSystems, type UnitSystem } from './system.ts';
export { ownUnit, siUnit, units, type Dimension } from './units.ts';
export { writeQuantity } from './write.ts';
