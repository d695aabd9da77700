import { measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { estimate, exactly, type Estimate } from '../estimate/index.ts';
import { GRAVITY, inWords } from '../quantity/index.ts';
import type { Witness } from '../tank/index.ts';
import { usualArchetypes } from '../vehicle/testing.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import {
  bestWayOut,
  CAP_OPENS,
  drainFacts,
  drainWays,
  fuelBalance,
  HOSE_HEAD,
  judgeSample,
  kitOf,
  SECOND_TANK,
  shareOut,
} from './index.ts';
import { drainTime, frictionFactor, siphonFlow } from './flow.ts';
import { capShutStopsAfter, siphonCrest, suctionLift } from './limits.ts';

/** Where draining turns: at its limits, on either side, and each figure of a way worked by hand. */
const hose = { bore: 0.01, length: 2, losses: 0.5 };
const PETROL = 0.6e-6;
/** A box of 1100 × 420 × 280 mm that is filed to hold 60 to 130 L, with little that stays. */
const rail: VehicleFile = {
  ...usualArchetypes[0]!,
  fuel: 'petrol',
  tank: { ...usualArchetypes[0]!.tank, unusable: { lo: 1, typ: 2, hi: 4 } },
};
const refuses = (work: () => unknown, field: string) => {
  expect(work).toThrow(InputError);
  expect(work).toThrow(field);
};

describe('limits of flow', () => {
  test('roughness, bore, length, losses and viscosity at their ends', () => {
    expect(frictionFactor(1e5, 0.0999)).toBeGreaterThan(frictionFactor(1e5, 0.05));
    for (const rough of [-0.01, 0.1, Number.NaN]) refuses(() => frictionFactor(1e5, rough), 'roughness');
    expect(frictionFactor(2300)).toBe(64 / 2300);
    expect(siphonFlow(0.5, { ...hose, losses: 0 }, PETROL)).toBeGreaterThan(siphonFlow(0.5, hose, PETROL));
    for (const wrong of [{ bore: 0 }, { length: 0 }, { losses: -1 }, { bore: Number.NaN }])
      refuses(() => siphonFlow(1, { ...hose, ...wrong }, PETROL), 'hose');
    for (const viscosity of [0, -1, Number.NaN]) refuses(() => siphonFlow(1, hose, viscosity), 'viscosity');
  });
  test('an empty tank is empty at once; a hole lets through at most all of it', () => {
    expect(drainTime(() => 1, { head: 0, hole: 0.01 })).toBe(0);
    expect(drainTime(() => 1, { head: 1, hole: 0.01, discharge: 1 })).toBeCloseTo(
      (2 * 1) / ((Math.PI / 4) * 1e-4 * Math.sqrt(2 * GRAVITY)),
      6,
    );
    for (const discharge of [0, 1.01, Number.NaN])
      refuses(() => drainTime(() => 1, { head: 1, hole: 0.01, discharge }), 'discharge');
  });
  test('a shut cap: 30 L of dry air over 0.2 m of petrol let 0.44 L go, with vapour of 35.8 kPa 0.68', () => {
    const of = (more: object) => capShutStopsAfter({ ullage: 30, head: 0.2, density: 0.745, vapour: 0, ...more });
    expect(of({})).toBeCloseTo(0.44, 2);
    expect(of({ vapour: 35_800 })).toBeCloseTo(0.68, 2);
    expect(of({ head: 0 })).toBe(0);
    expect(of({ head: 4.9 })).toBeGreaterThan(10);
    for (const head of [-0.1, 5, Number.NaN]) refuses(() => of({ head }), 'head');
    refuses(() => of({ vapour: 101_325 }), 'vapour');
    refuses(() => of({ ullage: -1 }), 'ullage');
  });
  test('suction: petrol of 40 °C lifts 4.7 m at sea level; nothing lifts a vacuum', () => {
    expect(suctionLift(68_300, 0.73)).toBeCloseTo((101_325 - 68_300) / (730 * GRAVITY), 9);
    expect(suctionLift(120_000, 0.73)).toBe(0);
    for (const density of [0, -1, Number.NaN]) refuses(() => suctionLift(1000, density), 'density');
  });
  test('the crest of a siphon by hand: air less the lift less speed and its losses', () => {
    const speed = 5e-5 / ((Math.PI / 4) * 1e-4);
    const crest = (rise: number, vapour = 36_000) => siphonCrest({ rise, hose, flow: 5e-5, density: 0.745, vapour });
    expect(crest(1.2).pressure).toBeCloseTo(101_325 - 745 * GRAVITY * 1.2 - ((745 * speed ** 2) / 2) * 1.5, 6);
    expect([crest(1.2).runs, crest(9.5).runs]).toEqual([true, false]);
    expect(crest(1.2, crest(1.2).pressure).runs).toBe(false);
    expect(crest(0).runs).toBe(true);
    for (const rise of [-0.1, 20, Number.NaN]) refuses(() => crest(rise), 'rise');
    expect(crest(19.9).runs).toBe(false);
  });
});

