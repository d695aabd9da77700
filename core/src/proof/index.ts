export { judgeJoint } from './judge.ts';
export {
  jointSeen,
  jointsLeft,
  jointsToSee,
  placeSaid,
  proofSlice,
  seenFrom,
  type Joint,
  type ProofSlice,
} from './kinds.ts';
export { proofLitres, walkOf, type WalkPlace } from './walk.ts';
export { TO_PUSH, wetsOf, type Wets } from './wets.ts';
