import { mm, say, type Sentence } from '../quantity/index.ts';
import type { Margins, TankState } from '../hang/index.ts';
import { routeModel, seekDown, type View } from '../stops/index.ts';
import { obstructionOf, splitKey } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { ahead, type Ahead } from './ahead.ts';
import { asks } from './asks.ts';
import { changed, type Change } from './change.ts';
import { nameOf } from './names.ts';
import { whatMatters, type Matter } from './matters.ts';
import { outlook } from './outlook.ts';
import { remedies, type Remedy } from './remedies.ts';
import { stuck } from './stuck.ts';

/** What lies ahead, in figures a screen shows; plain data, so that a worker can send it. */
export interface Foresight {
  /** Minutes and stops of the way down. */
  ahead: Ahead;
  /** Is there a way, whatever is true? */
  verdict: Verdict;
  /** What the plan asks of each that is still on, with what is known of it. mm */
  asks: { key: string; name: string; mm: number; lo: number; hi: number }[];
  /** Unknowns whose answer changes the plan, those that change most first. */
  matters: Matter[];
  /** The conflict in one sentence, null where there is a way if all is as likely. */
  conflict: Sentence | null;
  /** Changes that make a way where there is none, the least first. */
  remedies: Remedy[];
}

/**
 * Everything that is worth knowing of the way ahead, with something changed or nothing. Long work is the remedies; it says
 * how far it is.
 *
 * @param onProgress 0 to 1; return false to give up looking for remedies
 * @example foresee(state, { changes: [{ what: 'slack', line: 'feed', mm: 80 }] }).ahead.minutes.typ
 */
export function foresee(
  given: TankState,
  {
    changes = [],
    onProgress,
    margins = given.shop,
  }: { changes?: readonly Change[]; onProgress?: (share: number) => boolean | void; margins?: Margins } = {},
): Foresight {
  const state = changes.reduce(changed, given);
  const { best, typical, verdict } = outlook(state, margins);
  const route = typical ?? best;
  const noWay = !typical && !seekDown(state, 'typical', margins).gaveUp;
  const view: View = typical ? 'typical' : 'best';
  const known = (key: string) => {
    const { id } = splitKey(key);
    const slack = state.slack[id];
    const blocks = obstructionOf(state.vehicle, id)?.blocksAt;
    return key.startsWith('line:') && slack ? slack : (blocks ?? { lo: 0, hi: 0 });
  };
  return {
    ahead: ahead(state, margins),
    verdict,
    asks: route
      ? asks(routeModel(state, view, margins), route).map(({ key, mm }) => ({
          key,
          mm,
          name: nameOf(state, key),
          lo: known(key).lo,
          hi: known(key).hi,
        }))
      : [],
    matters: whatMatters(state, margins),
    conflict: noWay ? conflictOf(state, margins) : null,
    remedies: !noWay ? [] : remedies(state, { margins, ...(onProgress ? { onProgress } : {}) }),
  };
}

/** The conflict in one sentence: what cannot come off, what holds it, by how many millimetres. */
function conflictOf(state: TankState, margins: Margins): Sentence {
  const { left } = stuck(routeModel(state, 'typical', margins));
  const first = left[0];
  if (!first) return 'everything comes off, but not in an order that fits together';
  const name = nameOf(state, first.key);
  if (first.way === null) return `the ${name} holds, and no way is known to clear it`;
  const by = first.heldBy && first.heldBy !== first.key ? `the ${nameOf(state, first.heldBy)}` : 'it';
  if (first.short > 0)
    return say`the ${name} is reached ${mm(first.short)} too late: the tank comes to ${mm(first.reached)} there, where ${by} holds`;
  const waits = first.waitsFor.map((key) => nameOf(state, key)).join(' and ');
  return waits
    ? `the ${name} waits for the ${waits}, which does not come off`
    : `the ${name} does not come off in time`;
}
