import type { Unit } from './unitTypes.ts';
import type { BasisKind } from '../basis/index.ts';
import type { Estimate } from '../estimate/index.ts';
import type { FuelKind } from '../fluid/index.ts';
import type { TankShape } from '../shape/index.ts';
import type { Clip, Range, Way } from './ways.ts';

/** What a connection may be for. */
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

/** How a connection may be held together. */
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
/** How a connection is held together. */
export type Fitting = (typeof fittings)[number];

/** A line, wire or hose between the tank and the vehicle. */
export interface Connection {
  /** Its id, the only one of that name in the file. */
  id: string;
  /** What it is for. */
  kind: ConnectionKind;
  /** As people call it. */
  name: string;
  /** mm from the first end. */
  x: number;
  /** On which side of the tank. */
  side: string;
  /** Where the head is when its joint is looked at: joints of one place are seen at once. Left out: by itself. */
  seenFrom?: string;
  /** Local drop at which it pulls tight, mm. */
  slack: Range;
  /** Local drop from which it can be seen, mm. */
  visibleFrom: Range;
  /** How long a look at it takes. */
  lookMinutes: number;
  /** How it is held together. */
  fitting: Fitting;
  /** Does fuel come when it is opened? */
  wetWhenOpen: boolean;
  /** What holds it on its way. */
  clips: Clip[];
  /** How it comes off. */
  part: Way[];
  /** What a hand reaches going up is not what it reached going down. */
  make: Way[];
}

/** Something in the way of the tank, or of a hand. */
export interface Obstruction {
  /** Its id, the only one of that name in the file. */
  id: string;
  /** As people call it. */
  name: string;
  /** mm from the first end. */
  x: number;
  /** Does it hang on the tank and come down with it? */
  travelsWithTank: boolean;
  /** Local drop at which the tank meets it, mm; null when it never does. */
  blocksAt: Range | null;
  /** How it is cleared away. */
  clear: Way[];
  /** How it is put back. */
  restore: Way[];
}

/** Of which sort a support may be. */
export const supportKinds = ['strap', 'bar', 'j-bolt', 'flange', 'bolt'] as const;
type SupportKind = (typeof supportKinds)[number];

/** What the tank hangs on. */
export interface Support {
  /** Its id, the only one of that name in the file. */
  id: string;
  /** Of which sort. */
  kind: SupportKind;
  /** As people call it. */
  name: string;
  /** mm from the first end. */
  x: number;
  /** Id of the fastener that holds it. */
  fastener: string;
  /** How it comes off; left out: from below, with the tank home. */
  off?: Way[];
  /** How it goes back on; left out: the same. */
  on?: Way[];
}

/** Bolts, nuts or screws of one sort. */
export interface Fastener {
  /** Its id, the only one of that name in the file. */
  id: string;
  /** As its maker writes it: “M8 × 1.25”. */
  thread: string;
  /** How many there are. */
  count: number;
  /** Does it usually break? */
  likelyToBreak: boolean;
  /** What fits its head, and what holds the other side: “13 mm”. Left out where nobody knows. */
  hex?: string;
  /** What holds the other side: “13 mm”. */
  counter?: string;
  /** N·m; null = not known, never made up. */
  torque: Range | null;
}

/** How a tank hangs in its vehicle. */
export type Mounting = 'rail' | 'seat' | 'crosswise' | 'upright' | 'wing' | 'floor' | 'pads';
/** How fuel gets to the engine, as one sees it from above. */
export type FeedKind = 'injected' | 'carburettor';

/** Which way the tank leaves its place. Figures called drops are then so many mm out, up or back. */
export const travels = ['down', 'out', 'up', 'back'] as const;
/** Which way the tank leaves its place. */
export type Travel = (typeof travels)[number];

/** What may carry a tank once its supports are off. */
export const carriers = ['jack', 'two jacks', 'board on a jack', 'board', 'hands', 'hoist'] as const;
/** What carries a tank once its supports are off. */
export type Carrier = (typeof carriers)[number];

/** What carries the tank, and how many people that takes. */
export interface CarriedBy {
  /** What carries it, the usual one first. */
  by: Carrier[];
  /** People while it travels. */
  people: number;
  /** People at the moment the supports let go. */
  whenSupportsLetGo: number;
}

/** What pushes or draws the fuel: what hurts, what can be pumped out and what primes all follow it. */
export const pumpKinds = [
  'none',
  'mechanical',
  'electricLow',
  'electricHigh',
  'dieselSuction',
  'dieselLift',
  'dieselSupply',
  'unknown',
] as const;
/** What pushes or draws the fuel. */
export type PumpKind = (typeof pumpKinds)[number];

