import TinyQueue from 'tinyqueue';
import { wayCost, moveCost, tiltCost, unpack } from '../cost.ts';
import type { RouteModel } from '../types.ts';

/**
 * Least cost by trying everything: Dijkstra over every pose of the grid and every set of things done. Knows the rules and
 * nothing of the search; for tiny models only.
 */
export function exhaustive(model: RouteModel): ReturnType<typeof unpack> | null {
  const { length, clear, tilt } = model;
  const ids = model.things.map((t) => t.id);
  const has = (done: number, id: string) => (done & (1 << ids.indexOf(id))) !== 0;
  const poses: { f: number; r: number }[] = [];
  for (let f = 0; f <= clear; f += 5)
    for (let r = 0; r <= clear; r += 5) if (r - f <= tilt.second && f - r <= tilt.first) poses.push({ f, r });
  const at = (pose: { f: number; r: number }, x: number) => pose.f * (length - x) + pose.r * x;
  const allowed = (pose: { f: number; r: number }, done: number) =>
    model.limits.every((l) => at(pose, l.x) <= l.at * length || l.freedBy.some((id) => has(done, id)));
  const best = new Map<string, number>();
  const settled = new Set<string>();
  const arrived = new Set<string>();
  const queue = new TinyQueue<{ f: number; r: number; done: number; cost: number }>([], (a, b) => a.cost - b.cost);
  const offer = ({ f, r, done, cost }: { f: number; r: number; done: number; cost: number }) => {
    const key = `${f},${r},${done}`;
    if ((best.get(key) ?? Infinity) <= cost) return;
    best.set(key, cost);
    queue.push({ f, r, done, cost });
  };
  offer({ f: model.start.f, r: model.start.r, done: 0, cost: 0 });
  for (let now = queue.pop(); now; now = queue.pop()) {
    const key = `${now.f},${now.r},${now.done}`;
    if (settled.has(key)) continue;
    settled.add(key);
    const { done } = now;
    if (now.f === model.goal.f && now.r === model.goal.r && model.must.every((id) => has(done, id)))
      return unpack(now.cost);
    for (const thing of model.things)
      if (!has(done, thing.id))
        for (const way of thing.ways) {
          const d = at(now, thing.x);
          if (d < way.from * length || d > way.to * length) continue;
          if (way.also?.some((a) => at(now, a.x) < a.from * length || at(now, a.x) > a.to * length)) continue;
          if (!way.after.every((id) => has(done, id)) || way.before?.some((id) => has(done, id))) continue;
          offer({
            f: now.f,
            r: now.r,
            done: now.done | (1 << ids.indexOf(thing.id)),
            cost: now.cost + wayCost(way, model),
          });
        }
    // Whoever comes later with the same things done pays no less: from it only poses of its own tilt can be cheaper.
    const turn = now.r - now.f;
    const first = !arrived.has(`${done}`);
    const firstInTilt = !arrived.has(`${done}/${turn}`);
    arrived.add(`${done}`).add(`${done}/${turn}`);
    if (!first && !firstInTilt) continue;
    for (const pose of poses) {
      const turns = pose.r - pose.f !== turn;
      if ((turns && !first) || !allowed(pose, done)) continue;
      offer({ f: pose.f, r: pose.r, done, cost: now.cost + moveCost(model) + (turns ? tiltCost(model) : 0) });
    }
  }
  return null;
}
