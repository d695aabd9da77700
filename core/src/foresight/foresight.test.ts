import { inWords } from '../quantity/index.ts';
import { startingFigures } from '../order/index.ts';
import { bindings, type TankState } from '../hang/index.ts';
import { foldJob, logWriter } from '../job/index.ts';
import { randomVehicle, seeded } from '../rehearsal/index.ts';
import { solve } from '../route/index.ts';
import { nextStop, routeDown, routeModel } from '../stops/index.ts';
import { archetypes, type Connection, type Range, type VehicleFile } from '../vehicle/index.ts';
import { plainLine, r } from '../vehicle/testing.ts';
import { ahead as lookAhead, asks, minutesInWords, outlook, stopsAfter, stopsInWords, whatMatters } from './index.ts';
import { changed, type Change } from './change.ts';
import { remedies } from './remedies.ts';
import { stuck } from './stuck.ts';

const line = (id: string, slack: Range, from: number, more: Partial<Connection> = {}) =>
  plainLine(id, { slack, reachFrom: r(from), more });

function begin(connections: Connection[], more: Partial<VehicleFile> = {}): TankState {
  const vehicle: VehicleFile = {
    ...archetypes[0]!,
    variants: [],
    length: 1000,
    clear: 300,
    tiltLimit: 0,
    supports: [],
    obstructions: [],
    connections,
    ...more,
  };
  return foldJob(null, [logWriter('job')('opened', { name: 'x', complaint: 'pump', vehicle })])!;
}

/** A heater line that lets 60 (50 with the margin) and is reached from 95: 45 mm too short. */
const heater = () => begin([line('heater', r(60), 95), line('feed', r(120), 30)]);

describe('no way, worked by hand', () => {
  test('what still comes off, what is left, what holds it and by how much', () => {
    const { off, left } = stuck(routeModel(heater(), 'typical', startingFigures));
    expect(off).toEqual(['line:feed']);
    expect(left).toEqual([
      { key: 'line:heater', way: 'heater-top', short: 45, reached: 50, heldBy: 'line:heater', waitsFor: [] },
    ]);
  });

  test('45 mm more of line, or a hand that reaches 45 mm further, ranked alike by minutes', () => {
    const list = remedies(heater());
    expect(list.map((m) => [m.changes[0]!.what, m.mm])).toEqual(
      expect.arrayContaining([
        ['longer', 45],
        ['reach', 45],
      ]),
    );
    expect(inWords(list.find((m) => m.changes[0]!.what === 'longer')!.text)).toBe(
      'free the heater line from a clip or at another joint: 45 mm more',
    );
    // Tilting helps nothing that hangs in the middle.
    expect(list.map((m) => m.changes[0]!.what)).not.toContain('tilt');
    // 0 → 95 with both, → 300: two moves of 2 and two lines of 2.
    expect(list[0]!.minutes).toBe(8);
  });

  test('where two lines are too short no single change helps, and pairs are said', () => {
    const state = begin([line('a', r(60), 95), line('b', r(60), 90)]);
    const list = remedies(state);
    expect(list.length).toBeGreaterThan(0);
    for (const m of list) expect(m.changes).toHaveLength(2);
    // With the margin both let 50; a is reached at 95, b at 90 already.
    const longer = list.find((m) => m.changes.every((c) => c.what === 'longer'))!;
    expect(longer.changes).toEqual([
      { what: 'longer', line: 'a', mm: 45 },
      { what: 'longer', line: 'b', mm: 40 },
    ]);
  });

  test('a pipe that is reached too late is offered to be reached further', () => {
    const pipe = {
      id: 'pipe',
      name: 'pipe',
      x: 500,
      travelsWithTank: false,
      blocksAt: r(70),
      // 60 with the margin; a hand gets there from 85 on: 25 mm too late.
      clear: [{ ...line('x', r(1), 85).part[0]!, id: 'pipe-off' }],
      restore: [],
    };
    const list = remedies(begin([line('feed', r(120), 30)], { obstructions: [pipe] }));
    expect(list.map((m) => m.changes)).toContainEqual([{ what: 'reach', way: 'pipe-off', mm: 25 }]);
  });

  test('a tank that comes down asks for no remedy', () => {
    expect(remedies(begin([line('feed', r(120), 30)]))).toEqual([]);
  });
});

