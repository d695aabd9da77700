import type { Obstruction, Way } from '../vehicle/index.ts';
import { r } from '../vehicle/testing.ts';
import { ascentModel, TEST } from './ascent.ts';
import { neckOrders, nextUp } from './index.ts';
import { levelTest, tested } from './testStop.ts';
import { at, begin, line, vehicle } from './testing.ts';
import { inHandOrder, lineItem, thingItem } from './upItems.ts';

/** By which way things go back, and by when: small tanks, worked by hand. mm */
const way = (id: string, more: Partial<Way> = {}): Way => ({
  ...line('w', { slack: r(1), reach: r(0) }).part[0]!,
  id,
  ...more,
});
const shield = (restore: Way[], clear = [way('shield-off')]): Obstruction => ({
  id: 'shield',
  name: 'shield',
  x: 500,
  travelsWithTank: false,
  blocksAt: null,
  clear,
  restore,
});
/** A tank on the floor of the well, with everything off. */
const lowered = (...args: Parameters<typeof vehicle>) => {
  const job = begin(vehicle(...args));
  const [lines, things = []] = args;
  job.log(
    'stopDone',
    at(
      20,
      lines.map(({ id }) => `line:${id}`),
    ),
  );
  for (const { id, clear } of things) job.log('cleared', { key: `obstruction:${id}`, way: clear[0]!.id });
  job.log('moved', { to: { f: 300, r: 300 }, why: 'out' });
  return job;
};

describe('the way up as a question', () => {
  const two = [
    line('feed', { slack: r(90), reach: r(0), more: { kind: 'feed', side: 'front' } }),
    line('wire', { slack: r(90), reach: r(0), more: { kind: 'wiring' as never, side: 'front' } }),
  ];
  test('what is live, and it alone, is made before the key is turned; later there is no key to wait for', () => {
    const { state } = lowered(two);
    const after = (keyOn: Parameters<typeof ascentModel>[2]) =>
      ascentModel(state, 'surest', keyOn).things.map(({ id, ways }) => [id, ways[0]?.after.includes(TEST)]);
    expect(after('made')).toEqual(
      expect.arrayContaining([
        ['line:feed', true],
        ['line:wire', false],
      ]),
    );
    expect(after('done').filter(([, waits]) => waits)).toEqual([]);
  });
  test('where no pose shows every joint the key is turned anywhere under way, seen from the middle', () => {
    const { state } = lowered(two);
    const test = ascentModel(state, 'surest', 'made').things.find(({ id }) => id === TEST)!;
    expect(test.x).toBe(500);
    expect(test.ways.map(({ from }) => from)).toEqual([5]);
  });
  test('a thing goes back by the way it came off by; by any where there is none of that name', () => {
    const ways = (off: string) => {
      const both = [way('left'), way('right')];
      const { state } = lowered([line('a', { slack: r(90), reach: r(0) })], [shield(both, [way(off)])]);
      return ascentModel(state, 'surest')
        .things.find(({ id }) => id === 'obstruction:shield')!
        .ways.map(({ id }) => id);
    };
    expect(ways('right')).toEqual(['right']);
    expect(ways('left')).toEqual(['left']);
    expect(ways('from-below')).toEqual(['left', 'right']);
  });
});

