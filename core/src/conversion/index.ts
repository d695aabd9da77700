export { judgeHole, type HolePlan } from './hole.ts';
export { conversionSlice, holePlanned, supportPlanned, type ConversionSlice } from './kinds.ts';
export { judgeSupport, type SupportPlan } from './support.ts';
