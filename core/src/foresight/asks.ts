import type { Route, RouteModel } from '../route/index.ts';

/** What a plan asks of something that may hold: it must let at least so much. mm of local drop at its place */
interface Asked {
  key: string;
  mm: number;
}

/**
 * The deepest local drop a plan asks of everything while it is still on: “it needs at least 55 mm”.
 *
 * @returns deepest first, things that are never moved past left out
 * @example asks(model, route) // [{ key: 'line:vent', mm: 55 }]
 */
export function asks(model: RouteModel, route: Route): Asked[] {
  const most = new Map<string, number>();
  const done = new Set<string>();
  for (const { pose, uses } of route.stops) {
    for (const limit of model.limits) {
      const key = limit.freedBy[0]!;
      if (done.has(key)) continue;
      const here = pose.f + ((pose.r - pose.f) * limit.x) / model.length;
      most.set(key, Math.max(most.get(key) ?? 0, here));
    }
    for (const use of uses) done.add(use.thing);
  }
  return [...most]
    .filter(([, mm]) => mm > 0)
    .map(([key, mm]) => ({ key, mm: Math.ceil(mm) }))
    .sort((a, b) => b.mm - a.mm || (a.key < b.key ? -1 : 1));
}
