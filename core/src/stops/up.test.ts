import { judgeGate } from '../gates/index.ts';
import { BEFORE_FILLER } from '../ledger/index.ts';
import { r } from '../vehicle/testing.ts';
import { nextUp, testStop, wayUp } from './index.ts';
import { at, begin, line, vehicle } from './testing.ts';

describe('up, worked by hand', () => {
  const lowered = () => {
    // a: hand from 60, hose lets 90; b: hand from 30, lets 200; c: hand never lost.
    const job = begin(
      vehicle([
        line('a', { slack: r(90), reach: r(60) }),
        line('b', { slack: r(200), reach: r(30) }),
        line('c', { slack: r(250), reach: r(0), more: { side: 'rear' } }),
      ]),
    );
    job.log('stopDone', at(80, ['line:a', 'line:b', 'line:c']));
    job.log('moved', { to: { f: 300, r: 300 }, why: 'out' });
    return job;
  };

  test('raises to where the first would be lost, makes all within reach there, names what is lost next', () => {
    const job = lowered();
    const first = nextUp(job.state);
    expect(first.pose.f).toBe(60);
    expect(first.items.map((i) => [i.key, i.lastChance])).toEqual([
      ['line:a', true],
      ['line:b', true],
      ['line:c', false],
    ]);
    expect(first.lostNext).toMatchObject({ key: 'line:b', by: 30 });
    expect(first.kind).toBe('test');
  });

  test('the test stop is the highest place where every top joint is seen and reached', () => {
    const job = lowered();
    expect(testStop(job.state)).toEqual({ f: 60, r: 60 });
    job.log('moved', { to: { f: 60, r: 60 }, why: 'raised' });
    for (const key of ['line:a', 'line:b', 'line:c']) job.log('made', { key });
    expect(nextUp(job.state)).toMatchObject({ kind: 'test', pose: { f: 60 }, items: [] });
    job.log('gateItem', { gate: 4, item: 'wiped', answer: 'yes' });
    job.log('gateItem', { gate: 4, item: 'under', answer: 'yes' });
    job.log('gateItem', { gate: 4, item: 'battery', answer: 'yes' });
    job.log('gate', { gate: 4 });
    expect(nextUp(job.state)).toMatchObject({ kind: 'test', pose: { f: 60 }, items: [] });
    job.log('finding', { what: 'test stop', where: 'top of the tank', verdict: 'good', note: 'joints dry' });
    expect(nextUp(job.state)).toMatchObject({ kind: 'home', pose: { f: 0 } });
  });

  test('the filler is not made over what is still in: it comes out first, once', () => {
    const job = begin(
      vehicle([
        line('a', { slack: r(90), reach: r(0) }),
        line('f', { slack: r(90), reach: r(0), more: { kind: 'filler' } }),
      ]),
    );
    job.log('stopDone', at(40, ['line:a', 'line:f']));
    job.log('putIn', { name: 'rag in the neck', tag: 40, before: BEFORE_FILLER });
    const order = () => nextUp(job.state).items.map(({ name }) => name);
    const rag = job.state.items.find(({ kind }) => kind === 'thing')!.key;
    const before = order();
    expect(before).toContain('rag in the neck');
    expect(before.indexOf('rag in the neck')).toBe(before.indexOf('f') - 1);
    job.log('takenOut', { key: rag });
    expect(order()).toEqual(before.filter((name) => name !== 'rag in the neck'));
  });

  test('a joint found wet stops the way up until it is looked at again', () => {
    const job = lowered();
    job.log('moved', { to: { f: 60, r: 60 }, why: 'raised' });
    for (const key of ['line:a', 'line:b', 'line:c']) job.log('made', { key });
    for (const item of ['wiped', 'under', 'battery']) job.log('gateItem', { gate: 4, item, answer: 'yes' });
    job.log('gate', { gate: 4 });
    job.log('finding', { what: 'test stop', where: 'a line', verdict: 'bad', note: 'it is wet' });
    expect(nextUp(job.state)).toMatchObject({ kind: 'test', pose: { f: 60 } });
    job.log('finding', { what: 'test stop', where: 'top of the tank', verdict: 'good', note: 'joints dry' });
    expect(nextUp(job.state)).toMatchObject({ kind: 'home', pose: { f: 0 } });
  });

  test('gate 4 is refused while a joint within reach is open', () => {
    const job = lowered();
    job.log('moved', { to: { f: 60, r: 60 }, why: 'raised' });
    job.log('made', { key: 'line:a' });
    job.log('gateItem', { gate: 4, item: 'wiped', answer: 'yes' });
    job.log('gateItem', { gate: 4, item: 'under', answer: 'yes' });
    job.log('gateItem', { gate: 4, item: 'battery', answer: 'yes' });
    job.log('gate', { gate: 4 });
    expect(job.state.gates[4].passed).toBeNull();
  });
});

