import { type Entry, foldJob, type JobState, logWriter } from '../job/index.ts';
import { runs } from '../testing/index.ts';
import { randomVehicle, seeded } from '../rehearsal/index.ts';
import { splitKey, type VehicleFile, type Way } from '../vehicle/index.ts';
import { usualArchetypes as archetypes } from '../vehicle/testing.ts';
import { nextStop, nextUp } from './index.ts';

/** Events of the job, which no file can have off. */
const events = new Set(['drained', 'test', 'first-fill']);

/**
 * An independent checker that knows only the rules and the vehicle file: it replays a log with its own arithmetic and
 * says what was wrong. It shares no code with the planner.
 */
class Checker {
  private off = new Set<string>();
  private pose = { f: 0, r: 0 };
  problems: string[] = [];

  constructor(private file: VehicleFile) {}

  private slack(id: string): number {
    const line = this.file.connections.find((c) => c.id === id)!;
    const freed = line.clips.filter((k) => this.off.has(`clip:${k.id}`)).map((k) => k.slack.lo);
    return Math.max(line.slack.lo, ...freed);
  }

  /** Local drop at a place, mm. */
  private local(x: number): number {
    return this.pose.f + ((this.pose.r - this.pose.f) * x) / this.file.length;
  }

  private limits(): { key: string; x: number; lo: number }[] {
    const lines = this.file.connections.map((c) => ({ key: `line:${c.id}`, x: c.x, lo: this.slack(c.id) }));
    const things = this.file.obstructions.flatMap((o) =>
      o.blocksAt ? [{ key: `obstruction:${o.id}`, x: o.x, lo: o.blocksAt.lo }] : [],
    );
    return [...lines, ...things].filter((l) => !this.off.has(l.key));
  }

  down(to: { f: number; r: number }, off: { key: string; way: string | null }[], creep: boolean): void {
    const was = this.pose;
    this.pose = { ...to };
    const deepest = Math.max(to.f, to.r);
    const moved = to.f !== was.f || to.r !== was.r;
    if ([to.f, to.r].some((v) => v % 5 !== 0 || v < 0 || v > this.file.clear))
      this.problems.push(`${deepest} is no pose`);
    if (Math.abs(to.f - to.r) > this.file.tiltLimit) this.problems.push(`tilted by ${Math.abs(to.f - to.r)}`);
    if (was.f === 0 && was.r === 0 && deepest > 25 && this.limits().length > 0)
      this.problems.push(`first stop at ${deepest}`);
    if (creep && deepest - Math.max(was.f, was.r) > 10) this.problems.push(`creep to ${deepest}`);
    if (moved && this.file.supports.some((s) => !this.off.has(`support:${s.id}`)))
      this.problems.push('moved with a support on');
    if (!creep && moved)
      for (const l of this.limits())
        if (this.local(l.x) > l.lo - 10 + 1e-9 && this.local(l.x) > 0)
          this.problems.push(`${Math.round(this.local(l.x))} is within 10 of ${l.key} at ${l.lo}`);
    for (const { key, way } of off) {
      const { kind, id } = splitKey(key);
      const used = this.ways(kind, id, 'down').find((w) => w.id === way);
      if (!used) this.problems.push(`${key} by an unknown way`);
      else {
        const here = this.local(this.place(kind, id));
        if (here < used.reachFrom.hi || here > used.reachTo.lo)
          this.problems.push(`${key} out of reach at ${Math.round(here)}`);
        const first = [...used.after, ...(used.while ?? []).filter((w) => w.is === 'off').map((w) => w.id)];
        if (!first.every((a) => events.has(a) || this.isOff(a))) this.problems.push(`${key} before what it waits for`);
        if ((used.while ?? []).some((w) => w.is === 'on' && this.isOff(w.id)))
          this.problems.push(`${key} after what it needs in place`);
      }
      if (this.off.has(key)) this.problems.push(`${key} off twice`);
      this.off.add(key);
    }
  }

