import { describe, expect, test } from '@jest/globals';
import jstat from 'jstat';
import { linearRegression } from 'simple-statistics';
import { inWords } from '../quantity/index.ts';
import { seeded } from '../truth/index.ts';
import { judgeHold, type HoldRun } from './index.ts';
import { diameters, MOST } from './holes.ts';
import { lineThrough } from './line.ts';
import { perKelvin } from './look.ts';
import { airThrough, areaOf, equivalentHole, outsideAt } from './orifice.ts';
import { tQuantile } from './student.ts';
import { emptyVolume, pushedVolume } from './volume.ts';

const INCH_OF_WATER = 249.08891;
const sea = { outside: 101_325, celsius: 20 };
const litresAMinute = (diameter: number, across: Parameters<typeof airThrough>[0]) =>
  airThrough(across) * areaOf(diameter) * 60_000;

describe('air through a sharp hole', () => {
  test('the two holes of 13 CCR 1968.2 at 14 inches of water; worked out by hand, from memory', () => {
    expect(litresAMinute(0.000508, { ...sea, gauge: MOST })).toBeCloseTo(0.555, 3);
    expect(litresAMinute(0.001016, { ...sea, gauge: MOST })).toBeCloseTo(2.219, 2);
  });
  test('at two thousand metres more of the thinner air', () => {
    expect(outsideAt(2000)).toBeCloseTo(79_495, -1);
    expect(litresAMinute(0.000508, { outside: outsideAt(2000), celsius: 20, gauge: MOST })).toBeCloseTo(0.626, 3);
  });
  test('choked from 90.5 kPa over the air, and under 53.5 kPa inside: more makes no difference downstream', () => {
    const through = (gauge: number) => airThrough({ ...sea, gauge });
    // Choked: the flow follows the pressure in front alone.
    expect(through(120_000) / through(100_000)).toBeCloseTo((101_325 + 120_000) / (101_325 + 100_000), 9);
    expect(through(80_000) / through(60_000)).not.toBeCloseTo((101_325 + 80_000) / (101_325 + 60_000), 2);
    expect(through(-60_000)).toBe(through(-101_325));
    expect(through(-40_000)).toBeLessThan(through(-60_000));
  });
  test('small pressures go as their root, as water does: √(2Δp/ρ)', () => {
    const density = 101_325 / (287.05 * 293.15);
    expect(airThrough({ ...sea, gauge: 100 })).toBeCloseTo(0.6 * Math.sqrt(200 / density), 1);
  });
  test('the hole that lets so much through is that hole', () => {
    const across = { ...sea, gauge: 2500 };
    expect(equivalentHole(airThrough(across) * areaOf(0.0007), across)).toBeCloseTo(0.0007, 12);
    expect(equivalentHole(0, across)).toBe(0);
  });
  test('no pressure below nothing', () => {
    expect(() => airThrough({ ...sea, gauge: -101_326 })).toThrow(/gauge/);
    expect(() => airThrough({ outside: 0, celsius: 20, gauge: 1 })).toThrow(/outside/);
    expect(() => equivalentHole(-1, { ...sea, gauge: 1 })).toThrow(/flow/);
    expect(() => outsideAt(9000)).toThrow(/height/);
  });
});

