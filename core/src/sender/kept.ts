import type { Stops } from './curve.ts';
import type { SweepJudged } from './judge.ts';
import type { Tap } from './needle.ts';
import type { Pass } from './types.ts';

/** Places of the needle between which it is lost or jumps, 0 empty to 1 full. */
export interface NeedlePlace {
  /** Nearer to empty. */
  lo: number;
  /** Nearer to full. */
  hi: number;
}

/** A way of a sweep, drawn with few points. */
export interface Trace {
  /** From empty to full, or back. */
  way: 'up' | 'down';
  /** Ω, evenly along the way; null: open. */
  ohms: readonly (number | null)[];
}

/** What of a sweep stays with its part: where it is wrong, and how it looked. */
export interface SweepKept {
  /** Ω at the stops; null where it read nothing there. */
  ends: SweepJudged['ends'];
  /** Where it is open or jumps. */
  places: readonly NeedlePlace[];
  /** Does it flicker? */
  restless: boolean;
  /** Was there anything to hold its ends against: file, family, or the one that came out? */
  held: boolean;
  /** Its first way each way: the first pass counts. */
  traces: readonly Trace[];
}

/** A trace is drawn from so many points. */
const POINTS = 60;
/** More places than these are all over. */
const MOST_PLACES = 40;
/** A hand that taps is no surer than this, share of the travel. */
const TAPPED = 0.04;

const clamped = (share: number) => Math.min(1, Math.max(0, share));

/**
 * Where the needle stands at so many ohms: 0 at empty, 1 at full; null where nothing tells the two apart.
 *
 * @example needleAt(35, { empty: 20, full: 80 }) // 0.25
 */
export function needleAt(ohms: number, { empty, full }: { empty: number; full: number }): number | null {
  return empty === full ? null : (ohms - empty) / (full - empty);
}

/**
 * What stays of a sweep by a meter.
 *
 * @example keptOf(passes, judgeSweep(passes, { file })).traces.length // 2
 */
export function keptOf(passes: readonly Pass[], judged: SweepJudged, stops: Stops | null): SweepKept {
  const { ends } = judged;
  const scale = stops
    ? { empty: stops.empty.typ, full: stops.full.typ }
    : ends.empty !== null && ends.full !== null
      ? { empty: ends.empty, full: ends.full }
      : null;
  const at = (ohms: number | null, stop: number): number =>
    ohms === null || !scale ? stop : clamped(needleAt(ohms, scale) ?? stop);
  const places = [...judged.dead, ...judged.dropOuts, ...judged.jumps].slice(0, MOST_PLACES).map(({ from, to }) => {
    const [a, b] = [at(from, 0), at(to, 1)];
    return { lo: Math.min(a, b), hi: Math.max(a, b) };
  });
  return {
    ends,
    places,
    restless: judged.restless,
    held: judged.held,
    traces: (['up', 'down'] as const).flatMap((way) => {
      const first = passes.find((pass) => pass.way === way);
      return first ? [{ way, ohms: thinned(first.readings.map(({ ohms }) => ohms)) }] : [];
    }),
  };
}

/**
 * What stays of a pass that was watched by its needle.
 *
 * @example keptOfTaps([{ way: 'up', at: 0.4 }]).places // [{ lo: 0.36, hi: 0.44 }]
 */
export const keptOfTaps = (taps: readonly Tap[]): SweepKept => ({
  ends: { empty: null, full: null },
  places: taps.map(({ at }) => ({ lo: clamped(at - TAPPED), hi: clamped(at + TAPPED) })),
  restless: false,
  held: true,
  traces: [],
});

/** Few points of many: a stretch with one open in it stays open, so that no gap is lost. */
function thinned(ohms: readonly (number | null)[]): (number | null)[] {
  if (ohms.length <= POINTS) return [...ohms];
  return Array.from({ length: POINTS }, (_, i) => {
    const stretch = ohms.slice(
      Math.floor((i * ohms.length) / POINTS),
      Math.max(Math.floor((i * ohms.length) / POINTS) + 1, Math.floor(((i + 1) * ohms.length) / POINTS)),
    );
    return stretch.includes(null) ? null : stretch[Math.floor(stretch.length / 2)]!;
  });
}
