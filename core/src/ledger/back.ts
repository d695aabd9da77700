import { gridDown, gridUp } from '../pose/index.ts';
import { lengthIn, type UnitSystem } from '../quantity/index.ts';
import { lineOf, splitKey, type VehicleFile, type Way } from '../vehicle/index.ts';
import type { BackBy, LedgerItem, Opening } from './types.ts';

/** What it takes to say when a thing must be back. */
interface BackFacts {
  /** The vehicle. */
  vehicle: VehicleFile;
  /** What is known of each line's slack, mm. */
  slack: Readonly<Record<string, { lo: number }>>;
}

/** The way a line is made again: at the joint where it was parted, else the first the file has. @example makeWay(state, 'feed', 'feed-top')?.minutes */
export function makeWay(state: Pick<BackFacts, 'vehicle'>, lineId: string, partedBy: string | null): Way | undefined {
  return makeWays(state, lineId, partedBy)[0];
}

/**
 * All ways a line is made again: those of the joint where it was parted, else all the file has.
 *
 * @example makeWays(state, 'plug', 'plug-top').map((w) => w.id) // ['plug-top', 'plug-hatch']: one joint, from two sides
 */
export function makeWays(state: Pick<BackFacts, 'vehicle'>, lineId: string, partedBy: string | null): Way[] {
  const line = lineOf(state.vehicle, lineId);
  if (!line) return [];
  const joint = (way: Way) => way.joint ?? way.id;
  const by = line.part.find((way) => way.id === partedBy);
  const found = line.make.filter((way) => joint(way) === (by ? joint(by) : partedBy));
  return found.length > 0 ? found : line.make;
}

/** The drops between which an open line can be made, mm on the grid. */
export interface MakeWindow {
  /** Higher than this the hand is lost: its reach at the far end while guessed; 0 where it never is. */
  from: number;
  /** Lower than this the line does not reach its port for certain. */
  to: number;
  /** Reach and length overlap for certain; where not, both ends are what the line is known to let. */
  sure: boolean;
  /** The way it is made by. */
  way: Way | undefined;
}

/**
 * Where an open line can be made: within its reach and no deeper than its own slack is known to let.
 *
 * @example makeWindow(state, { key: 'line:feed', way: null }).from // 45
 */
export function makeWindow(state: BackFacts, item: Pick<LedgerItem, 'key' | 'way'>): MakeWindow {
  const { id } = splitKey(item.key);
  const ways = makeWays(state, id, item.way);
  const way = [...ways].sort((a, b) => a.reachFrom.hi - b.reachFrom.hi)[0];
  const reach = way ? gridUp(way.reachFrom.hi) : 0;
  const to = gridDown(state.slack[id]?.lo ?? 0);
  return { from: Math.min(reach, to), to, sure: reach <= to, way };
}

/**
 * By which drop a thing must be back. Without a limit it goes back at home, or before its event.
 *
 * @example backBy(state, opening) // { event: 'home' } where nothing is lost on the way
 */
export function backBy(state: BackFacts, opening: Opening): BackBy {
  if (opening.kind === 'thing') return { event: `before ${opening.until ?? 'the ring closes'}` };
  if (opening.kind === 'loose') return { event: opening.until ?? 'home' };
  if (opening.kind !== 'line') return { event: 'home' };
  const { from, way } = makeWindow(state, opening);
  if (!way || way.reachFrom.hi === 0) return { event: 'home' };
  return { drop: from, guessed: way.reachFrom.lo !== way.reachFrom.hi };
}

/** Number by which the wire is sorted: deepest first, then named events, then home, supports before what was in the way. */
function order(item: LedgerItem): number {
  if (item.kind === 'thing' || item.kind === 'loose') return 5000;
  if ('drop' in item.back) return 4000 + item.back.drop;
  return { line: 3000, unit: 3800, support: 3500, clip: 2000, obstruction: 1000 }[item.kind];
}

/** Tags on the wire, in the order of going back; what came off last goes back first among equals. @example inOrderOfReturn(items)[0].name */
export function inOrderOfReturn(items: readonly LedgerItem[]): LedgerItem[] {
  return items
    .map((item, i) => ({ item, i }))
    .sort((a, b) => order(b.item) - order(a.item) || b.i - a.i)
    .map(({ item }) => item);
}

/** When, in words. @example backInWords({ drop: 70, guessed: true }) // 'by 70' */
export const backInWords = (back: BackBy, units: UnitSystem = 'metric'): string =>
  'drop' in back ? `by ${lengthIn(back.drop, units).figure}` : back.event;
