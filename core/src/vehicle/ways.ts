import type { Basis } from '../basis/index.ts';

/** A range as it stands in a vehicle file: mm, kg, L or minutes. On the file's basis unless it carries its own. */
export interface Range {
  /** The least it may be. */
  lo: number;
  /** What it most likely is. */
  typ: number;
  /** The most it may be. */
  hi: number;
  /** Where it comes from, where that is not the file's own basis. */
  basis?: Basis;
}

/** `reachTo` at or above this is open: no drop is too low for the hand. mm */
export const OPEN_REACH = 9999;

/** One way a hand can do something: between two local drops, from a side, in some minutes. */
export interface Way {
  /** Its id, the only one of that name in the file. */
  id: string;
  /** Local drops (mm) between which a hand and the tool get there. */
  reachFrom: Range;
  /** Local drop (mm) to which a hand and the tool get there. */
  reachTo: Range;
  /** How long it takes. */
  minutes: Range;
  /** How many people it takes. */
  people: number;
  /** How many hands it takes at once. */
  hands: number;
  /** From where it is done. */
  from: string;
  /** What to have in hand. */
  tools: string[];
  /**
   * Ids of what must be done first in the direction of travel: things, single ways, or an event of the job. Going down:
   * it is off; going up: it is back on.
   */
  after: string[];
  /** The state others are in at the moment of use, the same words going down and going up. */
  while?: While[];
  /** The joint it opens or makes, where several ways get at one: from below, or through a hatch. Left out: its own. */
  joint?: string;
  /** Said where the hand is about to move. */
  caution?: string;
}

/** Something must be off, or on, at the moment something else is done. */
export interface While {
  /** Id of the other thing. */
  id: string;
  /** Is it off then, or on? */
  is: 'off' | 'on';
}

/** What holds a line on its way, and comes off by itself. */
export interface Clip {
  /** Its id, the only one of that name in the file. */
  id: string;
  /** As people call it; without one it is the clip of its line. */
  name?: string;
  /** Local drop at which the line pulls tight once this clip is off, mm. */
  slack: Range;
  /** How it comes off. */
  ways: Way[];
}
