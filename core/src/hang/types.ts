import type { Sentence } from '../quantity/index.ts';
import type { BasisKind } from '../basis/index.ts';
import type { Estimate } from '../estimate/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import type { ShopFigures } from '../order/index.ts';
import type { Pose } from '../pose/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Outcome } from '../verdict/index.ts';

/** Something in the way that no file knows, or seen to be so. */
interface Extra {
  /** Id of the obstruction, or `new-` and a number. */
  id: string;
  /** What people call it. */
  name: string;
  /** Drop at which the tank meets it, mm. */
  blocksAt: number;
}

/** A line that went past its slack outside a creep, and what came of it. */
export interface Pull {
  /** `pull:line:feed@` and the id of the entry. */
  id: string;
  /** Ledger key. */
  key: string;
  /** The entry that pulled it. */
  cause: string;
  /** Did the log find it, or did somebody say so? */
  found: boolean;
  /** ISO time. */
  at: string;
  /** Person's id. */
  by: string;
  /** What the look at it told; null until then. */
  inspected: Outcome | null;
  /** The entry that told it. */
  inspectedIn: string | null;
  /** In words. */
  words: Sentence | null;
}

/** A line looked shorter than its file says. */
export interface Doubt {
  /** Id of the entry. */
  id: string;
  /** Id of the line. */
  line: string;
  /** Of which basis the figure of the file was. */
  kind: BasisKind;
  /** Most it was seen to let, to the least its file says: below one. */
  factor: number;
  /** In words. */
  words: Sentence;
}

/** What was felt or measured of a line and what it showed since cannot both be true: it is measured again. */
export interface Contradiction {
  /** Id of the entry. */
  id: string;
  /** Id of the line. */
  line: string;
  /** In words. */
  words: Sentence;
}

/** How the tank hangs and what is known of what holds it. */
export interface HangSlice {
  /** Where it hangs; while two devices disagree the deeper of what each says. */
  pose: Pose;
  /** Every pose that was said, oldest first: by which entry, on which device. */
  poses: readonly { id: string; device: string; pose: Pose }[];
  /** Level drop at which it is to be worked on, mm; null where it comes all the way out. */
  goal: number | null;
  /** Did the tank leave the vehicle? From then on the way is up. */
  out: boolean;
  /** Deepest level drop so far, mm. */
  deepest: number;
  /** Drops at which the tank stopped on the way down, mm. */
  stops: readonly number[];
  /** What is now known of each line's slack, mm. */
  slack: Readonly<Record<string, Estimate>>;
  /** What was known of a slack before an entry changed it: a dispute about the height takes it back. */
  slackBefore: readonly { line: string; id: string; was: Estimate }[];
  /** How a line's slack is known in this job; absent: only by its file. What was felt outranks what was seen. */
  eyed: Readonly<Record<string, 'felt' | 'seen'>>;
  /** Where the eye contradicted the file: figures of that basis count so much less until somebody says which is right. */
  doubts: readonly Doubt[];
  /** Lines to be measured again: until then, or until they are off. */
  contradicted: readonly Contradiction[];
  /** Did somebody look from a stop below home since it last was home? */
  looked: boolean;
  /** What a line was felt or measured to let with its clips on, newest last, mm: what the file can learn. */
  felt: readonly { line: string; mm: number }[];
  /** Local drop at which a line was felt taut; it holds there until freed. mm */
  taut: Readonly<Record<string, number>>;
  /** Lines a hand was seen to reach: id → local drop where it was, mm. */
  reached: Readonly<Record<string, number>>;
  /** Things left unticked: key → drop where, mm. */
  notDone: Readonly<Record<string, { drop: number; reason: string | null }>>;
  /** What is in the way and in no file. */
  extras: readonly Extra[];
  /** Lines that were pulled. */
  pulls: readonly Pull[];
}

/** The one model of the tank under its vehicle: log, preview, what-if, search, instruments and rehearsal all read it. */
export type TankState = { vehicle: VehicleFile; shop: ShopFigures } & Pick<
  HangSlice,
  'pose' | 'slack' | 'eyed' | 'doubts' | 'looked' | 'taut' | 'reached' | 'notDone' | 'out' | 'goal' | 'extras'
> &
  Pick<LedgerSlice, 'off' | 'items'> & {
    /** May it be opened, may the supports come off, may the key be turned: which of those gates stand? */
    gates: Readonly<Record<1 | 2 | 4, { passed: object | null }>>;
    /** What was found; the look with the key on is one. */
    findings: readonly { what: string; verdict: Outcome }[];
  };
