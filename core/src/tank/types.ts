import type { KernelState } from '../kernel/index.ts';
import type { OrderSlice } from '../order/index.ts';
import type { Sentence } from '../quantity/index.ts';
import type { Answered } from '../questions/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import type { FuelAboard, Witness } from './aboard.ts';
import type { WitnessKind } from './witness.ts';

/** Litres that went into a can. */
export interface Pour {
  /** Id of the entry. */
  id: string;
  /** Number of the can. */
  number: number;
  /** What the can holds, L. */
  capacity: number;
  /** L */
  litres: number;
  /** Fit to go back. */
  clean: boolean;
  /** ISO time. */
  at: string;
  /** Person's id. */
  by: string;
}

/** A can with what is in it by now. */
export interface Container {
  /** Its number. */
  number: number;
  /** What it holds, L. */
  capacity: number;
  /** What is in it, L. */
  litres: number;
  /** Only clean fuel went in. */
  clean: boolean;
  /** When the last of it went in, ISO time. */
  at: string;
}

/** Litres that went another way than into a can. */
export interface FuelMove {
  /** Id of the entry. */
  id: string;
  /** Which way. */
  what: 'spilled' | 'returned' | 'disposed' | 'fedIn';
  /** L */
  litres: number;
  /** In words. */
  words: string | null;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** Litres put in. */
interface Fill {
  /** Id of the entry. */
  id: string;
  /** L */
  litres: number;
  /** Its own fuel, out of the cans; else new. */
  own: boolean;
  /** Person's id. */
  by: string;
  /** ISO time. */
  at: string;
}

/** What is aboard, by every witness, and where the rest went. */
export interface FuelSlice {
  /** Witnesses, oldest first. */
  witnesses: readonly Witness[];
  /** What went into cans, pour by pour. */
  pours: readonly Pour[];
  /** The cans as they stand. */
  containers: readonly Container[];
  /** What went another way. */
  moves: readonly FuelMove[];
  /** What was put in. */
  fills: readonly Fill[];
  /** L put in. */
  filled: number;
  /** Litres aboard, and how that is known. */
  fuel: FuelAboard;
  /** L that had come out when the pump's bursts began; null where none did. */
  burstsFrom: number | null;
  /** Readings that cannot be: they stand as they were said, and count for nothing. */
  unread: readonly { id: string; kind: WitnessKind; why: string }[];
  /** What the newest fact asks that went past a guess of the tank; null where its shape answered. */
  asked: { id: string; text: Sentence } | null;
}

/** What the fuel reads beside its own. */
export type FuelFacts = VehicleSlice &
  OrderSlice &
  Answered & { deepest: number; out: boolean } & Pick<KernelState, 'twoDevices'>;
