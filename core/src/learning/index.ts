export { lessons, taught, type Lesson } from './lessons.ts';
export { fittedParts, withFitted, type Fitted } from './fitted.ts';
export { keptCurve, keptFigures, keptPlaces, withKept, type KeptCurve, type KeptFigure } from './kept.ts';
