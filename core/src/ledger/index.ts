export { BEFORE_FILLER, ClearedBody } from './bodies.ts';
export { backInWords, inOrderOfReturn, makeWay, makeWays, makeWindow, type MakeWindow } from './back.ts';
export { CUT_CAUTION, cutKinds, judgeCut, triedFirst, untriedOf, type CutKind } from './cuts.ts';
export { openEnds, type OpenEnd } from './ends.ts';
export { isInNeck, openItems, thingsIn } from './items.ts';
export {
  capped,
  cleared,
  cut,
  deferred,
  deviation,
  loosened,
  made,
  putIn,
  replaced,
  restored,
  ring,
  takenOut,
} from './kinds.ts';
export { closedOpenings, isOff, knownClosed, ledgerSlice, standingRings, type LedgerSlice } from './slice.ts';
export { anyKey } from './testing.ts';
export type { LedgerItem, Opening } from './types.ts';
export { judgeSeal } from './seal.ts';
export { SEAL_SCHOOLS, type SealSchool } from './bodies.ts';
