import { usedWay } from '../used.ts';
import type { Route, RouteModel } from '../types.ts';

/** What is wrong with a route, by the rules alone and with its own arithmetic; empty when nothing is. */
export function checkRoute(model: RouteModel, route: Route): string[] {
  const wrong: string[] = [];
  const done = new Set<string>();
  const drop = (pose: { f: number; r: number }, x: number) => pose.f + ((pose.r - pose.f) * x) / model.length;
  let [minutes, moves, two] = [0, 0, 0];
  route.stops.forEach(({ pose, uses }, i) => {
    const { f, r } = pose;
    if (f % 5 !== 0 || r % 5 !== 0 || f < 0 || r < 0 || f > model.clear || r > model.clear)
      wrong.push(`${f}, ${r} is no pose`);
    const before = route.stops[i - 1]?.pose;
    if (!before && (f !== model.start.f || r !== model.start.r)) wrong.push('does not begin where it should');
    if (before) {
      if (r - f > model.tilt.second || f - r > model.tilt.first) wrong.push(`${f}, ${r} is too steep`);
      moves += 1;
      minutes += model.moveMinutes + (r - f !== before.r - before.f ? model.tiltMinutes : 0);
      for (const limit of model.limits)
        if (drop(pose, limit.x) > limit.at + 1e-9 && !limit.freedBy.some((id) => done.has(id)))
          wrong.push(`at ${f}, ${r} the ceiling of ${limit.freedBy.join(' or ')} is broken`);
    }
    for (const use of uses) {
      const { thing, way } = usedWay(model, use);
      const d = drop(pose, thing.x);
      if (d < way.from - 1e-9 || d > way.to + 1e-9) wrong.push(`${use.thing} is out of reach at ${f}, ${r}`);
      for (const { x, from, to } of way.also ?? [])
        if (drop(pose, x) < from - 1e-9 || drop(pose, x) > to + 1e-9)
          wrong.push(`${use.thing} needs ${x} in reach as well, at ${f}, ${r}`);
      if (!way.after.every((id) => done.has(id))) wrong.push(`${use.thing} before what it waits for`);
      if (way.before?.some((id) => done.has(id))) wrong.push(`${use.thing} after what it needs in place`);
      if (done.has(use.thing)) wrong.push(`${use.thing} twice`);
      done.add(use.thing);
      minutes += way.minutes + (way.people > 1 ? model.helperMinutes : 0);
      if (way.people > 1) two += way.minutes;
    }
  });
  const end = route.stops.at(-1)!.pose;
  if (end.f !== model.goal.f || end.r !== model.goal.r) wrong.push('does not end at the goal');
  for (const id of model.must) if (!done.has(id)) wrong.push(`${id} was never done`);
  if (Math.abs(minutes - route.minutes) > 1e-6) wrong.push(`${minutes} minutes, said ${route.minutes}`);
  if (moves !== route.moves) wrong.push(`${moves} moves, said ${route.moves}`);
  if (Math.abs(two - route.twoPersonMinutes) > 1e-6) wrong.push(`${two} two-person minutes`);
  return wrong;
}
