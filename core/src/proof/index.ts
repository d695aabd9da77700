export { judgeJoint } from './judge.ts';
export { jointSeen, jointsToSee, proofSlice, type Joint, type ProofSlice } from './kinds.ts';