/** Everything off, the tank on the floor. */
const floor = (lines: Parameters<typeof vehicle>[0], more: Partial<ReturnType<typeof vehicle>> = {}) => {
  const job = begin({ ...vehicle(lines), ...more });
  job.log(
    'stopDone',
    at(
      0,
      lines.map((l) => `line:${l.id}`),
    ),
  );
  job.log('moved', { to: { f: 300, r: 300 }, why: 'out' });
  return job;
};

describe('up, led by the search', () => {
  // a, at the first end: hand from 60, hose lets 60. b, at the second: hand to any height, hose lets 20.
  const tilting = () => [
    line('a', { slack: r(60), reach: r(60), more: { x: 0 } }),
    line('b', { slack: r(20), reach: r(0), more: { x: 1000, side: 'rear' } }),
  ];

  test('where one end must hang lower, it is said so, and each is made there', () => {
    // b is live and must be made before the key is turned, where a is still reached: 60 in front, at most 20 behind.
    const stop = nextUp(floor(tilting(), { tiltLimit: 60 }).state);
    expect(stop.kind).toBe('test');
    expect(stop.pose.f).toBe(60);
    expect(stop.pose.r).toBeLessThanOrEqual(20);
    expect(stop.items.map((i) => [i.key, i.sure])).toEqual([
      ['line:a', true],
      ['line:b', true],
    ]);
  });

  test('with too little tilt for that, one after the other, and the key turned once the last is made', () => {
    const job = floor(tilting(), { tiltLimit: 35 });
    expect(nextUp(job.state)).toMatchObject({
      kind: 'up',
      pose: { f: 60 },
      items: [{ key: 'line:a', lastChance: true }],
    });
    job.log('moved', { to: { f: 60, r: 60 }, why: 'raised' });
    job.log('made', { key: 'line:a' });
    const next = nextUp(job.state);
    expect(next).toMatchObject({ kind: 'test', items: [{ key: 'line:b' }] });
    expect(next.pose.r).toBeLessThanOrEqual(20);
  });

  test('what is made after another waits for it, even where it is lost first', () => {
    const after = line('a', { slack: r(200), reach: r(50) });
    after.make = [{ ...after.make[0]!, after: ['b'] }];
    const { items } = nextUp(floor([after, line('b', { slack: r(200), reach: r(0) })]).state);
    expect(items.map((i) => i.key)).toEqual(['line:b', 'line:a']);
  });

  test('what was put off is offered at home and no longer holds the tank down', () => {
    const job = floor([
      line('fill', { slack: r(200), reach: r(50), more: { kind: 'filler', side: 'right' } }),
      line('b', { slack: r(200), reach: r(0) }),
    ]);
    expect(nextUp(job.state).items[0]!.key).toBe('line:fill');
    job.log('deferred', { key: 'line:fill', until: 'the tank is home' });
    const next = nextUp(job.state);
    expect(next).toMatchObject({ kind: 'test', items: [{ key: 'line:b' }] });
    job.log('moved', { to: { f: 0, r: 0 }, why: 'raised' });
    job.log('made', { key: 'line:b' });
    for (const item of ['wiped', 'battery', 'under']) job.log('gateItem', { gate: 4, item, answer: 'yes' });
    job.log('gate', { gate: 4 });
    job.log('finding', { what: 'test stop', where: 'top of the tank', verdict: 'good', note: 'joints dry' });
    expect(nextUp(job.state)).toMatchObject({ kind: 'home', items: [{ key: 'line:fill', sure: false }] });
  });

  test('ten lower, and what is only likely to be reached is offered there', () => {
    const job = floor([line('a', { slack: r(40, 60, 80), reach: r(30, 45, 60) })]);
    // Neither reach nor length is certain together: as likely, from 45.
    expect(nextUp(job.state)).toMatchObject({ pose: { f: 45, r: 45 }, items: [{ sure: false }] });
    job.log('moved', { to: { f: 55, r: 55 }, why: 'raised' });
    expect(nextUp(job.state)).toMatchObject({ pose: { f: 55, r: 55 }, items: [{ key: 'line:a', sure: false }] });
  });

  test('what was made where it only was likely to reach does not change how sure the rest is', () => {
    // a: sure nowhere (hand from 60, hose lets 30 to 80): as likely, at 45. b: sure from 30 on, hose lets 40.
    const job = floor([
      line('a', { slack: r(30, 60, 80), reach: r(30, 45, 60) }),
      line('b', { slack: r(40), reach: r(30), more: { kind: 'filler', side: 'rear' } }),
    ]);
    expect(nextUp(job.state)).toMatchObject({ pose: { f: 45, r: 45 }, items: [{ key: 'line:a' }] });
    job.log('moved', { to: { f: 45, r: 45 }, why: 'raised' });
    job.log('made', { key: 'line:a' });
    expect(wayUp(job.state)!.view).toBe('surest');
    for (const item of ['wiped', 'battery', 'under']) job.log('gateItem', { gate: 4, item, answer: 'yes' });
    job.log('gate', { gate: 4 });
    job.log('finding', { what: 'test stop', where: 'top of the tank', verdict: 'good', note: 'joints dry' });
    expect(nextUp(job.state)).toMatchObject({ pose: { f: 30, r: 30 }, items: [{ key: 'line:b', sure: true }] });
  });

  test('no key is turned while a fuel line is open, wherever it sits', () => {
    const job = floor([
      line('b', { slack: r(200), reach: r(50) }),
      line('feed', { slack: r(40), reach: r(0), more: { kind: 'feed', side: 'front' } }),
    ]);
    job.log('moved', { to: { f: 50, r: 50 }, why: 'raised' });
    job.log('made', { key: 'line:b' });
    const joints = () => judgeGate(job.state, 4).find((j) => j.item.id === 'joints')!.verdict;
    expect(joints()).toMatchObject({ outcome: 'bad', next: ['make feed'] });
    // Out of reach of its hose here: it is made higher up, and only then is the key turned.
    const next = nextUp(job.state);
    expect(next).toMatchObject({ pose: { f: 40, r: 40 }, items: [{ key: 'line:feed' }] });
    job.log('moved', { to: next.pose, why: 'raised' });
    job.log('made', { key: 'line:feed' });
    expect(joints().outcome).toBe('good');
  });

  test('where the figures allow no way it goes up level before the first is lost', () => {
    // Reached from 100 at the least, while its hose lets 50 at the most.
    const job = floor([
      line('a', { slack: r(30, 40, 50), reach: r(100, 110, 120) }),
      line('b', { slack: r(200), reach: r(20) }),
    ]);
    expect(nextUp(job.state)).toMatchObject({ kind: 'up', pose: { f: 30, r: 30 } });
    expect(nextUp(job.state).items.find((i) => i.key === 'line:a')).toMatchObject({ sure: false });
  });

  test('there too what a line is made after goes back first, while a hand gets to it; what nothing waits for waits itself', () => {
    const thing = (id: string) => ({
      id,
      name: id,
      x: 500,
      travelsWithTank: false,
      blocksAt: r(250),
      clear: [{ ...line('x', { slack: r(1), reach: r(0) }).part[0]!, id: `${id}-off` }],
      restore: [{ ...line('x', { slack: r(1), reach: r(0) }).make[0]!, id: `${id}-on` }],
    });
    const a = line('a', { slack: r(30, 40, 50), reach: r(100, 110, 120) });
    const job = begin(
      vehicle(
        [{ ...a, make: [{ ...a.make[0]!, after: ['shield'] }] }, line('b', { slack: r(200), reach: r(20) })],
        [thing('shield'), thing('guard')],
      ),
    );
    for (const key of ['line:a', 'line:b', 'obstruction:shield', 'obstruction:guard']) job.log('cleared', { key });
    job.log('moved', { to: { f: 300, r: 300 }, why: 'out' });
    const keys = nextUp(job.state).items.map(({ key }) => key);
    expect(keys.indexOf('obstruction:shield')).toBeGreaterThanOrEqual(0);
    expect(keys.indexOf('obstruction:shield')).toBeLessThan(keys.indexOf('line:a'));
    expect(keys).not.toContain('obstruction:guard');
  });
});

