import { lengthIn, type UnitSystem } from '../quantity/system.ts';
import { gridDown, gridUp } from '../stops/margins.ts';
import type { Way } from '../vehicle/index.ts';
import { lineOf, splitKey } from './names.ts';
import type { BackBy, JobState, LedgerItem } from './types.ts';

/** The way a line is made again: at the joint where it was parted, else the first the file has. */
export function makeWay(state: Pick<JobState, 'vehicle'>, lineId: string, partedBy: string | null): Way | undefined {
  const line = lineOf(state.vehicle, lineId);
  return line?.make.find((way) => way.id === partedBy) ?? line?.make[0];
}

/** The drops between which an open line can be made, mm on the grid. */
export interface MakeWindow {
  /** Higher than this the hand is lost: its reach at the far end while guessed; 0 where it never is. */
  from: number;
  /** Lower than this the line does not reach its port for certain. */
  to: number;
  /** Reach and length overlap for certain; where not, both ends are what the line is known to let. */
  sure: boolean;
  way: Way | undefined;
}

/** Where an open line can be made: within its reach and no deeper than its own slack is known to let. */
export function makeWindow(
  state: Pick<JobState, 'vehicle' | 'slack'>,
  item: Pick<LedgerItem, 'key' | 'way'>,
): MakeWindow {
  const { id } = splitKey(item.key);
  const way = makeWay(state, id, item.way);
  const reach = way ? gridUp(way.reachFrom.hi) : 0;
  const to = gridDown(state.slack[id]?.lo ?? 0);
  return { from: Math.min(reach, to), to, sure: reach <= to, way };
}

/** By which drop a thing must be back. Without a limit it goes back at home, or before its event. */
export function backBy(state: JobState, item: LedgerItem): BackBy {
  if (item.kind === 'thing' || item.kind === 'loose') return item.back;
  if (item.kind !== 'line') return { event: 'home' };
  const { from, way } = makeWindow(state, item);
  if (!way || way.reachFrom.hi === 0) return { event: 'home' };
  return { drop: from, guessed: way.reachFrom.lo !== way.reachFrom.hi };
}

/** Number by which the wire is sorted: deepest first, then named events, then home, supports before what was in the way. */
function order(item: LedgerItem): number {
  if (item.kind === 'thing' || item.kind === 'loose') return 5000;
  if ('drop' in item.back) return 4000 + item.back.drop;
  return { line: 3000, support: 3500, clip: 2000, obstruction: 1000 }[item.kind] ?? 0;
}

/** Tags on the wire, in the order of going back; what came off last goes back first among equals. */
export function inOrderOfReturn(items: readonly LedgerItem[]): LedgerItem[] {
  return items
    .map((item, i) => ({ item, i }))
    .sort((a, b) => order(b.item) - order(a.item) || b.i - a.i)
    .map(({ item }) => item);
}

/** When, in words. @example backInWords({ drop: 70, guessed: true }) // 'by 70' */
export const backInWords = (back: BackBy, units: UnitSystem = 'metric'): string =>
  'drop' in back ? `by ${lengthIn(back.drop, units).figure}` : back.event;