describe('cans', () => {
  test('bad figures are refused, a whole can may be filled where nothing grows', () => {
    refuses(() => shareOut(-1, [20], 0.95), 'litres');
    refuses(() => shareOut(Number.NaN, [20], 0.95), 'litres');
    for (const fill of [0, 1.1, Number.NaN]) refuses(() => shareOut(5, [20], fill), 'fill');
    expect(shareOut(20, [20], 1)).toEqual({ cans: [{ capacity: 20, litres: 20 }], over: 0 });
  });
  test('the large ones are filled first, the last takes the rest', () => {
    expect(shareOut(26, [10, 20], 0.95).cans).toEqual([
      { capacity: 20, litres: 19 },
      { capacity: 10, litres: 7 },
    ]);
    expect(shareOut(19, [20, 20], 0.95).cans).toHaveLength(1);
    expect(shareOut(19.01, [20, 20], 0.95).cans).toHaveLength(2);
  });
});

describe('what a shop drains with, and what was seen', () => {
  test('a rated flow is seldom reached: six to fourteen tenths of it; mm become m', () => {
    expect(kitOf({ transferPump: 10, siphonBore: 8, siphonLength: 3 })).toMatchObject({
      transferPump: { lo: 6, typ: 10, hi: 14 },
      siphon: { bore: 0.008, length: 3 },
    });
    expect(kitOf({ transferPump: null, siphonBore: null, siphonLength: 3 })).toEqual({
      transferPump: null,
      siphon: null,
    });
  });
  test('only what was said', () => {
    const said = (answers: Record<string, string | number>, safe = false) => drainFacts({ answers } as never, safe);
    expect(said({})).toEqual({});
    expect(said({}, true)).toEqual({ madeSafe: true });
    expect(said({ [CAP_OPENS.id]: 'yes', 'drain plug': 'there', [SECOND_TANK.id]: 'no' })).toEqual({});
    expect(said({ [CAP_OPENS.id]: 'no', [HOSE_HEAD.id]: -0.1, [SECOND_TANK.id]: 'yes' })).toEqual({
      capShut: true,
      hoseHead: -0.1,
      otherTank: true,
    });
  });
});

