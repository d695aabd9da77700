import { said } from '../job/testing.ts';
import { descended, owed, stationNow } from '../job/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { r } from '../vehicle/testing.ts';
import { nextStop, nextUp, planDescent } from './index.ts';
import { at, begin, line, vehicle } from './testing.ts';

/** a lets 100 and is reached from 30; b lets 280 and stays on; the tank could go to 300. */
const job = () =>
  begin(vehicle([line('a', { slack: r(100), reach: r(30) }), line('b', { slack: r(280), reach: r(200) })]));

describe('part-way, its top where two hands work on it', () => {
  test('only what holds it there comes off, and there it ends', () => {
    const work = job();
    work.log('answer', said('how far down', '150'));
    expect(work.state.goal).toBe(150);
    expect(nextStop(work.state)).toMatchObject({ kind: 'stop', pose: { f: 25, r: 25 } });
    work.log('stopDone', at(25));
    const second = nextStop(work.state);
    // 100 − 10 = 90 is as low as a lets.
    expect(second.actions.map((a) => a.key)).toEqual(['line:a']);
    expect(second.pose.f).toBeLessThanOrEqual(90);
    work.log('stopDone', at(second.pose.f, ['line:a']));
    const third = nextStop(work.state);
    expect(third).toMatchObject({ kind: 'stop', pose: { f: 150, r: 150 }, actions: [] });
    work.log('stopDone', at(150));
    expect(nextStop(work.state)).toMatchObject({ kind: 'there', actions: [] });
    expect(work.state.out).toBe(false);
    expect(descended(work.state)).toBe(true);
    expect(stationNow(work.state)).toBe('bench');
  });

  test('after gate 3 the way is up: what came off is made again, what stayed on is never asked for', () => {
    const work = job();
    work.log('answer', said('how far down', '150'));
    work.log('stopDone', at(80, ['line:a']));
    work.log('moved', { to: { f: 150, r: 150 } });
    work.log('gateItem', { gate: 3, item: 'tests', answer: 'passed' });
    work.log('gateItem', { gate: 3, item: 'seal', answer: 'new' });
    work.log('gate', { gate: 3 });
    expect(stationNow(work.state)).toBe('refit');
    const stop = nextUp(work.state);
    expect(stop.items.map((i) => i.key)).toEqual(['line:a']);
    expect(stop.pose.f).toBeLessThanOrEqual(100);
    work.log('moved', { to: stop.pose, why: 'raised' });
    work.log('made', { key: 'line:a' });
    expect(stationNow(work.state)).toBe('refit');
    expect(owed(work.state).map((d) => d.key)).not.toContain('line:b');
  });

  test('a creep and a guess go no deeper than the goal either', () => {
    const guessed = begin(vehicle([line('a', { slack: r(40, 200, 250), reach: r(280) })]));
    guessed.log('answer', said('how far down', '60'));
    for (let i = 0; i < 20; i++) {
      const stop = nextStop(guessed.state);
      expect(stop.pose.f).toBeLessThanOrEqual(60);
      if (stop.kind === 'there') break;
      expect(stop.kind).not.toBe('held');
      guessed.log(
        stop.kind === 'creep' ? 'crept' : 'stopDone',
        at(
          stop.pose.f,
          stop.actions.map((a) => a.key),
        ),
      );
    }
    expect(nextStop(guessed.state).kind).toBe('there');
    expect(guessed.state.pulls).toEqual([]);
  });

  test('where nothing is certain, what lets it down to its goal all the same stays on', () => {
    // a is guessed and reached at home; b lets 280 for certain and is reached at home too.
    const guessed = begin(
      vehicle([
        line('a', { slack: r(40, 200, 250), reach: r(0) }),
        line('b', { slack: r(280), reach: r(0) }),
        line('c', { slack: r(50, 60, 70), reach: r(300) }),
      ]),
    );
    guessed.log('answer', said('how far down', '100'));
    expect(nextStop(guessed.state).actions.map((a) => a.key)).toEqual(['line:a']);
  });

  test('thought better of, it goes all the way out', () => {
    const work = job();
    work.log('answer', said('how far down', '150'));
    work.log('stopDone', at(80, ['line:a']));
    work.log('answer', said('how far down', 'out'));
    expect(work.state.goal).toBeNull();
    expect(planDescent(work.state).stops.at(-1)).toMatchObject({ kind: 'out', pose: { f: 300, r: 300 } });
  });

  test.each(['0', '-5', '151', '300', '4000', 'deep', ''])('“%s” is no height to stop at', (value) => {
    const work = job();
    work.log('answer', said('how far down', String(value)));
    expect(work.state.goal).toBeNull();
  });

  test.each(archetypes.filter((a) => a.clear > 150).map((a) => [a.id, a] as const))(
    '%s: never deeper, never more off than all the way',
    (_, file) => {
      const whole = planDescent(begin(file).state);
      const part = begin(file);
      part.log('answer', said('how far down', '150'));
      const plan = planDescent(part.state);
      for (const stop of plan.stops) expect(Math.max(stop.pose.f, stop.pose.r)).toBeLessThanOrEqual(150);
      const off = (p: typeof plan) => new Set(p.stops.flatMap((s) => s.actions.map((a) => a.key)));
      expect(plan.outcome).toBe('way');
      expect([...off(plan)].filter((key) => key.startsWith('line:')).length).toBeLessThanOrEqual(
        [...off(whole)].filter((key) => key.startsWith('line:')).length,
      );
    },
  );
});
