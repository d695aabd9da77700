import { computed, measured } from '../basis/index.ts';
import { estimate, exactly } from '../estimate/index.ts';
import { safeFillToday, type Witness } from '../tank/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { fuelBalance } from './index.ts';
import { siphonFlow } from './flow.ts';
import { capShutStopsAfter, siphonCrest, suctionLift } from './limits.ts';
import { fillingFlow, fuels, vapourPressure } from '../fluid/index.ts';

/** Nothing put in, and a pump that is the complaint. */
const dry = { fills: [], complaint: 'pump' as const };
const witness = (lo: number, hi: number, outBefore: number, inBefore = 0): Witness => ({
  id: String(lo),
  kind: 'dip',
  reading: null,
  litres: estimate({ lo, typ: (lo + hi) / 2, hi }, measured),
  outBefore,
  inBefore,
});

describe('every litre accounted for', () => {
  const cans = [{ litres: 19 }, { litres: 11 }];
  test('40 before, 30 counted, 10 after: adds up', () => {
    const balance = fuelBalance({
      witnesses: [witness(38, 42, 0), witness(9, 11, 30)],
      containers: cans,
      moves: [],
      ...dry,
    });
    expect(balance.verdict.outcome).toBe('good');
    expect(balance.inCans).toBe(30);
    // 40 − 10 − 30 with ±2, ±1 and three percent of 30.
    expect(balance.open!.lo).toBeCloseTo(-3.9, 9);
    expect(balance.open!.hi).toBeCloseTo(3.9, 9);
  });
  test('a return line that fills it behind one’s back is found, and goes once it is counted', () => {
    const at = { witnesses: [witness(38, 42, 0), witness(18, 20, 30)], containers: cans, ...dry };
    const found = fuelBalance({ ...at, moves: [] });
    expect(found.verdict.outcome).toBe('bad');
    expect(found.verdict.next[0]).toMatch(/return line/);
    const seen = { ...at, witnesses: [witness(38, 42, 0), witness(18, 20, 30, 9)] };
    expect(fuelBalance({ ...seen, moves: [{ what: 'fedIn', litres: 9 }] }).verdict.outcome).toBe('good');
  });
  test('own fuel put back is counted once: 20 L out, 9 L back, 11 L still in cans', () => {
    const back = { witnesses: [], containers: [{ litres: 20 }], complaint: 'pump' as const };
    const byFill = fuelBalance({ ...back, moves: [], fills: [{ litres: 9, own: true }] });
    const byMove = fuelBalance({ ...back, moves: [{ what: 'returned', litres: 9 }], fills: [] });
    for (const balance of [byFill, byMove])
      expect(balance).toMatchObject({ out: 20, returned: 9, filled: 0, inCans: 11 });
    expect(fuelBalance({ ...back, moves: [], fills: [{ litres: 9, own: false }] })).toMatchObject({
      returned: 0,
      filled: 9,
      inCans: 20,
    });
  });
  test('a sender that is the complaint is no witness of the balance', () => {
    const gauge: Witness = { ...witness(60, 70, 0), kind: 'gauge' };
    const at = { witnesses: [gauge, witness(9, 11, 30)], containers: cans, moves: [], fills: [] };
    expect(fuelBalance({ ...at, complaint: 'pump' }).verdict.outcome).toBe('bad');
    expect(fuelBalance({ ...at, complaint: 'level' })).toMatchObject({ before: null, verdict: { outcome: 'unknown' } });
  });
  test('missing fuel asks for the spill', () => {
    const at = { witnesses: [witness(58, 62, 0), witness(9, 11, 30)], containers: cans, ...dry };
    expect(fuelBalance({ ...at, moves: [] }).verdict.reasons[0]!.text).toMatch(/missing/);
    const spilt = { ...at, witnesses: [witness(58, 62, 0), witness(9, 11, 50)] };
    expect(fuelBalance({ ...spilt, moves: [{ what: 'spilled', litres: 20 }] }).verdict.outcome).toBe('good');
  });
  test('more back than ever came out; and nothing to hold it against', () => {
    expect(
      fuelBalance({ witnesses: [], containers: cans, moves: [{ what: 'returned', litres: 40 }], ...dry }).verdict
        .outcome,
    ).toBe('bad');
    expect(fuelBalance({ witnesses: [], containers: cans, moves: [], ...dry }).verdict.outcome).toBe('unknown');
    const wide = fuelBalance({
      witnesses: [witness(10, 60, 0), witness(0, 9, 30)],
      containers: cans,
      moves: [],
      ...dry,
    });
    expect(wide.verdict.outcome).toBe('doubtful');
  });
  test('what is disposed of leaves the cans, not the tank', () => {
    const balance = fuelBalance({
      witnesses: [],
      containers: cans,
      moves: [{ what: 'disposed', litres: 12 }],
      ...dry,
    });
    expect(balance.inCans).toBe(18);
    expect(exactly(1, computed('x')).lo).toBe(1);
  });
});

