import highsLoader from 'highs';
import { seeded } from '@iron-cradle/core/rehearsal';
import { solve, type RouteModel } from '../core/src/route/index.ts';
import { highsModel } from '../core/src/route/testing/highsModel.ts';
import { randomModel, type Size } from '../core/src/route/testing/randomModel.ts';
import { row } from './lib.ts';

const full: Size = {
  lines: 12,
  ways: 3,
  obstructions: 5,
  clearWays: 2,
  clear: 600,
  tilt: 60,
  clips: 0,
  window: null,
  direction: 'down',
  middle: false,
};
/** A solver that has not proved its answer by then is counted with this, s. */
const PATIENCE = 60;

const share = (sorted: readonly number[], at: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * at))]!;

/** Random vehicles that have a way down, or whose every second one has. */
function vehicles(count: number, size: Size): RouteModel[] {
  return Array.from({ length: count }, (_, i) => randomModel(seeded(5000 + i), size));
}

function times(models: readonly RouteModel[]): { sorted: number[]; ways: number } {
  let ways = 0;
  const sorted = models
    .map((model) => {
      const from = performance.now();
      if (solve(model).route) ways += 1;
      return performance.now() - from;
    })
    .sort((a, b) => a - b);
  return { sorted, ways };
}

/** The exact search: median, 95 % and worst of 100 random vehicles, growth, and how many times the mixed-integer program. */
export async function benchRoute(): Promise<void> {
  const sets: [string, Partial<Size>][] = [
    ['down', {}],
    ['up', { direction: 'up' }],
    ['narrow windows', { window: 30 }],
  ];
  times(vehicles(20, full));
  let median = 1;
  for (const [name, more] of sets) {
    const { sorted, ways } = times(vehicles(100, { ...full, ...more }));
    if (name === 'down') median = share(sorted, 0.5);
    console.log(
      `${`way ${name}, 12 × 3 + 5 × 2`.padEnd(44)} median ${share(sorted, 0.5).toFixed(1)} ms, 95 % ${share(sorted, 0.95).toFixed(1)}, worst ${sorted.at(-1)!.toFixed(1)}; ${ways} of 100 have a way`,
    );
  }
  for (const lines of [6, 9, 12, 15, 18]) {
    const { sorted } = times(vehicles(40, { ...full, lines }));
    row(`way down, ${lines} connections`, share(sorted, 0.5), '12 connections', median);
  }
  const highs = await highsLoader();
  const solvable = vehicles(60, full)
    .filter((m) => solve(m).route)
    .slice(0, 3);
  for (const [i, model] of solvable.entries()) {
    let from = performance.now();
    const ours = solve(model).route!.minutes;
    const fast = performance.now() - from;
    from = performance.now();
    const told = highs.solve(highsModel(model), { time_limit: PATIENCE, mip_rel_gap: 0 });
    const slow = performance.now() - from;
    const proved = told.Status === 'Optimal' ? `same ${told.ObjectiveValue.toFixed(1)} min` : 'not proved by then';
    console.log(
      `${`the same on HiGHS, ${model.things.length + 1} stages, ${i + 1}`.padEnd(44)} ${(slow / 1000).toFixed(1)} s, ${(slow / fast).toFixed(0)} × the search (${ours} min; ${proved})`,
    );
  }
}
