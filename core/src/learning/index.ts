export { lessons, taught, type Lesson } from './lessons.ts';
export { fittedParts, withFitted, type Fitted } from './fitted.ts';
export { keptCurve, keptFigures, keptPlaces, withKept, type KeptCurve, type KeptFigure } from './kept.ts';
export { handsBefore, lengthBefore, pulledBefore, type Earlier, type HandsBefore } from './earlier.ts';
