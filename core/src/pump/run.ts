import { InputError } from '../errors/index.ts';

/** A short run on the bench: on a fused supply, outdoors, in clean fuel. Leave out what was not read. */
export interface PumpRun {
  /** At its plug while it runs, V. */
  volts: number;
  /** Drawn, A. */
  amps?: number;
  /** In front of it while it runs, bar gauge. */
  bar?: number;
  /** What came. */
  litres?: number;
  /** In how long, s. */
  seconds?: number;
  /** bar gauge so many seconds after it was switched off, the line shut. */
  held?: { bar: number; seconds: number };
  /** bar gauge on a second gauge behind its filter or its regulator, while it runs. */
  behind?: { what: 'filter' | 'regulator'; bar: number };
}

/** What it is rated for. */
export interface PumpRated {
  /** Volts the flow is given at: 12 or 13.5. */
  volts: number;
  /** L/h at that pressure. */
  flow: number;
  /** bar gauge it is given at. */
  bar: number;
  /** A, where the maker says so. */
  amps?: number;
}

/** Volts at which a pump just turns: against injection pressure about 4, free about none. From memory. */
const STARTS = { pressed: 4, free: 0 };
/** Below this it counts as running free, bar. Common practice, no source. */
const FREE_BAR = 0.5;
/** Closer to where it starts than this no flow can be reckoned up, V; common practice, no source. */
const ROOM = 2;

/** L/h that came. @example flowOf({ volts: 12, litres: 0.5, seconds: 20 }) // 90 */
export const flowOf = ({ litres, seconds }: PumpRun): number | null =>
  litres === undefined || seconds === undefined || !(seconds > 0) ? null : (litres / seconds) * 3600;

/** Volts at which it starts to turn at this pressure. @example startsAt(3.9) // 4 */
export const startsAt = (bar: number | undefined): number =>
  bar !== undefined && bar >= FREE_BAR ? STARTS.pressed : STARTS.free;

/** Fewest volts at its plug from which a flow can be reckoned up. @example leastVolts(3.9) // 6 */
export const leastVolts = (bar: number | undefined): number => startsAt(bar) + ROOM;

/**
 * Flow as it would be at the rated volts: Q · (Vn − V0) / (V − V0). L/h
 *
 * @throws InputError with so few volts that nothing can be reckoned
 * @example atRatedVolts({ flow: 60, volts: 10, bar: 3, rated: 12 }) // 80
 */
export function atRatedVolts({
  flow,
  volts,
  bar,
  rated,
}: {
  flow: number;
  volts: number;
  bar?: number | undefined;
  rated: number;
}): number {
  const starts = startsAt(bar);
  if (!(volts >= leastVolts(bar)))
    throw new InputError('volts', String(volts), `at least ${leastVolts(bar)} V at its plug while it runs`);
  return (flow * (rated - starts)) / (volts - starts);
}

/** Share of the electric power that small pumps in tanks turn into flow and pressure; figures of the trade, from memory. */
const EFFICIENCY = { lo: 0.15, typ: 0.2, hi: 0.25 };

/**
 * Amps a pump should draw: Δp · Q / (η · U), with its **rated** flow, never the measured one. A
 *
 * @example ampsOf({ bar: 3.9, flow: 90, volts: 12 }).typ // 4.06
 */
export function ampsOf({ bar, flow, volts }: { bar: number; flow: number; volts: number }): {
  lo: number;
  typ: number;
  hi: number;
} {
  const power = bar * 1e5 * (flow / 3.6e6);
  return {
    lo: power / (EFFICIENCY.hi * volts),
    typ: power / (EFFICIENCY.typ * volts),
    hi: power / (EFFICIENCY.lo * volts),
  };
}