describe('the way up ends at home', () => {
  test('where the key is turned low, the tank still goes home afterwards, and only lines are made on the way', () => {
    const shield = {
      ...vehicle([]).obstructions[0]!,
      id: 'shield',
      name: 'shield',
      x: 500,
      blocksAt: r(30),
      clear: [{ ...line('x', { slack: r(1), reach: r(0) }).part[0]!, id: 'off' }],
      restore: [{ ...line('x', { slack: r(1), reach: r(0) }).make[0]!, id: 'on' }],
    };
    // a is reached from 70, its hose lets 120; b lets 20 and is reached at home: no pose shows both.
    const file = {
      ...vehicle([line('a', { slack: r(120), reach: r(70) }), line('b', { slack: r(20), reach: r(0) })]),
      obstructions: [shield],
    };
    const job = begin(file);
    job.log('cleared', { key: 'obstruction:shield' });
    job.log('stopDone', at(0, ['line:a', 'line:b']));
    job.log('moved', { to: { f: 300, r: 300 }, why: 'out' });
    const { stops } = wayUp(job.state)!.route;
    expect(stops.map((s) => s.pose.f)).toEqual([300, 70, 20, 0]);
    expect(stops[2]!.uses.map((u) => u.thing)).toEqual(['line:b', 'test']);
    expect(stops[3]!.uses.map((u) => u.thing)).toEqual(['obstruction:shield']);
  });
});

