import { r } from '../vehicle/testing.ts';
import { neckOrders, wayUp } from './index.ts';
import { at, begin, line, vehicle } from './testing.ts';

/** A filler made between 60 and 20 mm, a breather beside it, a vent near the neck and a feed far from it. */
const lowered = () => {
  const file = vehicle([
    line('filler', { slack: r(60), reach: r(20), more: { kind: 'filler', x: 800 } }),
    line('breather', { slack: r(60), reach: r(20), more: { kind: 'breather', x: 820 } }),
    line('vent', { slack: r(200), reach: r(0), more: { x: 700 } }),
    line('feed', { slack: r(200), reach: r(0), more: { kind: 'feed', x: 100 } }),
  ]);
  const job = begin(file);
  job.log('stopDone', at(40, ['line:filler', 'line:breather', 'line:vent', 'line:feed']));
  job.log('moved', { to: { f: 300, r: 300 }, why: 'out' });
  return job;
};

describe('the neck first on the vehicle, or with the tank', () => {
  test('both are ways up; with the tank its joints are made on the bench and its screws wait at home', () => {
    const { state } = lowered();
    const [first, second] = neckOrders(state);
    expect(first!.order).toBe('on the vehicle');
    expect(first!.minutes!.typ).toBeCloseTo(wayUp(state)!.route.minutes, 9);
    // A stop fewer, since nothing has to be made between 60 and 20 mm; four quarters of an hour for cap, screws and ground.
    expect(second!.stops).toBeLessThanOrEqual(first!.stops);
    const without = wayUp({
      ...state,
      items: state.items.filter(({ key }) => !/filler|breather/.test(key)),
    })!.route.minutes;
    // Two joints of their own minutes on the bench, 14 for the screws.
    const joints = state.vehicle.connections.slice(0, 2).reduce((sum, one) => sum + one.make[0]!.minutes.typ, 0);
    expect(second!.minutes!.typ).toBeCloseTo(without + joints + 14, 9);
  });
  test('what lies near the neck is made beside it, and named; what lies far is not', () => {
    expect(neckOrders(lowered().state)[1]!.beside.map(({ name }) => name)).toEqual(['vent']);
  });
  test('a neck that is on, or none at all: nothing to choose', () => {
    const job = lowered();
    job.log('moved', { to: { f: 40, r: 40 }, why: 'raised' });
    job.log('made', { key: 'line:filler' });
    expect(neckOrders(job.state)).toEqual([]);
  });
});
