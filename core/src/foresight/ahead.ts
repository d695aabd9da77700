import { roundTo, type Span } from '../estimate/index.ts';
import type { Margins, TankState } from '../hang/index.ts';
import { samePose, type Pose } from '../pose/index.ts';
import { planDescent, type Plan, type Stop } from '../stops/index.ts';
import { stopsOn } from './matters.ts';
import { outlook, type Outlook } from './outlook.ts';

/** The way down that is still ahead: the one figure for it that every place shows. Plain data, so that a worker can send it. */
export interface Ahead {
  /** Minutes of hands and moves: least, likely, most that is known of. */
  minutes: Span & { typ: number };
  /** Heights it stops at on the way, where it is bound for not counted: least, likely, most that is known of. */
  stops: Span & { typ: number };
  /** No way is sure, not even with a look: it may take more. */
  open: boolean;
  /** Does it come to where it is bound for, if all is as likely? */
  outcome: Plan['outcome'];
  /** What holds it where it does not; null where it does. */
  heldBy: string | null;
  /** The walk stop by stop, if all is as likely. */
  walk: readonly Stop[];
}

/** A state is never changed, so what was found for it holds. */
const found = new WeakMap<TankState, Ahead>();

/**
 * What lies ahead on the way down, in one figure: the walk stop by stop as if all were as likely, and the ways with the
 * least minutes under kind, likely and unkind figures. Where these differ it is a range, and it narrows with every look.
 *
 * @example ahead(state).stops // { lo: 2, typ: 3, hi: 4 }
 */
export function ahead(state: TankState, margins: Margins = state.shop): Ahead {
  if (margins !== state.shop) return look(state, outlook(state, margins), planDescent(state, margins));
  let known = found.get(state);
  if (!known) found.set(state, (known = look(state, outlook(state), planDescent(state))));
  return known;
}

function look(state: TankState, { best, typical, look: seen, worst }: Outlook, walk: Plan): Ahead {
  const reaches = walk.outcome === 'way';
  const routes = [best, typical, seen, worst].flatMap((route) => (route ? [route] : []));
  const likely = typical ?? seen ?? worst ?? best;
  const walked = heightsOn(walk, state.pose);
  return {
    minutes: reaches
      ? spread(walk.minutes.typ, [walk.minutes.lo, walk.minutes.hi, ...routes.map((r) => r.minutes)])
      : spread(
          likely?.minutes ?? walk.minutes.typ,
          routes.map((r) => r.minutes),
        ),
    stops: reaches
      ? spread(walked, routes.map(stopsOn))
      : spread(likely ? stopsOn(likely) : walked, routes.map(stopsOn)),
    open: !reaches || (!worst && !seen),
    outcome: walk.outcome,
    heldBy: reaches ? null : (walk.stops.at(-1)?.holders[0]?.name ?? 'something'),
    walk: walk.stops,
  };
}

const spread = (typ: number, others: readonly number[]): Ahead['minutes'] => ({
  lo: Math.min(typ, ...others),
  typ,
  hi: Math.max(typ, ...others),
});

/** How often it is lowered to a stop; what is done before it moves, and where it is bound for, are none. */
function heightsOn({ stops }: Plan, from: Pose): number {
  const moved = stops.filter((stop, i) => !samePose(stop.pose, stops[i - 1]?.pose ?? from));
  return moved.filter((s) => s.kind === 'stop' || s.kind === 'creep').length;
}

/**
 * The stops that come after one that is shown.
 *
 * @example stopsAfter(ahead(state), nextStop(state)) // { lo: 1, typ: 2, hi: 3 }
 */
export function stopsAfter({ stops }: Ahead, shown: Pick<Stop, 'kind' | 'from' | 'pose'>): Ahead['stops'] {
  const counted = (shown.kind === 'stop' || shown.kind === 'creep') && !samePose(shown.from, shown.pose);
  const less = (n: number) => Math.max(0, counted ? n - 1 : n);
  return { lo: less(stops.lo), typ: less(stops.typ), hi: less(stops.hi) };
}

/**
 * A count of stops as people say it.
 *
 * @example stopsInWords({ lo: 1, typ: 2, hi: 3 }, false) // '1 to 3'
 */
export function stopsInWords({ lo, typ, hi }: Ahead['stops'], open: boolean): string {
  if (open) return `${typ} and more`;
  return lo === hi ? String(lo) : `${lo} to ${hi}`;
}

/**
 * Minutes ahead as people say them, to five: a range while it is one, “and more” where no way is sure.
 *
 * @example minutesInWords({ lo: 38, typ: 51, hi: 74 }, true) // '50 min and more'
 */
export function minutesInWords({ lo, typ, hi }: Ahead['minutes'], open: boolean): string {
  const five = (n: number) => roundTo(n, 5);
  if (open) return `${five(typ)} min and more`;
  return five(lo) === five(hi) ? `${five(typ)} min` : `${five(typ)} min (${five(lo)}–${five(hi)})`;
}
