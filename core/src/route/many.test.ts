import { InputError } from '../errors/index.ts';
import { solve, type RouteModel, type RouteThing, type RouteWay } from './index.ts';

const way = (id: string, from: number, more: Partial<RouteWay> = {}): RouteWay => ({
  id,
  from,
  to: 9999,
  minutes: 1,
  people: 1,
  after: [],
  ...more,
});
const thing = (id: string, one: RouteWay): RouteThing => ({ id, x: 500, ways: [one] });
const model = (things: RouteThing[], more: Partial<RouteModel> = {}): RouteModel => ({
  length: 1000,
  clear: 200,
  tilt: { second: 0, first: 0 },
  start: { f: 0, r: 0 },
  goal: { f: 200, r: 200 },
  must: things.map(({ id }) => id),
  things,
  limits: [],
  moveMinutes: 2,
  tiltMinutes: 1,
  helperMinutes: 5,
  ...more,
});
/** More things than fit into one word of bits, each done at home. */
const forty = (change: (id: string) => Partial<RouteWay> & { from?: number } = () => ({})) =>
  Array.from({ length: 40 }, (_, i) => {
    const id = `t${String(i).padStart(2, '0')}`;
    const { from = 0, ...more } = change(id);
    return thing(id, way(`${id}-way`, from, more));
  });

describe('more things than fit into one word of bits', () => {
  test('all of them are done at home, then one move', () => {
    expect(solve(model(forty())).route).toMatchObject({ minutes: 40 + 2, moves: 1 });
  });
  test('what can only be done while another is still on takes a move back up for that one: in either half', () => {
    for (const [late, early] of [
      ['t00', 't35'],
      ['t35', 't00'],
      ['t38', 't39'],
    ] as const) {
      // The one is reached from 60 on, with the other still on; the other’s reach ends at 20.
      const things = forty((id) => (id === late ? { from: 60, before: [early] } : id === early ? { to: 20 } : {}));
      expect(solve(model(things)).route).toMatchObject({ minutes: 40 + 3 * 2, moves: 3 });
      const free = forty((id) => (id === late ? { from: 60 } : id === early ? { to: 20 } : {}));
      expect(solve(model(free)).route).toMatchObject({ minutes: 40 + 2, moves: 1 });
    }
  });
  test('what waits for another is done after it: in either half', () => {
    for (const [first, then] of [
      ['t39', 't00'],
      ['t00', 't39'],
    ] as const) {
      const things = forty((id) => (id === then ? { after: [first] } : id === first ? { from: 60 } : {}));
      const { route } = solve(model(things));
      const at = (id: string) => route!.stops.findIndex(({ uses }) => uses.some((use) => use.thing === id));
      expect([at(first), at(then)]).toEqual([1, 1]);
    }
  });
});

describe('where it is already', () => {
  const here = { start: { f: 0, r: 0 }, goal: { f: 0, r: 0 } };
  test('what is reached there is done, and nothing moves', () => {
    expect(solve(model([thing('a', way('a-way', 0))], here)).route).toMatchObject({ minutes: 1, moves: 0 });
    expect(solve(model([], here)).route).toMatchObject({ minutes: 0, moves: 0 });
  });
  test('what is reached lower takes a move there and one back', () => {
    expect(solve(model([thing('a', way('a-way', 60))], here)).route).toMatchObject({ minutes: 1 + 4, moves: 2 });
  });
});

test('minutes: six hundred are believed, more and less than none are not', () => {
  const of = (minutes: number) => () => solve(model([thing('a', way('a-way', 0, { minutes }))]));
  expect(of(600)().route).toMatchObject({ minutes: 602 });
  expect(of(0)().route).toMatchObject({ minutes: 2 });
  for (const minutes of [600.01, -0.01, NaN, Infinity]) expect(of(minutes)).toThrow(InputError);
});
