import { describe, expect, test } from '@jest/globals';
import { exactly } from '../estimate/index.ts';
import { checkBody, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { judgeScreens, planPickup, type PickupPlan } from './index.ts';

/** 1000 × 400 × 250 mm: 100 L, 0.4 L a millimetre; its pick-up in the middle, ten off the floor. All by hand. */
const file: VehicleFile = {
  ...archetypes[0]!,
  length: 1000,
  tank: {
    ...archetypes[0]!.tank,
    material: 'steel',
    shape: { kind: 'box', length: 1000, width: 400, height: 250 },
    litres: exactly(100),
    outlet: { x: 500, y: 200, z: 10 },
  },
};
const plan: PickupPlan = { serves: 'engine', toFloor: 250, held: true, gasket: 3, clearance: 10 };
const texts = (p: Partial<PickupPlan>, of = file) =>
  planPickup(of, { ...plan, ...p })
    .verdict.reasons.map(({ text }) => inWords(text))
    .join('; ');
const outcome = (p: Partial<PickupPlan>, of = file) => planPickup(of, { ...plan, ...p }).verdict.outcome;

describe('where to cut: opening to floor, gasket on top, less the clearance; common practice, no source', () => {
  test('250 to the floor, gasket 3, ten clear: 243 below the flange', () => {
    const { cut, above } = planPickup(file, plan);
    expect([cut, above]).toEqual([243, 10]);
    expect(outcome({})).toBe('good');
  });
  test('what it leaves: 4 L level; on one in six what runs to the low end as well', () => {
    const { level, slope } = planPickup(file, plan).leaves;
    expect(level.typ).toBeCloseTo(4, 6);
    // Tilted by 9.5° about the middle the surface through the pick-up meets the floor 10/tan 9.5° = 59.8 mm off it on the high
    // side; low side a trapezoid to the wall: (10 + 10 + 500·tan 9.5°)/2 · 500 · 400 plus 10 · 59.8/2 · 400, in litres.
    const t = Math.tan((9.5 * Math.PI) / 180);
    const low = ((20 + 500 * t) / 2) * 500 * 400;
    const high = ((10 * 10) / t / 2) * 400;
    expect(slope!.typ).toBeCloseTo((low + high) / 1e6, 3);
  });
  test('of a level table the level is known, the slope is not', () => {
    const table = {
      ...file,
      tank: {
        ...file.tank,
        shape: {
          kind: 'table' as const,
          length: 1000,
          width: 400,
          height: 250,
          rows: [
            [0, 0],
            [20, 6],
            [250, 100],
          ] as [number, number][],
        },
      },
    };
    const { level, slope } = planPickup(table, plan).leaves;
    expect(level.typ).toBeCloseTo(3, 6);
    expect(slope).toBeNull();
    expect(texts({}, table)).toMatch(/nobody can say from a level table/);
  });
  test('a heater’s ends where the reserve is still there for the engine', () => {
    // 12 L on top of the 4 the engine can’t use: 16 L are 40 mm.
    const heater = planPickup(file, { ...plan, serves: 'heater', reserve: 12 });
    expect(heater.above).toBeCloseTo(40, 6);
    expect(heater.cut).toBe(213);
    expect(() => planPickup(file, { ...plan, serves: 'heater', reserve: 97 })).toThrow(/less than the tank holds/);
    expect(() => planPickup(file, { ...plan, serves: 'heater' })).toThrow(/litres the heater leaves/);
  });
  test('a plastic floor nobody held sags: measured again; on steel it is no matter', () => {
    const plastic = { ...file, tank: { ...file.tank, material: 'plastic' as const } };
    expect(outcome({ held: false }, plastic)).toBe('doubtful');
    expect(outcome({ held: true }, plastic)).toBe('good');
    expect(outcome({ held: false })).toBe('good');
  });
  test('two millimetres off the floor are a halt', () => {
    expect(outcome({ clearance: 2 })).toBe('bad');
    expect(outcome({ clearance: 3 })).toBe('good');
  });
  test('more clearance than there is depth is refused', () =>
    expect(() => planPickup(file, { ...plan, clearance: 260 })).toThrow(/stays off the floor/));
});

describe('clear of the float’s arc', () => {
  // Reach: arm 150, half of 40, 5 of air: 175.
  const float = { pivot: 120, arm: 150, across: 40 };
  test.each([
    [175, 'good'],
    [174, 'doubtful'],
    [20, 'bad'],
  ])('%d mm from the pivot: %s', (away, is) => expect(outcome({ float: { ...float, away } })).toBe(is));
  test('a tube that ends above the pivot is nearest at its end', () => {
    // Cut 63 below the flange, pivot at 120: √(170² + 57²) is 179.3.
    const short = { toFloor: 250, clearance: 190 };
    expect(outcome({ ...short, float: { ...float, away: 170 } })).toBe('good');
    expect(outcome({ float: { ...float, away: 170 } })).toBe('doubtful');
  });
});

describe('the return', () => {
  test.each([
    [{ above: 20, away: 200 }, 'good'],
    [{ above: 51, away: 200 }, 'doubtful'],
    [{ above: 20, away: 99 }, 'doubtful'],
  ])('%j: %s', (back, is) => expect(outcome({ back })).toBe(is));
  test('says what happens', () => expect(texts({ back: { above: 120, away: 30 } })).toMatch(/foams.*straight round/));
});

describe('screens have a history', () => {
  const known = { filterAhead: false, sock: false };
  const on = (cleaned: string[], more = {}) => judgeScreens({ ...known, cleaned, ...more }, '2026-11-27');
  test('one day known: every 8 to 12 months, common practice', () => {
    expect(on(['2026-06-01']).verdict.outcome).toBe('good');
    expect(on(['2026-02-01'])).toMatchObject({ due: { from: '2026-10-01', to: '2027-02-01' } });
    expect(on(['2026-02-01']).verdict.outcome).toBe('doubtful');
    expect(on(['2025-11-01']).verdict.outcome).toBe('bad');
  });
  test('three days known: by what lay between them', () => {
    // 6 and 4 months apart: due 4 to 5 months after the last.
    const { due, verdict } = on(['2026-07-10', '2025-09-10', '2026-03-10']);
    expect(due).toEqual({ from: '2026-11-10', to: '2026-12-10' });
    expect(verdict.outcome).toBe('doubtful');
    expect(verdict.reasons[0]!.basis).toMatchObject({ kind: 'learned', count: 2 });
  });
  test('removing pays only with a filter ahead of the pump, a petrol sock never goes', () => {
    expect(on(['2026-06-01']).mayGo).toBe(false);
    expect(on(['2026-06-01'], { filterAhead: true }).mayGo).toBe(true);
    expect(on(['2026-06-01'], { filterAhead: true, sock: true }).mayGo).toBe(false);
  });
  test('no day: unknown; a day to come: refused', () => {
    expect(on([]).verdict.outcome).toBe('unknown');
    expect(() => on(['2027-01-01'])).toThrow(/a day that has been/);
    expect(() => on(['soon'])).toThrow(/a day that has been/);
  });
});

describe('in a job', () => {
  const job = () => tell({ complaint: 'pump', vehicle: file });
  test('planned, it stands on the record; what this tank can’t do is unknown, never a guess', () => {
    const one = job();
    one.say('pickupPlanned', plan);
    expect(one.state.pickups[0]).toMatchObject({ cut: 243, verdict: { outcome: 'good' } });
    one.say('pickupPlanned', { ...plan, serves: 'heater', reserve: 99 });
    expect(one.state.pickups[1]).toMatchObject({ cut: null, verdict: { outcome: 'unknown' } });
    expect(
      recordLines(one.state)
        .map(({ text }) => inWords(text))
        .join(),
    ).toMatch(/cut it 243 mm below the flange/);
  });
  test('screens too', () => {
    const one = job();
    one.say('screensKnown', { cleaned: ['2026-02-01'], ...known(), today: '2026-11-27' });
    expect(one.state.screens?.verdict.outcome).toBe('doubtful');
  });
  const known = () => ({ filterAhead: false, sock: false });
  test.each([
    ['pickupPlanned', { ...plan, serves: 'heater' }, /leaves to the engine/],
    ['pickupPlanned', { ...plan, clearance: 280 }, /less than from the opening/],
    ['pickupPlanned', { ...plan, toFloor: 'deep' }, /toFloor/],
    ['screensKnown', { cleaned: ['2027-05-05'], filterAhead: false, sock: false, today: '2026-11-27' }, /has been/],
  ] as const)('%s %j is refused', (kind, body, why) => expect(() => checkBody(kind, body as never)).toThrow(why));
});
