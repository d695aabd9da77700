import type { TankState } from '../hang/index.ts';
import type { Connection, Obstruction, Way } from '../vehicle/index.ts';
import { r } from '../vehicle/testing.ts';
import { actionsAt } from './actions.ts';
import { beforeDrained } from './gatesBefore.ts';
import { carryingWord, nextStop, planChanged, planDescent, routeModel, stopAt, type View } from './index.ts';
import { at, begin, line, vehicle } from './testing.ts';
import type { Stop } from './types.ts';

/** What comes off at a stop, what holds it, what it needs: small tanks, worked by hand. mm; every margin is 10. */
const HOME = { f: 0, r: 0 };
const level = (mm: number) => ({ f: mm, r: mm });
/** A way anything is reached by, everywhere. */
const way = (id: string, after: string[] = []): Way => ({
  ...line('w', { slack: r(1), reach: r(0) }).part[0]!,
  id,
  after,
});
const thing = (id: string, blocksAt: number | null, after: string[] = []): Obstruction => ({
  id,
  name: id,
  x: 500,
  travelsWithTank: false,
  blocksAt: blocksAt === null ? null : r(blocksAt),
  clear: [way(`${id}-off`, after)],
  restore: [way(`${id}-back`)],
});
const clip = { id: 'clip', name: 'clip', slack: r(500), ways: [way('clip-off')] };
/** Out of a hand's reach wherever the tank hangs, so that it is never parted. */
const far = r(400);
const clipped = (slack: number, more: Partial<Connection> = {}) =>
  line('a', { slack: r(slack), reach: far, more: { clips: [clip], ...more } });
const stateOf = (...args: Parameters<typeof vehicle>) => begin(vehicle(...args)).state;
const keys = (state: TankState, pose = HOME) => actionsAt(state, pose, state.shop).map(({ key }) => key);

describe('a clip or a thing in the way comes off where it would hold the next move, and not before', () => {
  test('from home the next move is 25: 30 less 10 holds it, 40 less 10 does not', () => {
    expect(keys(stateOf([clipped(30)]))).toEqual(['clip:clip']);
    expect(keys(stateOf([clipped(40)]))).toEqual([]);
    expect(keys(stateOf([], [thing('bar', 30)]))).toEqual(['obstruction:bar']);
    expect(keys(stateOf([], [thing('bar', 40)]))).toEqual([]);
  });
  test('a line that is taut already has its clip off, however long it was said to be', () => {
    const state = stateOf([clipped(200)]);
    expect(keys({ ...state, taut: { a: 200 } })).toEqual(['clip:clip']);
  });
  test('of a line somebody said cannot come off here, its clip is left too', () => {
    const state = stateOf([clipped(30)]);
    expect(keys({ ...state, notDone: { 'line:a': { drop: 0 } } } as never)).toEqual([]);
    expect(keys({ ...state, notDone: { 'line:a': { drop: 40 } } } as never)).toEqual(['clip:clip']);
  });
});

test('a clip no hand gets to yet stays on', () => {
  const later = { ...clip, ways: [{ ...way('clip-off'), reachFrom: r(100) }] };
  expect(keys(stateOf([clipped(30, { clips: [later] })]))).toEqual([]);
});

describe('what something waits for comes off first', () => {
  test('of what is in the way before the tank is out; of what it never meets nothing is asked', () => {
    const waits = (blocksAt: number | null) =>
      keys(stateOf([], [thing('liner', null), thing('bar', blocksAt, ['liner'])]));
    expect(waits(250)).toEqual(['obstruction:liner']);
    // The tank is out at 300.
    expect(waits(300)).toEqual([]);
    expect(waits(400)).toEqual([]);
    expect(waits(null)).toEqual([]);
  });
  test('of every line, however much it lets', () => {
    const long = line('a', { slack: r(400), reach: r(0) });
    const state = stateOf([{ ...long, part: [{ ...long.part[0]!, after: ['liner'] }] }], [thing('liner', null)]);
    expect(keys(state)).toEqual(['obstruction:liner', 'line:a']);
  });
});

