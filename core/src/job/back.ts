import { gridDown } from '../stops/margins.ts';
import type { Way } from '../vehicle/index.ts';
import { lineOf, splitKey } from './names.ts';
import type { BackBy, JobState, LedgerItem } from './types.ts';

/** The way a line is made again: at the joint where it was parted, else the first the file has. */
export function makeWay(state: Pick<JobState, 'vehicle'>, lineId: string, partedBy: string | null): Way | undefined {
  const line = lineOf(state.vehicle, lineId);
  return line?.make.find((way) => way.id === partedBy) ?? line?.make[0];
}

/**
 * By which drop a thing must be back: above it no hand gets there (its reach at the far end while guessed), but never
 * lower than the line itself lets it be made. Without such a limit it goes back at home, or before its event.
 */
export function backBy(state: JobState, item: LedgerItem): BackBy {
  if (item.kind === 'thing' || item.kind === 'loose') return item.back;
  if (item.kind !== 'line') return { event: 'home' };
  const { id } = splitKey(item.key);
  const way = makeWay(state, id, item.way);
  if (!way || way.reachFrom.hi === 0) return { event: 'home' };
  const room = gridDown(state.slack[id]!.lo);
  return { drop: Math.min(way.reachFrom.hi, room), guessed: way.reachFrom.lo !== way.reachFrom.hi };
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
export const backInWords = (back: BackBy): string => ('drop' in back ? `by ${back.drop}` : back.event);
