import type { Pose } from '../pose/index.ts';

/** A place and the local drops there (mm) between which a hand gets to it; `to` may be open. */
export interface RouteReach {
  /** mm from the first end. */
  x: number;
  /** Local drop from which a hand gets there, mm. */
  from: number;
  /** Local drop to which it does, mm; may be open. */
  to: number;
}

/** One way a thing can be done: between two local drops, in some minutes. */
export interface RouteWay {
  /** Its id. */
  id: string;
  /** Local drops (mm) between which a hand gets there; `to` may be open. */
  from: number;
  /** Local drop to which a hand gets there, mm. */
  to: number;
  /** How long it takes. */
  minutes: number;
  /** How many people it takes. */
  people: number;
  /** Things that must be done first. */
  after: readonly string[];
  /** Things that must not be done yet: on the way up, read backwards, what it is made after. */
  before?: readonly string[];
  /** Other places that must be in reach at the same time: a test that looks at several joints. */
  also?: readonly RouteReach[];
}

/** A connection, a clip, an obstruction, a look or a test: something that is done once, in one of several ways. */
export interface RouteThing {
  /** Its id: a ledger key where it is a thing of the ledger. */
  id: string;
  /** mm from the first end. */
  x: number;
  /** How it can be done. */
  ways: readonly RouteWay[];
}

/** A ceiling: the tank may not hang lower than `at` there until one of the things named is done. */
interface RouteLimit {
  x: number;
  /** Local drop, mm. */
  at: number;
  freedBy: readonly string[];
}

/** The whole question: poses on a 5 mm grid, things to do, ceilings, where from and where to. Lengths mm, times minutes. */
export interface RouteModel {
  /** Of the tank, from end to end. */
  length: number;
  /** Free below it. */
  clear: number;
  /** How far the second end may hang below the first, and the first below the second. */
  tilt: { second: number; first: number };
  /** Where it hangs. */
  start: Pose;
  /** Where it is to hang. */
  goal: Pose;
  /** What must be done before the goal counts; anything else only where it helps. */
  must: readonly string[];
  /** What can be done. */
  things: readonly RouteThing[];
  /** What it may not hang lower than. */
  limits: readonly RouteLimit[];
  /** Every change of pose, and more where the tilt changes too. */
  moveMinutes: number;
  /** What a change of tilt takes on top. */
  tiltMinutes: number;
  /** What it costs to call a second pair of hands, for each thing that needs one. */
  helperMinutes: number;
}

/** A pose and what is done there, in order. */
export interface RouteStop {
  /** Where it hangs. */
  pose: Pose;
  /** What is done there, by which way. */
  uses: { thing: string; way: string }[];
}

/** A way to the goal. */
export interface Route {
  /** Stop by stop, the start first. */
  stops: RouteStop[];
  /** What it takes. */
  minutes: number;
  /** How often the tank is moved. */
  moves: number;
  /** Of those minutes, with two people. */
  twoPersonMinutes: number;
}

/** What the search found. */
export interface Solved {
  /** The cheapest way; null where there is none. */
  route: Route | null;
  /** States looked at, for the bench and for progress. */
  looked: number;
}
