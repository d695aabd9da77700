import type { Estimate } from '../estimate/index.ts';
import { isOff, type LedgerItem } from '../ledger/index.ts';
import { dropAt, gridDown, gridUp, type Pose } from '../pose/index.ts';
import {
  clipOwner,
  estimateOf,
  fileName,
  keyOf,
  keyOfId,
  MOST_TILT,
  OPEN_REACH,
  placeOf,
  splitKey,
  waitsOf,
  type Clip,
  type Connection,
  type VehicleFile,
  type Way,
} from '../vehicle/index.ts';
import type { TankState } from './types.ts';

/** Is the line on its port? @example isOn(state, 'feed') // true */
export const isOn = (state: Parameters<typeof isOff>[0], lineId: string): boolean =>
  !isOff(state, keyOf('line', lineId));

/** Lines on their ports, in the order of the file. @example attached(state).length */
export const attached = (state: { vehicle: VehicleFile } & Parameters<typeof isOff>[0]): Connection[] =>
  state.vehicle.connections.filter((line) => isOn(state, line.id));

/**
 * Is a line parted, a clip off, an obstruction cleared, a support off: is whatever has this id, or this way, off?
 *
 * @example isDone(state, 'shield') // false
 */
export function isDone(state: { vehicle: VehicleFile } & Parameters<typeof isOff>[0], id: string): boolean {
  const key = keyOfId(state.vehicle, id);
  return key !== null && isOff(state, key);
}

/**
 * What a way still waits for where the tank hangs, going down: ledger keys of what comes off before it, and of what must
 * still be on. Null where it can't be used any more, since that is off.
 *
 * @example waitsHere(state, way)?.first // ['obstruction:liner']
 */
export function waitsHere(
  state: { vehicle: VehicleFile } & Parameters<typeof isOff>[0],
  way: Way,
): { first: string[]; notYet: string[] } | null {
  const { first, notYet } = waitsOf(way, 'down');
  const keys = (ids: readonly string[]) => ids.map((id) => keyOfId(state.vehicle, id) ?? `?:${id}`);
  if (notYet.some((id) => isDone(state, id))) return null;
  // What is not on this vehicle keeps nothing waiting in place.
  return {
    first: keys(first).filter((key) => !isOff(state, key)),
    notYet: keys(notYet).filter((key) => !key.startsWith('?:')),
  };
}

/**
 * What a line is known to let once a clip is off: never less than before, and what was measured stays measured.
 *
 * @example slackFreed(state, { lo: 30, typ: 60, hi: 90, basis }, clip).lo // at least 30
 */
export function slackFreed(
  { vehicle, doubts }: Pick<TankState, 'doubts'> & { vehicle: Pick<VehicleFile, 'basis'> },
  now: Estimate,
  clip: Clip,
): Estimate {
  const freed = doubted({ doubts }, estimateOf(vehicle, clip.slack));
  return {
    lo: Math.max(now.lo, freed.lo),
    typ: Math.max(now.typ, freed.typ),
    hi: Math.max(now.hi, freed.hi),
    basis: freed.basis,
  };
}

/** How far one end may hang below the other in a plan, mm on the grid. @example tiltLimitOf({ tiltLimit: 180 }) // 150 */
export const tiltLimitOf = ({ tiltLimit }: Pick<VehicleFile, 'tiltLimit'>): number =>
  Math.min(MOST_TILT, gridDown(tiltLimit));

/** How ranges are taken: at their bad end, as likely, at their kind end. */
export type Sureness = 'surely' | 'likely' | 'kindly';

/**
 * The local drops between which a hand gets to a way, mm on the grid, taken inward.
 *
 * @param seenAt local drop at which a hand was seen to reach it, if it was, mm
 * @example reachOf(way, 'surely') // { from: 40, to: 9999 }
 */