test('ends are capped of what opens, not of what carries', () => {
  const strap = { id: 's', kind: 'strap' as const, name: 's', x: 500, fastener: 'bolt', off: [way('s-off')] };
  const near = { slack: r(15), reach: r(0) };
  const state = stateOf([
    line('vent', near),
    line('wire', { ...near, more: { kind: 'wiring' as never, wetWhenOpen: false } }),
  ]);
  const own = { ...state, vehicle: { ...state.vehicle, supports: [strap] } } as TankState;
  const caps = Object.fromEntries(actionsAt(own, HOME, own.shop).map(({ key, cap }) => [key, cap]));
  expect(caps).toEqual({ 'line:vent': true, 'line:wire': false, 'support:s': false });
});

describe('where it goes next', () => {
  test('no lower than where the last way of a line that is on ends; a way that ends earlier holds nothing', () => {
    // a is never reached, so there is no whole way down; b lets 150 and is reached for certain from 90.
    const b = line('b', { slack: r(150), reach: r(30, 60, 90) });
    const ways = (ends: readonly number[]) => ends.map((end, i) => ({ ...b.part[0]!, id: `b-${i}`, reachTo: r(end) }));
    const next = (ends: readonly number[]) => {
      const job = begin(vehicle([line('a', { slack: r(200), reach: far }), { ...b, part: ways(ends) }]));
      job.log('stopDone', at(25));
      return nextStop(job.state).pose;
    };
    expect(next([40, 80])).toEqual(level(80));
    expect(next([80, 40])).toEqual(level(80));
    expect(next([40])).toEqual(level(40));
    // Past its end already: what it lets, less 10.
    expect(next([20])).toEqual(level(140));
  });
  test('a tank that hangs askew and has no whole way is levelled first, no end any lower', () => {
    const job = begin(vehicle([line('a', { slack: r(200), reach: far })]));
    job.log('stopDone', { ...at(40), to: { f: 40, r: 20 } });
    expect(nextStop(job.state).pose).toEqual(level(40));
  });
  test('with nothing on it there is one look at 25 before it goes to the ground, higher where the ground is', () => {
    const first = (clear: number) => nextStop(begin({ ...vehicle([]), clear }).state);
    expect([first(300).pose, first(300).kind]).toEqual([level(25), 'stop']);
    expect(first(15).pose).toEqual(level(15));
  });
  test('a support that cannot come off here carries: it stands first among what holds', () => {
    const strap = {
      id: 's',
      kind: 'strap' as const,
      name: 'the strap',
      x: 500,
      fastener: 'bolt',
      off: [way('s-off', ['a'])],
    };
    const file = { ...vehicle([line('a', { slack: r(30), reach: far })]), supports: [strap] };
    const { state } = begin(file);
    const stop = nextStop(state);
    expect(stop.kind).toBe('held');
    expect(planDescent(state)).toMatchObject({ outcome: 'held', stops: [{ kind: 'held' }] });
    expect(planDescent(state).stops).toHaveLength(1);
    expect(stop.holders.map(({ key, limit }) => [key, limit.lo])).toEqual([
      ['support:s', 0],
      ['line:a', 30],
    ]);
  });
  test('part-way what lets the tank to its goal for certain stays on', () => {
    const at50 = (slack: number) => {
      const state = stateOf([line('a', { slack: r(slack), reach: r(0) })]);
      return stopAt({ ...state, goal: 50 }, { pose: HOME, kind: 'start' }).actions.map(({ key }) => key);
    };
    expect(at50(60)).toEqual([]);
    expect(at50(55)).toEqual(['line:a']);
  });
});

test('who carries it when the supports let go: jack, two, people, one', () => {
  const file = vehicle([]);
  const by = (...carriedBy: unknown[]) =>
    carryingWord({ ...file, carriedBy: { by: carriedBy[0], people: carriedBy[1] } } as never);
  expect(by(['jack'], 1)).toBe('the jack just carries');
  expect(by(['two jacks', 'jack'], 2)).toBe('both jacks just carry');
  expect(by(['hands'], 2)).toBe('two people hold it');
  expect(by(['hands'], 1)).toBe('a hand on the tank');
});

