import fc from 'fast-check';
import { runs } from '../testing/index.ts';
import { seeded } from '../truth/index.ts';
import { isAbove } from '../pose/index.ts';
import { solve, Stopped, type RouteModel, type RouteThing } from './index.ts';
import { checkRoute } from './testing/checkRoute.ts';
import { randomModel } from './testing/randomModel.ts';

const way = (id: string, from: number, to: number, minutes: number, after: string[] = []) => ({
  id,
  from,
  to,
  minutes,
  people: 1,
  after,
});
const thing = (id: string, x: number, ...ways: RouteThing['ways']): RouteThing => ({ id, x, ways });
const base: RouteModel = {
  length: 1000,
  clear: 200,
  tilt: { second: 0, first: 0 },
  start: { f: 0, r: 0 },
  goal: { f: 200, r: 200 },
  must: ['feed', 'vent'],
  things: [thing('feed', 200, way('top', 30, 9999, 3)), thing('vent', 800, way('end', 60, 9999, 2))],
  limits: [
    { x: 200, at: 40, freedBy: ['feed'] },
    { x: 800, at: 90, freedBy: ['vent'] },
  ],
  moveMinutes: 2,
  tiltMinutes: 1,
  helperMinutes: 5,
};

describe('a case small enough for a pencil', () => {
  test('feed between 30 and 40, vent between 60 and 90: two stops, then down; 3 moves and 5 minutes of hands', () => {
    const { route } = solve(base);
    expect(route).toEqual({
      stops: [
        { pose: { f: 0, r: 0 }, uses: [] },
        { pose: { f: 30, r: 30 }, uses: [{ thing: 'feed', way: 'top' }] },
        { pose: { f: 60, r: 60 }, uses: [{ thing: 'vent', way: 'end' }] },
        { pose: { f: 200, r: 200 }, uses: [] },
      ],
      minutes: 11,
      moves: 3,
      twoPersonMinutes: 0,
    });
  });

  test('tilted, both are in reach at once: at the vent 60, at the feed no more than 40', () => {
    // From feed to vent is 600 mm of 1000: 20 mm lower there takes a tilt of 34; 35 fits between no two poses of the grid, 40 does.
    const { route } = solve({ ...base, tilt: { second: 40, first: 0 }, moveMinutes: 4, tiltMinutes: 0.5 });
    expect(route!.moves).toBe(2);
    expect(route!.minutes).toBe(4 * 2 + 0.5 * 2 + 5);
    const { f, r } = route!.stops[1]!.pose;
    expect(r - f).toBe(40);
    expect(f + 0.2 * 40).toBeLessThanOrEqual(40);
    expect(f + 0.8 * 40).toBeGreaterThanOrEqual(60);
  });

  test.each([
    [0.5, 10, 2],
    [1, 11, 2],
    [2, 11, 3],
  ])('the guide’s pencil case: tilting for %d min takes %d min and %d moves', (tiltMinutes, minutes, moves) => {
    expect(solve({ ...base, tilt: { second: 40, first: 0 }, tiltMinutes }).route).toMatchObject({ minutes, moves });
  });

  test('a vent that cannot be reached before the feed is tight and waits for it the other way round has no way', () => {
    const circle = { ...base, things: [thing('feed', 200, way('top', 30, 9999, 3, ['vent'])), base.things[1]!] };
    expect(solve(circle).route).toBeNull();
  });

  test('part-way with the top at working height: only what holds it there comes off', () => {
    const { route } = solve({ ...base, must: [], goal: { f: 80, r: 80 } });
    expect(route!.stops.flatMap((s) => s.uses.map((u) => u.thing))).toEqual(['feed']);
    expect(route!.minutes).toBe(2 + 2 + 3);
  });

  test('a dearer way at a stop that is made anyway beats a cheap one that costs a stop', () => {
    const two = {
      ...base,
      things: [
        thing('feed', 200, way('top', 30, 9999, 3)),
        thing('vent', 800, way('end', 60, 9999, 2), way('far', 30, 9999, 3.5)),
      ],
    };
    const { route } = solve(two);
    expect(route!.stops[1]!.uses).toEqual([
      { thing: 'feed', way: 'top' },
      { thing: 'vent', way: 'far' },
    ]);
    expect(route!.minutes).toBe(2 * 2 + 3 + 3.5);
  });
});

