import { foldJob, splitKey, type Entry, type JobState } from '../job/index.ts';
import { logWriter, randomVehicle, seeded } from '../rehearsal/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { nextStop, nextUp } from './index.ts';

/**
 * An independent checker that knows only the rules and the vehicle file: it replays a log with its own arithmetic and
 * says what was wrong. It shares no code with the planner.
 */
class Checker {
  private off = new Set<string>();
  private drop = 0;
  problems: string[] = [];

  constructor(private file: VehicleFile) {}

  private slack(id: string): number {
    const line = this.file.connections.find((c) => c.id === id)!;
    const freed = line.clips.filter((k) => this.off.has(`clip:${k.id}`)).map((k) => k.slack.lo);
    return Math.max(line.slack.lo, ...freed);
  }

  private limits(): { key: string; lo: number }[] {
    const lines = this.file.connections.map((c) => ({ key: `line:${c.id}`, lo: this.slack(c.id) }));
    const things = this.file.obstructions.flatMap((o) =>
      o.blocksAt ? [{ key: `obstruction:${o.id}`, lo: o.blocksAt.lo }] : [],
    );
    return [...lines, ...things].filter((l) => !this.off.has(l.key));
  }

  down(to: number, off: { key: string; way: string | null }[], creep: boolean): void {
    const moved = to - this.drop;
    if (moved < 0) this.problems.push(`went up to ${to}`);
    if (to % 5 !== 0 || to > this.file.clear) this.problems.push(`${to} is no pose`);
    if (this.drop === 0 && moved > 25 && this.limits().length > 0) this.problems.push(`first stop at ${to}`);
    if (creep && moved > 10) this.problems.push(`creep of ${moved}`);
    if (moved > 0 && this.file.supports.some((s) => !this.off.has(`support:${s.id}`)))
      this.problems.push('moved with a support on');
    if (!creep && moved > 0)
      for (const l of this.limits())
        if (to > l.lo - 10 && to > 0) this.problems.push(`${to} is within 10 of ${l.key} at ${l.lo}`);
    this.drop = to;
    for (const { key, way } of off) {
      const { kind, id } = splitKey(key);
      const ways =
        kind === 'line'
          ? this.file.connections.find((c) => c.id === id)!.part
          : kind === 'clip'
            ? this.file.connections.flatMap((c) => c.clips).find((k) => k.id === id)!.ways
            : kind === 'obstruction'
              ? this.file.obstructions.find((o) => o.id === id)!.clear
              : [];
      const used = ways.find((w) => w.id === way);
      if (kind !== 'support') {
        if (!used) this.problems.push(`${key} by an unknown way`);
        else {
          if (to < used.reachFrom.hi || to > used.reachTo.lo) this.problems.push(`${key} out of reach at ${to}`);
          if (!used.after.every((a) => [...this.off].some((k) => k.endsWith(`:${a}`))))
            this.problems.push(`${key} before what it waits for`);
        }
      }
      if (this.off.has(key)) this.problems.push(`${key} off twice`);
      this.off.add(key);
    }
  }

  up(to: number): void {
    if (to > this.drop) this.problems.push(`went down to ${to} on the way up`);
    this.drop = to;
  }

  make(key: string, sure: boolean, known: number): void {
    if (!this.off.has(key)) this.problems.push(`${key} made but was on`);
    const { kind, id } = splitKey(key);
    if (kind === 'line' && sure) {
      const way = this.file.connections.find((c) => c.id === id)!.make;
      if (!way.some((w) => this.drop >= w.reachFrom.hi && this.drop <= w.reachTo.lo))
        this.problems.push(`${key} said sure at ${this.drop}, out of reach`);
      if (this.drop > known) this.problems.push(`${key} made at ${this.drop}, lets ${known}`);
    }
    if (kind !== 'line' && this.drop !== 0) this.problems.push(`${key} back at ${this.drop}, not at home`);
    this.off.delete(key);
  }

  get open(): number {
    return this.off.size;
  }
}

