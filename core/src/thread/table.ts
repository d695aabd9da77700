import { fromMemory, type Basis } from '../basis/index.ts';

/** What makes a joint of this thread tight. */
export type Seals = 'thread' | 'washer' | 'cone' | 'oRing' | 'nothing';

/** A thread of a standard. */
export interface Thread {
  /** As it is written: “M10 × 1.5”, “3/8-16 UNC”, “NPT 1/4-18”. */
  name: string;
  /** Family. */
  family: 'metric' | 'inch' | 'NPT' | 'G' | 'R' | 'flare' | 'inverted flare' | 'O-ring boss';
  /** Outside diameter, mm; of a taper where the hand-tight ring stands. */
  outside: number;
  /** mm from turn to turn. */
  pitch: number;
  /** Flank angle, degrees. */
  flank: 55 | 60;
  /** Does it grow wider along its length? */
  taper: boolean;
  /** How it seals, as a rule. */
  seals: Seals;
  /** The document it is of. */
  basis: Basis;
}

const INCH = 25.4;
const ISO = fromMemory('ISO 261');
const UN = fromMemory('ASME B1.1');
const PIPE = fromMemory('ASME B1.20.1');
const G = fromMemory('ISO 228-1');
const R = fromMemory('ISO 7-1');
const SAE = fromMemory('SAE J514, J512 and J1926');

const metric = (d: number, ...pitches: number[]): Thread[] =>
  pitches.map((pitch) => ({
    name: `M${d} × ${pitch}`,
    family: 'metric',
    outside: d,
    pitch,
    flank: 60,
    taper: false,
    seals: 'nothing',
    basis: ISO,
  }));
const inch = (size: string, d: number, [tpi, unf]: readonly [number, boolean]): Thread => ({
  name: `${size}-${tpi} ${unf ? 'UNF' : 'UNC'}`,
  family: 'inch',
  outside: d * INCH,
  pitch: INCH / tpi,
  flank: 60,
  taper: false,
  seals: 'nothing',
  basis: UN,
});
const npt = (size: string, tpi: number, outside: number): Thread => ({
  name: `NPT ${size}-${tpi}`,
  family: 'NPT',
  outside,
  pitch: INCH / tpi,
  flank: 60,
  taper: true,
  seals: 'thread',
  basis: PIPE,
});
const pipe = (family: 'G' | 'R', size: string, [tpi, outside]: readonly [number, number]): Thread => ({
  name: `${family} ${size}-${tpi}`,
  family,
  outside,
  pitch: INCH / tpi,
  flank: 55,
  taper: family === 'R',
  seals: family === 'R' ? 'thread' : 'washer',
  basis: family === 'R' ? R : G,
});
const sae = (
  family: 'flare' | 'inverted flare' | 'O-ring boss',
  size: string,
  [d, tpi]: readonly [number, number],
): Thread => ({
  name: `${size}-${tpi} ${family}`,
  family,
  outside: d * INCH,
  pitch: INCH / tpi,
  flank: 60,
  taper: false,
  seals: family === 'O-ring boss' ? 'oRing' : 'cone',
  basis: SAE,
});
const pipes = (family: 'G' | 'R'): Thread[] => [
  pipe(family, '1/8', [28, 9.728]),
  pipe(family, '1/4', [19, 13.157]),
  pipe(family, '3/8', [19, 16.662]),
  pipe(family, '1/2', [14, 20.955]),
];

/** Threads at a fuel tank. All sizes from memory of the documents. */
export const threads: readonly Thread[] = [
  ...metric(4, 0.7),
  ...metric(5, 0.8),
  ...metric(6, 1),
  ...metric(8, 1.25, 1),
  ...metric(10, 1.5, 1.25, 1),
  ...metric(12, 1.75, 1.5, 1.25),
  ...metric(14, 2, 1.5),
  ...metric(16, 2, 1.5),
  ...metric(18, 2.5, 1.5),
  ...metric(20, 2.5, 1.5),
  inch('10', 0.19, [24, false]),
  inch('10', 0.19, [32, true]),
  inch('1/4', 1 / 4, [20, false]),
  inch('1/4', 1 / 4, [28, true]),
  inch('5/16', 5 / 16, [18, false]),
  inch('5/16', 5 / 16, [24, true]),
  inch('3/8', 3 / 8, [16, false]),
  inch('3/8', 3 / 8, [24, true]),
  inch('7/16', 7 / 16, [14, false]),
  inch('7/16', 7 / 16, [20, true]),
  inch('1/2', 1 / 2, [13, false]),
  inch('1/2', 1 / 2, [20, true]),
  inch('9/16', 9 / 16, [12, false]),
  inch('9/16', 9 / 16, [18, true]),
  inch('5/8', 5 / 8, [11, false]),
  inch('5/8', 5 / 8, [18, true]),
  inch('3/4', 3 / 4, [10, false]),
  inch('3/4', 3 / 4, [16, true]),
  npt('1/8', 27, 10.287),
  npt('1/4', 18, 13.716),
  npt('3/8', 18, 17.145),
  npt('1/2', 14, 21.336),
  ...pipes('G'),
  ...pipes('R'),
  sae('flare', '7/16', [7 / 16, 20]),
  sae('flare', '1/2', [1 / 2, 20]),
  sae('flare', '9/16', [9 / 16, 18]),
  sae('flare', '3/4', [3 / 4, 16]),
  sae('inverted flare', '3/8', [3 / 8, 24]),
  sae('inverted flare', '7/16', [7 / 16, 24]),
  sae('inverted flare', '1/2', [1 / 2, 20]),
  sae('inverted flare', '5/8', [5 / 8, 18]),
  sae('inverted flare', '3/4', [3 / 4, 18]),
  sae('O-ring boss', '7/16', [7 / 16, 20]),
  sae('O-ring boss', '9/16', [9 / 16, 18]),
];

/** Groups that start in one another and must never be mixed; facts of the trade, common practice, no source. */
export const lookAlikes: readonly (readonly string[])[] = [
  ['M8 × 1', '5/16-24 UNF'],
  ['M8 × 1.25', '5/16-18 UNC'],
  ['M10 × 1.5', '3/8-16 UNC'],
  ['M5 × 0.8', '10-32 UNF'],
  ['M6 × 1', '1/4-28 UNF'],
  ['G 1/8-28', 'NPT 1/8-27', 'R 1/8-28', 'M10 × 1', '3/8-24 UNF'],
  ['M16 × 1.5', '5/8-18 UNF'],
  ['M14 × 1.5', 'NPT 1/4-18', '9/16-18 UNF'],
  ['M14 × 2', '9/16-12 UNC'],
  ['NPT 1/2-14', 'G 1/2-14', 'R 1/2-14'],
  ['NPT 1/4-18', 'G 1/4-19', 'R 1/4-19', '1/2-20 UNF'],
  ['NPT 3/8-18', 'G 3/8-19', 'R 3/8-19'],
  ['3/4-16 UNF', '3/4-18 inverted flare'],
];
