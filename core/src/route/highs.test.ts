import highsLoader, { type Highs } from 'highs';
import { draws } from '../testing/index.ts';
import { solve } from './index.ts';
import { highsModel } from './testing/highsModel.ts';
import { halfNeedTilt } from './testing/halfNeedTilt.ts';
import type { Size } from './testing/randomModel.ts';
import type { RouteModel } from './types.ts';

const size: Size = {
  lines: 3,
  ways: 2,
  obstructions: 1,
  clearWays: 2,
  clear: 80,
  tilt: 30,
  clips: 0.3,
  window: null,
  direction: 'down',
  middle: false,
};

let highs: Highs;
beforeAll(async () => void (highs = await highsLoader()));

/** Least minutes by the mixed-integer program, null where it says there is no way. */
function byHighs(model: RouteModel): number | null {
  const { Status, ObjectiveValue } = highs.solve(highsModel(model), { mip_rel_gap: 0, mip_abs_gap: 1e-6 });
  if (Status === 'Infeasible') return null;
  if (Status !== 'Optimal') throw new Error(Status);
  return ObjectiveValue;
}

describe('against a mixed-integer program on HiGHS, as many stages as things and the goal', () => {
  const cases = [
    ['down', {}, 80],
    ['up, read backwards', { direction: 'up', clips: 0 }, 60],
    ['from the middle', { middle: true, clips: 0 }, 40],
    ['two places in reach at once', { lines: 2, together: true }, 30],
  ] satisfies [string, Partial<Size>, number][];
  test.each(cases)('%s: same feasibility, same least minutes', (name, more, count) => {
    let ways = 0;
    for (const model of halfNeedTilt(`HiGHS: ${name}`, { ...size, ...more }, { count: draws(count), seed: 4000 })) {
      const ours = solve(model).route?.minutes ?? null;
      const theirs = byHighs(model);
      expect(ours === null).toBe(theirs === null);
      if (ours === null || theirs === null) continue;
      ways += 1;
      expect(ours).toBeCloseTo(theirs, 4);
    }
    expect(ways).toBeGreaterThan(draws(count) / 3);
  });
});