  /** How a thing comes off or goes back. */
  private ways(kind: string, id: string, direction: 'down' | 'up'): readonly Way[] {
    const { connections, obstructions, supports } = this.file;
    const down = direction === 'down';
    if (kind === 'line') return connections.find((c) => c.id === id)![down ? 'part' : 'make'];
    if (kind === 'clip') return connections.flatMap((c) => c.clips).find((k) => k.id === id)!.ways;
    if (kind === 'support') return supports.find((s) => s.id === id)![down ? 'off' : 'on']!;
    return obstructions.find((o) => o.id === id)![down ? 'clear' : 'restore'];
  }

  /** Is the thing of that id, or of a way of that id, off? */
  private isOff(id: string): boolean {
    return [...this.off].some((key) => {
      const [kind, own] = key.split(':') as [string, string];
      return own === id || (['down', 'up'] as const).some((d) => this.ways(kind, own, d).some((w) => w.id === id));
    });
  }

  private place(kind: string, id: string): number {
    const { connections, obstructions, supports } = this.file;
    if (kind === 'obstruction') return obstructions.find((o) => o.id === id)!.x;
    if (kind === 'support') return supports.find((s) => s.id === id)!.x;
    return connections.find((c) => (kind === 'line' ? c.id === id : c.clips.some((k) => k.id === id)))!.x;
  }

  up(to: { f: number; r: number }): void {
    const was = this.limits().map((l) => this.local(l.x));
    this.pose = { ...to };
    if (Math.abs(to.f - to.r) > this.file.tiltLimit) this.problems.push(`tilted by ${Math.abs(to.f - to.r)}`);
    // One end may go lower for a tilt, but nothing that is back on may hang deeper than its figures let at the most.
    this.limits().forEach(({ key, x }, i) => {
      const line = this.file.connections.find((c) => key === `line:${c.id}`);
      if (line && this.local(x) > was[i]! && this.local(x) > line.slack.hi)
        this.problems.push(`${key} pulled going up`);
    });
  }

  make(key: string, sure: boolean, known: number): void {
    if (!this.off.has(key)) this.problems.push(`${key} made but was on`);
    const { kind, id } = splitKey(key);
    if (kind === 'line' && sure) {
      const { x, make } = this.file.connections.find((c) => c.id === id)!;
      const here = this.local(x);
      if (!make.some((w) => here >= w.reachFrom.hi && here <= w.reachTo.lo))
        this.problems.push(`${key} said sure at ${here}, out of reach`);
      if (here > known) this.problems.push(`${key} made at ${here}, lets ${known}`);
    }
    if (kind === 'support' && (this.pose.f !== 0 || this.pose.r !== 0))
      this.problems.push(`${key} back at ${this.pose.f}, not at home`);
    // Of all ways back that reach here one must be free: what it is made after is on, what it needs off is off.
    const free = this.ways(kind, id, 'up').some(
      (w) =>
        w.after.every((a) => events.has(a) || !this.isOff(a)) &&
        (w.while ?? []).every((o) => (o.is === 'off') === this.isOff(o.id)),
    );
    if (!free) this.problems.push(`${key} before what it is made after`);
    this.off.delete(key);
  }

  get open(): number {
    return this.off.size;
  }
}

/** The line at the first end is short and waits for the one at the second end, which no level drop reaches in time. */
function needTilt(file: VehicleFile): void {
  const [first, last] = [file.connections[0]!, file.connections.at(-1)!];
  for (const line of file.connections) for (const way of line.part) way.reachFrom = { lo: 5, typ: 8, hi: 12 };
  Object.assign(first, { x: 0, slack: { lo: 40, typ: 45, hi: 50 }, clips: [] });
  Object.assign(last, { x: file.length, slack: { lo: 90, typ: 95, hi: 120 }, clips: [] });
  for (const way of last.part) Object.assign(way, { reachFrom: { lo: 50, typ: 52, hi: 55 }, after: [] });
  for (const way of first.part) way.after = [last.id];
}

