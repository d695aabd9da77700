import { isUnsettled, type KernelState } from '../kernel/index.ts';
import { splitKey } from '../vehicle/index.ts';
import { backBy } from './back.ts';
import { BEFORE_FILLER } from './bodies.ts';
import type { LedgerFacts, LedgerSlice } from './slice.ts';
import type { ItemState, LedgerItem, Opening } from './types.ts';

/**
 * The ledger as it stands, one line a thing, in the order in which they last came off.
 *
 * @example itemsOf(state).filter((item) => item.state === 'open').length
 */
export function itemsOf(
  state: Pick<LedgerSlice, 'openings' | 'off' | 'deviations'> &
    Omit<LedgerFacts, 'pose' | 'numbers'> &
    Pick<KernelState, 'twoDevices'>,
): LedgerItem[] {
  const newest = new Map<string, Opening>();
  for (const opening of state.openings) {
    const had = newest.get(opening.key);
    // Of several the one that is open counts; what came off last stands last.
    if (had && had.closedIn === null && opening.closedIn !== null) continue;
    newest.delete(opening.key);
    newest.set(opening.key, opening);
  }
  const excused = new Set(state.deviations.map((d) => d.debt));
  return [...newest.values()].map((opening): LedgerItem => {
    const open = state.off[opening.key] ?? [];
    const unsettled = isUnsettled(state, opening.key);
    return {
      key: opening.key,
      kind: opening.kind,
      name: opening.name,
      tag: opening.tag,
      state: stateOf(opening, { open, excused, unsettled }),
      unsettled,
      openings: open,
      offAt: opening.at,
      offBy: opening.by,
      offTime: opening.time,
      way: opening.way,
      capped: opening.capped,
      back: backBy(state, opening),
      backAt: opening.backAt,
      backOwner: opening.backBy,
      note: opening.until,
    };
  });
}

function stateOf(
  opening: Opening,
  { open, excused, unsettled }: { open: readonly string[]; excused: ReadonlySet<string>; unsettled: boolean },
): ItemState {
  if (open.length === 0 && !unsettled) return 'closed';
  if (open.length > 0 && open.every((id) => excused.has(`open:${id}`))) return 'deviation';
  if (opening.deferred) return 'deferred';
  return splitKey(opening.key).kind === 'loose' ? 'loose' : 'open';
}

/** What was put in and is still in. @example thingsIn(state).map(({ name }) => name) // ['rag'] */
export const thingsIn = ({ items }: Pick<LedgerSlice, 'items'>): LedgerItem[] =>
  items.filter((item) => item.kind === 'thing' && item.state !== 'closed' && item.state !== 'deviation');

/** Is it in the neck on the vehicle, not in the tank? @example isInNeck(item) // true */
export const isInNeck = ({ note }: Pick<LedgerItem, 'note'>): boolean => note === BEFORE_FILLER;

/** Lines that are still owed: open, put off, loose on purpose. @example openItems(state).length */
export const openItems = (state: Pick<LedgerSlice, 'items'>): LedgerItem[] =>
  state.items.filter((item) => item.state === 'open' || item.state === 'deferred' || item.state === 'loose');
