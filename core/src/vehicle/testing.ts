import { archetypes } from './archetypes.ts';
import type { Connection, VehicleFile } from './types.ts';
import { OPEN_REACH, type Range } from './ways.ts';
import { asUsual } from './variant.ts';

/** A range in one breath, for tests worked by hand. @example r(40) // 40 to 40 */
export const r = (lo: number, typ = lo, hi = typ): Range => ({ lo, typ, hi });

/** A line with one joint, two minutes to part and to make, reached from a drop on without end. mm */
export function plainLine(
  id: string,
  { slack, reachFrom, more = {} }: { slack: Range; reachFrom: Range; more?: Partial<Connection> },
): Connection {
  const way = {
    id: `${id}-top`,
    reachFrom,
    reachTo: r(OPEN_REACH),
    minutes: r(2),
    people: 1,
    hands: 1,
    from: 'outside',
    tools: [],
    after: [],
  };
  return {
    ...archetypes[0]!.connections[0]!,
    id,
    name: `${id} line`,
    side: 'top',
    x: 500,
    slack,
    visibleFrom: r(0),
    clips: [],
    part: [way],
    make: [way],
    ...more,
  };
}

/** The archetypes as they usually are, with no look left to be had: what stands in the file is on the vehicle. */
export const usualArchetypes: readonly VehicleFile[] = archetypes.map((file) => ({ ...asUsual(file), variants: [] }));
