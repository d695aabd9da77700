import type { RouteModel, RouteWay } from '../route/index.ts';

/** A thing that cannot be done, with what is nearest to letting it. mm of local drop */
interface Left {
  key: string;
  /** The way that comes nearest; null where there is none at all. */
  way: string | null;
  /** How far the hand falls short there. */
  short: number;
  /** Local drop that is reached at its place at most. */
  reached: number;
  /** What keeps the tank from going further for it. */
  heldBy: string | null;
  /** What its way waits for and what never comes off. */
  waitsFor: string[];
}

interface Stuck {
  /** Everything that could still be parted, in the order it comes off. */
  off: string[];
  left: Left[];
}

/**
 * What still comes off if nothing more is changed, and what is left: how far each can be brought to the hand, what holds
 * the tank there and by how many millimetres it falls short. Poses on the 5 mm grid, every tilt.
 *
 * @example stuck(model).left[0] // { key: 'line:heater', short: 20, heldBy: 'line:heater', … }
 */
export function stuck(model: RouteModel): Stuck {
  const done = new Set<string>();
  const { clear, length, tilt } = model;
  const poses: { f: number; r: number }[] = [];
  for (let f = 0; f <= clear; f += 5)
    for (let r = Math.max(0, Math.ceil((f - tilt.first) / 5) * 5); r <= Math.min(clear, f + tilt.second); r += 5)
      poses.push({ f, r });
  const drop = (pose: { f: number; r: number }, x: number) => pose.f + ((pose.r - pose.f) * x) / length;
  const binds = () => model.limits.filter((l) => !l.freedBy.some((id) => done.has(id)));
  const allowed = (limits: RouteModel['limits']) =>
    poses.filter((pose) => limits.every((l) => drop(pose, l.x) <= l.at + 1e-9));
  const reaches = (way: RouteWay, d: number) => d >= way.from - 1e-9 && d <= way.to + 1e-9;

  const off: string[] = [];
  let here = allowed(binds());
  for (let grew = true; grew;) {
    grew = false;
    for (const thing of model.things) {
      if (done.has(thing.id)) continue;
      const way = thing.ways.find(
        (w) => w.after.every((id) => done.has(id)) && here.some((pose) => reaches(w, drop(pose, thing.x))),
      );
      if (!way) continue;
      done.add(thing.id);
      if (!thing.id.startsWith('look:')) off.push(thing.id);
      grew = true;
    }
    if (grew) here = allowed(binds());
  }
  const limits = binds();
  const left = model.things
    .filter((thing) => model.must.includes(thing.id) && !done.has(thing.id))
    .map((thing): Left => {
      const reached = Math.max(0, ...here.map((pose) => drop(pose, thing.x)));
      const nearest = [...thing.ways].sort((a, b) => a.from - b.from)[0];
      // What gives way for one more step of the tank at the lowest pose for it.
      const lowest = here.reduce((a, b) => (drop(b, thing.x) > drop(a, thing.x) ? b : a), { f: 0, r: 0 });
      const next = { f: lowest.f + 5, r: lowest.r + 5 };
      const holder = limits
        .filter((l) => drop(next, l.x) > l.at)
        .sort((a, b) => a.at - drop(lowest, a.x) - (b.at - drop(lowest, b.x)))[0];
      return {
        key: thing.id,
        way: nearest?.id ?? null,
        short: nearest ? Math.max(0, Math.ceil(nearest.from - reached)) : 0,
        reached: Math.floor(reached),
        heldBy: holder?.freedBy[0] ?? null,
        waitsFor: nearest ? nearest.after.filter((id) => !done.has(id)) : [],
      };
    })
    .sort((a, b) => a.short - b.short || (a.key < b.key ? -1 : 1));
  return { off, left };
}