describe('what makes a search explode', () => {
  /** Twelve lines, each in reach at a height of its own: 2¹² orders in which some are off, all alike. */
  const equal = (): RouteModel => {
    const ids = Array.from({ length: 12 }, (_, i) => `l${String(i).padStart(2, '0')}`);
    return {
      ...base,
      clear: 600,
      goal: { f: 600, r: 600 },
      must: ids,
      things: ids.map((id, i) => thing(id, 500, way('top', 10 + i * 20, 20 + i * 20, 3))),
      limits: [],
    };
  };

  test('orders that cost the same are not all gone through', () => {
    const { route, looked } = solve(equal());
    // Twelve stops and the way to the ground, two minutes each, twelve hands of three.
    expect(route).toMatchObject({ moves: 13, minutes: 13 * 2 + 12 * 3 });
    expect(looked).toBeLessThan(2 ** 8);
    // Of equals the nearest first: it goes down, and never up again for nothing.
    const drops = route!.stops.map((s) => s.pose.f);
    expect(drops).toEqual([...drops].sort((a, b) => a - b));
  });

  test('ten lines that are only let further once they were looked at: a look that must be made is no branch', () => {
    const ids = Array.from({ length: 10 }, (_, i) => `l${i}`);
    const lo = (i: number) => 20 + ((i * 37) % 100);
    const model: RouteModel = {
      ...base,
      clear: 400,
      goal: { f: 400, r: 400 },
      must: ids,
      things: ids.flatMap((id, i) => [
        thing(`look:${id}`, i * 100, way('look', Math.max(5, lo(i) - 15), 9999, 1)),
        thing(id, i * 100, way('top', lo(i) + 15, 9999, 3)),
      ]),
      limits: ids.flatMap((id, i) => [
        { x: i * 100, at: lo(i), freedBy: [id, `look:${id}`] },
        { x: i * 100, at: lo(i) + 40, freedBy: [id] },
      ]),
    };
    const { route, looked } = solve(model);
    // Every hand begins below what its line lets unseen, so all ten looks are on the way.
    expect(route!.stops.flatMap((s) => s.uses).filter((u) => u.thing.startsWith('look:'))).toHaveLength(10);
    expect(looked).toBeLessThan(500);
  });

  test('where the only hand that begins below its ceiling stands there already, it may be used', () => {
    const hung = {
      ...base,
      start: { f: 45, r: 45 },
      must: ['feed'],
      things: [thing('feed', 200, way('top', 42, 50, 3))],
    };
    const { route } = solve({ ...hung, limits: [{ x: 200, at: 40, freedBy: ['feed'] }] });
    expect(route!.stops[0]!.uses).toEqual([{ thing: 'feed', way: 'top' }]);
  });
});

describe('the rules', () => {
  test('between two allowed poses every pose of the straight line is allowed', () => {
    const drop = fc.integer({ min: 0, max: 120 }).map((n) => n * 5);
    const limit = fc.record({ x: fc.integer({ min: 0, max: 1000 }), at: fc.integer({ min: 0, max: 600 }) });
    fc.assert(
      fc.property(
        drop,
        drop,
        drop,
        drop,
        fc.array(limit, { maxLength: 8 }),
        fc.integer({ min: 0, max: 8 }),
        (f1, r1, f2, r2, limits, eighth) => {
          const allowed = (f: number, r: number) =>
            limits.every((l) => isAbove({ f, r }, { x: l.x, at: l.at, length: 1000 }));
          fc.pre(allowed(f1, r1) && allowed(f2, r2));
          const s = eighth / 8;
          return allowed(f1 + (f2 - f1) * s, r1 + (r2 - r1) * s);
        },
      ),
      { numRuns: runs(5000) },
    );
  });

  test('the order of the file never matters, and every route keeps the rules', () => {
    for (let seed = 0; seed < runs(60); seed++) {
      const model = randomModel(seeded(seed), {
        lines: 6,
        ways: 3,
        obstructions: 2,
        clearWays: 2,
        clear: 200,
        tilt: 30,
        clips: 0.3,
        window: null,
        direction: seed % 2 ? 'up' : 'down',
        middle: false,
      });
      const { route } = solve(model);
      const turned = {
        ...model,
        things: [...model.things].reverse().map((t) => ({ ...t, ways: [...t.ways].reverse() })),
        limits: [...model.limits].reverse(),
      };
      expect(solve(turned).route).toEqual(route);
      if (route) expect(checkRoute(model, route)).toEqual([]);
    }
  });

  test('the checker can fail: a stop too deep, a hand too short, minutes too few', () => {
    const { route } = solve(base);
    const deeper = {
      ...route!,
      minutes: 9,
      stops: route!.stops.map((s, i) => (i === 1 ? { ...s, pose: { f: 45, r: 45 } } : s)),
    };
    expect(checkRoute(base, deeper).join('; ')).toMatch(/ceiling of feed is broken.*11 minutes, said 9/);
    const higher = { ...route!, stops: route!.stops.map((s, i) => (i === 1 ? { ...s, pose: { f: 25, r: 25 } } : s)) };
    expect(checkRoute(base, higher)).toContain('feed is out of reach at 25, 25');
  });
});

describe('bad input', () => {
  test.each<[string, Partial<RouteModel>, RegExp]>([
    ['a pose off the grid', { start: { f: 3, r: 0 } }, /start: expected drops on the 5 mm grid/],
    ['a floor off the grid', { clear: 203 }, /clear: expected a multiple of 5/],
    ['an unknown thing', { must: ['evap'] }, /must: expected the id of a thing in this model, found “evap”/],
    ['one id twice', { things: [...base.things, base.things[0]!] }, /ids used only once/],
    ['minutes below zero', { moveMinutes: -1 }, /moveMinutes: expected 0 to 600 minutes/],
  ])('%s', (_, more, words) => {
    expect(() => solve({ ...base, ...more })).toThrow(words);
  });

  test('a search is given up when it is asked to', () => {
    const big = randomModel(seeded(931), {
      lines: 14,
      ways: 3,
      obstructions: 5,
      clearWays: 2,
      clear: 600,
      tilt: 60,
      clips: 0.5,
      window: null,
      direction: 'up',
      middle: false,
    });
    let asked = 0;
    try {
      solve(big, { every: 1, onLooked: () => (asked += 1) < 3 });
    } catch (error) {
      expect(error).toBeInstanceOf(Stopped);
    }
    expect(asked).toBe(3);
  });
});
