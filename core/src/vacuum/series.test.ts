import { InputError } from '../errors/index.ts';
import { fallOf, judgeLine, wayFrom, type VacuumReading } from './index.ts';

const falling = (perSecond: number, seconds = 30, from = 40): VacuumReading[] =>
  Array.from({ length: seconds + 1 }, (_, s) => [s, from - perSecond * s]);

describe('what a valve did, from its readings', () => {
  test.each([
    ['it stands', falling(0.01), 'holds'],
    ['it falls', falling(0.4), 'lets'],
    ['it never comes', falling(0, 30, 0.3), 'nothing'],
    [
      'it is gone at once',
      [[0, 40], ...falling(0, 25, 0).map(([s]) => [s + 1, 0] as const)] as VacuumReading[],
      'lets',
    ],
  ])('%s', (_, readings, way) => {
    expect(wayFrom(readings)).toBe(way);
  });
  test('pumped up first: the time counts from the most', () => {
    const pumped: VacuumReading[] = [
      [0, 0],
      [5, 20],
      [10, 40],
      ...falling(0.01, 25).map(([s, p]) => [s + 10, p] as const),
    ];
    expect(fallOf(pumped).seconds).toBe(25);
    expect(wayFrom(pumped)).toBe('holds');
  });
  test('ten seconds say nothing, nor does nothing', () => {
    expect(() => wayFrom(falling(0, 10))).toThrow(InputError);
    expect(() => fallOf([])).toThrow(InputError);
  });
  test('a line read so is judged as one that was typed', () => {
    const { from, to, seconds } = fallOf(falling(0.01, 60));
    expect(judgeLine({ line: 'feed', tester: 'held', from, to, seconds }, 'petrol').outcome).toBe('good');
  });
});
