export { addendum, countersigned, followUpDone, reopened, signedKind } from './kinds.ts';
export { signingSlice, type SigningSlice } from './slice.ts';
