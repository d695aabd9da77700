export { judgePart, judgeUnit, unitBegun, type BenchFacts } from './judge.ts';
export { armMeasured, senderKept } from './senderKinds.ts';
export { partSaid, partSwapped, pumpRan, swept } from './kinds.ts';
export { benchSlice, partOf, pieceOf, wordOf, type BenchSlice, type How, type PartWord, type Piece } from './slice.ts';