describe('the case worked with a pencil in the guide', () => {
  // Feed 200 mm from the front: hose lets 40, hand from 30. Vent at 800: lets 90, hand from 60. Both on top.
  const two = () => [
    line('feed', { slack: r(40), reach: r(30), more: { x: 200, kind: 'feed' } }),
    line('vent', { slack: r(90), reach: r(60), more: { x: 800 } }),
  ];

  test('40 mm from end to end: one stop where both are made, seen, and the key is turned', () => {
    const stop = nextUp(floor(two(), { tiltLimit: 40 }).state);
    expect(stop.kind).toBe('test');
    expect(stop.items.map((i) => i.key)).toEqual(['line:vent', 'line:feed']);
    const drop = (x: number) => stop.pose.f + ((stop.pose.r - stop.pose.f) * x) / 1000;
    expect(drop(200)).toBeGreaterThanOrEqual(30);
    expect(drop(200)).toBeLessThanOrEqual(40);
    expect(drop(800)).toBeGreaterThanOrEqual(60);
  });

  test('less tilt: the vent at 60, the feed at 40 with the key, then home', () => {
    const { stops } = wayUp(floor(two(), { tiltLimit: 30 }).state)!.route;
    expect(stops.map((s) => [s.pose.f, s.pose.r, s.uses.map((u) => u.thing).join(' ')])).toEqual([
      [300, 300, ''],
      [60, 60, 'line:vent'],
      [40, 40, 'line:feed test'],
      [0, 0, ''],
    ]);
  });
});
