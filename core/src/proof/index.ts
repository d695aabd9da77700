export { judgeJoint } from './judge.ts';
export { jointSeen, jointsToSee, proofSlice, type Joint, type JointSeenBody, type ProofSlice } from './kinds.ts';
