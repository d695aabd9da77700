export { judgeJoint } from './judge.ts';
export { jointSeen, jointsToSee, proofSlice, type Joint } from './kinds.ts';
