import type { JobState, Pose, Stop, UnitSystem } from '@iron-cradle/core';
import type { Px } from '../tank/layout.ts';

/** What is drawn, and how large. */
export interface HangInput {
  /** The tank as it hangs. */
  state: JobState;
  /** The stop shown: holders from its pose on. */
  stop: Pick<Stop, 'pose' | 'holders'>;
  /** Pose of the stop after, for the ghost; null when there is none. */
  ghost: Pose | null;
  /** Room there is, px. */
  width: number;
  /** Room there is, px. */
  height: number;
  /** Units of the reader. */
  units: UnitSystem;
}

/** A line as it hangs between frame and tank. */
export interface HangLine {
  /** Id of the connection. */
  id: string;
  /** As people call it. */
  name: string;
  /** Where it leaves the frame and where its port is, px. */
  anchor: { x: number; y: number };
  /** Where it sits on the tank, px. */
  port: { x: number; y: number };
  /** Room left at its low and high end, mm. */
  room: { lo: number; hi: number };
  /** Its run, as an SVG path. */
  path: string;
  /** Is its slack only guessed? */
  guessed: boolean;
  /** Is it what holds the tank? */
  holds: boolean;
  /** Its name and room, and where they stand, px. */
  label: { x: number; y: number; text: string };
  /** Where a hand gets to its joint: likely, and only perhaps; px from top to foot. Null where always. */
  reach: { sure: { top: number; foot: number } | null; perhaps: { top: number; foot: number } | null };
}

/** What something covers, px. */
export interface Box {
  /** Its left edge. */
  x: number;
  /** Its upper edge. */
  y: number;
  /** From left to right. */
  width: number;
  /** From top to bottom. */
  height: number;
}

/** A text and where it is written, px. */
export interface Placed {
  /** What is written, line by line. */
  lines: string[];
  /** Where it begins, ends or has its middle. */
  x: number;
  /** The line its first stands on. */
  y: number;
  /** Which of the three. */
  anchor: 'start' | 'middle' | 'end';
}

/** A surface of fuel across the tank: px at its first and its second end. */
export type Surface = readonly [number, number];

/** Both ends of a parted line. */
export interface HangStub {
  /** Id of the connection. */
  id: string;
  /** As people call it. */
  name: string;
  /** Its number on the paint. */
  tag: number | null;
  /** Where it was, px. */
  x: number;
  /** Its end on the frame, px. */
  frameY: number;
  /** Its end on the tank, px. */
  tankY: number;
  /** Where its upper end hangs, px, and whether its number stands on its left: so that all numbers are read. */
  low: number;
  /** Does its name stand on the left of it? */
  left: boolean;
}

/** Everything that is drawn, in px. */
export interface HangLayout {
  /** The frame it hangs under. */
  frame: { x: number; y: number; width: number; height: number };
  /** The tank as it hangs. */
  tank: { x: number; y: number; width: number; height: number };
  /** The tank’s own section in a pose, px; tilted by as much as the drop is enlarged. */
  outline: (pose: Pose) => Px[];
  /** Where the plan has it next; null where that is here. */
  ghost: Pose | null;
  /** Lines still on. */
  lines: HangLine[];
  /** Lines that are off. */
  parted: HangStub[];
  /** What is in its way, with the range of where. */
  blocks: { id: string; x: number; y: number; loY: number; hiY: number; name: Placed }[];
  /** The jack under it: middle and width of its pad, the tank it carries, its cylinder’s top and its foot, px. */
  jack: { x: number; head: number; top: number; body: number; foot: number };
  /** Tapes from the floor up to the tank, at each end that was read. */
  tapes: { x: number; top: number; foot: number; reading: Placed }[];
  /** How far the next stop is, where the plan has one. */
  next: Placed | null;
  /** Surface of the fuel at the two ends, px, for the least and the most that may be in, and where that is said; null where it is dry. */
  fuel: { lo: Surface; hi: Surface; label: { x: number; y: number; text: string } } | null;
  /** px per mm across, and how many times the drop is enlarged. */
  scale: number;
  /** How many times larger than life drops are drawn. */
  enlarged: number;
  /** Where a drop (mm) stands, px. */
  y: (drop: number) => number;
  /** Marks of the scale: drop in mm, and where. */
  ticks: { drop: number; y: number }[];
  /** Where the scale stands, px. */
  axisX: number;
}