export function reachOf(way: Way, reading: Sureness, seenAt?: number): { from: number; to: number } {
  const [near, far] = { surely: ['hi', 'lo'], likely: ['typ', 'typ'], kindly: ['lo', 'hi'] }[reading] as [
    'lo' | 'typ' | 'hi',
    'lo' | 'typ' | 'hi',
  ];
  const to = way.reachTo[far];
  return {
    from: Math.min(gridUp(way.reachFrom[near]), seenAt === undefined ? Infinity : gridUp(seenAt)),
    to: to >= OPEN_REACH ? OPEN_REACH : Math.max(gridDown(to), seenAt ?? 0),
  };
}

/** Can a hand use this way at that local drop (mm) for certain? @example surelyReaches(way, 45) // true */
export function surelyReaches(way: Way, drop: number, seenAt?: number): boolean {
  const { from, to } = reachOf(way, 'surely', seenAt);
  return drop >= from && drop <= to;
}

/**
 * The tank with one more thing off, as the log would have it: for previews and what-ifs. What was given stays as it is.
 *
 * @example takenOff(state, 'clip:feed-clip', null).slack.feed
 */
export function takenOff<S extends TankState>(state: S, key: string, way: string | null): S {
  const { vehicle } = state;
  const { kind, id } = splitKey(key);
  const owner = kind === 'clip' ? clipOwner(vehicle, id) : undefined;
  const clip = owner?.clips.find((c) => c.id === id);
  const slack =
    owner && clip ? { ...state.slack, [owner.id]: slackFreed(state, slackOf(state, owner.id), clip) } : state.slack;
  const felt = owner?.id ?? (kind === 'line' ? id : null);
  const eyed = Object.fromEntries(Object.entries(state.eyed).filter(([line]) => line !== owner?.id));
  const taut = Object.fromEntries(Object.entries(state.taut).filter(([line]) => line !== felt));
  const item: LedgerItem = {
    key,
    kind: kind as LedgerItem['kind'],
    name: fileName(vehicle, key) ?? state.extras.find((e) => e.id === id)?.name ?? id,
    tag: null,
    state: 'open',
    unsettled: false,
    openings: [`${key}@ahead`],
    offAt: dropAt(state.pose, placeOf(vehicle, key), vehicle.length),
    offBy: '',
    offTime: '',
    way,
    capped: false,
    back: { event: 'home' },
    backAt: null,
    backOwner: null,
    note: null,
  };
  return {
    ...state,
    slack,
    eyed,
    taut,
    off: { ...state.off, [key]: [`${key}@ahead`] },
    items: [...state.items.filter((other) => other.key !== key), item],
  };
}

/** What is known of a line's slack, mm. @throws Error for a line the vehicle does not have @example slackOf(state, 'feed').lo */
export function slackOf(state: Pick<TankState, 'slack' | 'eyed' | 'doubts'>, lineId: string): Estimate {
  const slack = state.slack[lineId];
  if (!slack) throw new Error(`No line ${lineId}.`);
  return state.eyed[lineId] ? slack : doubted(state, slack);
}

/**
 * A figure of the file as far as it is to be believed: where the eye found one of that basis too long, all of them count
 * so much less at their low end.
 *
 * @example doubted({ doubts: [{ kind: 'typical', factor: 0.8, … }] }, { lo: 100, … }).lo // 80
 */
export function doubted({ doubts }: Pick<TankState, 'doubts'>, range: Estimate): Estimate {
  const factor = Math.min(1, ...doubts.filter((d) => d.kind === range.basis.kind).map((d) => d.factor));
  return factor === 1 ? range : { ...range, lo: Math.floor(range.lo * factor) };
}

/** Local drop of a line's port in a pose, mm. @example portDrop(state, { f: 40, r: 40 }, feed) // 40 */
export const portDrop = (
  state: { vehicle: Pick<VehicleFile, 'length'> },
  pose: Pose,
  line: Pick<Connection, 'x'>,
): number => dropAt(pose, line.x, state.vehicle.length);
