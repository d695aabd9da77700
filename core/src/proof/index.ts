export { judgeJoint } from './judge.ts';
export { jointSeen, jointsToSee, proofSlice, type Joint } from './kinds.ts';
export { proofLitres, TO_PUSH, walkOf, wetsOf, type WalkPlace, type Wets } from './walk.ts';