describe('how full a can may be today', () => {
  const at = (answers: Record<string, string | number>) => safeFillToday({ vehicle: archetypes[0]!, answers });
  test('filled at −10 °C for a store of 40 °C: 94.1 % at 745 kg/m³, a little less for the lightest', () => {
    expect(at({ 'celsius/today': -10, 'celsius/store': 40 })).toBeCloseTo(0.941, 2);
  });
  test('never fuller than 95 %, however warm it is filled; nonsense counts as unsaid', () => {
    expect(at({ 'celsius/today': 25, 'celsius/store': 30 })).toBe(0.95);
    expect(at({ 'celsius/today': 40, 'celsius/store': 20 })).toBe(0.95);
    expect(at({ 'celsius/today': 'warm' })).toBe(at({}));
  });
});

describe('what stops it (worked by hand from the formulas)', () => {
  test('cap shut: 30 L of ullage under 0.2 m gives 0.44 L dry and 0.68 L with vapour', () => {
    expect(capShutStopsAfter({ ullage: 30, head: 0.2, density: 0.745, vapour: 0 })).toBeCloseTo(0.44, 2);
    expect(
      capShutStopsAfter({ ullage: 30, head: 0.2, density: 0.745, vapour: vapourPressure(60_000, 20) }),
    ).toBeCloseTo(0.68, 2);
    expect(() => capShutStopsAfter({ ullage: -1, head: 0.2, density: 0.745, vapour: 0 })).toThrow(/ullage/);
  });
  test('suction lift of petrol at 40 °C: 4.7 m at the sea, 1.6 m two thousand metres up', () => {
    const vapour = vapourPressure(60_000, 40);
    expect(suctionLift(vapour, 0.72)).toBeCloseTo(4.7, 1);
    // 79.5 kPa is the standard atmosphere at 2 000 m (ISO 2533, from memory).
    expect(suctionLift(vapour, 0.72, 79_500)).toBeCloseTo(1.6, 1);
    expect(suctionLift(101_325, 0.72)).toBe(0);
  });
  test('a crest: no flow, 1 m of petrol takes ρ·g·h; too high, it boils', () => {
    const hose = { bore: 0.01, length: 3, losses: 0.5 };
    expect(siphonCrest({ rise: 1, hose, flow: 0, density: 0.745, vapour: 36_000 }).pressure).toBeCloseTo(
      101_325 - 745 * 9.80665,
      6,
    );
    const flow = siphonFlow(0.5, hose, 0.6e-6);
    expect(siphonCrest({ rise: 1, hose, flow, density: 0.745, vapour: 36_000 }).runs).toBe(true);
    expect(siphonCrest({ rise: 9, hose, flow, density: 0.745, vapour: 36_000 }).runs).toBe(false);
  });
  test('filling: 1 m/s until covered, then 7 m/s and speed × bore below 0.5 (IEC TS 60079-32-1, from memory)', () => {
    const { bare, covered } = fillingFlow(0.01);
    expect(bare).toBeCloseTo((Math.PI / 4) * 1e-4 * 60_000, 9);
    expect(covered / bare).toBeCloseTo(7, 9);
    // At 100 mm the product decides: 5 m/s.
    expect(fillingFlow(0.1).covered / fillingFlow(0.1).bare).toBeCloseTo(5, 9);
    expect(() => fillingFlow(0)).toThrow(/bore/);
  });
  test('E85 weighs 0.85 · 793.5 + 0.15 · 745', () => {
    expect(fuels.e85.density.typ).toBeCloseTo(0.85 * 0.7935 + 0.15 * 0.745, 9);
  });
});
