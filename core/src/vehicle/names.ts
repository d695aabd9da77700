import type { Connection, Obstruction, Support, VehicleFile } from './types.ts';
import { unitOf } from './unit.ts';
import type { Way } from './ways.ts';

/** What a key of the ledger can stand for. */
type ThingKind = 'line' | 'clip' | 'obstruction' | 'support' | 'unit' | 'thing' | 'loose' | 'cut';

/** The key of a thing in the ledger. @example keyOf('line', 'feed') // 'line:feed' */
export const keyOf = (kind: ThingKind, id: string): string => `${kind}:${id}`;

/** Splits a ledger key into its kind and id. @example splitKey('line:feed') // { kind: 'line', id: 'feed' } */
export function splitKey(key: string): { kind: string; id: string } {
  const cut = key.indexOf(':');
  return cut < 0 ? { kind: '', id: key } : { kind: key.slice(0, cut), id: key.slice(cut + 1) };
}

/** The connection of that id. @example lineOf(rail, 'feed')?.name // 'feed line' */
export const lineOf = (vehicle: Pick<VehicleFile, 'connections'>, id: string): Connection | undefined =>
  vehicle.connections.find((c) => c.id === id);

/** Does a line carry fuel or vapour, rather than current? @example carriesFluid({ kind: 'vent' }) // true */
export const carriesFluid = ({ kind }: Pick<Connection, 'kind'>): boolean => kind !== 'plug' && kind !== 'ground';

/** Lines that carry fuel or vapour. @example fluidLines(rail).map((line) => line.id) */
export const fluidLines = ({ connections }: Pick<VehicleFile, 'connections'>): Connection[] =>
  connections.filter(carriesFluid);

/** The obstruction of that id. @example obstructionOf(rail, 'shield')?.name // 'stone shield' */
export const obstructionOf = (vehicle: Pick<VehicleFile, 'obstructions'>, id: string): Obstruction | undefined =>
  vehicle.obstructions.find((o) => o.id === id);

/** The support of that id. @example supportOf(rail, 'strap-1')?.name // 'front strap' */
export const supportOf = (vehicle: Pick<VehicleFile, 'supports'>, id: string): Support | undefined =>
  vehicle.supports.find((s) => s.id === id);

/** The line a clip holds. @example clipOwner(rail, 'feed-clip')?.id // 'feed' */
export const clipOwner = (vehicle: Pick<VehicleFile, 'connections'>, clipId: string): Connection | undefined =>
  vehicle.connections.find((c) => c.clips.some((k) => k.id === clipId));

/** Short rubbers further forward that no file lists and that get forgotten; common practice, no source. */
export const forgottenRubbers = [
  { id: 'filter', name: 'rubber at the filter' },
  { id: 'engine', name: 'rubber from the hard line to the engine' },
] as const;

/** What the file calls the thing behind a key; null where it lists none. @example fileName(rail, 'line:feed') // 'feed line' */
export function fileName(vehicle: VehicleFile, key: string): string | null {
  const { kind, id } = splitKey(key);
  if (kind === 'line') return lineOf(vehicle, id)?.name ?? null;
  if (kind === 'support') return supportOf(vehicle, id)?.name ?? null;
  if (kind === 'obstruction') return obstructionOf(vehicle, id)?.name ?? null;
  if (kind === 'unit') return 'ring over the unit';
  if (kind === 'rubber') return forgottenRubbers.find((one) => one.id === id)?.name ?? null;
  if (kind === 'part') return unitOf(vehicle).parts.find((part) => part.id === id)?.name ?? null;
  if (kind !== 'clip') return null;
  const owner = clipOwner(vehicle, id);
  return owner ? (owner.clips.find((k) => k.id === id)?.name ?? `${owner.name} clip`) : null;
}

/** Where along the tank a thing of the file sits, mm from the first end; its middle where nobody says. @example placeOf(rail, 'line:feed') // 320 */
export function placeOf(vehicle: VehicleFile, key: string): number {
  const { kind, id } = splitKey(key);
  const found =
    kind === 'line'
      ? lineOf(vehicle, id)
      : kind === 'clip'
        ? clipOwner(vehicle, id)
        : kind === 'support'
          ? supportOf(vehicle, id)
          : obstructionOf(vehicle, id);
  return found?.x ?? vehicle.length / 2;
}

/** A line's short name, for tags and bars. @example shortName('feed line') // 'feed' */
export const shortName = (name: string): string =>
  name
    .replace(/ (line|hose|carrier)$/, '')
    .replace(/^pump and sender /, '')
    .replace(/^ground strap$/, 'ground');

const keysOf = new WeakMap<VehicleFile, Map<string, string>>();

/**
 * The ledger key behind an id of the file: of a thing, or of one of the ways a thing is done by.
 *
 * @returns null where the file has no such id
 * @example keyOfId(rail, 'feed-unclip') // 'clip:feed-clip'
 */
export function keyOfId(vehicle: VehicleFile, id: string): string | null {
  let keys = keysOf.get(vehicle);
  if (!keys) {
    const { connections, obstructions, supports } = vehicle;
    const things: [string, readonly Way[]][] = [
      ...connections.map((c): [string, Way[]] => [keyOf('line', c.id), [...c.part, ...c.make]]),
      ...connections.flatMap((c) => c.clips.map((k): [string, Way[]] => [keyOf('clip', k.id), k.ways])),
      ...obstructions.map((o): [string, Way[]] => [keyOf('obstruction', o.id), [...o.clear, ...o.restore]]),
      ...supports.map((s): [string, Way[]] => [keyOf('support', s.id), [...(s.off ?? []), ...(s.on ?? [])]]),
    ];
    keys = new Map(things.flatMap(([key, ways]) => ways.map((way) => [way.id, key] as const)));
    for (const [key] of things) keys.set(splitKey(key).id, key);
    keysOf.set(vehicle, keys);
  }
  return keys.get(id) ?? null;
}
