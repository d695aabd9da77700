import { exactly } from '../estimate/index.ts';
import { shapeLitres } from '../shape/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { fuelAboard, type Witness } from './aboard.ts';
import { witnessLitres } from './witness.ts';

/** A plain box of 1000 × 300 × 200 mm: 60 L, 0.3 L a millimetre. */
const box: VehicleFile = {
  ...archetypes[0]!,
  tank: {
    ...archetypes[0]!.tank,
    shape: { kind: 'box', length: 1000, width: 300, height: 200 },
    litres: exactly(60),
    unusable: exactly(2),
    emptyMass: exactly(10),
  },
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};
const said = (lo: number, hi: number, more: Partial<Witness> = {}): Witness => ({
  id: `${lo}-${hi}`,
  kind: 'sinceEmpty',
  reading: null,
  litres: { lo, typ: (lo + hi) / 2, hi, basis: { kind: 'measured' } },
  outBefore: 0,
  inBefore: 0,
  ...more,
});

describe('a witness of then, now', () => {
  test('less what came out since, plus what went in since, each counted to 3 %', () => {
    // 40 L said when 5 were out and 2 in; now 15 are out and 6 in: 10 gone, 4 come, 14 counted.
    const { aboard } = fuelAboard(box, {
      witnesses: [said(40, 40, { outBefore: 5, inBefore: 2 })],
      out: 15,
      filled: 6,
    });
    expect(aboard.typ).toBeCloseTo(34, 9);
    expect(aboard.lo).toBeCloseTo(34 - 0.42, 9);
    expect(aboard.hi).toBeCloseTo(34 + 0.42, 9);
  });
  test('nothing moved since: as it was said', () => {
    const { aboard } = fuelAboard(box, { witnesses: [said(38, 42, { outBefore: 5, inBefore: 2 })], out: 5, filled: 2 });
    expect([aboard.lo, aboard.hi]).toEqual([38, 42]);
  });
  test('never below none, never above what it holds', () => {
    expect(fuelAboard(box, { witnesses: [said(5, 5)], out: 20, filled: 0 }).aboard.lo).toBe(0);
    expect(fuelAboard(box, { witnesses: [said(55, 55)], out: 0, filled: 20 }).aboard.hi).toBe(60);
  });
  test('nobody said anything: all there may be, less what came out', () => {
    const { aboard, sources } = fuelAboard(box, { witnesses: [], out: 12, filled: 0 });
    expect(sources).toEqual([]);
    expect(aboard.lo).toBe(0);
    expect(aboard.hi).toBeCloseTo(60 - 12 + 0.36, 9);
  });
});

describe('step by step', () => {
  const two = [said(20, 40), said(30, 50, { kind: 'dip' })];
  test('each step what the witnesses so far have in common', () => {
    const { steps, aboard } = fuelAboard(box, { witnesses: two, out: 0, filled: 0 });
    expect(steps.map(({ together }) => [together.lo, together.hi])).toEqual([
      [20, 40],
      [30, 40],
    ]);
    expect([aboard.lo, aboard.hi]).toEqual([30, 40]);
    expect(steps.every(({ agrees }) => agrees)).toBe(true);
  });
  test('one that contradicts is named with the one before it first, and does not count', () => {
    const { contradictions, steps } = fuelAboard(box, {
      witnesses: [said(5, 8), ...two, said(34, 36, { kind: 'weight' })],
      out: 0,
      filled: 0,
    });
    expect(steps.map(({ agrees }) => agrees)).toEqual([false, true, true, true]);
    expect(contradictions).toHaveLength(3);
    for (const one of contradictions) expect(one).toMatch(/^.+ and .+ do not agree$/);
  });
  test('of two sets of as many sources the one with the newest counts', () => {
    const { aboard } = fuelAboard(box, { witnesses: [said(10, 12, { kind: 'dip' }), said(40, 42)], out: 0, filled: 0 });
    expect(aboard.lo).toBe(40);
  });
  test('a sender that is the complaint does not count', () => {
    const gauge = said(50, 55, { kind: 'gauge' });
    expect(fuelAboard(box, { witnesses: [gauge], out: 0, filled: 0, senderSuspect: true }).sources).toEqual([]);
    expect(fuelAboard(box, { witnesses: [gauge], out: 0, filled: 0 }).sources).toHaveLength(1);
  });
  test('dry before one litre came is no witness; after that it is', () => {
    const dry = (outBefore: number) =>
      fuelAboard(box, { witnesses: [said(0, 2, { kind: 'ranDry', outBefore })], out: outBefore, filled: 0 }).sources;
    expect(dry(0)).toEqual([]);
    expect(dry(8)).toHaveLength(1);
  });
});

describe('what each witness says', () => {
  const dip = (mm: number, file = box) => witnessLitres(file, 'dip', mm);
  test('a dip through the shape, its eye erring as far either way', () => {
    const { lo, typ, hi } = dip(100);
    expect(shapeLitres(box.tank.shape)).toBeCloseTo(60, 6);
    expect(typ).toBeCloseTo(30, 1);
    expect(hi - typ).toBeCloseTo(typ - lo, 6);
    // The eye errs by 8 mm either way (common practice, no source), at 0.3 L a millimetre.
    expect(typ - lo).toBeCloseTo(2.4, 6);
  });
  test('below the crest of a hump the other lobe may be empty or full to it; above it nothing is hidden', () => {
    const lobed: VehicleFile = {
      ...box,
      tank: {
        ...box.tank,
        outlet: { x: 150, y: 150, z: 5 },
        shape: {
          kind: 'lobes',
          length: 1000,
          width: 300,
          height: 200,
          over: 'x',
          hump: { from: 450, to: 550, height: 80, slope: 40 },
        },
      },
    };
    const [low, high] = [dip(30, lobed), dip(150, lobed)];
    expect(low.lo).toBeLessThan(low.typ - 2);
    expect(low.hi).toBeGreaterThan(low.typ + 2);
    expect(low.lo).toBeGreaterThanOrEqual(0);
    expect(high.typ - high.lo).toBeLessThan(3);
    expect(high.hi - high.typ).toBeLessThan(3);
    const ran = witnessLitres(lobed, 'ranDry', null);
    expect(ran.lo).toBe(0);
    expect(ran.hi).toBeGreaterThan(ran.typ);
    expect(ran.typ).toBeGreaterThan(2);
    // In a plain box there is nothing behind anything.
    expect(witnessLitres(box, 'ranDry', null)).toMatchObject({ lo: 0, typ: 2, hi: 2 });
  });
  test('ohms between the ends of this sender and a little beyond; what it can’t read is refused with what it can', () => {
    expect(witnessLitres(box, 'ohms', 50).typ).toBeCloseTo(30, 1);
    // 19 to 82 Ω, and a tenth of the 63 between them either way.
    expect(() => witnessLitres(box, 'ohms', 90)).toThrow(/13 to 88 Ω/);
    expect(() => witnessLitres(box, 'ohms', 5)).toThrow(/13 to 88 Ω/);
    expect(() => witnessLitres(box, 'dip', Number.NaN)).toThrow();
    expect(() => witnessLitres(box, 'dip', null)).toThrow();
  });
});
