import { foldJob, type JobState, logWriter } from '../job/index.ts';
import { runs } from '../testing/index.ts';
import { randomVehicle, seeded } from '../rehearsal/index.ts';
import { solve } from '../route/index.ts';
import { keyOf, type VehicleFile } from '../vehicle/index.ts';
import { usualArchetypes as archetypes } from '../vehicle/testing.ts';
import { routePartWay } from './index.ts';
import { ascentModel } from './ascent.ts';
import { routeUp } from './wayUp.ts';

/** Everything off, the tank on the floor of the well. */
function down(vehicle: VehicleFile): JobState {
  const write = logWriter('job');
  return foldJob(null, [
    write('opened', { name: 'x', complaint: 'pump', vehicle }),
    ...vehicle.obstructions
      .filter((o) => !o.travelsWithTank)
      .map((o) => write('cleared', { key: keyOf('obstruction', o.id), way: o.clear[0]!.id })),
    ...vehicle.connections.flatMap((c) => c.clips.map((k) => write('cleared', { key: keyOf('clip', k.id) }))),
    ...vehicle.connections.map((c) => write('cleared', { key: keyOf('line', c.id), way: c.part[0]!.id })),
    ...vehicle.supports.map((s) => write('cleared', { key: keyOf('support', s.id) })),
    write('moved', { to: { f: vehicle.clear, r: vehicle.clear } }),
  ])!;
}

/** What is wrong with a way up by the rules alone: where things are made, that nothing made pulls, that all are made. */
function wrong(state: JobState, route: NonNullable<ReturnType<typeof routeUp>>): string[] {
  const { vehicle } = state;
  const out: string[] = [];
  const made = new Set<string>();
  const drop = (pose: { f: number; r: number }, x: number) => pose.f + ((pose.r - pose.f) * x) / vehicle.length;
  for (const { pose, uses } of route.stops) {
    const check = () => {
      for (const line of vehicle.connections) {
        if (!made.has(`line:${line.id}`)) continue;
        const clipsOff = line.clips.filter((k) => !made.has(`clip:${k.id}`));
        const lets = Math.max(line.slack.typ, ...clipsOff.map((k) => k.slack.typ));
        if (drop(pose, line.x) > lets) out.push(`${line.id} lets ${lets}, hangs at ${drop(pose, line.x)}`);
      }
    };
    check();
    for (const { thing, way } of uses) {
      const [kind, id] = thing.split(':') as [string, string];
      const line = vehicle.connections.find((c) => c.id === id);
      if (kind === 'line') {
        const by = line!.make.find((w) => w.id === way)!;
        if (drop(pose, line!.x) < by.reachFrom.typ || drop(pose, line!.x) > by.reachTo.typ)
          out.push(`${id} out of reach`);
        for (const other of by.after)
          if (state.items.some((i) => i.key.endsWith(`:${other}`)) && ![...made].some((k) => k.endsWith(`:${other}`)))
            out.push(`${id} before ${other}`);
      }
      made.add(thing);
      check();
    }
  }
  const end = route.stops.at(-1)!.pose;
  if (end.f !== 0 || end.r !== 0) out.push('not home');
  for (const item of state.items)
    if (item.kind !== 'support' && item.kind !== 'obstruction' && !made.has(item.key)) out.push(`${item.key} left off`);
  return out;
}

describe('the way up, solved backwards', () => {
  test('every mounting has one if the figures are as likely, and it keeps the rules', () => {
    for (const vehicle of archetypes) {
      const state = down(vehicle);
      const route = routeUp(ascentModel(state, 'typical'));
      expect({ id: vehicle.id, wrong: route ? wrong(state, route) : ['none'] }).toEqual({ id: vehicle.id, wrong: [] });
    }
  });

  test('random vehicles: whatever way is found keeps the rules', () => {
    let ways = 0;
    for (let seed = 0; seed < runs(150); seed++) {
      const state = down(randomVehicle(archetypes[seed % archetypes.length]!, seeded(seed)));
      const route = routeUp(ascentModel(state, 'typical'));
      if (!route) continue;
      ways += 1;
      expect({ seed, wrong: wrong(state, route) }).toEqual({ seed, wrong: [] });
    }
    expect(ways).toBeGreaterThan(runs(150) * 0.2);
  });

  test('a line that is too short where a hand gets to it has no way up', () => {
    const vehicle = structuredClone(archetypes[0]!);
    const line = vehicle.connections[0]!;
    line.slack = { lo: 20, typ: 20, hi: 20 };
    line.clips = [];
    for (const w of line.make) w.reachFrom = { lo: 40, typ: 40, hi: 40 };
    const state = down(vehicle);
    expect(routeUp(ascentModel(state, 'best'))).toBeNull();
    expect(solve(ascentModel(state, 'best')).route).toBeNull();
  });
});

describe('part-way, the top at working height', () => {
  test('only what holds it there comes off', () => {
    const vehicle = structuredClone(archetypes[0]!);
    vehicle.obstructions = [];
    for (const s of vehicle.supports) Object.assign(s, { off: undefined, on: undefined });
    const [short, ...long] = vehicle.connections;
    const exact = (n: number) => ({ lo: n, typ: n, hi: n });
    short!.slack = exact(100);
    short!.clips = [];
    for (const w of short!.part) Object.assign(w, { reachFrom: exact(30), after: [] });
    for (const c of long) Object.assign(c, { slack: exact(300), clips: [] });
    const write = logWriter('job');
    const state = foldJob(null, [write('opened', { name: 'x', complaint: 'pump', vehicle })])!;
    const route = routePartWay(state, { drop: 150, view: 'typical' })!;
    expect(route.stops.flatMap((s) => s.uses.map((u) => u.thing))).toEqual([
      'support:strap-1',
      'support:strap-2',
      `line:${short!.id}`,
    ]);
    expect(route.stops.at(-1)!.pose).toEqual({ f: 150, r: 150 });
    expect(routePartWay(state, { drop: vehicle.clear + 5, view: 'typical' })).toBeNull();
  });
});
