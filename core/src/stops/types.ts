import type { Estimate } from '../estimate/index.ts';
import type { Holder } from '../hang/index.ts';
import type { Pose } from '../pose/index.ts';

type ActionType = 'part' | 'unclip' | 'clear' | 'support';

/** One thing to take off at a stop. */
export interface Action {
  /** What is done. */
  type: ActionType;
  /** Ledger key. */
  key: string;
  /** As people call it. */
  name: string;
  /** The way it is done; null for supports. */
  way: string | null;
  /** Both ends are to be capped at once. */
  cap: boolean;
  /** How many people it takes. */
  people: number;
  /** What to have in hand. */
  tools: string[];
  /** How long it takes. */
  minutes: Estimate;
  /** Technique or caution, short. */
  hint: string;
}

type StopKind =
  /** Work before the first move, at home. */
  | 'start'
  /** Lower to a pose that is safe whatever is true, work, look. */
  | 'stop'
  /** At most 10 mm with hand and eye on the lines named. */
  | 'creep'
  /** Everything is off: down to the floor of the well. */
  | 'out'
  /** Its top hangs where it is to be worked on. */
  | 'there'
  /** Nothing lets it go further; somebody has to free what holds. */
  | 'held';

/** A stop on the way down. */
export interface Stop {
  /** What sort of stop it is. */
  kind: StopKind;
  /** Where it hung before, mm at both ends. */
  from: Pose;
  /** Where it hangs, mm at both ends. */
  pose: Pose;
  /** What comes off here, in order. */
  actions: Action[];
  /** Lines to keep hand and eye on. */
  watch: string[];
  /** What may pull or be struck on the way to this pose, if it is deeper than is safe; null where it is safe. */
  risk: Holder | null;
  /** What holds it from this pose on, tightest first. */
  holders: Holder[];
  /** Lines that are only guessed here and what they need to give for the next move, mm. */
  needs: { key: string; name: string; mm: number }[];
  /** Lines that cannot be seen yet for certain at this pose. */
  unseen: string[];
  /** The move and the work. */
  minutes: Estimate;
}

/** A thing to make at a stop on the way up. */
export interface UpItem {
  /** Ledger key. */
  key: string;
  /** As people call it. */
  name: string;
  /** Its number on the paint. */
  tag: number | null;
  /** The way it is made; null for supports. */
  way: string | null;
  /** Higher than this no hand gets there, mm; null where the hand is never lost. */
  by: number | null;
  /** It is lost from reach by the next move. */
  lastChance: boolean;
  /** Certain to be reachable and long enough here. */
  sure: boolean;
  /** Technique or caution, short. */
  hint: string;
  /** How long it takes. */
  minutes: Estimate;
}

type UpKind = 'up' | 'test' | 'home';

/** A stop on the way up. */
export interface UpStop {
  /** What sort of stop it is. */
  kind: UpKind;
  /** Where it hangs, mm at both ends. */
  pose: Pose;
  /** To be made here, one by one, the first to be lost first. */
  items: UpItem[];
  /** What is lost from reach next, once this stop is left. */
  lostNext: { key: string; name: string; by: number } | null;
}

/** Stops from here to the goal, as far as they can be foreseen. */
export interface Plan {
  /** One after the other. */
  stops: Stop[];
  /** `way`: it reaches the goal on what is typical; `held`: it does not. */
  outcome: 'way' | 'held';
  /** All of them together. */
  minutes: Estimate;
}
