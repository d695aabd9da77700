import { draws } from '../testing/index.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { completed, type Entry, foldJob, logWriter, owed, refusalOf } from '../job/index.ts';
import { descend, randomVehicle, seeded, truthInside } from './index.ts';
import { blind, type Blind } from './blind.ts';
import { type Descent } from './descend.ts';
import { truthAtEnds, truthOutside, truthShorter, withSnag } from '../truth/index.ts';

const VEHICLES = draws(2000);

function harness(count: number, margins?: { overshoot: number; eye: number }): (Descent & { blind: Blind })[] {
  return Array.from({ length: count }, (_, i) => {
    const rng = seeded(1000 + i);
    const vehicle: VehicleFile =
      i % 2 === 0 ? archetypes[(i / 2) % archetypes.length]! : randomVehicle(archetypes[i % archetypes.length]!, rng);
    // Every fourth may tip further, every fifth has something in the way that no file knows.
    const file = i % 4 === 3 ? { ...vehicle, tiltLimit: vehicle.tiltLimit + 40 } : vehicle;
    const truth = truthInside(file, rng);
    const hidden = i % 5 === 0 ? withSnag(truth, file, rng) : truth;
    return { ...descend(file, { truth: hidden, rng, ...(margins ? { margins } : {}) }), blind: blind(file, truth) };
  });
}

describe('hidden vehicles whose truth lies inside the ranges', () => {
  const runs = harness(VEHICLES);

  test('no line is ever pulled, and nothing is struck', () => {
    expect(runs.filter((run) => run.pulled.length > 0)).toHaveLength(0);
    expect(runs.filter((run) => run.struck.length > 0)).toHaveLength(0);
  });

  test('most reach the ground; the others say what holds', () => {
    const out = runs.filter((run) => run.end === 'out');
    const mean = (pick: (r: Descent) => number) => (out.reduce((sum, r) => sum + pick(r), 0) / out.length).toFixed(1);
    console.info(
      `${out.length} of ${VEHICLES} reach the ground, in ${mean((r) => r.stops)} stops, ${mean((r) => r.creeps)} creeps and ${mean((r) => r.answers)} answers, about ${mean((r) => r.stops + r.creeps + r.answers)} taps, on average; 25 mm at a time without looking pulls a line on ${runs.filter((r) => r.blind.pulled.length > 0).length}`,
    );
    expect(out.length).toBeGreaterThan(VEHICLES / 2);
    expect(runs.filter((r) => r.blind.pulled.length > 0).length).toBeGreaterThan(VEHICLES / 10);
    for (const run of runs.filter((r) => r.end === 'held')) expect(run.heldBy).toMatch(/^(line|obstruction):/);
  });

  test('the same harness pulls lines once the margins are taken away', () => {
    expect(harness(200, { overshoot: 0, eye: 0 }).filter((run) => run.pulled.length > 0).length).toBeGreaterThan(0);
  });
});

const others = (count: number) =>
  Array.from({ length: count }, (_, i) => {
    const rng = seeded(7000 + i);
    const base = archetypes[i % archetypes.length]!;
    return { file: i % 3 ? randomVehicle(base, rng) : base, rng };
  });

test('where every figure stands at an end of its range, nothing is pulled and nothing is struck', () => {
  const runs = others(draws(300)).map(({ file, rng }) => descend(file, { truth: truthAtEnds(file, rng), rng }));
  expect(runs.filter((run) => run.pulled.length > 0)).toHaveLength(0);
  expect(runs.filter((run) => run.struck.length > 0)).toHaveLength(0);
  expect(runs.filter((run) => run.end === 'out').length).toBeGreaterThan(runs.length / 2);
});

test('where all lines are 10 to 30 % shorter than filed, none is pulled that somebody had said to be nearly or quite tight', () => {
  const runs = others(draws(300)).map(({ file, rng }) =>
    descend(file, { truth: truthShorter(file, { rng, by: [0.1, 0.3] }), rng }),
  );
  const pulled = runs.filter((run) => run.pulled.length > 0);
  /** What was named at the stops before the one that pulled. */
  const named = ({ log }: Descent) => {
    const looks = log
      .slice(
        0,
        log.findIndex((e) => e.kind === 'pulled'),
      )
      .flatMap((e) => (e.kind === 'stopDone' || e.kind === 'crept' ? [e.body.look] : []));
    return looks.slice(0, -1).flatMap((look) => [...look.tight, ...look.nearly]);
  };
  // Lines that nobody had any word of may be pulled: the file says they are longer. The test is no test without some.
  expect(pulled.length).toBeGreaterThan(runs.length / 15);
  for (const run of pulled) for (const line of run.pulled) expect(named(run)).not.toContain(line);
  console.info(
    `${pulled.length} of ${runs.length} pull a line, ${pulled.filter((run) => named(run).length > 0).length} after another one was named`,
  );
});

describe('a vehicle whose truth lies outside its file', () => {
  test('the pull is noticed, entered, and blocks signing until it is inspected', () => {
    const vehicle = archetypes[0]!;
    const pulls = Array.from({ length: 60 }, (_, i) => {
      const rng = seeded(50 + i);
      return descend(vehicle, { truth: truthOutside(vehicle, { rng, lineId: 'vent', short: 25 }), rng });
    }).filter((run) => run.end === 'pulled');
    expect(pulls.length).toBeGreaterThan(0);
    const { state } = pulls[0]!;
    expect(state.pulls.map((p) => p.key)).toContain('line:vent');
    expect(owed(state).some((d) => d.key === 'line:vent' && /inspected/.test(inWords(d.text)))).toBe(true);
    const sign = { ...logWriter('later')('signed', {}), jobId: state.jobId } as Entry;
    expect(refusalOf(state, sign)?.owed.map((d) => d.key)).toContain('line:vent');
    const write = logWriter('later');
    const after = foldJob(state, [
      {
        ...write('inspected', completed(state, 'inspected', { key: 'line:vent', outcome: 'good' }) as never),
        jobId: state.jobId,
      },
    ])!;
    expect(owed(after).some((d) => d.key === 'line:vent' && /inspected/.test(inWords(d.text)))).toBe(false);
  });
});