describe('random vehicles without a way', () => {
  test('every remedy makes a way, with just the minutes it says, and one mm less does not', () => {
    let tried = 0;
    for (let seed = 0; tried < 60 && seed < 400; seed++) {
      const rng = seeded(seed);
      const vehicle = randomVehicle(archetypes[seed % archetypes.length]!, rng);
      for (const c of vehicle.connections) for (const w of c.part) w.reachFrom = r(w.reachFrom.typ + 20);
      const state = foldJob(null, [logWriter('job')('opened', { name: 'x', complaint: 'pump', vehicle })])!;
      for (const { changes, minutes } of remedies(state)) {
        tried += 1;
        const solved = (list: readonly Change[]) =>
          solve(routeModel(list.reduce<TankState>(changed, state), 'typical', startingFigures)).route;
        expect(solved(changes)!.minutes).toBeCloseTo(minutes, 6);
        // Each by its own figure: a step less of either makes no way.
        for (const one of changes)
          expect(
            solved(changes.map((c) => (c === one && 'mm' in c ? { ...c, mm: c.mm - (c.what === 'tilt' ? 5 : 1) } : c))),
          ).toBeNull();
      }
    }
    expect(tried).toBeGreaterThanOrEqual(60);
  });
});

describe('what lies ahead', () => {
  test('best ≤ typical ≤ worst wherever all exist, and a certain way is good', () => {
    let certain = 0;
    for (let seed = 0; seed < 120; seed++) {
      const vehicle = randomVehicle(archetypes[seed % archetypes.length]!, seeded(seed));
      if (seed % 2) for (const c of vehicle.connections) for (const w of c.part) w.reachFrom = r(0, 5, 10);
      const state = foldJob(null, [logWriter('job')('opened', { name: 'x', complaint: 'pump', vehicle })])!;
      const ahead = outlook(state);
      const list = [ahead.best, ahead.typical, ahead.look, ahead.worst].map((x) => x?.minutes ?? Infinity);
      expect(list[0]).toBeLessThanOrEqual(list[1]!);
      expect(list[1]).toBeLessThanOrEqual(list[3]!);
      // A look is never forced: what is certain without one is certain with one.
      expect(list[2]).toBeLessThanOrEqual(list[3]!);
      if (ahead.worst) {
        certain += 1;
        expect(ahead.verdict.outcome).toBe('good');
      }
    }
    expect(certain).toBeGreaterThan(10);
  });

  test('one figure for what is ahead holds every way that is known, and has no end where none is sure', () => {
    let open = 0;
    for (let seed = 0; seed < 40; seed++) {
      const vehicle = randomVehicle(archetypes[seed % archetypes.length]!, seeded(seed));
      const state = foldJob(null, [logWriter('job')('opened', { name: 'x', complaint: 'pump', vehicle })])!;
      const { best, typical, look, worst } = outlook(state);
      const { minutes, stops, open: more } = lookAhead(state);
      for (const route of [best, typical, look, worst])
        if (route) {
          expect(minutes.lo).toBeLessThanOrEqual(route.minutes);
          expect(minutes.hi).toBeGreaterThanOrEqual(route.minutes);
          expect(stops.lo).toBeLessThan(route.moves);
          expect(stops.hi).toBeGreaterThanOrEqual(route.moves - 1);
        }
      expect(minutes.lo <= minutes.typ && minutes.typ <= minutes.hi).toBe(true);
      if (!worst && !look) {
        open += 1;
        expect(more).toBe(true);
      }
    }
    expect(open).toBeGreaterThan(0);
  });

  test('feed at 30 and vent at 70, both sure: two stops after the first look, one after the one that is shown', () => {
    const state = begin([line('feed', r(50), 30), line('vent', r(120), 70)]);
    const found = lookAhead(state);
    // The search stops twice; the walk looks at 25 first.
    expect(found).toMatchObject({ open: false, outcome: 'way', stops: { lo: 2, typ: 3, hi: 3 } });
    expect(stopsInWords(found.stops, found.open)).toBe('2 to 3');
    expect(stopsAfter(found, nextStop(state))).toEqual({ lo: 1, typ: 2, hi: 2 });
    // From the last of them nothing is left but the ground.
    const last = { ...state, pose: { f: 70, r: 70 }, looked: true };
    expect(stopsAfter(lookAhead(last), { kind: 'stop', from: last.pose, pose: last.pose })).toMatchObject({ hi: 0 });
  });

  test('in words: to five minutes, a range while it is one, “and more” where no way is sure', () => {
    expect(minutesInWords({ lo: 38, typ: 51, hi: 74 }, false)).toBe('50 min (40–75)');
    expect(minutesInWords({ lo: 49, typ: 51, hi: 52 }, false)).toBe('50 min');
    expect(minutesInWords({ lo: 38, typ: 51, hi: 74 }, true)).toBe('50 min and more');
    expect(stopsInWords({ lo: 2, typ: 2, hi: 2 }, false)).toBe('2');
    expect(stopsInWords({ lo: 2, typ: 3, hi: 5 }, true)).toBe('3 and more');
  });

  test('a slack that a creep gets past decides minutes, not whether there is a way', () => {
    // Reached from 52: with the margin of 10 a slack of 60 falls short by 2; a creep goes to 60.
    const state = begin([line('heater', r(60, 80, 90), 52)]);
    expect(whatMatters(state)).toEqual([]);
    const short = begin([line('heater', r(40, 80, 90), 52)]);
    expect(whatMatters(short)).toEqual([expect.objectContaining({ key: 'line:heater', minutes: null })]);
  });

  test('a plan says what it asks of each line while it is on', () => {
    // feed comes off at 30; heater stays on down to 80, where it is reached.
    const state = begin([line('feed', r(50), 30), line('heater', r(120), 80)]);
    const model = routeModel(state, 'typical', startingFigures);
    expect(asks(model, routeDown(state, 'typical')!)).toEqual([
      { key: 'line:heater', mm: 80 },
      { key: 'line:feed', mm: 30 },
    ]);
  });

  test('a slack that decides whether there is a way outranks minutes; one that changes nothing is not asked', () => {
    const state = begin([
      line('heater', r(60, 110, 140), 95),
      line('feed', r(45, 60, 90), 30),
      line('vent', r(200, 220, 240), 20),
    ]);
    const list = whatMatters(state);
    expect(list[0]).toMatchObject({ key: 'line:heater', lo: 60, hi: 140, minutes: null });
    expect(list.map((m) => m.key)).not.toContain('line:vent');
  });

  test('two that matter only together are said as a pair', () => {
    // One of them has to let the tank down to 95, where a hand gets to both: waiting for one another either will do.
    const way = (id: string, other: string, early: number) => {
      const one = line(id, r(60, 110, 140), 95);
      return {
        ...one,
        part: [one.part[0]!, { ...one.part[0]!, id: `${id}-side`, reachFrom: r(early), after: [other] }],
      };
    };
    const list = whatMatters(begin([way('a', 'b', 0), way('b', 'a', 0)]));
    expect(list.length).toBeGreaterThan(0);
    for (const m of list) if (m.also) expect(m.also.key).not.toBe(m.key);
  });

  test('what if: more slack and an obstruction gone change the plan, the given state stays', () => {
    const pipe = {
      id: 'pipe',
      name: 'pipe',
      x: 500,
      travelsWithTank: false,
      blocksAt: r(70),
      clear: [{ ...line('x', r(1), 0).part[0]!, id: 'off', minutes: r(15) }],
      restore: [],
    };
    const state = begin([line('feed', r(120), 30)], { obstructions: [pipe] });
    const before = routeDown(state, 'typical')!.minutes;
    expect(routeDown(changed(state, { what: 'away', obstruction: 'pipe' }), 'typical')!.minutes).toBe(before - 15);
    expect(routeDown(changed(state, { what: 'slack', line: 'feed', mm: 20 }), 'typical')).toBeNull();
    expect(routeDown(state, 'typical')!.minutes).toBe(before);
    expect(bindings(state)).toHaveLength(2);
    // A line that takes two: with a helper standing by nobody is called, 5 minutes less.
    const two = line('filler', r(90), 30);
    two.part[0]!.people = 2;
    const heavy = begin([two]);
    const called = routeDown(heavy, 'typical')!.minutes;
    expect(routeDown(changed(heavy, { what: 'helper' }), 'typical')!.minutes).toBe(called - 5);
    // What it costs to call somebody is the shop's own figure, taken with the job.
    const busy = { ...heavy, shop: { ...heavy.shop, helperMinutes: 12 } };
    expect(routeDown(busy, 'typical')!.minutes).toBe(called + 7);
    expect(nextStop(state).actions.map((a) => a.key)).toContain('obstruction:pipe');
  });
});
