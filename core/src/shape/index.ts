export * from './types.ts';
export { checkShape } from './check.ts';
export { readLevelTable } from './levelTable.ts';
export { contentsBelow, levelAt, shapeLitres, shareAt, surfaceAt, type Contents } from './contents.ts';
export { trappedFuel, type Pocket, type Trapped } from './trapped.ts';
export { bestTilt, tiltToPort, type BestTilt } from './tilt.ts';
export { fuelInSection, profileAxis, sectionOf, type Axis, type Section } from './section.ts';
