import type { Obstruction, Way } from '../vehicle/index.ts';
import { r } from '../vehicle/testing.ts';
import { actionsAt } from './actions.ts';
import { endByEnd, neckOrders, nextStop } from './index.ts';
import { levelTest } from './testStop.ts';
import { at, begin, line, vehicle } from './testing.ts';

const way = (id: string, after: string[] = []): Way => ({
  ...line('w', { slack: r(1), reach: r(0) }).part[0]!,
  id: `${id}-off`,
  after,
});
/** Something that is in nobody's way, and that others may wait for. */
const aside = (id: string, after: string[] = []): Obstruction => ({
  id,
  name: id,
  x: 500,
  travelsWithTank: false,
  blocksAt: null,
  clear: [way(id, after)],
  restore: [way(`${id}-back`)],
});
const HOME = { f: 0, r: 0 };

describe('one end at a time: the one with further to go is lowered first', () => {
  const way = (from: [number, number], to: [number, number], tilt: number) =>
    endByEnd({ f: from[0], r: from[1] }, { f: to[0], r: to[1] }, tilt).map(({ f, r: second }) => [f, second]);
  test.each<[string, [number, number], [number, number], number, [number, number][]]>([
    [
      'as far to go: the second',
      [0, 0],
      [30, 30],
      30,
      [
        [0, 30],
        [30, 30],
      ],
    ],
    [
      'the second has 40, the first 10',
      [50, 0],
      [60, 40],
      60,
      [
        [50, 40],
        [60, 40],
      ],
    ],
    [
      'the second has 20, the first 40',
      [0, 30],
      [40, 50],
      60,
      [
        [40, 30],
        [40, 50],
      ],
    ],
    [
      'the first has 60, the second 40, 30 of tilt',
      [0, 0],
      [60, 40],
      30,
      [
        [30, 0],
        [30, 40],
        [60, 40],
      ],
    ],
  ])('%s', (_, from, to, tilt, expected) => {
    expect(way(from, to, tilt)).toEqual(expected);
  });
});

describe('at home', () => {
  const strap = (after: string[] = []) => ({
    id: 'strap',
    kind: 'strap' as const,
    name: 'strap',
    x: 500,
    fastener: 'bolt',
    off: [way('strap', after)],
  });
  const keys = (file: Parameters<typeof begin>[0], pose = HOME) => {
    const { state } = begin(file);
    return actionsAt(state, pose, state.shop).map(({ key }) => key);
  };
  const near = { slack: r(15), reach: r(0) };
  test('what a support waits for comes off, and what that waits for, before it', () => {
    const file = { ...vehicle([], [aside('shield', ['liner']), aside('liner')]), supports: [strap(['shield'])] };
    expect(keys(file)).toEqual(['obstruction:liner', 'obstruction:shield', 'support:strap']);
    // In nobody's way, it stays where nothing waits for it.
    expect(keys({ ...vehicle([], [aside('shield', ['liner']), aside('liner')]), supports: [strap()] })).toEqual([
      'support:strap',
    ]);
  });
  test('a support comes off after everything else there, also what had to wait for something', () => {
    const b = line('b', near);
    const file = vehicle([{ ...b, part: [{ ...b.part[0]!, after: ['a'] }] }, line('a', near)]);
    expect(keys({ ...file, supports: [strap()] })).toEqual(['line:a', 'line:b', 'support:strap']);
  });
  test('below home no support is offered', () => {
    expect(keys({ ...vehicle([line('a', near)]), supports: [strap()] }, { f: 10, r: 10 })).not.toContain(
      'support:strap',
    );
  });
});

test('nothing but a little is sure from home: as far as is sure, then a creep', () => {
  const job = begin(vehicle([line('a', { slack: r(15, 20, 60), reach: r(200) })]));
  // 15 less 10.
  expect(nextStop(job.state)).toMatchObject({ kind: 'stop', pose: { f: 5, r: 5 } });
  job.log('stopDone', at(5));
  expect(nextStop(job.state)).toMatchObject({ kind: 'creep', pose: { f: 15, r: 15 } });
});

test('with the tank each joint of the neck is made by its quickest way, wherever that stands in the file', () => {
  const minutes = (list: readonly number[]) => {
    const filler = line('filler', { slack: r(60), reach: r(20), more: { kind: 'filler', x: 800 } });
    const make = list.map((typ, i) => ({ ...filler.make[0]!, id: `filler-${i}`, minutes: r(typ) }));
    const job = begin(vehicle([{ ...filler, make }, line('vent', { slack: r(200), reach: r(0), more: { x: 100 } })]));
    job.log('stopDone', at(40, ['line:filler', 'line:vent']));
    job.log('moved', { to: { f: 300, r: 300 }, why: 'out' });
    return neckOrders(job.state)[1]!.minutes!.typ;
  };
  expect(minutes([4, 12])).toBeCloseTo(minutes([4]), 9);
  expect(minutes([12, 4])).toBeCloseTo(minutes([4]), 9);
  expect(minutes([12])).toBeCloseTo(minutes([4]) + 8, 9);
});

test('the test stop goes by joints on top that go back: one left off, or scrapped, holds nothing', () => {
  const job = begin(vehicle([line('a', { slack: r(90), reach: r(40), more: { visibleFrom: r(60) } })]));
  expect(levelTest(job.state)).toBeNull();
  job.log('stopDone', at(80, ['line:a']));
  expect(levelTest(job.state)).toBe(60);
  for (const state of ['deviation', 'scrapped'] as const)
    expect(levelTest({ ...job.state, items: job.state.items.map((item) => ({ ...item, state })) })).toBeNull();
});
