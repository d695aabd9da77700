import { runs } from '../testing/index.ts';
import { solve } from './index.ts';
import { checkRoute } from './testing/checkRoute.ts';
import { exhaustive } from './testing/exhaustive.ts';
import { halfNeedTilt, level } from './testing/halfNeedTilt.ts';
import type { Size } from './testing/randomModel.ts';

const tiny: Size = {
  lines: 3,
  ways: 2,
  obstructions: 1,
  clearWays: 2,
  clear: 35,
  tilt: 15,
  clips: 0.4,
  window: null,
  direction: 'down',
  middle: false,
};

describe('against trying everything', () => {
  const cases = [
    ['down', {}, 200],
    ['up, read backwards', { direction: 'up' }, 200],
    ['from the middle', { middle: true }, 120],
    ['narrow windows', { window: 5 }, 120],
    ['dense in what must be off or on meanwhile', { dense: 0.35 }, 500],
    ['part-way, only what holds it there', { partWay: true, clips: 0.6 }, 200],
    ['two places in reach at once', { lines: 2, together: true, direction: 'up' }, 100],
  ] satisfies [string, Partial<Size>, number][];
  test.each(cases)('%s: same feasibility and least cost, half of them need tilt', (name, more, count) => {
    let [ways, none] = [0, 0];
    const models = halfNeedTilt(name, { ...tiny, ...more }, { count: runs(count), seed: 17 });
    for (const [i, model] of models.entries()) {
      const { route } = solve(model);
      if (i % 2 === 1) expect(exhaustive(level(model))).toBeNull();
      const least = exhaustive(model);
      expect(route === null).toBe(least === null);
      if (!route || !least) {
        none += 1;
        continue;
      }
      ways += 1;
      expect({ minutes: route.minutes, moves: route.moves, two: route.twoPersonMinutes, model: '' }).toEqual({
        minutes: least.minutes,
        moves: least.moves,
        two: least.twoPersonMinutes,
        model: '',
      });
      expect(checkRoute(model, route)).toEqual([]);
    }
    expect(ways).toBeGreaterThan(runs(count) / 2);
    // A quarter of them may all have a way.
    if (runs(count) === count) expect(none).toBeGreaterThan(0);
  });
});
