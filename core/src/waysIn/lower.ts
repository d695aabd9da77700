import { commonPractice } from '../basis/index.ts';
import { add, total, type Estimate } from '../estimate/index.ts';
import type { WaysInFacts } from './facts.ts';
import { planDescent } from '../stops/index.ts';
import { estimateOf } from '../vehicle/index.ts';

/** Gates, draining set-up and proving, minutes; common practice, no source. */
export const AROUND: Estimate = { lo: 35, typ: 50, hi: 80, basis: commonPractice };
/** A strap or a bar back on, lined up and tightened in rounds, minutes; common practice, no source. */
const SUPPORT: Estimate = { lo: 4, typ: 6, hi: 12, basis: commonPractice };

/** What lowering takes. */
export interface LowerMinutes {
  /** Down and up again, with surprises. */
  total: Estimate;
  /** Of these: clearing what is in the way and putting it back. */
  inTheWay: Estimate;
  /** Stops on the way down. */
  stops: number;
  /** Does the typical plan reach the ground? */
  outcome: 'way' | 'held';
  /** What holds it where it does not; null where it does. */
  heldBy: string | null;
}

/**
 * Minutes of the usual school: lower the tank, and up again; bench work not counted.
 *
 * @example lowerMinutes(state).total.typ // 150
 */
export function lowerMinutes(state: WaysInFacts): LowerMinutes {
  const { vehicle } = state;
  const down = planDescent(state);
  const blocking = vehicle.obstructions.filter((o) => o.blocksAt);
  const restore = blocking.flatMap((o) => (o.restore[0] ? [estimateOf(vehicle, o.restore[0].minutes)] : []));
  const clear = blocking.flatMap((o) => (o.clear[0] ? [estimateOf(vehicle, o.clear[0].minutes)] : []));
  const up = total([
    ...vehicle.connections.map((line) => estimateOf(vehicle, (line.make[0] ?? line.part[0]!).minutes)),
    ...restore,
    ...vehicle.supports.map(() => SUPPORT),
  ]);
  return {
    total: add(add(withSurprises(down.minutes), up), AROUND),
    inTheWay: total([...clear, ...restore]),
    stops: down.stops.length,
    outcome: down.outcome,
    heldBy: down.outcome === 'held' ? (down.stops.at(-1)?.holders[0]?.name ?? 'something') : null,
  };
}

/** What surprises add to the minutes of a plan, a share at its far end; common practice, no source. */
const SURPRISES = 0.25;
/** Minutes of a plan with what surprises may add. @example withSurprises(exactly(40)).hi // 50 */
export const withSurprises = (minutes: Estimate): Estimate => ({ ...minutes, hi: minutes.hi * (1 + SURPRISES) });
