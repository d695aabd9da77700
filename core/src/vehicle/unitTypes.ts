/** How the unit sits in the tank, and what of the fuel system it holds. */
export const unitKinds = ['ring', 'collar', 'screws', 'sender', 'pickup'] as const;
/** One of them. */
export type UnitKind = (typeof unitKinds)[number];

/** What the unit is put together from. */
export const partKinds = [
  'ring',
  'collar',
  'screws',
  'seal',
  'flange',
  'hose',
  'pump',
  'strainer',
  'sender',
  'pickup',
  'footValve',
  'filter',
] as const;
/** One of them. */
export type PartKind = (typeof partKinds)[number];

/** What a pump is rated for. */
export interface PumpReads {
  /** Volts the flow is given at. */
  volts: number;
  /** L/h at that pressure. */
  flow: number;
  /** bar gauge. */
  bar: number;
  /** A, where the maker says so. */
  amps?: number;
}

/** One part of the unit. */
export interface UnitPart {
  /** Its id. */
  id: string;
  /** Of which kind. */
  kind: PartKind;
  /** As people call it. */
  name: string;
  /** What it must read, for a pump; a sender reads what the file’s `sender` says. */
  reads?: PumpReads;
  /** Id of the part it sits on or in. */
  mates?: string;
  /** How it is set: to an index, which way up. */
  mark?: string;
  /** What was fitted last, as it is written on it. */
  fitted?: string;
}

/** The unit, as its parts in the order they go together from below: the last is what closes it. */
export interface Unit {
  /** How it sits in the tank. */
  kind: UnitKind;
  /** From the bottom of the tank up. */
  parts: UnitPart[];
}
