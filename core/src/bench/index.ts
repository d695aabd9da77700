export { buildSteps, GROOVE, judgeBuilt, type BuildStep } from './assembly.ts';
export { built, ringTried } from './hands.ts';
export { judgePart, judgeUnit, unitBegun, type BenchFacts } from './judge.ts';
export { armMeasured, senderKept } from './senderKinds.ts';
export { partSaid, partSwapped, pumpRan, swept } from './kinds.ts';
export { benchSlice, partOf, pieceOf, wordOf, type BenchSlice, type How, type PartWord, type Piece } from './slice.ts';
export { judgeRung, ladderOf, LIFT_OUT, nextRung, type Rung, type RungId } from './opening.ts';