describe('statistics, held against libraries', () => {
  test('quantiles of t', () => {
    for (const freedom of [1, 2, 3, 4, 5, 11, 30, 31, 126, 1022])
      for (const share of [0.6, 0.9, 0.975, 0.9917, 0.99911])
        expect(tQuantile(share, freedom) / jstat.studentt.inv(share, freedom)).toBeCloseTo(1, 6);
    expect(tQuantile(0.5, 7)).toBeCloseTo(0, 12);
    expect(() => tQuantile(1, 5)).toThrow(/share/);
    expect(() => tQuantile(0.95, 0)).toThrow(/freedom/);
  });
  test('a line with its residual, by a worked example', () => {
    const p = [3487, 3480, 3474, 3466, 3461, 3453, 3448, 3440, 3435, 3427, 3421, 3415, 3408];
    const points = p.map((pa, i): [number, number] => [i * 10, pa]);
    const line = lineThrough(points);
    expect(line.slope).toBeCloseTo(-0.655495, 6);
    expect(line.residual / Math.sqrt(line.spread)).toBeCloseTo(0.0048554, 7);
    const { m, b } = linearRegression(points);
    expect(line.slope).toBeCloseTo(m, 12);
    expect(line.middle).toBeCloseTo(b + m * 60, 9);
    // 50 L: Q = V · dp/dt.
    expect(0.05 * -line.slope).toBeCloseTo(0.03277, 5);
    expect(() =>
      lineThrough([
        [0, 1],
        [1, 2],
      ]),
    ).toThrow(/three/);
    expect(() =>
      lineThrough([
        [1, 1],
        [1, 2],
        [1, 3],
      ]),
    ).toThrow(/three/);
  });
  test('dry air: 357.5 Pa for a kelvin at 14 inches of water, 346 at the atmosphere', () => {
    const run = { outside: { lo: 101_325, hi: 101_325 }, celsius: 20, readings: [[0, MOST]] as const };
    expect(perKelvin(run, MOST)).toBeCloseTo(357.5, 1);
    expect(perKelvin(run, 0)).toBeCloseTo(345.6, 1);
  });
});

describe('free volume', () => {
  test('100 mL pushed into a rigid 50 L rise by 203 Pa', () => {
    const { lo, hi } = pushedVolume({ millilitres: 100, rise: 203 }, { step: 1, outside: 101_325 });
    expect((lo + hi) / 2).toBeCloseTo(50, 0);
    expect(lo).toBeCloseTo((101_325 * 98) / 203.5 / 1000, 9);
    expect(hi).toBeCloseTo((101_325 * 102) / 202.5 / 1000, 9);
    expect(() => pushedVolume({ millilitres: 100, rise: 90 }, { step: 25, outside: 101_325 })).toThrow(/four steps/);
    expect(() => pushedVolume({ millilitres: 0, rise: 90 }, { step: 1, outside: 101_325 })).toThrow(/millilitres/);
  });
  test('rated litres with room for vapour, less what stands in it', () => {
    expect(emptyVolume({ rated: { lo: 50, hi: 60 }, aboard: { lo: 1, hi: 3 } })).toEqual({ lo: 47, hi: 60 * 1.15 - 1 });
    expect(() => emptyVolume({ rated: { lo: 50, hi: 60 }, aboard: { lo: 40, hi: 50 } })).toThrow(/litres/);
  });
});

/** A tank that leaks through one hole, gone through in steps of a tenth of a second; the gauge rounds, its needle trembles. */
function held({
  hole,
  seconds,
  every = 0.4,
  litres = 50,
  step = 0.05 * INCH_OF_WATER,
  noise = 0,
  warms = 0,
  from = 13.5 * INCH_OF_WATER,
  rng = seeded(1),
}: {
  hole: number;
  seconds: number;
  every?: number;
  litres?: number;
  step?: number;
  noise?: number;
  warms?: number;
  from?: number;
  rng?: () => number;
}): [number, number][] {
  const readings: [number, number][] = [];
  const area = areaOf(hole / 1000);
  let gauge = from;
  const dt = 0.1;
  const each = Math.round(every / dt);
  for (let i = 0; i * dt <= seconds; i++) {
    if (i % each === 0) {
      const normal = noise === 0 ? 0 : Math.sqrt(-2 * Math.log(rng() || 1e-9)) * Math.cos(2 * Math.PI * rng());
      readings.push([i * dt, Math.round((gauge + normal * noise) / step) * step]);
    }
    const out = airThrough({ ...sea, gauge: Math.max(0, gauge) }) * area;
    gauge += dt * ((-out * 101_325) / (litres / 1000) + (357 * warms) / seconds);
  }
  return readings;
}

const run = (readings: [number, number][], more: Partial<HoldRun> = {}): HoldRun => ({
  readings,
  step: 0.05 * INCH_OF_WATER,
  volume: { lo: 49, hi: 51 },
  outside: { lo: 101_325, hi: 101_325 },
  celsius: 20,
  hole: '0.020',
  aired: true,
  ...more,
});
const outcomeOf = (readings: [number, number][], more?: Partial<HoldRun>) =>
  judgeHold(run(readings, more)).verdict.outcome;

