import { commonPractice, computed } from '../basis/index.ts';
import { add, total, type Estimate } from '../estimate/index.ts';
import type { WaysInFacts } from './facts.ts';
import { ahead, type Ahead } from '../foresight/index.ts';
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
  /** The way down of it. */
  down: Ahead;
}

/**
 * Minutes of the usual school: lower the tank, and up again; bench work not counted.
 *
 * @example lowerMinutes(state).total.typ // 150
 */
export function lowerMinutes(state: WaysInFacts): LowerMinutes {
  const { vehicle } = state;
  const down = ahead(state);
  const blocking = vehicle.obstructions.filter((o) => o.blocksAt);
  const restore = blocking.flatMap((o) => (o.restore[0] ? [estimateOf(vehicle, o.restore[0].minutes)] : []));
  const clear = blocking.flatMap((o) => (o.clear[0] ? [estimateOf(vehicle, o.clear[0].minutes)] : []));
  const up = total([
    ...vehicle.connections.map((line) => estimateOf(vehicle, (line.make[0] ?? line.part[0]!).minutes)),
    ...restore,
    ...vehicle.supports.map(() => SUPPORT),
  ]);
  return {
    total: add(add(withSurprises({ ...down.minutes, basis: computed('the way down') }), up), AROUND),
    inTheWay: total([...clear, ...restore]),
    down,
  };
}

/** What surprises add to the minutes of a plan, a share at its far end; common practice, no source. */
const SURPRISES = 0.25;
/** Minutes of a plan with what surprises may add. @example withSurprises(exactly(40)).hi // 50 */
export const withSurprises = (minutes: Estimate): Estimate => ({ ...minutes, hi: minutes.hi * (1 + SURPRISES) });
