import type { Route } from '../route/index.ts';
import { bindings, type Binding, type Margins, type TankState } from '../hang/index.ts';
import { seekDown } from '../stops/index.ts';
import { splitKey } from '../vehicle/index.ts';
import { changed, type Change } from './change.ts';

/** An unknown whose answer changes the plan. */
export interface Matter {
  /** Ledger key of the thing. */
  key: string;
  /** As people call it. */
  name: string;
  /** The range it is known in now, mm. */
  lo: number;
  /** The most it may be, mm. */
  hi: number;
  /** Minutes between the plans at its two ends; null where one end has no way at all, which outranks any minutes. */
  minutes: number | null;
  /** Stops of the plan at its short and at its long end; null where there is no way then. */
  stops: { short: number | null; long: number | null };
  /** Neither matters alone, but both together do. */
  also?: { key: string; name: string };
}

/**
 * The unknowns that matter: each is set to both its ends, the others as likely, and the plan made again. The same plan at
 * both ends: not worth asking. If none matters alone, pairs of them at the same end.
 *
 * @returns what decides whether there is a way first, then by minutes at stake
 * @example whatMatters(state)[0] // { key: 'line:feed', lo: 20, hi: 80, minutes: 14 }
 */
export function whatMatters(state: TankState, margins: Margins = state.shop): Matter[] {
  const unknown = bindings(state).filter((b) => b.limit.hi > b.limit.lo);
  const at = (list: readonly Binding[], end: 'lo' | 'hi') => {
    const set = list.reduce((s, b) => changed(s, setTo(b, b.limit[end])), state);
    const sought = seekDown(set, 'typical', margins);
    // Where only the margin is missing a creep gets there: that decides minutes, not whether there is a way.
    return sought.route || sought.gaveUp ? sought : seekDown(set, 'typical', { ...margins, overshoot: 0 });
  };
  const matter = (list: readonly Binding[]): Matter[] => {
    const ends = [at(list, 'lo'), at(list, 'hi')] as const;
    const [short, long] = [ends[0].route, ends[1].route];
    // What the search did not finish decides nothing.
    if (ends.some((end) => end.gaveUp) || same(short, long)) return [];
    const [first, second] = list;
    return [
      {
        key: first!.key,
        name: first!.name,
        lo: first!.limit.lo,
        hi: first!.limit.hi,
        minutes: short && long ? Math.abs(short.minutes - long.minutes) : null,
        stops: { short: short && stopsOn(short), long: long && stopsOn(long) },
        ...(second ? { also: { key: second.key, name: second.name } } : {}),
      },
    ];
  };
  const alone = unknown.flatMap((b) => matter([b]));
  const list =
    alone.length > 0 ? alone : unknown.flatMap((a, i) => unknown.slice(i + 1).flatMap((b) => matter([a, b])));
  return list.sort(
    (a, b) => (b.minutes ?? Infinity) - (a.minutes ?? Infinity) || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0),
  );
}

/** Heights it stops at under way, where it is bound for not counted. @example stopsOn(route) // 3 */
export const stopsOn = (route: Route): number => Math.max(0, route.moves - 1);

const setTo = (b: Binding, mm: number): Change => {
  const { id } = splitKey(b.key);
  return b.line ? { what: 'slack', line: id, mm } : { what: 'lower', obstruction: id, mm: mm - b.limit.typ };
};

/** What is done, where and in which way; not by how many mm each stop differs. */
const same = (a: Route | null, b: Route | null): boolean => {
  if (!a || !b) return a === b;
  const words = (r: Route) => r.stops.map((s) => s.uses.map((u) => `${u.thing}/${u.way}`).join()).join(' ');
  return words(a) === words(b);
};
