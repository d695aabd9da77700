import { create, all } from 'mathjs';
import fc from 'fast-check';
import { InputError } from '../errors/index.ts';
import { inWords } from '../quantity/index.ts';
import { seeded } from '../truth/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { bentArm, heightAt, judgeNeedle, judgeSweep, litresAt, senderFamilies, stopsOf, type Pass } from './index.ts';
import { jumpsOf, noiseOf, opensOf, restAt } from './series.ts';

/** A box of 100 L exactly, 200 mm high, with a sender of 20 Ω empty and 80 Ω full: half a litre a millimetre. */
const box: VehicleFile = {
  ...archetypes[0]!,
  tank: {
    ...archetypes[0]!.tank,
    shape: { kind: 'box', length: 1000, width: 500, height: 200 } as VehicleFile['tank']['shape'],
    litres: { lo: 100, typ: 100, hi: 100 },
  },
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};

/** Standard normal numbers, the same every time. */
const normal = (seed: number) => {
  const rng = seeded(seed);
  return () => Math.sqrt(-2 * Math.log(Math.max(rng(), 1e-12))) * Math.cos(2 * Math.PI * rng());
};

interface Sound {
  n?: number;
  noise?: number;
  ends?: [number, number];
  /** Shares of the travel between which it is open. */
  open?: [number, number];
  heights?: boolean;
  seed?: number;
  change?: (ohms: number, share: number, way: Pass['way']) => number | null;
}

/** A slow way: at rest for a sixth of it, then from stop to stop, then at rest. */
function pass(
  way: Pass['way'],
  { n = 60, noise = 0.1, ends = [20, 80], open, heights, seed = 1, change }: Sound = {},
): Pass {
  const next = normal(seed + (way === 'up' ? 0 : 1000));
  const readings = Array.from({ length: n }, (_, i) => {
    const along = Math.min(1, Math.max(0, (i / (n - 1)) * 1.5 - 0.25));
    const share = way === 'up' ? along : 1 - along;
    const clean = ends[0] + (ends[1] - ends[0]) * share;
    const gone = open !== undefined && share >= open[0] && share <= open[1];
    const ohms = gone ? null : change ? change(clean, share, way) : clean;
    return { ohms: ohms === null ? null : Math.max(0, ohms + noise * next()), ...(heights ? { mm: 200 * share } : {}) };
  });
  return { way, readings };
}
const both = (sound: Sound = {}): Pass[] => [pass('up', sound), pass('down', sound)];
const text = (passes: Pass[], file = box, family?: string) =>
  judgeSweep(passes, { file, ...(family ? { family } : {}) })
    .verdict.reasons.map((r) => inWords(r.text))
    .join('; ');
const outcome = (passes: Pass[], file = box) => judgeSweep(passes, { file }).verdict.outcome;

describe('what a sweep is made of', () => {
  test('noise is that of the readings, whatever the travel: 1.4826 · MAD of second differences / √6, by a registry library too', () => {
    const math = create(all!, {});
    const passes = both({ n: 400, noise: 0.5, seed: 7 });
    const seconds = passes.flatMap(({ readings }) =>
      readings.slice(2).map((r, i) => readings[i]!.ohms! - 2 * readings[i + 1]!.ohms! + r.ohms!),
    );
    const mad = Number((math as unknown as { mad: (list: number[]) => number }).mad(seconds));
    expect(noiseOf(passes)).toBeCloseTo((1.4826 * mad) / Math.sqrt(6), 9);
    // And it is what was put in, within a tenth for 800 readings.
    expect(Math.abs(noiseOf(passes) / 0.5 - 1)).toBeLessThan(0.1);
  });

  test('an end is the median while the arm rests there', () => {
    const up: Pass = { way: 'up', readings: [20, 20.2, 19.9, 40, 60, 80, 80.1].map((ohms) => ({ ohms })) };
    expect(restAt(up, 'begins', 0.5)).toBe(20);
    expect(restAt(up, 'ends', 0.5)).toBeCloseTo(80.05, 9);
    expect(restAt({ way: 'up', readings: [{ ohms: null }] }, 'begins', 1)).toBeNull();
  });

  test('opens in a row are one, with the ohms on either side, empty first', () => {
    const readings = [20, 30, null, null, 50, 80].map((ohms) => ({ ohms }));
    expect(opensOf([{ way: 'up', readings }])).toEqual([{ way: 'up', pass: 0, count: 2, from: 30, to: 50 }]);
    expect(opensOf([{ way: 'down', readings: [...readings].reverse() }])[0]).toMatchObject({ from: 30, to: 50 });
    expect(opensOf([{ way: 'up', readings: [{ ohms: 20 }, { ohms: null }] }])[0]).toMatchObject({ from: 20, to: null });
  });

  test('a jump that stays counts, one that leaps out and back does not', () => {
    const line = (list: number[]): Pass[] => [{ way: 'up', readings: list.map((ohms) => ({ ohms })) }];
    expect(jumpsOf(line([20, 21, 22, 23, 31, 32, 33, 34]), 3)).toMatchObject([{ from: 23, to: 31, by: 7 }]);
    expect(jumpsOf(line([20, 21, 22, 23, 40, 25, 26, 27]), 3)).toEqual([]);
    expect(jumpsOf(line([20, 25, 30, 35, 40, 45, 50, 55]), 3)).toEqual([]);
  });
});