describe('does it hold', () => {
  test('a tight tank holds; one with a hole of a millimetre does not', () => {
    expect(outcomeOf(held({ hole: 0.1, seconds: 60, noise: 8 }))).toBe('good');
    expect(outcomeOf(held({ hole: 1, seconds: 60, noise: 8 }))).toBe('bad');
  });
  test('the hole it falls like is the hole that was drilled, between its ends', () => {
    for (const hole of [0.3, 0.46, 0.8, 1.2]) {
      const { millimetres, litresPerMinute } = judgeHold(run(held({ hole, seconds: 55, noise: 8 })));
      expect(millimetres!.lo).toBeLessThan(hole);
      expect(millimetres!.hi).toBeGreaterThan(hole);
      const through = litresAMinute(hole / 1000, { ...sea, gauge: 13.5 * INCH_OF_WATER });
      expect(litresPerMinute!.lo).toBeLessThan(through);
      expect(litresPerMinute!.hi).toBeGreaterThan(through);
    }
  });
  test('nothing is said before the limit would have fallen ten steps of the gauge: 13.3 s at 0.1 inches of water and 50 L', () => {
    const coarse = { step: 0.1 * INCH_OF_WATER, volume: { lo: 50, hi: 50 } };
    const read = (seconds: number) => outcomeOf(held({ hole: 1.4, seconds, every: 0.8, step: coarse.step }), coarse);
    // The 16th reading comes at 12 s, the 32nd at 24.8 s.
    expect(read(13)).toBe('unknown');
    expect(read(25)).toBe('bad');
  });
  test('undecided says how long, and then it is decided', () => {
    const whole = held({ hole: 0.42, seconds: 400, noise: 8 });
    const first = judgeHold(run(whole.slice(0, 40)));
    expect(first.verdict.outcome).toBe('unknown');
    expect(first.more).toBeGreaterThan(0);
    expect(inWords(first.verdict.next[0]!)).toMatch(/about \d+ s more/);
    const later = whole.filter(([at]) => at <= 40 * 0.4 + first.more! * 2.1);
    expect(judgeHold(run(later)).verdict.outcome).toBe('good');
  });
  test('exactly on the limit it is called good in at most one of twenty, and bad likewise', () => {
    const rng = seeded(42);
    let [good, bad] = [0, 0];
    const runs = 150;
    for (let i = 0; i < runs; i++) {
      const readings = held({ hole: 0.508, seconds: 110, noise: 12, rng });
      const outcome = outcomeOf(readings, { volume: { lo: 50, hi: 50 }, ends: 20 });
      if (outcome === 'good') good += 1;
      if (outcome === 'bad') bad += 1;
    }
    expect(good / runs).toBeLessThanOrEqual(0.05);
    expect(bad / runs).toBeLessThanOrEqual(0.05);
  });
  test('half a degree nobody measured hides no hole: warmed, a hole of 0.6 mm is not called good', () => {
    const rng = seeded(3);
    for (const seconds of [16, 30, 60, 110])
      expect(outcomeOf(held({ hole: 0.6, seconds, noise: 8, warms: 0.5, rng }))).not.toBe('good');
  });
  test('with a thermometer what it warmed is taken out', () => {
    const readings = held({ hole: 0.5, seconds: 60, noise: 4, warms: 0.8 });
    const middle = ({ millimetres }: ReturnType<typeof judgeHold>) => (millimetres!.lo + millimetres!.hi) / 2;
    expect(middle(judgeHold(run(readings)))).toBeLessThan(0.45);
    const read = judgeHold(run(readings, { ends: 20.8 }));
    expect(read.millimetres!.lo).toBeLessThan(0.5);
    expect(read.millimetres!.hi).toBeGreaterThan(0.5);
    expect(middle(read)).toBeCloseTo(0.5, 1);
  });
  test('warmed, and gone before the end: by when it was gone it had warmed by its share', () => {
    const readings = held({ hole: 1.2, seconds: 110, noise: 4, warms: 0.4 });
    const gone = readings.findIndex(([, pa]) => pa < 0.1 * readings[0]![1]);
    const cut = readings.slice(0, gone);
    const whole = judgeHold(run(readings, { ends: 20.4 }));
    expect(whole.fall).toEqual(judgeHold(run(cut, { ends: 20 + 0.4 * (cut.at(-1)![0] / readings.at(-1)![0]) })).fall);
    expect(whole.verdict.outcome).toBe('bad');
  });
  test('the larger end of the volume has to be good, the smaller to be bad', () => {
    const tight = held({ hole: 0.4, seconds: 110, noise: 8 });
    expect(outcomeOf(tight)).toBe('good');
    expect(outcomeOf(tight, { volume: { lo: 49, hi: 95 } })).not.toBe('good');
    const leaks = held({ hole: 0.65, seconds: 110, noise: 8 });
    expect(outcomeOf(leaks)).toBe('bad');
    expect(outcomeOf(leaks, { volume: { lo: 25, hi: 51 } })).not.toBe('bad');
  });
  test('a look that found a hole stands, whatever comes after', () => {
    const falls = held({ hole: 1.2, seconds: 52, noise: 4 });
    const [at, pa] = falls.at(-1)!;
    // Somebody stops it with a thumb.
    const stopped = Array.from({ length: 900 }, (_, i): [number, number] => [at + 0.4 * (i + 1), pa]);
    expect(outcomeOf([...falls, ...stopped])).toBe('bad');
  });
  test('gone at once is a hole, however few readings', () => {
    const { verdict } = judgeHold(run(held({ hole: 6, seconds: 20 })));
    expect(verdict.outcome).toBe('bad');
    expect(inWords(verdict.reasons[0]!.text)).toMatch(/does not hold at all/);
  });
  test.each<[string, [number, number][], Partial<HoldRun>, RegExp]>([
    ['rising', held({ hole: 0, seconds: 60, warms: 4 }), {}, /rises/],
    ['few readings', held({ hole: 0.1, seconds: 2 }), {}, /readings/],
    ['time that goes back', [...held({ hole: 0.1, seconds: 30 }), [3, 3300]], {}, /goes back/],
    ['too little to begin with', held({ hole: 0.1, seconds: 60, from: 100 }), {}, /too little/],
    ['not aired', held({ hole: 0.1, seconds: 60, noise: 8 }), { aired: false }, /not aired/],
  ])('%s is not known, never good', (_, readings, more, why) => {
    const { verdict } = judgeHold(run(readings, more));
    expect(verdict.outcome).toBe('unknown');
    expect(inWords(verdict.reasons[0]!.text)).toMatch(why);
  });
  test('a fall is a fall, aired or not', () => {
    expect(outcomeOf(held({ hole: 1, seconds: 60 }), { aired: false })).toBe('bad');
  });
  test('above 14 inches of water it was too much, said and never plain good', () => {
    const { verdict } = judgeHold(run(held({ hole: 0.1, seconds: 60, from: 16 * INCH_OF_WATER })));
    expect(verdict.outcome).toBe('doubtful');
    expect(inWords(verdict.reasons[0]!.text)).toMatch(/higher than a tank may/);
    expect(inWords(verdict.reasons[0]!.limit!, 'us')).toBe('14 inH2O');
  });
  test('the larger hole lets more pass', () => {
    const readings = held({ hole: 0.7, seconds: 60, noise: 8 });
    expect(outcomeOf(readings, { hole: '0.020' })).toBe('bad');
    expect(outcomeOf(readings, { hole: '0.040' })).toBe('good');
    expect(diameters['0.040']).toBeCloseTo(0.001016, 9);
  });
  test('as many readings as an entry may hold are judged', () => {
    const many = Array.from({ length: 20_000 }, (_, i): [number, number] => [i * 0.1, 3400 - i * 0.001]);
    expect(judgeHold(run(many)).verdict.outcome).toBe('good');
  });
});
