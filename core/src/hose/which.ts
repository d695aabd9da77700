import { roundTo } from '../estimate/index.ts';
import { estimateOf, fluidLines, type Connection, type VehicleFile } from '../vehicle/index.ts';

/** What blowing into a loose end tells. */
export const BREATHS = ['bubbles', 'free', 'shut'] as const;
/** One of them. */
export type Breath = (typeof BREATHS)[number];

/** What is known of a hose nobody marked. */
export interface Unmarked {
  /** mm inside. */
  bore?: number | undefined;
  /** mm from the first end where it comes out. */
  x?: number | undefined;
  /** What a low breath into it does; never sucked. */
  breath?: Breath | undefined;
}

/** A line it may be. */
export interface WhichHose {
  /** Id of the line. */
  id: string;
  /** As people call it. */
  name: string;
  /** Where its port lies, mm from the first end. */
  x: number;
  /** How many of what is known speak for it, less those against. */
  fits: number;
  /** What speaks for it and against it. */
  why: string[];
}

/** Bores that are usual for each, mm; common practice, no source. */
const BORES: Partial<Record<Connection['kind'], readonly [number, number]>> = {
  feed: [6, 10],
  return: [5, 9.5],
  heater: [4, 8],
  vent: [4, 16],
  evap: [6, 16],
  breather: [12, 25],
  filler: [32, 60],
};
/** What a breath usually does: into fuel, out into the open, against a valve or a closed end. Common practice, no source. */
const BREATH: Partial<Record<Connection['kind'], readonly Breath[]>> = {
  feed: ['bubbles', 'shut'],
  return: ['bubbles', 'free'],
  heater: ['bubbles'],
  vent: ['free'],
  evap: ['free', 'shut'],
  breather: ['free'],
  filler: ['free'],
};
/** A place so near its port is its own, mm; so far it is another’s. Common practice, no source. */
const PLACE = { near: 120, far: 350 };

/**
 * Which hose is which without marks: its bore, where it comes out, and what a low breath does. Ranked; two that fit alike are told apart by trying
 * both.
 *
 * @example whichHose(file, { bore: 19, breath: 'free' })[0]?.name // 'breather hose'
 */
export function whichHose(file: VehicleFile, { bore, x, breath }: Unmarked): WhichHose[] {
  return fluidLines(file)
    .map((line): WhichHose => {
      const told: { for: number; text: string }[] = [];
      const usual = BORES[line.kind];
      if (bore !== undefined && usual) {
        const fits = bore >= usual[0] - 0.5 && bore <= usual[1] + 0.5;
        told.push({
          for: fits ? 1 : -2,
          text: fits ? `its bore suits it` : `${roundTo(bore, 0.1)} mm is no bore for it`,
        });
      }
      if (x !== undefined) {
        const off = Math.abs(line.x - x);
        if (off <= PLACE.near) told.push({ for: 1, text: 'it comes out there' });
        else if (off > PLACE.far) told.push({ for: -1, text: `its port lies ${Math.round(off / 10) * 10} mm away` });
      }
      const does = BREATH[line.kind];
      if (breath !== undefined && does) {
        const fits = does.includes(breath);
        told.push({ for: fits ? 1 : -1, text: fits ? 'a breath does that in it' : 'a breath would not do that in it' });
      }
      return {
        id: line.id,
        name: line.name,
        x: line.x,
        fits: told.reduce((sum, one) => sum + one.for, 0),
        why: told.map(({ text }) => text),
      };
    })
    .sort((a, b) => b.fits - a.fits || (a.id < b.id ? -1 : 1));
}

/**
 * Is a new hose long enough where it is made? It has to give as much as the tank hangs low there; from then on less.
 *
 * @param at mm the tank hangs low where a hand makes it; null: it is made at home
 * @param gives mm the new hose lets the tank down, by a tape
 * @returns mm to spare; below zero it is too short
 * @example spareLength(file, { id: 'vent', at: 60, gives: 45 }) // -15
 */
export function spareLength(
  file: VehicleFile,
  { id, at, gives }: { id: string; at: number | null; gives?: number | undefined },
): number | null {
  const line = file.connections.find((one) => one.id === id);
  if (!line) return null;
  const slack = gives ?? estimateOf(file, line.slack).lo;
  return slack - (at ?? 0);
}
