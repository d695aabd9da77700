export { backInWords, inOrderOfReturn, makeWay, makeWindow, type BackFacts, type MakeWindow } from './back.ts';
export { CUT_CAUTION, cutKey, cutKinds, judgeCut, triedFirst, untriedOf, type CutKind } from './cuts.ts';
export { openItems } from './items.ts';
export { cleared, cut, deferred, deviation, loosened, made, putIn, replaced, restored, ring, takenOut } from './kinds.ts';
export { closedOpenings, isOff, knownClosed, knownOpenings, ledgerSlice, openingId, type LedgerFacts, type LedgerSlice } from './slice.ts';
export { anyKey } from './testing.ts';
export type { BackBy, Cut, Deviation, ItemKind, ItemState, LedgerItem, Opening, Replacement } from './types.ts';
