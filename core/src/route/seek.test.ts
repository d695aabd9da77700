import { seeded } from '../truth/index.ts';
import { randomModel } from './testing/randomModel.ts';
import { solve } from './solve.ts';
import { seek } from './seek.ts';

const narrow = (seed: number) =>
  randomModel(seeded(seed), {
    lines: 12,
    ways: 3,
    obstructions: 8,
    clearWays: 2,
    clear: 600,
    tilt: 100,
    clips: 0,
    window: 15,
    direction: 'up',
    middle: false,
  });

describe('a search of limited patience', () => {
  test('what it finds in time is what the exact search finds', () => {
    for (let seed = 0; seed < 20; seed++) {
      const model = narrow(seed);
      const sought = seek(model);
      if (!sought.gaveUp) expect(sought.route?.minutes).toBe(solve(model).route?.minutes);
    }
  });

  test('given up, it says so and does not say that there is no way', () => {
    const hard = Array.from({ length: 40 }, (_, seed) => narrow(seed)).find((m) => solve(m).looked > 128)!;
    expect(seek(hard, 64)).toEqual({ route: null, gaveUp: true });
    expect(seek(hard, Infinity).gaveUp).toBe(false);
  });
});