describe('the ways out, worked by hand for 50 L, of which 1 to 4 stay', () => {
  const ask = { vehicle: rail, aboard: exactly(50), complaint: 'level' as const };
  const way = (id: string, more: object = {}) => drainWays({ ...ask, ...more }).find((w) => w.id === id)!;
  const close = (lo: number, typ: number, hi: number) => ({
    lo: expect.closeTo(lo, 4) as number,
    typ: expect.closeTo(typ, 4) as number,
    hi: expect.closeTo(hi, 4) as number,
  });
  test('pump: 4 to 10 L/min and some minutes around it; less than stays takes only those', () => {
    expect(way('transferPump').minutes).toMatchObject(close(46 / 10 + 3, 48 / 7 + 5, 49 / 4 + 10));
    expect(way('transferPump', { aboard: exactly(0.5) }).minutes).toMatchObject(close(3, 5, 10));
    expect(way('transferPump', { aboard: exactly(0.5) }).stays).toMatchObject({ lo: 0.5, typ: 0.5, hi: 0.5 });
  });
  test('siphon: 5.72 L/min under half a metre, and half as much again may stay', () => {
    const siphon = way('siphon', { facts: { hoseHead: 0.5 } });
    expect(siphon.minutes.typ).toBeCloseTo(48 / 5.72 + 6, 1);
    const slow = siphonFlow(0.35, hose, 0.6e-6) * 60_000;
    expect(siphon.minutes.hi).toBeCloseTo(49 / slow + 12, 0);
    expect(siphon.minutes.hi).toBeGreaterThan(way('siphon', { facts: { hoseHead: 2 } }).minutes.hi);
    expect(siphon.stays).toMatchObject({ lo: 1, typ: 2, hi: 6 });
    expect(way('siphon').cannot).toBeNull();
    for (const hoseHead of [0, -0.2]) expect(way('siphon', { facts: { hoseHead } }).cannot).toMatch(/above the fuel/);
    expect(way('siphon', { facts: { hoseHead: 0.01 } }).cannot).toBeNull();
    expect(way('siphon', { kit: { transferPump: null, siphon: null } }).cannot).toMatch(/no siphon hose/);
  });
  test('plug: Torricelli for the box, filed at 95 L, 12 mm', () => {
    const area = (0.462 * 95) / 129.36;
    const head = (0.28 * 50) / 95;
    const seconds = (2 * area * Math.sqrt(head)) / (0.62 * (Math.PI / 4) * 0.012 ** 2 * Math.sqrt(2 * GRAVITY));
    expect(way('plug').minutes.typ).toBeCloseTo(seconds / 60 + 5, 1);
  });
  test('its own pump leaves what its pick-up does, two litres at least and perhaps four', () => {
    expect(way('ownPump').stays).toMatchObject({ typ: 2, hi: 4 });
    const more = { ...rail, tank: { ...rail.tank, unusable: { lo: 5, typ: 6, hi: 7 } } };
    expect(way('ownPump', { vehicle: more }).stays).toMatchObject({ typ: 6, hi: 7 });
    const less = { ...rail, tank: { ...rail.tank, unusable: { lo: 0, typ: 0.1, hi: 0.2 } } };
    expect(way('ownPump', { vehicle: less }).stays).toMatchObject({ typ: 2, hi: 4 });
  });
  test('a shut cap: 10 to 80 L of air, half the height of dry air to all of it full of vapour', () => {
    // 10 · 1022.8/100302 = 0.10; 80 · 2045.7/59279 = 2.76; in diesel’s air 80 · 2292.8/98032 = 1.87.
    expect(inWords(way('plug', { facts: { capShut: true } }).cannot!)).toBe(
      'the cap is shut: it stops after about 0–3 L',
    );
    const diesel = { ...rail, fuel: 'diesel' as const };
    expect(inWords(way('plug', { vehicle: diesel, facts: { capShut: true } }).cannot!)).toMatch(/about 0–2 L$/);
  });
  test('the road: fifty an hour at 6 to 14 L for a hundred', () => {
    expect(way('road').minutes).toMatchObject(close((50 / 14) * 120, (50 / 9) * 120, (50 / 6) * 120));
  });
  test('the other tank: 1 to 4 L/min', () => {
    expect(way('otherTank', { facts: { otherTank: true } }).minutes).toMatchObject(
      close(46 / 4 + 2, 48 / 2 + 4, 49 / 1 + 8),
    );
  });
  test('those that can be first, then by how long hands are on it', () => {
    expect(drainWays(ask).map((w) => w.id)).toEqual(['road', 'transferPump', 'plug', 'siphon', 'ownPump', 'otherTank']);
    const seen = drainWays({ ...ask, facts: { plug: 'none', otherTank: true } }).map((w) => w.id);
    expect(seen).toEqual(['road', 'otherTank', 'transferPump', 'siphon', 'ownPump', 'plug']);
  });
  test('the best way out is one of the shop’s: never the road, none where nothing need come out or nothing can', () => {
    expect(bestWayOut(ask, 25).way?.id).toBe('transferPump');
    expect(bestWayOut({ ...ask, facts: { plug: 'none' }, kit: { transferPump: null, siphon: null } }, 25).way?.id).toBe(
      'ownPump',
    );
    expect(bestWayOut({ ...ask, aboard: exactly(1) }, 60)).toMatchObject({ litres: { hi: 0 }, way: null });
    const nothing = {
      ...ask,
      complaint: 'pump' as const,
      facts: { plug: 'none' as const },
      kit: { transferPump: null, siphon: null },
    };
    expect(bestWayOut(nothing, 25).way).toBeNull();
  });
});

