import type { CutKind } from './cuts.ts';

/** What a line of the ledger is about. */
export type ItemKind = 'line' | 'clip' | 'obstruction' | 'support' | 'unit' | 'thing' | 'loose';

/** Where it stands: owed are `open`, `deferred` and `loose`. */
export type ItemState = 'open' | 'closed' | 'deferred' | 'loose' | 'deviation' | 'scrapped';

/** When something must be back: above this drop no hand gets there (mm), or a named event. */
export type BackBy = { drop: number; guessed: boolean } | { event: string };

/** One coming apart of one thing, until it is back. */
export interface Opening {
  /** `line:feed@` and the id of the entry that parted it. */
  id: string;
  /** Ledger key. */
  key: string;
  /** What it is. */
  kind: ItemKind;
  /** What people call it. */
  name: string;
  /** Number painted on it; null where nobody painted one. */
  tag: number | null;
  /** Local drop at which it came off, mm. */
  at: number;
  /** Person's id. */
  by: string;
  /** ISO time. */
  time: string;
  /** The way by which it came off. */
  way: string | null;
  /** Both open ends are capped. */
  capped: boolean;
  /** Until when it stays open, in words: put off, loose on purpose, or in before something. */
  until: string | null;
  /** Was it put off? */
  deferred: boolean;
  /** The entry that closed it; null while it is open. */
  closedIn: string | null;
  /** Drop at which it went back, mm. */
  backAt: number | null;
  /** Who put it back. */
  backBy: string | null;
}

/** A line of the ledger: everything that came off, was loosened or went in, as it stands now. */
export interface LedgerItem {
  /** Ledger key. */
  key: string;
  /** What it is. */
  kind: ItemKind;
  /** What people call it. */
  name: string;
  /** Number painted on it; null where nobody painted one. */
  tag: number | null;
  /** Where it stands. */
  state: ItemState;
  /** Two devices say different things of it. */
  unsettled: boolean;
  /** Its openings that are not closed, newest last. */
  openings: readonly string[];
  /** Local drop at which it came off, mm. */
  offAt: number;
  /** Who took it off. */
  offBy: string;
  /** ISO time. */
  offTime: string;
  /** The way by which it came off. */
  way: string | null;
  /** Both open ends are capped. */
  capped: boolean;
  /** When it must be back. */
  back: BackBy;
  /** Drop at which it went back, mm; null while it is off. */
  backAt: number | null;
  /** Who put it back. */
  backOwner: string | null;
  /** Until when, or why not. */
  note: string | null;
}

/** Something that was cut, and what had been tried before. */
export interface Cut {
  /** `cut:` and the id of the entry: under it it is owed until it is made good. */
  id: string;
  /** What was cut. */
  what: CutKind;
  /** Where. */
  where: string;
  /** The line it belongs to; null where it belongs to none. */
  key: string | null;
  /** What had been tried. */
  tried: readonly string[];
  /** What had not. */
  untried: readonly string[];
  /** In the cutter's words. */
  words: string | null;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** Left off or temporary, agreed by somebody, due some time: it settles the one debt it names. */
export interface Deviation {
  /** Id of the debt. */
  debt: string;
  /** What the debt is about, in the words it had. */
  what: string;
  /** Why. */
  reason: string;
  /** Who agreed. */
  who: string;
  /** When it is due. */
  due: string;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** What went in for something old. */
export interface Replacement {
  /** Ledger key, or the id of a cut. */
  key: string;
  /** Its own slack, mm; null where nobody measured it. */
  slack: number | null;
  /** In words. */
  words: string | null;
}