describe('what lets the tank how far on the way up, and for certain where that can be', () => {
  const limits = (more: Parameters<typeof line>[1], off: string[] = ['line:a', 'clip:clip']) => {
    const job = begin(vehicle([line('a', more)]));
    for (const key of off) job.log('cleared', { key, way: key === 'line:a' ? 'a-top' : 'clip-off' });
    job.log('moved', { to: { f: 300, r: 300 }, why: 'out' });
    return ascentModel(job.state, 'surest').limits.map(({ at: mm, freedBy }) => [mm, freedBy]);
  };
  const clip = (mm: number) => ({ id: 'clip', name: 'clip', slack: r(mm), ways: [way('clip-off')] });
  const held = (slack: number, free: number) => limits({ slack: r(slack), reach: r(0), more: { clips: [clip(free)] } });
  test('with its clip back on a line lets no more than it did with it; one that lets as much without is one limit', () => {
    expect(held(90, 200)).toEqual([
      [200, ['line:a']],
      [90, ['clip:clip', 'line:a']],
    ]);
    expect(held(90, 90)).toEqual([[90, ['line:a']]]);
    expect(limits({ slack: r(90), reach: r(0) }, ['line:a'])).toEqual([[90, ['line:a']]]);
  });
  test('a line is made where it is sure to be reached before it is sure to be taut; else where both are likely', () => {
    const window = (reach: ReturnType<typeof r>, slack: ReturnType<typeof r>) => {
      const { state } = lowered([line('a', { slack, reach })]);
      const model = ascentModel(state, 'surest');
      const [first] = model.things.find(({ id }) => id === 'line:a')!.ways;
      return [first!.from, model.limits[0]!.at];
    };
    expect(window(r(40, 50, 60), r(80, 90, 100))).toEqual([60, 80]);
    // Sure at exactly one height, and at none.
    expect(window(r(40, 50, 80), r(80, 90, 100))).toEqual([80, 80]);
    expect(window(r(40, 50, 85), r(80, 90, 100))).toEqual([50, 90]);
  });
  test('what was in the way and cannot be put back by anybody is no thing of the way up', () => {
    const { state } = lowered([line('a', { slack: r(90), reach: r(0) })], [shield([])]);
    expect(ascentModel(state, 'surest').things.map(({ id }) => id)).toEqual(['line:a']);
  });
});

test('the test stop by levels is where every joint on top is seen for certain, no lower than a line lets for certain', () => {
  const level = (seen: ReturnType<typeof r>, slack: ReturnType<typeof r>) =>
    levelTest(lowered([line('a', { slack, reach: r(0), more: { visibleFrom: seen } })]).state);
  expect(level(r(30, 40, 60), r(90))).toBe(60);
  expect(level(r(30, 40, 60), r(60, 80, 90))).toBe(60);
  // For certain at no height: as likely.
  expect(level(r(30, 40, 65), r(60, 80, 90))).toBe(40);
});

test('the look with the key on is over where the joints can no longer be seen, also as likely; not where they may be', () => {
  const more = { visibleFrom: r(30, 40, 65) };
  const { state } = lowered([line('a', { slack: r(70, 80, 90), reach: r(0), more })]);
  const over = (mm: number, passed: unknown = 'an entry') => {
    const gates = { ...state.gates, 4: { ...state.gates[4], passed } };
    return tested({ ...state, pose: { f: mm, r: mm }, gates } as typeof state);
  };
  // For certain from 65 to 70, as likely from 40 to 80.
  expect(levelTest(state)).toBe(65);
  expect([30, 40, 50, 65, 80, 85].map((mm) => over(mm))).toEqual([true, false, false, false, false, true]);
  // Before the key may be turned, and at home, where nothing more is lost, nothing is over.
  expect([over(30, null), over(0)]).toEqual([false, false]);
});

