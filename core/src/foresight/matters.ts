import { nameOf } from '../job/names.ts';
import type { Route } from '../route/index.ts';
import { routeDown, standardMargins, bindings, type Margins, type TankState } from '../stops/index.ts';
import { changed, type Change } from './change.ts';

/** An unknown whose answer changes the plan. */
export interface Matter {
  key: string;
  name: string;
  /** The range it is known in now, mm. */
  lo: number;
  hi: number;
  /** Minutes between the plans at its two ends; null where one end has no way at all, which outranks any minutes. */
  minutes: number | null;
}

/**
 * The unknowns that matter: each is set to both its ends, the others as likely, and the plan made again. The same plan at
 * both ends: not worth asking.
 *
 * @returns what decides whether there is a way first, then by minutes at stake
 * @example whatMatters(state)[0] // { key: 'line:feed', lo: 20, hi: 80, minutes: 14 }
 */
export function whatMatters(state: TankState, margins: Margins = standardMargins): Matter[] {
  return bindings(state)
    .filter((b) => b.limit.hi > b.limit.lo)
    .flatMap((b): Matter[] => {
      const id = b.key.slice(b.key.indexOf(':') + 1);
      const at = (mm: number): Route | null => {
        const change: Change = b.line
          ? { what: 'slack', line: id, mm }
          : { what: 'lower', obstruction: id, mm: mm - b.limit.typ };
        return routeDown(changed(state, change), 'typical', margins);
      };
      const [short, long] = [at(b.limit.lo), at(b.limit.hi)];
      if (same(short, long)) return [];
      const minutes = short && long ? Math.abs(short.minutes - long.minutes) : null;
      return [
        {
          key: b.key,
          name: nameOf(state, b.key),
          lo: b.limit.lo,
          hi: b.limit.hi,
          minutes,
        },
      ];
    })
    .sort((a, b) => (b.minutes ?? Infinity) - (a.minutes ?? Infinity) || (a.key < b.key ? -1 : 1));
}

/** What is done, where and in which way; not by how many mm each stop differs. */
const same = (a: Route | null, b: Route | null): boolean => {
  if (!a || !b) return a === b;
  const words = (r: Route) => r.stops.map((s) => s.uses.map((u) => `${u.thing}/${u.way}`).join()).join(' ');
  return words(a) === words(b);
};
