export { causes, fuelCauses, pointWord, streamPoints, type FuelCause, type StreamPoint } from './causes.ts';
export { chainWhole, judgeCause, judgeReach, type Evidence, type KeptSample } from './judge.ts';
export { labTold, sampleHanded, sampleKept, streamLooked, suspected } from './kinds.ts';
export { evidenceBegun, evidenceSlice, type EvidenceSlice } from './slice.ts';
export { ofInside, ofSample, streamOf } from './seen.ts';
