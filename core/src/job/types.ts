import type { Estimate } from '../estimate/index.ts';
import type { FuelAboard, Witness } from '../tank/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Outcome, Verdict } from '../verdict/index.ts';
import type * as L from './entries/ledger.ts';
import type * as O from './entries/opening.ts';
import type * as S from './entries/safety.ts';
import type * as T from './entries/tank.ts';

export type { Complaint } from './entries/opening.ts';
export type { GateNumber } from './entries/safety.ts';

/** Kind → body. The one list of what can stand in a log. */
export interface Bodies {
  opened: O.OpenedBody;
  identity: O.IdentityBody;
  complaintTest: O.ComplaintTestBody;
  complaintAgain: O.ComplaintAgainBody;
  fuelWitness: S.FuelWitnessBody;
  answer: O.AnswerBody;
  approval: O.ApprovalBody;
  gateItem: S.GateItemBody;
  gate: S.GateBody;
  exception: S.ExceptionBody;
  pressure: S.PressureBody;
  container: S.ContainerBody;
  fuelMoved: S.FuelMovedBody;
  tankShape: S.TankShapeBody;
  wait: O.WaitBody;
  stopDone: T.StopDoneBody;
  crept: T.CreptBody;
  moved: T.MovedBody;
  surprise: T.SurpriseBody;
  pulled: T.PulledBody;
  inspected: T.InspectedBody;
  cleared: T.ClearedBody;
  restored: L.RestoredBody;
  putIn: L.PutInBody;
  takenOut: L.TakenOutBody;
  loosened: L.LoosenedBody;
  deferred: L.DeferredBody;
  cut: L.CutBody;
  replaced: T.ReplacedBody;
  finding: L.FindingBody;
  made: L.MadeBody;
  torque: L.TorqueBody;
  jointSeen: L.JointSeenBody;
  fill: S.FillBody;
  deviation: L.DeviationBody;
  photo: O.PhotoBody;
  note: O.NoteBody;
  parked: O.ParkedBody;
  takeBack: O.TakeBackBody;
  signed: O.SignedBody;
  addendum: O.AddendumBody;
}

export type EntryKind = keyof Bodies;

/** One line of the log. `seq` is given by the server; an entry still in the outbox has none. */
export type Entry = {
  [K in EntryKind]: {
    /** UUID made by the client. */
    id: string;
    jobId: string;
    seq?: number;
    /** ISO time on the device that wrote it. */
    at: string;
    /** Person's id; names stay outside the log. */
    by: string;
    kind: K;
    body: Bodies[K];
  };
}[EntryKind];

/** How far the two ends hang below the installed position, mm. */
export interface Pose {
  f: number;
  r: number;
}

export type ItemKind = 'line' | 'clip' | 'obstruction' | 'support' | 'thing' | 'loose';
export type ItemState = 'open' | 'closed' | 'deferred' | 'loose' | 'deviation' | 'scrapped';

/** When something must be back: above this drop no hand gets there (mm), or a named event. */
export type BackBy = { drop: number; guessed: boolean } | { event: string };

/** A line of the ledger: everything that came off, was loosened or went in. */
export interface LedgerItem {
  key: string;
  kind: ItemKind;
  name: string;
  tag: number | null;
  state: ItemState;
  /** Local drop at which it came off, mm. */
  offAt: number;
  offBy: string;
  offTime: string;
  /** The way by which it came off. */
  way: string | null;
  capped: boolean;
  back: BackBy;
  backAt: number | null;
  backOwner: string | null;
  note: string | null;
}

export interface GateAnswer {
  answer: string;
  words: string | null;
  by: string;
  at: string;
  excepted: { reason: string; lead: string } | null;
}

export interface Gate {
  answers: Record<string, GateAnswer>;
  passed: { by: string; at: string } | null;
}

export interface Container {
  number: number;
  capacity: number;
  litres: number;
  clean: boolean;
}

export interface Joint {
  key: string;
  seen: 'dry' | 'weeps' | 'drips' | 'hidden';
  checks: string[];
  words: string | null;
  by: string;
  at: string;
  verdict: Verdict;
}

/** Something that happened and should not have; printed, never hidden. */
export interface Flag {
  text: string;
  at: string;
  by: string;
}

/** A line that was pulled and what came of it. */
export interface Pull {
  key: string;
  at: string;
  by: string;
  inspected: Outcome | null;
  words: string | null;
}

/** What was cut, and what had been tried before. */
export interface Cut extends L.CutBody {
  /** Under which it is owed until it is made good. */
  id: string;
  untried: string[];
  by: string;
  at: string;
}

export interface Extra {
  id: string;
  name: string;
  blocksAt: number;
}

/** All that follows from the log. Made by `foldJob` alone. */
export interface JobState {
  jobId: string;
  vehicle: VehicleFile;
  name: string;
  complaint: O.Complaint;
  bay: number | null;
  openedBy: string;
  openedAt: string;
  /** Entries that count, in order: takeBacks and what they took back are left out. */
  kept: Entry[];
  /** Ids of entries that were taken back. */
  takenBack: string[];
  /** Ids of everything folded, so that a repeated entry adds nothing. */
  seen: string[];
  lastSeq: number;
  identity: O.IdentityBody | null;
  complaintTest: (O.ComplaintTestBody & { by: string; at: string }) | null;
  complaintAgain: (O.ComplaintAgainBody & { by: string; at: string }) | null;
  answers: Record<string, string>;
  approval: (O.ApprovalBody & { by: string; at: string }) | null;
  gates: Record<S.GateNumber, Gate>;
  pressure: (S.PressureBody & { verdict: Verdict }) | null;
  witnesses: Witness[];
  containers: Container[];
  filled: number;
  /** Litres that went another way than into a can. */
  moves: (S.FuelMovedBody & { by: string; at: string })[];
  fuel: FuelAboard;
  pose: Pose;
  /** Level drop at which it is to be worked on, mm; null where it comes all the way out. */
  goal: number | null;
  /** Did the tank leave the vehicle? From then on the way is up. */
  out: boolean;
  /** Deepest level drop so far, mm. */
  deepest: number;
  /** Drops at which the tank stopped on the way down, mm. */
  stops: number[];
  /** What is now known of each attached line's slack, mm. */
  slack: Record<string, Estimate>;
  /** Local drop at which a line was felt taut; it holds there until freed. */
  taut: Record<string, number>;
  /** Ways a hand was seen to reach: way id → local drop where it was. */
  reached: Record<string, number>;
  /** Things left unticked: key → drop where. */
  notDone: Record<string, { drop: number; reason: string | null }>;
  /** What it costs to call a second pair of hands, minutes; 0 where one stands by. */
  helperMinutes: number;
  extras: Extra[];
  items: LedgerItem[];
  pulls: Pull[];
  replaced: Record<string, T.ReplacedBody>;
  findings: (L.FindingBody & { by: string; at: string })[];
  torques: (L.TorqueBody & { verdict: Verdict; by: string })[];
  joints: Joint[];
  fills: { litres: number; by: string; at: string }[];
  deviations: (L.DeviationBody & { by: string })[];
  cuts: Cut[];
  waits: {
    what: string;
    minutes: number | null;
    started: string;
    ended: string | null;
    by: string;
    outBefore: number;
  }[];
  notes: { text: string; key: string | null; by: string; at: string }[];
  addenda: { text: string; by: string; at: string }[];
  parked: string | null;
  flags: Flag[];
  signed: { by: string; at: string } | null;
}