describe('a sound sender', () => {
  test('is good against its file, whichever way it rises', () => {
    expect(outcome(both())).toBe('good');
    const falling = {
      ...box,
      sender: { emptyOhms: { lo: 960, typ: 990, hi: 1020 }, fullOhms: { lo: 50, typ: 52, hi: 54 } },
    };
    expect(outcome(both({ ends: [990, 52], noise: 2 }), falling)).toBe('good');
  });
  test('nothing to hold it against is no more than doubtful; a family that somebody named will do', () => {
    const unknown = { ...box, sender: null };
    expect(judgeSweep(both(), { file: unknown }).verdict.outcome).toBe('doubtful');
    expect(judgeSweep(both(), { file: unknown, family: '20 to 80' }).verdict.outcome).toBe('good');
    // Facts of the trade: 52 full, about 990 empty; another 20 to 80. Common practice, no source.
    expect(senderFamilies.map((f) => f.name)).toEqual(expect.arrayContaining(['20 to 80', '990 to 52']));
    expect(stopsOf(null, 'none such')).toBeNull();
  });
  test('random sound senders are never called bad, and those with a gap never good', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.double({ min: 0.15, max: 0.7, noNaN: true }), (seed, at) => {
        expect(outcome(both({ seed, noise: 0.25 }))).toBe('good');
        expect(outcome(both({ seed, noise: 0.25, open: [at, at + 0.12] }))).toBe('bad');
        // Only once, in the first pass: wiped clean after that, and never good all the same.
        expect(
          outcome([pass('up', { seed, open: [at, at + 0.05] }), pass('down', { seed }), ...both({ seed: seed + 1 })]),
        ).toBe('doubtful');
      }),
      { numRuns: 60 },
    );
  });
});

describe('what is wrong with it', () => {
  test('a dead spot stands in litres: open from 40 to 60 % of 200 mm is 40 to 60 L of 100', () => {
    const { verdict, dead, dropOuts } = judgeSweep(both({ open: [0.4, 0.6], n: 240, noise: 0.05 }), { file: box });
    expect(verdict.outcome).toBe('bad');
    expect(dropOuts).toEqual([]);
    expect(dead).toHaveLength(1);
    expect(dead[0]!.litres!.lo).toBeCloseTo(40, 0);
    expect(dead[0]!.litres!.hi).toBeCloseTo(60, 0);
    expect(inWords(verdict.reasons[0]!.text)).toMatch(/^open at (39|40)–(60|61) L, up and back$/);
  });
  test('reads only near full, then open: dead from its empty stop on', () => {
    const { verdict, dead } = judgeSweep(both({ open: [0, 0.7], n: 120 }), { file: box });
    expect(verdict.outcome).toBe('bad');
    expect(dead[0]!.litres!.lo).toBe(0);
    expect(dead[0]!.litres!.hi).toBeCloseTo(70, -0.5);
  });
  test('far beyond its largest end it is open, whatever the meter says', () => {
    expect(outcome(both({ change: (ohms, share) => (share > 0.4 && share < 0.6 ? 900 : ohms) }))).toBe('bad');
  });
  test('open in one way only, or at two places, is a drop-out: never good', () => {
    expect(text([pass('up', { open: [0.3, 0.4] }), pass('down')])).toMatch(/dropped out once/);
    expect(text([pass('up', { open: [0.2, 0.3] }), pass('down', { open: [0.7, 0.8] })])).toMatch(
      /dropped out once.*dropped out once/,
    );
  });
  test('noise: 0.6 Ω of 60 is good to the edge, 1.2 doubtful, 2.4 bad', () => {
    const steady = (noise: number) => outcome(both({ n: 600, noise, seed: 3 }));
    expect([steady(0.45), steady(1.2), steady(2.4)]).toEqual(['good', 'doubtful', 'bad']);
  });
  test('a jump in one way is looked at again, up and back it is bad', () => {
    const jump = (ohms: number, share: number) => (share > 0.5 ? ohms + 8 : ohms);
    const wide = { ...box, sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 90 } } };
    expect(outcome(both({ change: jump, n: 120 }), wide)).toBe('bad');
    expect(outcome([pass('up', { change: jump, n: 120 }), pass('down', { n: 120 })], wide)).toBe('doubtful');
  });
  test('an end that is not reached is no bad sender yet: clip, roof or arm', () => {
    const { verdict } = judgeSweep(both({ ends: [20, 70] }), { file: box });
    expect([verdict.outcome, inWords(verdict.reasons[0]!.text)]).toEqual(['doubtful', 'its full end is not reached']);
    expect(inWords(verdict.next[0]!)).toMatch(/arm bent/);
  });
  test('beyond its end, the other way round, or not moving at all: another part', () => {
    expect(outcome(both({ ends: [20, 95] }))).toBe('bad');
    expect(text(both({ ends: [80, 20] }))).toMatch(/other way round: 80(\.\d)? Ω empty, 20(\.\d)? Ω full/);
    expect(text(both({ ends: [40, 40] }))).toMatch(/does not change/);
  });
  test('three points, or one way only: nobody knows, and it says what is missing', () => {
    const few = judgeSweep([{ way: 'up', readings: [20, 50, 80].map((ohms) => ({ ohms })) }], { file: box }).verdict;
    expect([few.outcome, inWords(few.reasons[0]!.text)]).toEqual([
      'unknown',
      'not swept whole: the way back is missing',
    ]);
    expect(outcome([pass('up', { n: 19 }), pass('down', { n: 60 })])).toBe('unknown');
    expect(outcome([])).toBe('unknown');
    // What was found in it still counts.
    expect(outcome([pass('up', { open: [0.3, 0.5] })])).toBe('unknown');
  });
  test('a reading that is no resistance is refused', () => {
    expect(() => judgeSweep([{ way: 'up', readings: [{ ohms: -4 }] }], { file: box })).toThrow(InputError);
    expect(() => judgeSweep([{ way: 'up', readings: [{ ohms: Number.NaN }] }], { file: box })).toThrow(InputError);
  });
});