/** How fuel gets from the tank to the engine. */
export interface FuelSystem {
  /** What moves it. */
  pump: PumpKind;
  /** Where that sits; left out where nobody knows. */
  place?: 'tank' | 'outside' | 'both';
  /** Is the tank closed and under pressure by design, with a procedure of its own? */
  sealed?: boolean;
  /** Does the engine take oil in its petrol, mixed into the tank? */
  oil?: boolean;
  /** What the engine asks of it. */
  engine?: {
    /** Greatest power, kW. */
    kilowatts?: Range;
    /** Gauge pressure it runs at, bar. */
    bar?: Range;
    /** Litres an hour that come back to the tank. */
    returns?: Range;
  };
}

/** What the sender reads. */
export interface Sender {
  /** At the floor, Ω. */
  emptyOhms: Range;
  /** At the roof, Ω. */
  fullOhms: Range;
  /** Between them, by height above the floor, mm; left out: nobody measured it. */
  curve?: { mm: number; ohms: number }[];
  /** The family somebody named it by: “20 to 80”. */
  family?: string;
}

/** What differs between vehicles of one model, and the one look that decides it. */
export interface Variant {
  /** Its id. */
  id: string;
  /** The look, as a question: “Two lines on the front of the tank, or three?” */
  look: string;
  /** What the look may show. */
  choices: {
    label: string;
    /** Ids of connections, clips, obstructions, supports and single ways this one does not have. */
    without: string[];
  }[];
  /** Label of the usual one, taken until somebody looked; left out: all there is. */
  usual?: string;
}

/** All that is known of a model and variant, as estimates. Lengths mm, masses kg, volumes L, times minutes. */
export interface VehicleFile {
  /** Of the form of this file. */
  schemaVersion: 1;
  /** Its id. */
  id: string;
  /** Model and variant. */
  name: string;
  /** How the tank hangs. */
  mounting: Mounting;
  /** Where the figures come from that carry no basis of their own. */
  basis: BasisKind;
  /** What its two ends are called, the first end first. */
  ends: [string, string];
  /** From end to end. */
  length: number;
  /** Free below the tank where it is worked on. */
  clear: number;
  /** How far one end may hang below the other. */
  tiltLimit: number;
  /** The tank itself. */
  tank: {
    material: 'plastic' | 'steel';
    shape: TankShape;
    /** How the shape is known; left out: as the file is. */
    shapeBasis?: BasisKind;
    litres: Range;
    emptyMass: Range;
    /** Litres that stay when the usual way of draining takes no more. */
    unusable: Range;
    /** Where the pick-up takes fuel, mm from the lowest corner at the first end; null when nobody knows. */
    outlet?: { x: number; y: number; z: number } | null;
    /** Pa, pressure or vacuum, that its service information allows on it; left out: what any tank bears. */
    holdMost?: number;
    /** As `fuelSystem.sealed`, from before there was one. */
    sealed?: boolean;
  };
  /** Which way the tank leaves; left out: as its mounting does. */
  travel?: Travel;
  /** What carries it; left out: as its mounting is carried. */
  carriedBy?: CarriedBy;
  /** What it is filled with. */
  fuel: FuelKind;
  /** How fuel gets to the engine; left out: nobody knows, and it counts as under pressure. */
  fuelSystem?: FuelSystem;
  /** What was written of it before there was a fuel system. */
  feed?: FeedKind;
  /** Lines, wires and hoses. */
  connections: Connection[];
  /** What it hangs on. */
  supports: Support[];
  /** What is in the way. */
  obstructions: Obstruction[];
  /** Bolts, nuts and screws. */
  fasteners: Fastener[];
  /** What the sender reads; null where nobody knows. */
  sender: null | Sender;
  /** The unit in its opening; left out: as is usual for pump and mounting. */
  unit?: Unit;
  /** What somebody should know. */
  notes: string[];
  /** What differs between vehicles of this model. */
  variants?: Variant[];
  /** What signed jobs saw, by path (`slack feed`): every figure in its own unit (mm, N·m, min), oldest first. */
  seen?: Record<string, number[]>;
}

/**
 * A range of the file as an estimate, on its own basis or the file's.
 *
 * @example estimateOf(file, line.slack).basis.kind // 'typical'
 */
export function estimateOf(file: Pick<VehicleFile, 'basis'>, range: Range): Estimate {
  return { lo: range.lo, typ: range.typ, hi: range.hi, basis: range.basis ?? { kind: file.basis } };
}
