import { measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { estimate, exactly } from '../estimate/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { startingFigures } from '../order/index.ts';
import { drained, judgeHandling, kilogramsOf, litresToTakeOut, tankMass } from './index.ts';

const rail = archetypes[0]!;
const shop = { alone: 25, two: 40 };
const lying = { alone: 15, two: null };

describe('mass by hand', () => {
  test('cold fuel is heavier: petrol of 745 kg/m³ is 731 at 30 °C, by the generalised products of API MPMS 11.1', () => {
    // 0.98171 from the standard’s formula, worked by hand: α = 346.42278 / 745² + 0.43884 / 745 = 0.0012132 per K.
    const warm = tankMass(rail, exactly(40), 30).typ - tankMass(rail, exactly(0), 30).typ;
    expect(warm).toBeCloseTo(40 * 0.745 * 0.98171, 2);
    expect(tankMass(rail, exactly(40), -20).hi).toBeGreaterThan(tankMass(rail, exactly(40)).hi);
  });

  test('empty 9–13–20 kg and 40 L of petrol at 0.720–0.745–0.775 kg/L', () => {
    const mass = tankMass(rail, exactly(40));
    expect(mass.lo).toBeCloseTo(9 + 28.8, 6);
    expect(mass.typ).toBeCloseTo(13 + 29.8, 6);
    expect(mass.hi).toBeCloseTo(20 + 31, 6);
  });

  test.each([
    [estimate({ lo: 12, typ: 18, hi: 24 }, measured), 'alone', 'good'],
    [estimate({ lo: 20, typ: 26, hi: 31 }, measured), 'two', 'doubtful'],
    [estimate({ lo: 35, typ: 42, hi: 50 }, measured), 'neither', 'bad'],
  ] as const)('%o: %s', (mass, hands, outcome) => {
    expect(judgeHandling(mass, shop)).toMatchObject({ hands, verdict: { outcome } });
  });

  test('the limit is judged at the heavy end', () => {
    expect(judgeHandling(exactly(25), shop).hands).toBe('alone');
    expect(judgeHandling(estimate({ lo: 20, typ: 22, hi: 25.1 }, measured), shop).hands).toBe('two');
    expect(() => judgeHandling(exactly(9), { alone: 0, two: 1 })).toThrow(InputError);
  });
});

describe('where every shop starts (common practice, no source)', () => {
  const job = (...answers: [string, string][]) => ({
    shop: startingFigures,
    answers: Object.fromEntries(answers),
  });
  test('standing 25 alone and 30 for two; lying 15 alone, and no figure for two', () => {
    expect(kilogramsOf(job())).toEqual({ alone: 25, two: 30 });
    expect(kilogramsOf(job(['worked on', 'lift']))).toEqual({ alone: 25, two: 30 });
    expect(kilogramsOf(job(['worked on', 'floor']))).toEqual({ alone: 15, two: null });
  });
  test('out of a wing it is held kneeling: 15 for one, on a lift as on the ground', () => {
    const wing = archetypes.find((a) => a.mounting === 'wing')!;
    expect(kilogramsOf({ ...job(), vehicle: wing })).toEqual({ alone: 15, two: 30 });
    expect(kilogramsOf({ ...job(), vehicle: rail }).alone).toBe(25);
  });
  test('what is too heavy lying is never called a load for two: what carries it keeps it', () => {
    expect(judgeHandling(exactly(14), lying).hands).toBe('alone');
    const heavy = judgeHandling(exactly(20), lying);
    expect(heavy).toMatchObject({ hands: 'neither', verdict: { outcome: 'doubtful' } });
    expect(heavy.verdict.next[0]).toMatch(/keeps it/);
  });
});

describe('litres to take out', () => {
  test('the likely figure is (13 + 50 × 0.745 − 25) / 0.745', () => {
    expect(litresToTakeOut({ vehicle: rail, aboard: exactly(50), limit: 25 }).litres.typ).toBeCloseTo(
      (13 + 50 * 0.745 - 25) / 0.745,
      6,
    );
  });

  test('what remains after taking it out is the limit, at each end', () => {
    const { litres } = litresToTakeOut({ vehicle: rail, aboard: exactly(60), limit: 30 });
    expect(tankMass(rail, exactly(60 - litres.hi)).hi).toBeCloseTo(30, 6);
    expect(tankMass(rail, exactly(60 - litres.typ)).typ).toBeCloseTo(30, 6);
  });

  test('never more than there is, and says when even the drained tank is too much', () => {
    expect(litresToTakeOut({ vehicle: rail, aboard: exactly(2), limit: 5 }).litres.hi).toBeLessThanOrEqual(2);
    expect(litresToTakeOut({ vehicle: rail, aboard: exactly(50), limit: 15 }).enough).toBe(false);
    expect(drained(rail, exactly(0.5)).hi).toBe(0.5);
  });
});