describe('with the float’s height measured', () => {
  const lag = (by: number) =>
    both({ heights: true, change: (ohms, _share, way) => ohms + (way === 'up' ? by : 0), noise: 0.05 });
  test('up and back differ: 4 Ω of 60 is doubtful, 8 is bad', () => {
    expect([outcome(lag(1)), outcome(lag(4)), outcome(lag(8))]).toEqual(['good', 'doubtful', 'bad']);
  });
  test('a flat end: the arm goes on and the ohms stand still', () => {
    const flat = (ohms: number) => Math.max(ohms, 32);
    const worn = { ...box, sender: { emptyOhms: { lo: 19, typ: 20, hi: 34 }, fullOhms: { lo: 78, typ: 80, hi: 82 } } };
    expect(text(both({ heights: true, change: flat, n: 120 }), worn)).toMatch(/ohms stand still/);
  });
  test('two pairs of passes that do not agree are doubtful', () => {
    const second = both({ heights: true, change: (ohms) => ohms + 2, seed: 9 });
    expect(text([...both({ heights: true }), ...second])).toMatch(/do not agree/);
    expect(outcome([...both({ heights: true }), ...both({ heights: true, seed: 9 })])).toBe('good');
  });
});

describe('ohms, height and litres', () => {
  test('half way between the stops is half the height, and half the litres of a box', () => {
    expect(heightAt(box, 50)).toBe(100);
    expect(litresAt(box, 100)).toBeCloseTo(50, 6);
    expect(heightAt(box, 5)).toBe(0);
  });
  test('a measured curve goes before the straight line', () => {
    const bent = {
      ...box,
      sender: {
        ...box.sender!,
        curve: [
          { mm: 0, ohms: 20 },
          { mm: 50, ohms: 60 },
          { mm: 200, ohms: 80 },
        ],
      },
    };
    expect(heightAt(bent, 40)).toBe(25);
    expect(heightAt(bent, 70)).toBe(125);
    expect(heightAt(bent, 200)).toBe(200);
    expect(heightAt(bent, 3)).toBe(0);
  });
  test('an arm bent down by 20 mm reads ten litres too many, and no sweep of ohms shows it', () => {
    expect(bentArm(box, { mm: 100, lower: 20 })).toBeCloseTo(10, 6);
  });
});

describe('by the needle alone', () => {
  test('the same place twice is bad, else doubtful, also without a tap', () => {
    expect(
      judgeNeedle([
        { way: 'up', at: 0.4 },
        { way: 'down', at: 0.47 },
      ]).outcome,
    ).toBe('bad');
    expect(
      judgeNeedle([
        { way: 'up', at: 0.4 },
        { way: 'down', at: 0.6 },
      ]).outcome,
    ).toBe('doubtful');
    expect(
      judgeNeedle([
        { way: 'up', at: 0.4 },
        { way: 'up', at: 0.41 },
      ]).outcome,
    ).toBe('doubtful');
    expect(judgeNeedle([]).outcome).toBe('doubtful');
    expect(() => judgeNeedle([{ way: 'up', at: 40 }])).toThrow(InputError);
  });
});