describe('one item of the way up', () => {
  test('a line: caution and minutes of the way it is made by; of none that is known the usual', () => {
    const a = line('a', { slack: r(90), reach: r(0) });
    const make = [
      way('one', { minutes: r(4), caution: 'the first' }),
      way('two', { minutes: r(12), caution: 'the second' }),
    ];
    const { state } = lowered([{ ...a, make }]);
    const item = state.items.find(({ key }) => key === 'line:a')!;
    const by = (id: string) =>
      lineItem(state, { item, line: { ...a, make }, at: { way: id, by: 0, sure: true, lastChance: false } });
    expect([by('one').hint, by('one').minutes.typ]).toEqual(['the first', 4]);
    expect([by('two').hint, by('two').minutes.typ]).toEqual(['the second', 12]);
    expect(by('three').minutes).toMatchObject({ lo: 1, typ: 3, hi: 8, basis: { kind: 'common practice' } });
  });
  test('what was in the way: as its file says, else the usual minutes', () => {
    const item = (restore: Way[]) =>
      thingItem(lowered([line('a', { slack: r(90), reach: r(0) })], [shield(restore)]).state, {
        key: 'obstruction:shield',
        by: null,
        lastChance: false,
      });
    expect(item([way('back', { minutes: r(7) })]).minutes.typ).toBe(7);
    expect(item([]).minutes).toMatchObject({ lo: 2, typ: 4, hi: 10, basis: { kind: 'common practice' } });
  });
  test('what was in the way goes back by the way that was planned; by its first where none is named', () => {
    const { state } = lowered(
      [line('a', { slack: r(90), reach: r(0) })],
      [shield([way('left', { minutes: r(3) }), way('right', { minutes: r(9), caution: 'mind the rib' })])],
    );
    const by = (id: string | null) => thingItem(state, { key: 'obstruction:shield', by: id, lastChance: false });
    expect([by('right').way, by('right').minutes.typ, by('right').hint]).toEqual(['right', 9, 'mind the rib']);
    expect([by('left').way, by('left').minutes.typ]).toEqual(['left', 3]);
    expect([by(null).way, by('gone').way]).toEqual(['left', 'left']);
  });
  test('hands: supports, lines, clips, what was in the way; what is made after another follows it', () => {
    const file = (after: string[]) => {
      const a = line('a', { slack: r(90), reach: r(0) });
      const b = line('b', { slack: r(90), reach: r(0) });
      const { state } = lowered([{ ...a, make: [{ ...a.make[0]!, after }] }, b], [shield([way('back')])]);
      const item = (key: string, by: string) => ({ key, way: by }) as never;
      const items = [item('obstruction:shield', 'back'), item('line:a', 'a-top'), item('line:b', 'b-top')];
      return inHandOrder(state, items).map(({ key }) => key);
    };
    expect(file([])).toEqual(['line:a', 'line:b', 'obstruction:shield']);
    expect(file(['shield'])).toEqual(['line:b', 'obstruction:shield', 'line:a']);
    expect(file(['b'])).toEqual(['line:b', 'line:a', 'obstruction:shield']);
  });
  test('hands: what waits goes by the way that is used; by the first where none of that name is known', () => {
    const order = (by: string | null, [first, second]: [string[], string[]]) => {
      const a = line('a', { slack: r(90), reach: r(0) });
      const make = [
        { ...a.make[0]!, id: 'top', after: first },
        { ...a.make[0]!, id: 'side', after: second },
      ];
      const { state } = lowered([{ ...a, make }], [shield([way('back')])]);
      const item = (key: string, how: string | null) => ({ key, way: how }) as never;
      return inHandOrder(state, [item('line:a', by), item('obstruction:shield', 'back')]).map(({ key }) => key)[0];
    };
    expect(order('top', [['shield'], []])).toBe('obstruction:shield');
    expect(order('side', [['shield'], []])).toBe('line:a');
    expect(order('side', [[], ['shield']])).toBe('obstruction:shield');
    expect(order(null, [['shield'], []])).toBe('obstruction:shield');
    expect(order('gone', [[], ['shield']])).toBe('line:a');
  });
  test('what no hand reaches once the tank is higher has its last chance here', () => {
    const last = (from: number) => {
      // Nothing of it is live: the key is turned at home, not between.
      const job = lowered(
        [line('a', { slack: r(90), reach: r(60), more: { kind: 'wiring' as never, side: 'front' } })],
        [shield([way('back', { reachFrom: r(from), after: [] })])],
      );
      return nextUp(job.state).items.map(({ key, lastChance }) => [key, lastChance]);
    };
    expect(last(50)).toContainEqual(['obstruction:shield', true]);
    expect(last(0)).not.toContainEqual(['obstruction:shield', true]);
  });
});

test('beside the neck: each line at the height where it is made, the lowest first', () => {
  // The deep one is reached from 120 on; the other lets no more than 90.
  const job = lowered([
    line('filler', { slack: r(60), reach: r(20), more: { kind: 'filler', x: 800 } }),
    line('deep', { slack: r(250), reach: r(120), more: { x: 700 } }),
    line('short', { slack: r(90), reach: r(30), more: { x: 700 } }),
    line('elsewhere', { slack: r(90), reach: r(30), more: { x: 100 } }),
  ]);
  const [onVehicle, withTank] = neckOrders(job.state);
  expect(onVehicle!.stops).toBeGreaterThanOrEqual(2);
  expect(withTank!.beside.map(({ name }) => name)).toEqual(['deep', 'short']);
  const [deep, short] = withTank!.beside.map(({ at: mm }) => mm);
  expect(deep).toBeGreaterThanOrEqual(120);
  expect(short).toBeGreaterThanOrEqual(30);
  expect(short).toBeLessThanOrEqual(90);
});
