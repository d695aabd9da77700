export { asVariant } from './variant.ts';
export { difference, type Difference } from './difference.ts';
export * from './types.ts';
export { mountings, type MountingKind } from './mountings.ts';
export { archetypes, fileFromSight, type FirstSight } from './archetypes.ts';
export { vehicleSchema } from './schema.ts';
export { checkTank, checkVehicle } from './check.ts';