describe('every litre accounted for', () => {
  const saw = (kind: Witness['kind'], litres: Estimate, { out = 0, put = 0 } = {}): Witness =>
    ({ id: `${kind}${out}`, kind, litres, outBefore: out, inBefore: put, reading: null }) as unknown as Witness;
  const range = (lo: number, hi: number) => estimate({ lo, typ: (lo + hi) / 2, hi }, measured);
  const balance = (more: Partial<Parameters<typeof fuelBalance>[0]>) =>
    fuelBalance({ witnesses: [], containers: [], moves: [], fills: [], complaint: 'leak', ...more });
  const moved = {
    containers: [{ litres: 30 }],
    moves: [
      { what: 'spilled' as const, litres: 2 },
      { what: 'fedIn' as const, litres: 5 },
    ],
    fills: [{ litres: 3, own: false }],
  };
  test('what was seen before anything moved says nothing of after: with it alone nobody knows whether it adds up', () => {
    const { before, after, open, verdict } = balance({ ...moved, witnesses: [saw('dip', range(48, 52))] });
    expect([before!.typ, after, open, verdict.outcome]).toEqual([50, null, null, 'unknown']);
  });
  test('after litres only went in it is after, too', () => {
    const fills = [{ litres: 8, own: false }];
    const witnesses = [saw('dip', range(20, 20)), saw('weight', range(28, 28), { out: 0, put: 8 })];
    const { before, after, open } = balance({ fills, witnesses });
    expect([before!.typ, after!.typ]).toEqual([20, 28]);
    // Before less after less what moved: 20 − 28 + 8.
    expect(open!.typ).toBeCloseTo(0, 9);
  });
  test('before − after − (30 + 2 − 5 − 3): 50 less 26 less 24 leaves nothing open', () => {
    const { before, after, open, verdict, inCans } = balance({
      ...moved,
      witnesses: [saw('dip', range(48, 52)), saw('weight', range(25.5, 26.5), { out: 32, put: 8 })],
    });
    expect([before!.typ, after!.typ, inCans]).toEqual([50, 26, 30]);
    // Counted to 3 % of the 40 L that were moved: 1.2 L either way.
    expect(open!.lo).toBeCloseTo(48 - 26.5 - 24 - 1.2, 6);
    expect(open!.hi).toBeCloseTo(52 - 25.5 - 24 + 1.2, 6);
    expect(verdict.outcome).toBe('good');
  });
  test('a witness in the middle stands for what came out and went in since', () => {
    const { after } = balance({ ...moved, witnesses: [saw('weight', range(41, 43), { out: 10, put: 2 })] });
    // 32 − 10 came out since, 8 − 2 went in: 16 less.
    expect(after).toMatchObject({ lo: 25, typ: 26, hi: 27 });
    expect(balance({ ...moved, witnesses: [saw('dip', range(3, 4), { out: 1 })] }).after).toMatchObject({
      lo: 0,
      typ: 0,
      hi: 0,
    });
    // Something went in before it: it is no witness of the beginning.
    expect(balance({ witnesses: [saw('dip', range(3, 4), { put: 1 })] }).before).toBeNull();
  });
  test('a sender that is the complaint witnesses nothing', () => {
    const witnesses = [saw('gauge', range(40, 60))];
    expect(balance({ witnesses, complaint: 'level' }).before).toBeNull();
    expect(balance({ witnesses }).before).not.toBeNull();
    expect(balance({ witnesses: [saw('dip', range(40, 60))], complaint: 'level' }).before).not.toBeNull();
  });
  test('missing, too much, unknown, or only because little is known', () => {
    const ends = (before: Estimate, after: Estimate) =>
      balance({ containers: [{ litres: 10 }], witnesses: [saw('dip', before), saw('weight', after, { out: 10 })] })
        .verdict;
    expect(ends(exactly(50), exactly(30)).outcome).toBe('bad');
    const more = ends(exactly(20), exactly(30));
    // 20 − 30 − 10 ± 0.3
    expect([more.outcome, inWords(more.reasons[0]!.figure!)]).toEqual(['bad', '19.5–20.5 L']);
    expect(ends(range(34, 46), exactly(30)).outcome).toBe('doubtful');
    expect(ends(range(35, 46), exactly(30)).outcome).toBe('good');
    expect(balance({}).verdict.outcome).toBe('unknown');
  });
  test('more back than out: within what counting can tell it is no fault', () => {
    const back = (litres: number) =>
      balance({ containers: [{ litres: 10 }], moves: [{ what: 'returned', litres }] }).verdict;
    // 3 % of 20.6 L, and a twentieth of a litre.
    expect(back(10.6).outcome).toBe('unknown');
    expect(back(10.8).outcome).toBe('bad');
    expect(inWords(back(12).reasons[0]!.figure!)).toBe('2 L too much');
  });
});

describe('a sample in glass (common practice, no source)', () => {
  const text = (look: Parameters<typeof judgeSample>[0], fuel: Parameters<typeof judgeSample>[1] = 'petrol') =>
    judgeSample(look, fuel)
      .verdict.reasons.map((r) => inWords(r.text))
      .join('; ');
  test('haze in diesel is wax until it is warm', () => {
    expect(judgeSample('haze', 'diesel').verdict.next[0]).toMatch(/room temperature/);
    expect(judgeSample('haze', 'petrol').verdict.next[0]).toMatch(/filter or dispose/);
  });
  test('water: blends of petrol hold half a per cent before they part, diesel is told nothing of it', () => {
    for (const fuel of ['petrol', 'e85'] as const) expect(text('water', fuel)).toMatch(/about 0\.5 % of water/);
    expect(text('water', 'diesel')).not.toMatch(/E10/);
  });
  test('each look says its own, and only a clear one goes back', () => {
    expect(text('crystals')).toMatch(/^crystals/);
    expect(text('varnish')).toMatch(/^old fuel/);
    expect(text('slime')).toMatch(/^dark slime/);
    const looks = ['clear', 'haze', 'water', 'sediment', 'crystals', 'varnish', 'slime'] as const;
    expect(looks.map((look) => judgeSample(look, 'petrol').decide)).toEqual([
      'return',
      'filter',
      'dispose',
      'filter',
      'dispose',
      'dispose',
      'dispose',
    ]);
    for (const look of looks.slice(1)) expect(text(look)).toMatch(/not proven without a laboratory/);
    expect(text('clear')).not.toMatch(/laboratory/);
  });
});
