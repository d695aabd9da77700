import type { Pose } from '../pose/index.ts';

/** A place and the local drops there (mm) between which a hand gets to it; `to` may be open. */
export interface RouteReach {
  /** mm from the first end. */
  x: number;
  from: number;
  to: number;
}

/** One way a thing can be done: between two local drops, in some minutes. */
export interface RouteWay {
  id: string;
  /** Local drops (mm) between which a hand gets there; `to` may be open. */
  from: number;
  to: number;
  minutes: number;
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
  id: string;
  /** mm from the first end. */
  x: number;
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
  length: number;
  clear: number;
  /** How far the second end may hang below the first, and the first below the second. */
  tilt: { second: number; first: number };
  start: Pose;
  goal: Pose;
  /** What must be done before the goal counts; anything else only where it helps. */
  must: readonly string[];
  things: readonly RouteThing[];
  limits: readonly RouteLimit[];
  /** Every change of pose, and more where the tilt changes too. */
  moveMinutes: number;
  tiltMinutes: number;
  /** What it costs to call a second pair of hands, for each thing that needs one. */
  helperMinutes: number;
}

/** A pose and what is done there, in order. */
export interface RouteStop {
  pose: Pose;
  uses: { thing: string; way: string }[];
}

export interface Route {
  stops: RouteStop[];
  minutes: number;
  moves: number;
  twoPersonMinutes: number;
}

export interface Solved {
  route: Route | null;
  /** States looked at, for the bench and for progress. */
  looked: number;
}