describe('the way down as a question', () => {
  const modelOf = (state: TankState, view: View) => routeModel(state, view, state.shop);
  const model = (slack: ReturnType<typeof r>, reach: ReturnType<typeof r>, more: Partial<Connection> = {}) =>
    modelOf(stateOf([line('a', { slack, reach, more: { lookMinutes: 3, ...more } })]), 'look');
  test('where a line may give more than is sure a look is offered, from where it is seen; with it the line lets as likely', () => {
    const { things, limits } = model(r(40, 60, 80), r(20, 30, 50), { visibleFrom: r(10, 15, 20) });
    const look = things.find(({ id }) => id === 'look:a')!;
    expect(look.ways).toEqual([expect.objectContaining({ from: 20, minutes: 3, people: 1, after: [] })]);
    // 60 less 10 with the look; 40 less 10 without, freed by the line or by the look.
    expect(limits.map(({ at: mm, freedBy }) => [mm, freedBy])).toEqual([
      [50, ['line:a']],
      [30, ['line:a', 'look:a']],
    ]);
    const ways = things.find(({ id }) => id === 'line:a')!.ways;
    expect(ways.map(({ from, after }) => [from, after])).toEqual([
      [50, []],
      [30, ['look:a']],
    ]);
  });
  test('a clip that is on is a thing of its own: with it off the line lets more; off already it is none', () => {
    const state = stateOf([line('a', { slack: r(40), reach: r(0), more: { clips: [{ ...clip, slack: r(120) }] } })]);
    const { things, limits } = modelOf(state, 'typical');
    expect(things.map(({ id }) => id)).toEqual(['clip:clip', 'line:a']);
    // 120 less 10 with the clip off, for whom the line alone is enough; 40 less 10 for either.
    expect(limits.map(({ at: mm, freedBy }) => [mm, freedBy])).toEqual([
      [110, ['line:a']],
      [30, ['line:a', 'clip:clip']],
    ]);
    const job = begin(
      vehicle([line('a', { slack: r(40), reach: r(0), more: { clips: [{ ...clip, slack: r(120) }] } })]),
    );
    job.log('stopDone', { ...at(20), off: [{ key: 'clip:clip', way: 'clip-off' }] });
    expect(modelOf(job.state, 'typical').things.map(({ id }) => id)).toEqual(['line:a']);
  });
  test('of what is sure nothing is looked at', () => {
    expect(model(r(40), r(20)).things.map(({ id }) => id)).toEqual(['line:a']);
  });
  test('supports carry at home; lower they have let go, whatever the log says', () => {
    const strap = { id: 's', kind: 'strap' as const, name: 's', x: 500, fastener: 'bolt', off: [way('s-off')] };
    const state = begin({ ...vehicle([line('a', { slack: r(40), reach: r(0) })]), supports: [strap] }).state;
    const must = (pose: TankState['pose']) => modelOf({ ...state, pose }, 'typical').must;
    expect(must(HOME)).toEqual(['line:a', 'support:s']);
    expect(must(level(20))).toEqual(['line:a']);
  });
});

test('a move takes its minutes, standing still none; nothing is watched but in a creep', () => {
  const state = stateOf([line('a', { slack: r(15, 20, 60), reach: far })]);
  const still = stopAt(state, { pose: HOME, kind: 'stop', work: [] });
  const moved = stopAt(state, { pose: level(20), kind: 'stop', work: [] });
  const creep = stopAt(state, { pose: level(20), kind: 'creep' });
  expect(still.minutes.typ).toBe(0);
  expect(moved.minutes.typ).toBeGreaterThan(0);
  expect([still.watch, moved.watch, creep.watch]).toEqual([[], [], ['line:a']]);
  // It may pull on the way there: 15 less 10. In a creep somebody has a hand on it.
  expect([still.risk, moved.risk?.key, creep.risk]).toEqual([null, 'line:a', null]);
});

