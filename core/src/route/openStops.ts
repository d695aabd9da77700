import { usefulWays } from './arrive.ts';
import type { Group } from './groups.ts';
import type { Prepared } from './prepare.ts';
import { within, type State } from './state.ts';

interface Open {
  group: Group;
  /** Of which ways something new comes there. */
  useful: Set<number>;
  /** Ceilings that are still to be freed for it, two words of bits. */
  left: [number, number];
}

/**
 * Stops worth going to from a state. A stop is dropped where another one offers all that it offers, hangs in all its
 * tilts and asks for no ceiling more.
 *
 * @param off ceilings that bind no more
 * @returns the deepest first: of equals the last one is looked at first, and that is then the nearest
 * @example openStops(p, state, { groups, off: freed(p, state.done) }).length // 3
 */
export function openStops(
  p: Prepared,
  state: State,
  { groups, off }: { groups: readonly Group[]; off: readonly [number, number] },
): Group[] {
  const open: Open[] = [];
  for (const group of groups) {
    const useful = usefulWays(p, state, group.ways);
    if (useful.length === 0) continue;
    const left: [number, number] = [group.broken[0] & ~off[0], group.broken[1] & ~off[1]];
    open.push({ group, useful: new Set(useful), left });
  }
  open.sort((a, b) => b.useful.size - a.useful.size);
  const kept: Open[] = [];
  for (const one of open) if (!kept.some((other) => offersAll(other, one))) kept.push(one);
  return kept.map(({ group }) => group).sort((a, b) => b.depth - a.depth);
}

const offersAll = (a: Open, b: Open): boolean => {
  if (!within(a.left, b.left) || !within(b.group.tilts, a.group.tilts)) return false;
  for (const way of b.useful) if (!a.useful.has(way)) return false;
  return true;
};
