import type { Span } from '../estimate/index.ts';
import { computed } from '../basis/index.ts';
import type { Route } from '../route/index.ts';
import type { Margins, TankState } from '../hang/index.ts';
import { routeDown, type View } from '../stops/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** What the way down costs, by how the ranges turn out; null where there is no way then. Minutes, the way up not counted. */
interface Outlook {
  best: Route | null;
  typical: Route | null;
  /** Safe at every moment, typical once looked at. */
  look: Route | null;
  worst: Route | null;
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
  const views = (['best', 'typical', 'look', 'worst'] as const).map((view): [View, Route | null] => [
    view,
    routeDown(state, view, margins),
  ]);
  const found = Object.fromEntries(views) as Omit<Outlook, 'verdict'>;
  return { ...found, verdict: judge(found) };
}

function judge({ best, typical, look, worst }: Omit<Outlook, 'verdict'>): Verdict {
  const say = (outcome: Verdict['outcome'], text: string, next: string[]): Verdict => ({
    outcome,
    reasons: [{ text, basis }],
    next,
  });
  if (worst) return say('good', 'there is a way down whatever is true within the figures', []);
  if (look)
    return say('doubtful', 'there is a way down as long as a look on the way agrees with what is likely', [
      'look where the stop says',
    ]);
  if (typical)
    return say('doubtful', 'there is a way down if the figures are as likely; it is not certain', [
      'look at every stop, creep where it says so',
    ]);
  if (best)
    return say('unknown', 'there is a way down only if the figures turn out kind', [
      'measure what holds, or free it first',
    ]);
  return say('bad', 'no order of stops gets it down', ['take over one of the changes below']);
}

/**
 * Least and most minutes of the way down that are known of, with the likely one. null where there is no way at all.
 *
 * @example minutesAhead(outlook(state))?.typ
 */
export function minutesAhead({ best, typical, look, worst }: Outlook): Span | null {
  const known = [best, typical, look, worst].flatMap((r) => (r ? [r.minutes] : []));
  if (known.length === 0) return null;
  const lo = Math.min(...known);
  const hi = Math.max(...known);
  return { lo, typ: (typical ?? look ?? worst ?? best)!.minutes, hi };
}
