export { addendum, countersigned, followUpDone, reopened, signedKind } from './kinds.ts';
export { signingSlice } from './slice.ts';
export { followUps, type FollowUp } from './followUps.ts';
