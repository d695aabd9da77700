import { pumpOf } from './pump.ts';
import type { VehicleFile } from './types.ts';
import type { PartKind, Unit, UnitKind } from './unitTypes.ts';

const names: Record<PartKind, string> = {
  ring: 'ring',
  collar: 'collar',
  screws: 'ring of screws',
  seal: 'seal',
  flange: 'flange',
  hose: 'hose inside',
  pump: 'pump',
  strainer: 'strainer',
  sender: 'level sender',
  pickup: 'pick-up',
  footValve: 'foot valve',
  filter: 'filter',
};
const marks: Partial<Record<PartKind, string>> = {
  ring: 'to its stops on every tab',
  flange: 'its index to the mark on the tank',
  seal: 'over the unit before the ring, dry groove',
};

const made = (kind: UnitKind, parts: readonly PartKind[]): Unit => ({
  kind,
  parts: parts.map((part, i) => ({
    id: part === 'footValve' ? 'foot-valve' : part,
    kind: part,
    name: names[part],
    ...(i > 0 ? { mates: parts[i - 1] === 'footValve' ? 'foot-valve' : parts[i - 1]! } : {}),
    ...(marks[part] ? { mark: marks[part] } : {}),
  })),
});

/**
 * The unit of a file; where it lists none, what is usual for its pump and its mounting. Common practice, no source.
 *
 * @example unitOf(rail).parts.map((part) => part.id) // ['strainer', 'pump', 'hose', 'sender', 'flange', 'seal', 'ring']
 */
export function unitOf(file: VehicleFile): Unit {
  if (file.unit) return file.unit;
  const closes: UnitKind =
    file.mounting === 'pads' ? 'collar' : file.mounting === 'upright' || file.mounting === 'floor' ? 'screws' : 'ring';
  const end = closes === 'collar' ? 'collar' : closes === 'screws' ? 'screws' : 'ring';
  const pump = pumpOf(file);
  const inTank = file.fuelSystem?.place !== 'outside';
  if (inTank && ['electricHigh', 'electricLow', 'dieselSupply', 'dieselLift'].includes(pump))
    return made(closes, ['strainer', 'pump', 'hose', 'sender', 'flange', 'seal', end]);
  if (pump === 'none') return made('sender', ['sender', 'flange', 'seal', end]);
  return made('pickup', ['strainer', 'pickup', 'sender', 'flange', 'seal', end]);
}
