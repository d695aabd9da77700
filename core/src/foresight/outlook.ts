import { computed } from '../basis/index.ts';
import type { Route } from '../route/index.ts';
import type { Margins, TankState } from '../hang/index.ts';
import { seekDown, type View } from '../stops/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** What the way down costs, by how the ranges turn out; null where there is no way then. Minutes, the way up not counted. */
export interface Outlook {
  /** Every figure at its kind end. */
  best: Route | null;
  /** All as likely. */
  typical: Route | null;
  /** Safe at every moment, typical once looked at. */
  look: Route | null;
  /** Every figure at its bad end. */
  worst: Route | null;
  /** Some search ended before it knew: a way that is not among these may exist all the same. */
  gaveUp: boolean;
  /** What that means. */
  verdict: Verdict;
}

const basis = computed('least minutes over all orders, heights and tilts');

/**
 * The way down under the best, the typical, the worst-until-seen and the worst figures, and what that means.
 * Where all four exist, best ≤ typical ≤ worst.
 *
 * @example outlook(state).verdict.outcome // 'good': there is a way whatever is true
 */
export function outlook(state: TankState, margins: Margins = state.shop): Outlook {
  const inView = (view: View) => seekDown(state, view, margins);
  const [best, typical, look, worst] = [inView('best'), inView('typical'), inView('look'), inView('worst')];
  const found = {
    best: best.route,
    typical: typical.route,
    look: look.route,
    worst: worst.route,
    gaveUp: [best, typical, look, worst].some((sought) => sought.gaveUp),
  };
  return { ...found, verdict: judge(found) };
}

function judge({ best, typical, look, worst, gaveUp }: Omit<Outlook, 'verdict'>): Verdict {
  const say = (outcome: Verdict['outcome'], text: string, next: string[]): Verdict => ({
    outcome,
    reasons: [{ text, basis }],
    next,
  });
  if (worst) return say('good', 'there is a way whatever is true within the figures', []);
  if (look)
    return say('doubtful', 'there is a way as long as a look on the way agrees with what is likely', [
      'look where the stop says',
    ]);
  if (typical)
    return say('doubtful', 'there is a way if the figures are as likely; it is not certain', [
      'look at every stop, creep where it says so',
    ]);
  if (best)
    return say('unknown', 'there is a way only if the figures turn out kind', ['measure what holds, or free it first']);
  if (gaveUp)
    return say('unknown', 'there are more orders than can be tried in the time, and none that was tried gets it out', [
      'go stop by stop: each is safe by itself',
    ]);
  return say('bad', 'no order of stops gets it out', ['take over one of the changes below']);
}
