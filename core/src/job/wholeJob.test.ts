import { nextStop, nextUp } from '../stops/index.ts';
import { archetypes, splitKey } from '../vehicle/index.ts';
import { seeded, truthInside } from '../rehearsal/index.ts';
import { answer } from '../rehearsal/index.ts';
import {
  type Bodies,
  chords,
  completed,
  type EntryKind,
  foldJob,
  type JobState,
  logWriter,
  owed,
  refusalOf,
  stationNow,
} from './index.ts';

/** Takes a whole job through the log by what the core says, under a vehicle with hidden truth. */
function work(seed: number) {
  const rng = seeded(seed);
  const vehicle = archetypes[seed % archetypes.length]!;
  const truth = truthInside(vehicle, rng);
  const write = logWriter('job');
  let state = foldJob(null, [write('opened', { name: 'Van', complaint: 'pump', vehicle, gauge: 0.1 })])!;
  const log = <K extends EntryKind>(kind: K, body: Bodies[K]) => void (state = foldJob(state, [write(kind, body)])!);
  const say = (gate: 1 | 2 | 3 | 4, answers: Record<string, string>) => {
    for (const [item, value] of Object.entries(answers)) log('gateItem', { gate, item, answer: value });
    log('gate', { gate });
  };
  log('complaintTest', { test: 'volts', result: 'shown' });
  log('pressure', { reading: 2 });
  say(1, { air: 'yes', heat: 'yes', support: 'yes', hands: 'yes' });
  log('container', { number: 1, capacity: 20, litres: 9, clean: true });
  log('fuelWitness', { witness: 'plugDry' });
  log('fuelWitness', { witness: 'dip', reading: 0 });
  say(2, { battery: 'yes', jack: 'yes', helper: 'here' });
  let at = { f: 0, r: 0 };
  for (let i = 0; i < 80 && !state.out; i++) {
    const stop = nextStop(state);
    if (stop.kind === 'held') {
      log('surprise', { what: 'freed', key: stop.holders[0]!.key, more: 100 });
      truth.slack[splitKey(stop.holders[0]!.key).id] = Math.max(at.f, at.r) + 120;
      continue;
    }
    const seen = answer(truth, { state, stop, at, rng });
    at = seen.reached;
    const stopped = Math.floor(at.f / 5) * 5;
    const to = stop.kind === 'creep' && seen.taut ? { f: stopped, r: stopped } : stop.pose;
    const body = {
      to,
      off: stop.actions.map((a, k) => ({ key: a.key, tag: i * 10 + k + 1, ...(a.way ? { way: a.way } : {}) })),
      capped: [],
      look: { asked: true, tight: seen.tight, nearly: seen.nearly, allFist: false, reachable: seen.reachable },
      notDone: [],
    };
    log(
      stop.kind === 'creep' ? 'crept' : 'stopDone',
      stop.kind === 'creep' && seen.taut ? { ...body, taut: `line:${seen.taut}` } : body,
    );
  }
  const down: JobState = state;
  say(3, { tests: 'passed', seal: 'new' });
  for (let i = 0; i < 80; i++) {
    const stop = nextUp(state);
    if (stop.pose.f !== state.pose.f || stop.pose.r !== state.pose.r) log('moved', { to: stop.pose, why: 'raised' });
    for (const item of stop.items) log(splitKey(item.key).kind === 'line' ? 'made' : 'restored', { key: item.key });
    if (stop.kind === 'test' && !state.gates[4].passed) say(4, { wiped: 'yes', battery: 'yes', under: 'yes' });
    else if (stop.kind === 'test')
      log('finding', { what: 'test stop', where: 'top of the tank', verdict: 'good', note: 'joints dry' });
    if (stop.kind === 'home') break;
  }
  return {
    down,
    log,
    get state() {
      return state;
    },
    sign: () => write('signed', {}),
  };
}

describe('a whole job by what the core says', () => {
  test.each([0, 1, 2, 3, 4, 5, 6, 7, 8])(
    'vehicle %d comes down, goes back, and is signed only at the very end',
    (seed) => {
      const job = work(seed);
      expect(job.down.out).toBe(true);
      expect(job.down.pulls).toEqual([]);
      expect(chords(job.down).filter((c) => c.open)).toHaveLength(job.down.vehicle.connections.length);
      expect(stationNow(job.down)).toBe('bench');
      expect(job.state.pose).toEqual({ f: 0, r: 0 });
      expect(job.state.items.every((i) => i.state === 'closed')).toBe(true);
      expect(stationNow(job.state)).toBe('prove');
      const left = () => owed(job.state).map((d) => d.key);
      expect(left()).toEqual(
        expect.arrayContaining([
          `torque:${job.state.vehicle.supports[0]!.id}`,
          'joint:line:feed',
          'fill',
          'complaint',
          'identity',
        ]),
      );
      for (const s of job.state.vehicle.supports)
        job.log('torque', { key: `support:${s.id}`, asWritten: '40 N·m', lo: 40, hi: 40 });
      for (const c of job.state.vehicle.connections)
        job.log('jointSeen', { key: `line:${c.id}`, seen: 'dry', checks: ['wiped', 'wet'] });
      job.log('fill', { litres: 9, from: 'cans' });
      job.log('complaintAgain', { result: 'passed' });
      expect(refusalOf(job.state, job.sign())?.owed.map((d) => d.key)).toEqual(['identity']);
      job.log('identity', { plate: 'IS 204', mileage: 48210, unit: 'km' });
      expect(left()).toEqual([]);
      job.log('signed', {});
      expect(job.state.signed).not.toBeNull();
    },
  );
});

describe('straps off a second time', () => {
  test.each([0, 1, 2])('vehicle %d owes all of it anew: nothing confirmed for the first descent answers', (seed) => {
    const job = work(seed);
    const all = (): string[] =>
      owed(job.state)
        .map((d) => d.key)
        .sort();
    const first = all();
    for (const s of job.state.vehicle.supports)
      job.log('torque', { key: `support:${s.id}`, asWritten: '40 N·m', lo: 40, hi: 40 });
    for (const c of job.state.vehicle.connections)
      job.log('jointSeen', { key: `line:${c.id}`, seen: 'dry', checks: ['wiped', 'wet'] });
    job.log('fill', { litres: 9, from: 'cans' });
    job.log('complaintAgain', { result: 'passed' });
    job.log('identity', { plate: 'IS 204', mileage: 48210, unit: 'km' });
    expect(all()).toEqual([]);
    // Everything off and on again, confirming nothing.
    const { vehicle } = job.state;
    const things = [
      ...vehicle.supports.map((s) => `support:${s.id}`),
      ...vehicle.connections.map((c) => `line:${c.id}`),
    ];
    things.forEach((key, i) => job.log('cleared', { key, tag: i + 1 }));
    job.log('moved', { to: { f: vehicle.clear, r: vehicle.clear }, why: 'lowered' });
    job.log('moved', { to: { f: 0, r: 0 }, why: 'raised' });
    for (const key of things)
      job.log(splitKey(key).kind === 'line' ? 'made' : 'restored', completed(job.state, 'made', { key }) as never);
    job.log('keyOn', { where: 'home', primed: 'pump' });
    const second = all();
    // Not asked anew: what belongs to the job and not to a descent.
    const once = ['identity', 'fill', 'cans'];
    for (const key of first.filter((k) => !once.includes(k))) expect(second).toContain(key);
    for (const gate of [2, 4]) expect(second).toContain(`gate:${gate}`);
  });
});
