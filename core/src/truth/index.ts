export { hiddenTruth, type HiddenTruth } from './ofJob.ts';
export { seeded } from './random.ts';
export { randomVehicle, truthInside, truthOutside, withSnag, type Truth } from './under.ts';
