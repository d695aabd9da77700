export { archetypes, fileFromSight } from './archetypes.ts';
export { checkTank, checkVehicle } from './check.ts';
export { difference } from './difference.ts';
export { madeBeforeKeyOn } from './madeBeforeKeyOn.ts';
export { mountings } from './mountings.ts';
export { clipOwner, fileName, keyOf, lineOf, obstructionOf, placeOf, shortName, splitKey, supportOf } from './names.ts';
export { deviceNumber, SERVER_NUMBERS, UNIT } from './numbers.ts';
export { BLOCKS, MORE_TILT, REACH, SEALED, SLACK, VARIANT } from './questions.ts';
export { vehicleSchema } from './schema.ts';
export { foundOut, MOST_TILT, vehicleSlice, type VehicleSlice } from './slice.ts';
export {
  connectionKinds,
  estimateOf,
  fittings,
  OPEN_REACH,
  type Clip,
  type Connection,
  type Fastener,
  type FeedKind,
  type Fitting,
  type Mounting,
  type Obstruction,
  type Range,
  type Support,
  type Variant,
  type VehicleFile,
  type Way,
} from './types.ts';
export { asVariant } from './variant.ts';
