/** Instruments a shop may own. */
export type InstrumentKind =
  | 'pressureGauge'
  | 'tankGauge'
  | 'gasMeter'
  | 'multimeter'
  | 'scanTool'
  | 'flowCounter'
  | 'scale'
  | 'supply'
  | 'vacuumPump';

/** One thing an instrument reads. */
export interface Channel {
  /** Its id. */
  id: string;
  /** Where it is read. */
  name: string;
  /** Unit of its readings. */
  unit: string;
  /** Smallest step it shows, and the ends of its range, in its unit. */
  resolution: number;
  /** Least and most it shows, in its unit. */
  range: [number, number];
  /** Standard deviation of its noise, in its unit; 0 for what counts, which never counts back. */
  noise: number;
}

/** An instrument of the shop. */
export interface Instrument {
  /** Of which sort. */
  kind: InstrumentKind;
  /** As people call it. */
  name: string;
  /** What it reads. */
  channels: readonly Channel[];
}

/** One reading, as the instrument shows it. */
export interface Reading {
  /** Which instrument. */
  kind: InstrumentKind;
  /** Which of its channels. */
  channel: string;
  /** As shown: rounded to its resolution; null when it shows nothing (open) or is over its range. */
  value: number | null;
  /** Unit of the value. */
  unit: string;
  /** What stands on its face. */
  text: string;
  /** When it was read, ms since the epoch. */
  at: number;
}

/** The instruments there are; a real one answers the same three questions: list, read, stream. Typical figures. */
export const instruments: readonly Instrument[] = [
  {
    kind: 'pressureGauge',
    name: 'pressure gauge',
    channels: [
      { id: 'pressure', name: 'at the test port', unit: 'bar', resolution: 0.01, range: [0, 7], noise: 0.008 },
      { id: 'outlet', name: 'in front of the pump, bench', unit: 'bar', resolution: 0.01, range: [0, 7], noise: 0.01 },
    ],
  },
  {
    kind: 'tankGauge',
    name: 'low-pressure gauge',
    channels: [
      { id: 'hold', name: 'on the plugged tank', unit: 'inH2O', resolution: 0.05, range: [0, 20], noise: 0.03 },
    ],
  },
  {
    kind: 'gasMeter',
    name: 'gas meter',
    channels: [{ id: 'lel', name: 'of the lower limit', unit: '%', resolution: 1, range: [0, 100], noise: 0.4 }],
  },
  {
    kind: 'multimeter',
    name: 'multimeter',
    channels: [
      { id: 'feed', name: 'lost in the feed, pump running', unit: 'V', resolution: 0.01, range: [0, 20], noise: 0.01 },
      {
        id: 'ground',
        name: 'lost in the ground, pump running',
        unit: 'V',
        resolution: 0.01,
        range: [0, 20],
        noise: 0.005,
      },
      { id: 'senderOhms', name: 'across the sender', unit: 'Ω', resolution: 0.1, range: [0, 2000], noise: 0.2 },
      {
        id: 'sweepUp',
        name: 'sender, arm from empty to full',
        unit: 'Ω',
        resolution: 0.1,
        range: [0, 2000],
        noise: 0.2,
      },
      {
        id: 'sweepDown',
        name: 'sender, arm from full to empty',
        unit: 'Ω',
        resolution: 0.1,
        range: [0, 2000],
        noise: 0.2,
      },
    ],
  },
  {
    kind: 'scanTool',
    name: 'scan tool',
    channels: [
      { id: 'level', name: 'fuel level', unit: '%', resolution: 0.4, range: [0, 100], noise: 0.3 },
      { id: 'codes', name: 'codes stored', unit: '', resolution: 1, range: [0, 99], noise: 0 },
    ],
  },
  {
    kind: 'flowCounter',
    name: 'flow counter',
    channels: [
      { id: 'litres', name: 'since the bursts began', unit: 'L', resolution: 0.1, range: [0, 999], noise: 0 },
      {
        id: 'bench',
        name: 'since the pump was switched on, bench',
        unit: 'L',
        resolution: 0.005,
        range: [0, 99],
        noise: 0,
      },
    ],
  },
  {
    kind: 'scale',
    name: 'scale',
    channels: [
      { id: 'mass', name: 'tank with what is in it', unit: 'kg', resolution: 0.2, range: [0, 150], noise: 0.1 },
    ],
  },
  {
    kind: 'supply',
    name: 'fused supply with ammeter',
    channels: [
      { id: 'volts', name: 'at the pump’s plug', unit: 'V', resolution: 0.01, range: [0, 30], noise: 0.01 },
      { id: 'amps', name: 'drawn by the pump', unit: 'A', resolution: 0.01, range: [0, 30], noise: 0.03 },
    ],
  },
  {
    kind: 'vacuumPump',
    name: 'hand vacuum pump',
    channels: [
      { id: 'tester', name: 'its own end shut', unit: 'kPa', resolution: 0.1, range: [0, 90], noise: 0.05 },
      { id: 'against', name: 'valve, against its arrow', unit: 'kPa', resolution: 0.1, range: [0, 90], noise: 0.05 },
      { id: 'along', name: 'valve, along its arrow', unit: 'kPa', resolution: 0.1, range: [0, 90], noise: 0.05 },
      { id: 'line', name: 'on a line plugged at one end', unit: 'kPa', resolution: 0.1, range: [0, 90], noise: 0.05 },
    ],
  },
];
