export {
  boltClasses,
  boltFindings,
  boltThreads,
  crosswise,
  lubricants,
  proofLoad,
  pullOf,
  roundsTo,
  stressArea,
  withLubricant,
  wrenchSetting,
  type BoltClass,
  type Lubricant,
} from './bolt.ts';
export { judgeTorque, SNUG, type Snug } from './judge.ts';
export { torque, torqueSlice, type TorqueSlice } from './kinds.ts';
export { LIES, STRAIGHT_STRAP, STRAPS, type Lies, type StrapIs } from './seated.ts';
