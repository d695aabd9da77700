export { hiddenTruth, type HiddenTruth } from './ofJob.ts';
export { seeded } from './random.ts';
export { randomVehicle, truthAtEnds, truthInside, truthOutside, truthShorter, withSnag, type Truth } from './under.ts';