function play(seed: number): { checker: Checker; state: JobState; tilted: number } {
  const rng = seeded(seed);
  const file = randomVehicle(archetypes[seed % archetypes.length]!, rng);
  // Every third has hands that reach early, so that a sure way down exists.
  if (seed % 3 === 0)
    for (const line of file.connections)
      for (const way of line.part) if (way.reachFrom.hi > 0) way.reachFrom = { lo: 5, typ: 8, hi: 12 };
  if (seed % 4 === 1) needTilt(file);
  const checker = new Checker(file);
  const write = logWriter('job');
  let state = foldJob(null, [write('opened', { name: 'x', complaint: 'pump', vehicle: file })])!;
  const log = (...args: Parameters<typeof write>): void => void (state = foldJob(state, [write(...args) as Entry])!);
  let tilted = 0;
  for (let i = 0; i < 120 && !state.out; i++) {
    const stop = nextStop(state);
    if (stop.kind === 'held') break;
    const creep = stop.kind === 'creep';
    checker.down(stop.pose, stop.actions, creep);
    tilted += Number(stop.pose.f !== stop.pose.r);
    const body = {
      to: stop.pose,
      off: stop.actions.map((a) => ({ key: a.key, ...(a.way ? { way: a.way } : {}) })),
      capped: [],
      // Somebody looks and sees nothing: the plan goes on with what the file says.
      look: { asked: true, tight: [], nearly: [], allFist: false, reachable: [], blind: true },
      notDone: [],
    };
    log(creep ? 'crept' : 'stopDone', body);
    // A creep that went well is knowledge the checker does not have; from then on only it counts.
    if (creep) break;
  }
  return { checker, state, tilted };
}

describe('every stop replayed by the rules alone', () => {
  test('down: 400 random vehicles, no rule broken up to the first creep', () => {
    let [out, tilts] = [0, 0];
    for (let seed = 0; seed < runs(400); seed++) {
      const { checker, state, tilted } = play(seed);
      expect({ seed, problems: checker.problems }).toEqual({ seed, problems: [] });
      out += Number(state.out);
      tilts += tilted;
    }
    expect(out).toBeGreaterThan(runs(400) / 4);
    expect(tilts).toBeGreaterThan(runs(400) / 25);
  });

  test('the checker can fail: a stop 10 mm deeper, a line out of reach, a support left on', () => {
    const checker = new Checker(archetypes[0]!);
    checker.down({ f: 15, r: 15 }, [], false);
    checker.down({ f: 25, r: 25 }, [{ key: 'line:vent', way: 'vent-top' }], false);
    expect(checker.problems.join('; ')).toMatch(/support on.*within 10 of line:feed at 15.*vent out of reach/);
  });

  test('up: 200 random vehicles, everything back, nothing said sure that was not', () => {
    for (let seed = 0; seed < runs(200); seed++) {
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
        checker.down(state.pose, [], false);
      }
      for (const s of file.supports) log('cleared', { key: `support:${s.id}` });
      for (const o of file.obstructions)
        if (!o.travelsWithTank) log('cleared', { key: `obstruction:${o.id}`, way: o.clear[0]!.id });
      (checker as unknown as { off: Set<string> }).off = new Set(state.items.map((i) => i.key));
      log('moved', { to: { f: file.clear, r: file.clear }, why: 'out' });
      (checker as unknown as { pose: { f: number; r: number } }).pose = { f: file.clear, r: file.clear };
      for (let i = 0; i < 60 && checker.open > 0; i++) {
        const stop = nextUp(state);
        if (stop.pose.f !== state.pose.f || stop.pose.r !== state.pose.r) {
          checker.up(stop.pose);
          log('moved', { to: stop.pose, why: 'raised' });
        }
        for (const item of stop.items) {
          const { kind, id } = splitKey(item.key);
          checker.make(item.key, item.sure, kind === 'line' ? state.slack[id]!.lo : 0);
          log(kind === 'line' ? 'made' : 'restored', { key: item.key });
        }
        if (stop.kind === 'test' && state.gates[4].passed)
          log('finding', { what: 'test stop', where: 'top of the tank', verdict: 'good', note: 'joints dry' });
        else if (stop.kind === 'test') {
          log('gateItem', { gate: 4, item: 'wiped', answer: 'yes' });
          log('gateItem', { gate: 4, item: 'under', answer: 'yes' });
          log('gateItem', { gate: 4, item: 'battery', answer: 'yes' });
          log('gate', { gate: 4 });
        }
      }
      expect({ seed, problems: checker.problems, open: checker.open }).toEqual({ seed, problems: [], open: 0 });
    }
  });
});