function play(seed: number): { checker: Checker; state: JobState; creeps: number } {
  const rng = seeded(seed);
  const file = randomVehicle(archetypes[seed % archetypes.length]!, rng);
  // Every third has hands that reach early, so that a sure way down exists.
  if (seed % 3 === 0)
    for (const line of file.connections)
      for (const way of line.part) if (way.reachFrom.hi > 0) way.reachFrom = { lo: 5, typ: 8, hi: 12 };
  const checker = new Checker(file);
  const write = logWriter('job');
  let state = foldJob(null, [write('opened', { name: 'x', complaint: 'pump', vehicle: file })])!;
  const log = (...args: Parameters<typeof write>): void => void (state = foldJob(state, [write(...args) as Entry])!);
  let creeps = 0;
  for (let i = 0; i < 120 && !state.out; i++) {
    const stop = nextStop(state);
    if (stop.kind === 'held') break;
    const creep = stop.kind === 'creep';
    creeps += Number(creep);
    checker.down(stop.pose.f, stop.actions, creep);
    const body = {
      to: stop.pose,
      off: stop.actions.map((a) => ({ key: a.key, ...(a.way ? { way: a.way } : {}) })),
      capped: [],
      look: { asked: false, tight: [], nearly: [], allFist: false, reachable: [] },
      notDone: [],
    };
    log(creep ? 'crept' : 'stopDone', body);
    // A creep that went well is knowledge the checker does not have; from then on only it counts.
    if (creep) break;
  }
  return { checker, state, creeps };
}

describe('every stop replayed by the rules alone', () => {
  test('down: 400 random vehicles, no rule broken up to the first creep', () => {
    let out = 0;
    for (let seed = 0; seed < 400; seed++) {
      const { checker, state } = play(seed);
      expect({ seed, problems: checker.problems }).toEqual({ seed, problems: [] });
      out += Number(state.out);
    }
    expect(out).toBeGreaterThan(100);
  });

  test('the checker can fail: a stop 10 mm deeper, a line out of reach, a support left on', () => {
    const checker = new Checker(archetypes[0]!);
    checker.down(15, [], false);
    checker.down(25, [{ key: 'line:vent', way: 'vent-top' }], false);
    expect(checker.problems.join('; ')).toMatch(/support on.*within 10 of line:feed at 20.*vent out of reach/);
  });

  test('up: 200 random vehicles, everything back, nothing said sure that was not', () => {
    for (let seed = 0; seed < 200; seed++) {
      const rng = seeded(seed);
      const file = randomVehicle(archetypes[seed % archetypes.length]!, rng);
      const checker = new Checker(file);
      const write = logWriter('job');
      let state = foldJob(null, [write('opened', { name: 'x', complaint: 'pump', vehicle: file })])!;
      const log = (...args: Parameters<typeof write>): void =>
        void (state = foldJob(state, [write(...args) as Entry])!);
      // Whatever way it came down: each line at some drop within its slack.
      const at = (id: string) => Math.floor((file.connections.find((c) => c.id === id)!.slack.lo * rng()) / 5) * 5;
      for (const line of [...file.connections].sort((a, b) => at(a.id) - at(b.id))) {
        const way = line.part[Math.floor(rng() * line.part.length)]!.id;
        log('stopDone', {
          to: state.pose,
          off: [{ key: `line:${line.id}`, way }],
          capped: [],
          look: { asked: false, tight: [], nearly: [], allFist: false, reachable: [] },
          notDone: [],
        });
        checker.down(state.pose.f, [], false);
      }
      for (const s of file.supports) log('cleared', { key: `support:${s.id}` });
      (checker as unknown as { off: Set<string> }).off = new Set(state.items.map((i) => i.key));
      log('moved', { to: { f: file.clear, r: file.clear }, why: 'out' });
      (checker as unknown as { drop: number }).drop = file.clear;
      for (let i = 0; i < 60 && checker.open > 0; i++) {
        const stop = nextUp(state);
        if (stop.pose.f !== state.pose.f) {
          checker.up(stop.pose.f);
          log('moved', { to: stop.pose, why: 'raised' });
        }
        for (const item of stop.items) {
          const { kind, id } = splitKey(item.key);
          checker.make(item.key, item.sure, kind === 'line' ? state.slack[id]!.lo : 0);
          log(kind === 'line' ? 'made' : 'restored', { key: item.key });
        }
        if (stop.kind === 'test') {
          log('gateItem', { gate: 4, item: 'wiped', answer: 'yes' });
          log('gateItem', { gate: 4, item: 'battery', answer: 'yes' });
          log('gate', { gate: 4 });
        }
      }
      expect({ seed, problems: checker.problems, open: checker.open }).toEqual({ seed, problems: [], open: 0 });
    }
  });
});
