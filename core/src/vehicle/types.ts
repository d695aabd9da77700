import type { Basis, BasisKind } from '../basis/index.ts';
import type { Estimate } from '../estimate/index.ts';
import type { FuelKind } from '../fluid/index.ts';
import type { TankShape } from '../shape/index.ts';

/** A range as it stands in a vehicle file: mm, kg, L or minutes. On the file's basis unless it carries its own. */
export interface Range {
  lo: number;
  typ: number;
  hi: number;
  basis?: Basis;
}

/** `reachTo` at or above this is open: no drop is too low for the hand. mm */
export const OPEN_REACH = 9999;

/** One way a hand can do something: between two local drops, from a side, in some minutes. */
export interface Way {
  id: string;
  /** Local drops (mm) between which a hand and the tool get there. */
  reachFrom: Range;
  reachTo: Range;
  minutes: Range;
  people: number;
  hands: number;
  from: string;
  tools: string[];
  /** Ids of connections, clips or obstructions that must be done first. */
  after: string[];
}

export interface Clip {
  id: string;
  name?: string;
  /** Local drop at which the line pulls tight once this clip is off, mm. */
  slack: Range;
  ways: Way[];
}

export const connectionKinds = [
  'feed',
  'return',
  'vent',
  'evap',
  'filler',
  'breather',
  'plug',
  'ground',
  'heater',
  'other',
] as const;
type ConnectionKind = (typeof connectionKinds)[number];

export const fittings = [
  'push-tab',
  'slide-collar',
  'hairpin',
  'twist',
  'spring-clamp',
  'worm-clamp',
  'ear-clamp',
  'lock-plug',
  'bolt',
  'flare',
  'other',
] as const;
export type Fitting = (typeof fittings)[number];

export interface Connection {
  id: string;
  kind: ConnectionKind;
  name: string;
  /** mm from the first end. */
  x: number;
  side: string;
  /** Local drop at which it pulls tight, mm. */
  slack: Range;
  /** Local drop from which it can be seen, mm. */
  visibleFrom: Range;
  lookMinutes: number;
  fitting: Fitting;
  wetWhenOpen: boolean;
  clips: Clip[];
  part: Way[];
  /** What a hand reaches going up is not what it reached going down. */
  make: Way[];
}

export interface Obstruction {
  id: string;
  name: string;
  x: number;
  travelsWithTank: boolean;
  /** Local drop at which the tank meets it, mm; null when it never does. */
  blocksAt: Range | null;
  clear: Way[];
  restore: Way[];
}

export interface Support {
  id: string;
  kind: 'strap' | 'bar' | 'j-bolt' | 'flange';
  name: string;
  x: number;
  fastener: string;
}

export interface Fastener {
  id: string;
  thread: string;
  count: number;
  likelyToBreak: boolean;
  /** What fits its head, and what holds the other side: “13 mm”. Left out where nobody knows. */
  hex?: string;
  counter?: string;
  /** N·m; null = not known, never made up. */
  torque: Range | null;
}

export type Mounting = 'rail' | 'seat' | 'crosswise' | 'upright' | 'wing' | 'floor' | 'pads';
export type FeedKind = 'injected' | 'carburettor';

/** What differs between vehicles of one model, and the one look that decides it. */
export interface Variant {
  id: string;
  /** The look, as a question: “Two lines on the front of the tank, or three?” */
  look: string;
  choices: {
    label: string;
    /** Ids of connections, clips, obstructions and supports this one does not have. */
    without: string[];
  }[];
}

/** All that is known of a model and variant, as estimates. Lengths mm, masses kg, volumes L, times minutes. */
export interface VehicleFile {
  schemaVersion: 1;
  id: string;
  name: string;
  mounting: Mounting;
  basis: BasisKind;
  ends: [string, string];
  length: number;
  clear: number;
  tiltLimit: number;
  tank: {
    material: 'plastic' | 'steel';
    shape: TankShape;
    litres: Range;
    emptyMass: Range;
    /** Litres that stay when the usual way of draining takes no more. */
    unusable: Range;
    /** Where the pick-up takes fuel, mm from the lowest corner at the first end; null when nobody knows. */
    outlet?: { x: number; y: number; z: number } | null;
    /** Is it closed and under pressure by design, with a procedure of its own? */
    sealed?: boolean;
  };
  fuel: FuelKind;
  feed: FeedKind;
  connections: Connection[];
  supports: Support[];
  obstructions: Obstruction[];
  fasteners: Fastener[];
  /** Ohms at the floor and at the roof; between them even in height. */
  sender: null | { emptyOhms: Range; fullOhms: Range };
  notes: string[];
  variants?: Variant[];
  /** What signed jobs saw, by path (`slack feed`): every figure, mm, oldest first. */
  seen?: Record<string, number[]>;
}

/** A range of the file as an estimate, on its own basis or the file's. */
export function estimateOf(file: Pick<VehicleFile, 'basis'>, range: Range): Estimate {
  return { lo: range.lo, typ: range.typ, hi: range.hi, basis: range.basis ?? { kind: file.basis } };
}
