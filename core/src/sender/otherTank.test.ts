import { describe, expect, test } from '@jest/globals';
import { exactly } from '../estimate/index.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { judgeArm, needleIn } from './index.ts';

/** A box of 250 mm and 100 L: 0.4 L a millimetre; by hand. */
const file: VehicleFile = {
  ...archetypes[0]!,
  tank: { ...archetypes[0]!.tank, shape: { kind: 'box', length: 1000, width: 400, height: 250 }, litres: exactly(100) },
};

describe('a bent arm: both stops move the same way; common practice, no source', () => {
  const was = { empty: 230, full: 30 };
  test('within what a rule errs it hangs where it did', () =>
    expect(judgeArm({ empty: 233, full: 28 }, was, file).outcome).toBe('good'));
  test('twenty lower at both: it reads 8 L too much', () => {
    const { outcome, reasons } = judgeArm({ empty: 250, full: 50 }, was, file);
    expect(outcome).toBe('doubtful');
    expect(inWords(reasons[0]!.text)).toMatch(/20 mm lower at both stops, so it reads too much/);
    expect(inWords(reasons[0]!.figure!)).toMatch(/8 L/);
  });
  test('thirty higher: 12 L too little, another sender', () => {
    const { outcome, reasons } = judgeArm({ empty: 200, full: 0 }, was, file);
    expect(outcome).toBe('bad');
    expect(inWords(reasons[0]!.text)).toMatch(/higher.*too little/);
  });
  test('ten lower is 4 L: within a twentieth of the tank', () =>
    expect(judgeArm({ empty: 240, full: 40 }, was, file).outcome).toBe('good'));
  test('one stop alone: the stop is bent or something is in the way', () =>
    expect(inWords(judgeArm({ empty: 210, full: 30 }, was, file).reasons[0]!.text)).toMatch(/a stop is bent/));
  test('empty above full is refused', () =>
    expect(() => judgeArm({ empty: 20, full: 30 }, was, file)).toThrow(/at empty lower/));
});

describe('an old sender in another tank', () => {
  const same = { litres: 100, toFloor: 250, empty: 250, full: 0, pickup: 10 };
  const typ = (of: Parameters<typeof needleIn>[1]) => needleIn(file, of).places.map(({ litres }) => litres.typ);
  test('in a tank of its own depth every quarter is a quarter, and it runs dry just before empty', () => {
    expect(typ(same)).toEqual([0, 25, 50, 75, 100].map((v) => expect.closeTo(v, 6)));
    expect(needleIn(file, same).verdict.outcome).toBe('bad');
    // With its stop at the pick-up’s height nothing is wrong.
    expect(needleIn(file, { ...same, empty: 240 }).verdict.outcome).toBe('good');
  });
  test('only longer: the same share of more litres', () =>
    expect(typ({ ...same, litres: 160 })).toEqual([0, 40, 80, 120, 160].map((v) => expect.closeTo(v, 6))));
  test('deeper: at empty a reserve is left that nobody sees, and half is more than half', () => {
    // 330 deep, 132 L: 0.4 L a mm. At empty the float hangs 80 above the floor: 32 L, of which 4 can’t be drawn.
    const deep = { litres: 132, toFloor: 330, empty: 250, full: 0, pickup: 10 };
    const { places: at, reserve, verdict } = needleIn(file, deep);
    expect(at[0]!.litres.typ).toBeCloseTo(32, 6);
    expect(at[2]!.litres.typ).toBeCloseTo(82, 6);
    expect(reserve.typ).toBeCloseTo(28, 6);
    expect(verdict.outcome).toBe('bad');
    expect(verdict.reasons.map(({ text }) => inWords(text)).join()).toMatch(/28 L are still there/);
  });
  test('shallower: the float strikes the floor before empty: it runs dry with the needle up', () => {
    const { verdict } = needleIn(file, { litres: 80, toFloor: 200, empty: 250, full: 0, pickup: 10 });
    expect(verdict.outcome).toBe('bad');
    expect(inWords(verdict.reasons[0]!.text)).toMatch(/runs dry before the needle/);
  });
  test('the lamp: by its share of the needle', () => {
    const of = { ...same, empty: 230, lamp: 0.125 };
    // An eighth of 230 above the empty stop, which is 20 above the floor: 48.75 mm, 19.5 L.
    expect(needleIn(file, of).lamp!.typ).toBeCloseTo(19.5, 6);
    expect(needleIn(file, same).lamp).toBeNull();
  });
  test.each([
    [{ ...same, empty: 0, full: 10 }, /at empty lower/],
    [{ ...same, pickup: 300 }, /inside the tank/],
  ])('%j is refused', (of, why) => expect(() => needleIn(file, of)).toThrow(why));
});
