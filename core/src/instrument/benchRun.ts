import { partOf, pieceOf, type BenchSlice } from '../bench/index.ts';
import type { JobState } from '../job/index.ts';
import { ampsOf, startsAt, wantedBar, type PumpRated } from '../pump/index.ts';
import type { HiddenTruth } from '../truth/index.ts';
import { unitOf } from '../vehicle/index.ts';

/** A fused supply, and what is lost in its leads under load, V. Simulated. */
const SUPPLY = { volts: 13.1, lost: 0.04 };
/** Pressure is up to two thirds after so many seconds. Simulated. */
const PICKS_UP = 0.7;
/** What is left of flow and pressure where the hose inside is split: most of it goes round. Simulated. */
const SPLIT = { flow: 0.34, bar: 0.55 };
/** s after which a third of the pressure is left once it stands. Simulated. */
const FALLS = { sound: 1_500, split: 3 };
/** Where no file says what it is rated for. Simulated. */
const USUAL = { volts: 12, flow: 90 };

/** What the meters on the bench show of a pump that runs. */
export interface BenchRun {
  /** At its plug, V. */
  volts: number;
  /** Drawn, A. */
  amps: number;
  /** In front of it, bar. */
  bar: number;
  /** Come so far, L. */
  litres: number;
}

/** Was the piece of a part that came out taken away? */
const replaced = (state: BenchSlice, id: string): boolean => pieceOf(state, id).called !== null;

/**
 * A pump of a demo job on a fused supply: what it is rated for, less what its hidden condition takes.
 *
 * @param seconds s since it was switched on; `stood` s since it was switched off, null while it runs
 * @example benchRun(state, truth, { seconds: 10, stood: null }).amps
 */
export function benchRun(
  state: JobState,
  truth: Pick<HiddenTruth, 'hoseSplit'>,
  { seconds, stood }: { seconds: number; stood: number | null },
): BenchRun {
  const pump = unitOf(state.vehicle).parts.find(({ kind }) => kind === 'pump')?.id ?? 'pump';
  const rated: PumpRated = partOf(state, pump)?.reads ?? {
    ...USUAL,
    bar: wantedBar(state.vehicle)?.hi ?? 0.3,
  };
  const hose = unitOf(state.vehicle).parts.find(({ kind }) => kind === 'hose')?.id;
  const split = truth.hoseSplit && hose !== undefined && !replaced(state, hose);
  const amps = rated.amps ?? ampsOf(rated).typ;
  const volts = SUPPLY.volts - SUPPLY.lost * amps;
  const starts = startsAt(rated.bar);
  const flow = ((rated.flow * (volts - starts)) / (rated.volts - starts)) * (split ? SPLIT.flow : 1);
  const up = 1 - Math.exp(-Math.max(0, seconds) / PICKS_UP);
  const bar = rated.bar * (split ? SPLIT.bar : 1) * up;
  const litres = (flow * Math.max(0, seconds - PICKS_UP)) / 3600;
  if (stood === null) return { volts, amps, bar, litres };
  return { volts: 0, amps: 0, bar: bar * Math.exp(-stood / (split ? FALLS.split : FALLS.sound)), litres };
}