describe('what is said of a stop at 40', () => {
  const said = (more: Partial<Connection>, { slack = 50, reach = 400, taut = {} } = {}) => {
    const state = { ...stateOf([line('a', { slack: r(slack), reach: r(reach), more })]), taut };
    return stopAt(state, { pose: level(40), kind: 'stop', work: [] });
  };
  test('which line is not seen from there', () => {
    expect(said({ visibleFrom: r(60) }).unseen).toEqual(['line:a']);
    expect(said({ visibleFrom: r(30, 35, 60) }).unseen).toEqual(['line:a']);
    expect(said({ visibleFrom: r(40) }).unseen).toEqual([]);
    expect(said({ visibleFrom: r(0) }).unseen).toEqual([]);
  });
  test('what a line must give so that a hand gets to it before it is tight', () => {
    const needs = (slack: number, reach: number, taut = {}) =>
      said({}, { slack, reach, taut }).needs.map(({ mm }) => mm);
    expect(needs(50, 60)).toEqual([60]);
    // It gives that for certain; a hand is there already; it was seen how much it gives.
    expect(needs(60, 60)).toEqual([]);
    expect(needs(30, 40)).toEqual([]);
    // Heights are on a grid of 5.
    expect(needs(30, 41)).toEqual([45]);
    expect(needs(50, 60, { a: 50 })).toEqual([]);
  });
});

describe('what changed between two plans', () => {
  const holder = (key: string, lo: number) => ({
    key,
    name: key,
    limit: { ...r(lo), basis: { kind: 'measured' as const } },
  });
  const stop = (holders: object[], more: Partial<Stop> = {}) =>
    ({ kind: 'stop', pose: level(40), actions: [], holders, ...more }) as unknown as Stop;
  const words = (before: Stop, after: Stop) => planChanged(before, after, ['front', 'rear']);
  test('the same: nothing; another that holds, or the same one elsewhere: which, and where', () => {
    expect(words(stop([holder('a', 50)]), stop([holder('a', 50)]))).toEqual([]);
    expect(words(stop([]), stop([]))).toEqual([]);
    expect(words(stop([holder('a', 50)]), stop([]))).toEqual([]);
    for (const before of [[holder('a', 50)], [holder('b', 60)], []])
      expect(words(stop(before), stop([holder('b', 50)]))).toHaveLength(1);
  });
  test('nothing lets it go any more is said instead of a height, and only when it is new', () => {
    const held = stop([], { kind: 'held', pose: level(0) });
    expect(words(stop([]), held)).toEqual(['nothing lets it go further: free what holds']);
    expect(words(held, held)).toEqual([]);
    expect(words(stop([]), stop([], { pose: level(30) }))).toHaveLength(1);
  });
  test('what comes off too, and what no longer does', () => {
    const act = (name: string) => ({ name }) as Stop['actions'][number];
    const [one, two] = [stop([], { actions: [act('a'), act('b')] }), stop([], { actions: [act('b'), act('c')] })];
    expect(words(one, two)).toEqual(['now also: c', 'no longer: a']);
  });
});

test('a clip that waits for the tank to be drained waits for gate 2, and so does what waits for it', () => {
  const late = { ...clip, ways: [way('clip-off', ['drained'])] };
  const state = stateOf(
    [line('a', { slack: r(30), reach: far, more: { clips: [late] } })],
    [thing('bar', 20, ['clip'])],
  );
  const action = (key: string, by: string) =>
    ({ key, way: by, type: key.startsWith('clip') ? 'unclip' : 'clear' }) as never;
  const [first, second] = [action('clip:clip', 'clip-off'), action('obstruction:bar', 'bar-off')];
  expect(beforeDrained(state, [second, first])).toEqual([]);
  const free = stateOf([clipped(30)], [thing('bar', 20, ['clip'])]);
  expect(beforeDrained(free, [second, first])).toHaveLength(2);
});

test('of two clips on one line each waits by its own way', () => {
  const two = [clip, { ...clip, id: 'other', name: 'other', ways: [way('other-off', ['drained'])] }];
  const state = stateOf([line('a', { slack: r(30), reach: far, more: { clips: two } })]);
  const off = (id: string) => ({ key: `clip:${id}`, way: `${id}-off`, type: 'unclip' }) as never;
  expect(beforeDrained(state, [off('clip'), off('other')])).toEqual([off('clip')]);
});
