import { atGoal } from './goal.ts';
import { shortName, splitKey } from './names.ts';
import { openItems } from './owed.ts';
import type { JobState } from './types.ts';

/**
 * What lets vapour out just now, in words, or null: an open wet end, or a tank off the vehicle that is not sealed. While
 * it lasts a phone belongs on the cart.
 */
export function vapourFrom(state: JobState): string | null {
  const wet = openItems(state).filter((item) => {
    if (item.kind !== 'line') return false;
    return state.vehicle.connections.find((c) => c.id === splitKey(item.key).id)?.wetWhenOpen ?? false;
  });
  if (wet.length === 1) return `${shortName(wet[0]!.name)} is open`;
  if (wet.length > 1) return `${wet.length} wet ends are open`;
  if ((state.out || atGoal(state)) && !state.gates[3].passed) return 'the tank is open';
  return null;
}
