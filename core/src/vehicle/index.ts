export { archetypes, fileFromSight } from './archetypes.ts';
export { byJack, carriedBy, travelOf } from './carried.ts';
export { travelWords, type TravelWords } from './travelWords.ts';
export { checkTank, checkVehicle } from './check.ts';
export { difference } from './difference.ts';
export { isOpening, madeBeforeKeyOn } from './madeBeforeKeyOn.ts';
export { mountings } from './mountings.ts';
export {
  forgottenRubbers,
  carriesFluid,
  clipOwner,
  fileName,
  fluidLines,
  keyOf,
  keyOfId,
  lineOf,
  obstructionOf,
  placeOf,
  shortName,
  splitKey,
  supportOf,
} from './names.ts';
export { deviceNumber, SERVER_NUMBERS, UNIT } from './numbers.ts';
export { isElectric, isHigh, isLight, isSealed, pumpOf, pumpsFor, pumpWord } from './pump.ts';
export { BLOCKS, MORE_TILT, PUMP, REACH, SEALED, SLACK, VARIANT } from './questions.ts';
export { vehicleSchema } from './schema.ts';
export { foundOut, MOST_TILT, vehicleSlice, type VehicleSlice } from './slice.ts';
export {
  connectionKinds,
  estimateOf,
  fittings,
  type Connection,
  type Fastener,
  type Carrier,
  type FeedKind,
  type Fitting,
  type Mounting,
  type PumpKind,
  pumpKinds,
  supportKinds,
  type Obstruction,
  type Sender,
  type Support,
  type Travel,
  type Variant,
  type VehicleFile,
} from './types.ts';
export { OPEN_REACH, type Clip, type Range, type Way } from './ways.ts';
export { unitOf } from './unit.ts';
export { type PartKind, type PumpReads, type Unit, type UnitKind, type UnitPart } from './unitTypes.ts';
export { backHint, offHint, waysOff, waysOn, supportWords } from './supports.ts';
export { asUsual, asVariant } from './variant.ts';
export { waitsOf } from './waits.ts';
export { widened, type AtLeast } from './widened.ts';
