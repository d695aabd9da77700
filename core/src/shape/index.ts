export { checkShape } from './check.ts';
export { contentsBelow, levelAt, shapeLitres, shareAt, surfaceAt } from './contents.ts';
export { readLevelTable } from './levelTable.ts';
export { fuelInSection, profileAxis, sectionOf, type Axis } from './section.ts';
export { bestTilt, tiltToPort, type BestTilt } from './tilt.ts';
export { trappedFuel, type Pocket, type Trapped } from './trapped.ts';
export { noTilt, upOf, type Point3, type TankShape, type Tilt } from './types.ts';
