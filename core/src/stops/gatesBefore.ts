import { waitsHere, type TankState } from '../hang/index.ts';
import { isHome } from '../pose/index.ts';
import { clipOwner, lineOf, obstructionOf, splitKey, supportOf, waitsOf, waysOff, type Way } from '../vehicle/index.ts';
import type { Action, Stop } from './types.ts';

/** The way an action is done by. */
function wayOf({ vehicle }: TankState, { key, way }: Pick<Action, 'key' | 'way'>): Way | undefined {
  const { kind, id } = splitKey(key);
  const support = kind === 'support' ? supportOf(vehicle, id) : undefined;
  const ways =
    kind === 'line'
      ? lineOf(vehicle, id)?.part
      : kind === 'clip'
        ? clipOwner(vehicle, id)?.clips.find((k) => k.id === id)?.ways
        : support
          ? waysOff(support)
          : obstructionOf(vehicle, id)?.clear;
  return ways?.find((w) => w.id === way);
}

/**
 * What of a stop may be done before gate 2 is passed: no support, nothing that is done only with the tank drained, and
 * nothing that waits for either.
 *
 * @example beforeDrained(state, stop.actions).map((a) => a.name) // ['feed line', 'ground strap']
 */
export function beforeDrained(state: TankState, actions: readonly Action[]): Action[] {
  const later = new Set<string>();
  const waits = (action: Action): boolean => {
    const way = wayOf(state, action);
    if (action.type === 'support' || !way) return action.type === 'support';
    return (
      waitsOf(way, 'down').events.includes('drained') ||
      (waitsHere(state, way)?.first ?? []).some((key) => later.has(key))
    );
  };
  for (let grew = true; grew;) {
    grew = false;
    for (const action of actions)
      if (!later.has(action.key) && waits(action)) {
        later.add(action.key);
        grew = true;
      }
  }
  return actions.filter((a) => !later.has(a.key));
}

/**
 * The gates that stand before what is done at a stop and were not passed: gate 1 before anything is opened, gate 2 before
 * the supports come off or the tank leaves home.
 *
 * @example gatesBefore(state, { ...stop, actions: [strap] }) // [2]
 */
export function gatesBefore(
  state: TankState,
  { actions, pose }: { actions: readonly Action[]; pose: Stop['pose'] },
): (1 | 2)[] {
  const opens = actions.some((a) => a.type === 'part');
  const lets = beforeDrained(state, actions).length < actions.length || (isHome(state.pose) && !isHome(pose));
  return ([1, 2] as const).filter((gate) => state.gates[gate].passed === null && (gate === 1 ? opens : lets));
}
