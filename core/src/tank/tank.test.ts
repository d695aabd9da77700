import fc from 'fast-check';
import { InputError } from '../errors/index.ts';
import { exactly } from '../estimate/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { witnessLitres, type Witness, type WitnessKind } from './index.ts';
import { fuelAboard } from './aboard.ts';

const rail = archetypes[0]!;
const witness = (kind: WitnessKind, reading: number | null, outBefore = 0): Witness => ({
  id: kind,
  kind,
  reading,
  litres: witnessLitres(rail, kind, reading),
  outBefore,
  inBefore: 0,
});

describe('what one witness stands for', () => {
  test('half a gauge, read to an eighth, in a tank of 60–130 L', () => {
    expect(witnessLitres(rail, 'gauge', 0.5)).toMatchObject({ lo: 0.375 * 60, hi: 0.625 * 130 });
  });
  test('weighed: (kg − empty) / density, each end by hand', () => {
    const said = witnessLitres(rail, 'weight', 40);
    expect(said.lo).toBeCloseTo((39 - 20) / 0.775, 6);
    expect(said.typ).toBeCloseTo((40 - 13) / 0.745, 6);
    expect(said.hi).toBeCloseTo((41 - 9) / 0.72, 6);
  });
  test('dipped at half its height, a level box holds half', () => {
    expect(witnessLitres(rail, 'dip', 140).typ).toBeCloseTo(95 / 2, 6);
  });
  test.each<[WitnessKind, number]>([
    ['gauge', 1.2],
    ['dip', 1600],
    ['dip', -1],
    ['sinceEmpty', 500],
    ['weight', -3],
  ])('%s %d cannot be', (kind, reading) => {
    expect(() => witnessLitres(rail, kind, reading)).toThrow(InputError);
  });
});

describe('what they say together', () => {
  test('litres counted out move every witness; the range only narrows', () => {
    const half = witness('gauge', 0.5);
    const before = fuelAboard(rail, { witnesses: [half], out: 0, filled: 0 }).aboard;
    const after = fuelAboard(rail, { witnesses: [half], out: 20, filled: 0 }).aboard;
    expect(after.typ).toBeCloseTo(before.typ - 20, 6);
    const two = fuelAboard(rail, { witnesses: [half, witness('ranDry', null, 20)], out: 20, filled: 0 });
    expect(two.aboard.hi - two.aboard.lo).toBeLessThanOrEqual(after.hi - after.lo);
    expect(two.sources).toEqual(['sender', 'pick-up']);
  });

  test('gauge and scan tool are one source', () => {
    expect(
      fuelAboard(rail, { witnesses: [witness('gauge', 0.5), witness('scan', 0.5)], out: 0, filled: 0 }).sources,
    ).toEqual(['sender']);
  });

  test('witnesses that contradict each other are named, and the newest counts', () => {
    const told = fuelAboard(rail, { witnesses: [witness('gauge', 1), witness('plugDry', null, 1)], out: 1, filled: 0 });
    expect(told.contradictions).toEqual(['gauge and plug open and dry do not agree']);
    expect(told.aboard.hi).toBe(6);
    expect(told.sources).toEqual(['drain plug']);
  });

  test('a pump that ran dry does not outvote a scale and a gauge, however often it says so', () => {
    const heavy = [witness('gauge', 0.75), witness('weight', 60)];
    const dry = fuelAboard(rail, {
      witnesses: [...heavy, witness('ranDry', null, 1), witness('bursts', 10, 1)],
      out: 1,
      filled: 0,
    });
    // 60 kg less 9 to 20 of empty tank is 50 to 72 L of petrol: nowhere near the 6 a dry pick-up leaves.
    expect(dry.aboard.lo).toBeGreaterThan(40);
    expect(dry.sources).toEqual(['sender', 'weight']);
    expect(dry.contradictions).toEqual([
      'gauge and pump or siphon ran dry do not agree',
      'weighed and pump or siphon ran dry do not agree',
      'gauge and bursts until it ran dry do not agree',
      'weighed and bursts until it ran dry do not agree',
    ]);
    expect(dry.steps.map((s) => s.agrees)).toEqual([true, true, false, false]);
  });
  test('two new sources against one old: the new ones count, whatever order the others came in', () => {
    const told = fuelAboard(rail, {
      witnesses: [witness('gauge', 1), witness('plugDry', null, 1), witness('dip', 5, 1)],
      out: 1,
      filled: 0,
    });
    expect(told.sources).toEqual(['drain plug', 'level']);
    expect(told.aboard.hi).toBeLessThanOrEqual(6);
    expect(told.contradictions).toHaveLength(2);
  });
  test('a count and the dry pump it ends in are one source', () => {
    expect(
      fuelAboard(rail, { witnesses: [witness('ranDry', null, 1), witness('bursts', 30, 1)], out: 1, filled: 0 })
        .sources,
    ).toEqual(['pick-up']);
  });

  test('never negative, never more than the tank holds, never NaN', () => {
    const reading = fc.tuple(
      fc.constantFrom<WitnessKind>('gauge', 'plugDry', 'ranDry', 'scan'),
      fc.double({ min: 0, max: 1, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 6 }), fc.double({ min: 0, max: 200, noNaN: true }), (list, out) => {
        const { aboard } = fuelAboard(rail, { witnesses: list.map(([k, v]) => witness(k, v)), out, filled: 0 });
        expect(aboard.lo).toBeGreaterThanOrEqual(0);
        expect(aboard.hi).toBeLessThanOrEqual(130);
        expect(aboard.lo).toBeLessThanOrEqual(aboard.hi);
      }),
    );
  });

  test('with no witness at all it is anything', () => {
    expect(fuelAboard(rail, { witnesses: [], out: 0, filled: 0 }).aboard).toMatchObject({ lo: 0, hi: 130 });
    expect(exactly(3).lo).toBe(3);
  });
});
