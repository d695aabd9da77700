import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { r } from '../vehicle/testing.ts';
import { nextStop, planChanged, planDescent, stopAt } from './index.ts';
import { at, begin, line, vehicle } from './testing.ts';

describe('down, worked by hand', () => {
  test('the first stop is never over 25, then 10 under the tightest limit, rounded down to the grid', () => {
    const job = begin(
      vehicle([line('a', { slack: r(93), reach: r(60) }), line('b', { slack: r(200), reach: r(150) })]),
    );
    expect(nextStop(job.state)).toMatchObject({ kind: 'stop', pose: { f: 25 } });
    job.log('stopDone', at(25));
    // 93 → 90 on the grid, less 10.
    const second = nextStop(job.state);
    expect(second).toMatchObject({ kind: 'stop', pose: { f: 80 }, actions: [{ key: 'line:a' }] });
    job.log('stopDone', at(80, ['line:a']));
    // b: 200 − 10 = 190; reach from 150 is within.
    expect(nextStop(job.state)).toMatchObject({ pose: { f: 190 }, actions: [{ key: 'line:b' }] });
    job.log('stopDone', at(190, ['line:b']));
    // Nothing goes to the ground without one look.
    expect(nextStop(job.state)).toMatchObject({ kind: 'stop', pose: { f: 190 }, actions: [] });
    job.log('stopDone', { ...at(190), look: { ...at(190).look, asked: true } });
    expect(nextStop(job.state)).toMatchObject({ kind: 'out', pose: { f: 300 } });
  });

  test('where less than 10 mm is left it is a creep, and a line felt taut stops it for good', () => {
    const job = begin(vehicle([line('a', { slack: r(40, 60, 90), reach: r(80) })]));
    job.log('stopDone', at(25));
    // 40 − 10 = 30: only 5 mm from 25.
    expect(nextStop(job.state)).toMatchObject({ kind: 'creep', pose: { f: 35 }, watch: ['line:a'] });
    job.log('crept', at(35));
    job.log('crept', { ...at(45), taut: 'line:a' });
    const held = nextStop(job.state);
    expect(held.kind).toBe('held');
    expect(held.holders[0]).toMatchObject({ key: 'line:a', known: true, limit: { lo: 45, hi: 45 } });
    job.log('surprise', { what: 'freed', key: 'line:a', more: 60 });
    // 105 − 10 = 95, where a hand gets there from 80 on.
    expect(nextStop(job.state)).toMatchObject({ kind: 'stop', pose: { f: 95 }, actions: [{ key: 'line:a' }] });
  });

  test('a clip is released only when its line would hold the next move and no hand parts it here', () => {
    const clip = {
      id: 'k',
      slack: r(120),
      ways: [{ ...line('x', { slack: r(1), reach: r(0) }).part[0]!, id: 'k-off' }],
    };
    const job = begin(
      vehicle([
        line('a', { slack: r(40), reach: r(100), more: { clips: [clip] } }),
        line('b', { slack: r(150), reach: r(60) }),
      ]),
    );
    job.log('stopDone', at(25));
    const work = nextStop(job.state);
    expect(work).toMatchObject({ kind: 'stop', pose: { f: 25 }, actions: [{ type: 'unclip', key: 'clip:k' }] });
    job.log('stopDone', { ...at(25), off: [{ key: 'clip:k', way: 'k-off' }] });
    // a lets 120 now, b 150: 110.
    expect(nextStop(job.state).pose.f).toBe(110);
  });

  test('an obstruction that must go is cleared where a hand first gets to it, before the tank would meet it', () => {
    const pipe = {
      id: 'pipe',
      name: 'pipe',
      x: 500,
      travelsWithTank: false,
      blocksAt: r(70),
      clear: [{ ...line('x', { slack: r(1), reach: r(0) }).part[0]!, id: 'off' }],
      restore: [],
    };
    const job = begin(vehicle([line('a', { slack: r(150), reach: r(60) })], [pipe]));
    // It stands at 70, the line lets 150: at home it is in reach already.
    expect(nextStop(job.state)).toMatchObject({
      kind: 'start',
      pose: { f: 0 },
      actions: [{ type: 'clear', key: 'obstruction:pipe' }],
    });
    job.log('stopDone', at(25));
    expect(nextStop(job.state).actions).toHaveLength(1);
    job.log('cleared', { key: 'obstruction:pipe', way: 'off' });
    expect(nextStop(job.state)).toMatchObject({ pose: { f: 140 }, actions: [{ key: 'line:a' }] });
  });

  test('a reach that ends is a last chance: the tank stops there', () => {
    const job = begin(
      vehicle([
        line('a', {
          slack: r(200),
          reach: r(20),
          more: { part: [{ ...line('a', { slack: r(1), reach: r(40) }).part[0]!, reachTo: r(62) }] },
        }),
      ]),
    );
    job.log('stopDone', at(25));
    expect(nextStop(job.state)).toMatchObject({ pose: { f: 60 }, actions: [{ key: 'line:a' }] });
  });

  test('what was left undone keeps binding and is not said again at the same height', () => {
    const job = begin(vehicle([line('a', { slack: r(150), reach: r(20) })]));
    const said = nextStop(job.state);
    expect(said.actions).toHaveLength(1);
    job.log('stopDone', { ...at(25), notDone: [{ key: 'line:a', reason: 'tab would not let go' }] });
    const next = nextStop(job.state);
    expect(next.pose.f).toBe(140);
    expect(next.actions.map((a) => a.key)).toEqual(['line:a']);
  });

  test('“after” keeps a line on until what it waits for is off', () => {
    const waits = { ...line('a', { slack: r(200), reach: r(0) }).part[0]!, after: ['b'] };
    const job = begin(
      vehicle([
        line('a', { slack: r(200), reach: r(0), more: { part: [waits] } }),
        line('b', { slack: r(200), reach: r(40) }),
      ]),
    );
    expect(nextStop(job.state).actions).toEqual([]);
    job.log('stopDone', at(25));
    expect(nextStop(job.state).actions.map((a) => a.key)).toEqual(['line:b', 'line:a']);
  });

  test('a height the technician chose says what holds there, without refusing', () => {
    const job = begin(vehicle([line('a', { slack: r(60, 70, 80), reach: r(100) })]));
    const deep = stopAt(job.state, { pose: { f: 75, r: 75 }, kind: 'stop' });
    expect(deep.holders[0]!.room).toMatchObject({ lo: 0, hi: 5 });
    expect(deep.risk?.key).toBe('line:a');
    // Parting it there does not make the way there safe.
    expect(stopAt(job.state, { pose: { f: 110, r: 110 }, kind: 'stop' })).toMatchObject({
      actions: [{ key: 'line:a' }],
      holders: [],
      risk: { key: 'line:a' },
    });
    expect(nextStop(job.state).risk).toBeNull();
    expect(deep.needs).toEqual([{ key: 'line:a', name: 'a', mm: 100 }]);
  });

  test('where level has no way, one end goes first', () => {
    // a is short and in reach from 30 only at the front; b at the rear is reached from 60, and the tank waits for it.
    const front = line('a', {
      slack: r(50),
      reach: r(20),
      more: { x: 100, part: [{ ...line('a', { slack: r(1), reach: r(20) }).part[0]!, after: ['b'] }] },
    });
    const file = { ...vehicle([front, line('b', { slack: r(90), reach: r(60), more: { x: 900 } })]), tiltLimit: 60 };
    const flat = begin({ ...file, tiltLimit: 0 });
    flat.log('stopDone', at(25));
    flat.log('stopDone', at(40));
    expect(nextStop(flat.state).kind).toBe('creep');
    const job = begin(file);
    job.log('stopDone', at(25));
    const stop = nextStop(job.state);
    expect(stop).toMatchObject({ kind: 'stop', actions: [{ key: 'line:b' }, { key: 'line:a' }] });
    const { f, r: rear } = stop.pose;
    expect(rear - f).toBeLessThanOrEqual(60);
    expect(f + (rear - f) * 0.1).toBeLessThanOrEqual(40);
    expect(f + (rear - f) * 0.9).toBeGreaterThanOrEqual(60);
    job.log('stopDone', { ...at(25), to: stop.pose, off: [{ key: 'line:b', way: 'b-top' }] });
    expect(job.state.pulls).toEqual([]);
    expect(nextStop(job.state)).toMatchObject({ pose: stop.pose, actions: [{ key: 'line:a' }] });
  });

  test('the way that takes least is chosen, not the first of the file', () => {
    const dear = { ...line('a', { slack: r(1), reach: r(20) }).part[0]!, id: 'a-dear', minutes: r(9) };
    const cheap = { ...line('a', { slack: r(1), reach: r(20) }).part[0]!, id: 'a-cheap', minutes: r(2) };
    const job = begin(vehicle([line('a', { slack: r(90), reach: r(20), more: { part: [dear, cheap] } })]));
    expect(nextStop(job.state).actions).toMatchObject([{ key: 'line:a', way: 'a-cheap' }]);
  });

  test('a changed plan is said in words', () => {
    const job = begin(
      vehicle([line('a', { slack: r(90), reach: r(60) }), line('b', { slack: r(200), reach: r(150) })]),
    );
    const before = nextStop(job.log('stopDone', at(25)));
    const after = nextStop(job.log('surprise', { what: 'holds', key: 'line:b', lets: 50 }));
    expect(planChanged(before, after, ['front', 'rear']).map((s) => inWords(s))).toEqual([
      'b holds it at 50 mm',
      'next stop 40 mm instead of 80 mm',
      'no longer: a',
    ]);
  });

  test.each(archetypes.map((a) => [a.id, a] as const))('%s reaches the ground on typical figures', (_, file) => {
    const plan = planDescent(begin(file).state);
    expect(plan.outcome).toBe('way');
    const drops = plan.stops.map((s) => s.pose.f);
    expect(drops).toEqual([...drops].sort((a, b) => a - b));
    expect(plan.minutes.lo).toBeLessThanOrEqual(plan.minutes.typ);
  });
});
