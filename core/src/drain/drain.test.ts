import { inWords } from '../quantity/index.ts';
import { burstClock, burstLitres } from '../tank/index.ts';
import fc from 'fast-check';
import { measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { estimate, exactly } from '../estimate/index.ts';
import { type PumpKind, archetypes } from '../vehicle/index.ts';
import { bestWayOut, drainFacts, drainWays, shareOut } from './index.ts';
import { drainTime, frictionFactor, siphonFlow } from './flow.ts';
import { GRAVITY } from '../quantity/index.ts';
import { seeded } from '../truth/index.ts';

const PETROL = 0.6e-6;

// The solver ships its types as sources that do not pass this house's strictness; only this much of it is used.
const { Solver } = (await import('odex' as string)) as {
  Solver: new (n: number) => {
    absoluteTolerance: number;
    relativeTolerance: number;
    solve: (f: (x: number, y: number[]) => number[], from: number, y0: number[], to: number) => { y: number[] };
  };
};
function integrate(f: (t: number, y: number[]) => number[], y0: number, to: number): number {
  const solver = new Solver(1);
  solver.absoluteTolerance = solver.relativeTolerance = 1e-10;
  return solver.solve(f, 0, [y0], to).y[0]!;
}

describe('friction factor (Colebrook; Moody’s diagram, values from memory)', () => {
  test.each([
    [1e5, 1e-4, 0.0185],
    [1e4, 0, 0.0309],
    [1000, 0, 0.064],
  ])('Re %d, ε/D %d: %d', (re, rough, f) => expect(frictionFactor(re, rough)).toBeCloseTo(f, 4));

  test('satisfies Colebrook’s own equation, and joins without a jump', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4000, max: 1e8, noNaN: true }),
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        (re, rough) => {
          const f = frictionFactor(re, rough);
          expect(1 / Math.sqrt(f) + 2 * Math.log10(rough / 3.7 + 2.51 / (re * Math.sqrt(f)))).toBeCloseTo(0, 8);
        },
      ),
    );
    for (const re of [2300, 4000])
      expect(Math.abs(frictionFactor(re - 0.01) - frictionFactor(re + 0.01))).toBeLessThan(1e-4);
    expect(() => frictionFactor(0)).toThrow(InputError);
  });
});

describe('siphon', () => {
  test.each([
    [0.008, 3.23],
    [0.01, 5.72],
  ])('petrol through %d m × 2 m under 0.5 m: %d L/min', (bore, expected) => {
    expect(siphonFlow(0.5, { bore, length: 2, losses: 0.5 }, PETROL) * 60_000).toBeCloseTo(expected, 2);
  });

  test('what goes in as head comes out as speed and loss', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        fc.double({ min: 0.004, max: 0.03, noNaN: true }),
        fc.double({ min: 0.3, max: 6, noNaN: true }),
        (head, bore, length) => {
          const q = siphonFlow(head, { bore, length, losses: 0.5 }, PETROL);
          const v = q / ((Math.PI / 4) * bore * bore);
          const used = ((v * v) / 2) * (1.5 + (frictionFactor((v * bore) / PETROL) * length) / bore);
          expect(used / (GRAVITY * head)).toBeCloseTo(1, 6);
        },
      ),
    );
  });

  test('no head, no flow; no hose, an error', () => {
    expect(siphonFlow(0, { bore: 0.01, length: 2, losses: 0.5 }, PETROL)).toBe(0);
    expect(siphonFlow(-1, { bore: 0.01, length: 2, losses: 0.5 }, PETROL)).toBe(0);
    expect(() => siphonFlow(1, { bore: 0, length: 2, losses: 0 }, PETROL)).toThrow(InputError);
  });

  test('a falling level: time by steps equals an ODE solver’s', () => {
    // A box of 0.4 m² empties from 0.3 m by a siphon whose end lies 0.2 m below its floor.
    const hose = { bore: 0.01, length: 2, losses: 0.5 };
    const level = integrate((_t, [x]) => [-siphonFlow(Math.max(0, x!) + 0.2, hose, PETROL) / 0.4], 0.3, 600);
    let [h, t] = [0.3, 0];
    const dt = 0.5;
    for (; t < 600; t += dt) {
      const k = siphonFlow(h + 0.2, hose, PETROL) / 0.4;
      h -= (siphonFlow(h - (k * dt) / 2 + 0.2, hose, PETROL) / 0.4) * dt;
    }
    expect(level).toBeCloseTo(h, 6);
  });
});

describe('drain plug (Torricelli)', () => {
  test('0.40 m² from 0.20 m through 10 mm, Cd 0.62: 1 659 s; closed form 2A√h / (Cd a √2g)', () => {
    const closed = (2 * 0.4 * Math.sqrt(0.2)) / (0.62 * (Math.PI / 4) * 1e-4 * Math.sqrt(2 * GRAVITY));
    expect(drainTime(() => 0.4, { head: 0.2, hole: 0.01 })).toBeCloseTo(closed, 6);
    expect(Math.round(closed)).toBe(1659);
  });

  test('a lying cylinder, r 0.25, L 1, half full, same hole: 1 413 s', () => {
    const width = (h: number) => 2 * Math.sqrt(Math.max(0, 2 * 0.25 * h - h * h));
    expect(Math.round(drainTime((h) => width(h), { head: 0.25, hole: 0.01 }))).toBe(1413);
  });

  test('against an ODE solver, down to a tenth of the level', () => {
    const area = (h: number) => 0.2 + 0.6 * h;
    const a = 0.62 * (Math.PI / 4) * 0.012 ** 2;
    const time = drainTime(area, { head: 0.25, hole: 0.012 }) - drainTime(area, { head: 0.025, hole: 0.012 });
    expect(
      integrate((_t, [h]) => [(-a * Math.sqrt(2 * GRAVITY * Math.max(0, h!))) / area(h!)], 0.25, time),
    ).toBeCloseTo(0.025, 5);
  });

  test.each([
    [-1, 0.01],
    [0.2, 0],
  ])('a head of %d and a hole of %d are refused', (head, hole) =>
    expect(() => drainTime(() => 1, { head, hole })).toThrow(InputError),
  );
});

describe('cans', () => {
  test('fewest first, then the least room left over', () => {
    expect(shareOut(30, [20, 20, 10], 0.95).cans.map((c) => c.capacity)).toEqual([20, 20]);
    expect(shareOut(9, [20, 10, 5], 0.95).cans).toEqual([{ capacity: 10, litres: 9 }]);
    expect(shareOut(60, [20, 20], 0.95)).toMatchObject({ over: 60 - 38 });
    expect(shareOut(0, [20], 0.95).cans).toEqual([]);
  });
  test('never above a fill, never a litre lost, as few as exhaustive search finds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 80, noNaN: true }),
        fc.array(fc.constantFrom(5, 10, 20, 60), { maxLength: 6 }),
        (litres, cans) => {
          const plan = shareOut(litres, cans, 0.95);
          for (const can of plan.cans) expect(can.litres).toBeLessThanOrEqual(can.capacity * 0.95 + 1e-9);
          expect(plan.cans.reduce((s, c) => s + c.litres, 0) + plan.over).toBeCloseTo(litres, 6);
          // The biggest cans first are as few as can be.
          let room = 0;
          const fewest = [...cans].sort((a, b) => b - a).findIndex((c) => (room += c * 0.95) + 1e-9 >= litres) + 1;
          if (plan.over === 0 && litres > 0) expect(plan.cans).toHaveLength(fewest);
        },
      ),
    );
  });
});

describe('bursts (ten seconds on, twenty off; common practice, no source)', () => {
  test.each([
    [0, 'burst', 0, 0, 0],
    [7, 'burst', 7, 0, 7],
    [10, 'rest', 0, 1, 10],
    [29.5, 'rest', 19.5, 1, 10],
    [37, 'burst', 7, 1, 17],
    [300, 'burst', 0, 10, 100],
  ] as const)('%d s after the start: %s', (seconds, phase, into, done, pumped) =>
    expect(burstClock(seconds)).toEqual({ phase, into, done, pumped }),
  );

  test('counted second by second it is the same', () => {
    let pumped = 0;
    for (let s = 0; s < 600; s++) {
      expect(burstClock(s).pumped).toBe(pumped);
      if (s % 30 < 10) pumped += 1;
    }
  });
  test('fourteen bursts are 2.3 to 5.6 L', () => {
    expect(burstLitres(140)).toMatchObject({ lo: 140 / 60, hi: (140 / 60) * 2.4 });
    expect(burstLitres(-5).hi).toBe(0);
  });
});

describe('ways out', () => {
  const rail = archetypes[0]!;
  const aboard = estimate({ lo: 20, typ: 40, hi: 60 }, measured);
  test('what cannot be is said and comes last; every range stands in order', () => {
    const ways = drainWays({ vehicle: rail, aboard, complaint: 'pump' });
    expect(ways.map((w) => w.id).sort()).toEqual(['otherTank', 'ownPump', 'plug', 'road', 'siphon', 'transferPump']);
    expect(ways.slice(-3).every((w) => w.cannot !== null)).toBe(true);
    expect(ways.find((w) => w.id === 'ownPump')!.cannot).toBe('the pump is the complaint');
    for (const way of ways)
      for (const e of [way.minutes, way.hands, way.stays])
        expect([e.lo, e.typ, e.hi]).toEqual([e.lo, e.typ, e.hi].sort((a, b) => a - b));
  });
  test('a leak or bad fuel does not go on the road; a carburettor has no pump to command', () => {
    const cannot = (complaint: 'leak' | 'badFuel' | 'level', pump: PumpKind = 'electricHigh') =>
      Object.fromEntries(
        drainWays({ vehicle: { ...rail, fuelSystem: { pump } }, aboard, complaint }).map((w) => [w.id, w.cannot]),
      );
    expect(cannot('leak').road).toMatch(/leaks/);
    expect(cannot('badFuel').road).toMatch(/bad fuel/);
    expect(cannot('level').ownPump).toBeNull();
    expect(cannot('level', 'electricLow').ownPump).toBeNull();
    expect(cannot('level', 'mechanical').ownPump).toMatch(/no electric pump/);
    expect(cannot('level', 'unknown').ownPump).toMatch(/what pushes/);
  });
  test('the pump’s minutes by hand: 40 − 3 L at 7 L/min and five to set up', () => {
    const pump = drainWays({ vehicle: rail, aboard, complaint: 'pump' }).find((w) => w.id === 'transferPump')!;
    expect(pump.minutes.typ).toBeCloseTo(37 / 7 + 5, 6);
  });
  test('what was seen decides: a shut cap, a silent plug, a hose end above the fuel, a second tank', () => {
    const cannot = (answers: Record<string, string | number>) =>
      Object.fromEntries(
        drainWays({ vehicle: rail, aboard, complaint: 'level', facts: drainFacts({ answers }) }).map((w) => [
          w.id,
          w.cannot === null ? null : inWords(w.cannot),
        ]),
      );
    expect(cannot({ 'cap opens': 'no' }).siphon).toMatch(/stops after about/);
    expect(cannot({ 'drain plug': 'silent' }).plug).toMatch(/empty or blocked/);
    expect(cannot({ 'drain plug': 'none' }).plug).toMatch(/no plug/);
    expect(cannot({ 'hose head': -0.1 }).siphon).toMatch(/above the fuel/);
    expect(cannot({ 'second tank': 'yes' }).otherTank).toBeNull();
    expect(cannot({}).siphon).toBeNull();
  });
  test('cold diesel siphons slower', () => {
    const minutes = (celsius: number) =>
      drainWays({ vehicle: { ...rail, fuel: 'diesel' }, aboard, complaint: 'level', celsius }).find(
        (w) => w.id === 'siphon',
      )!.minutes.typ;
    expect(minutes(-5)).toBeGreaterThan(minutes(30));
  });
  test('a shop without a pump takes the next best; nothing to take out, no way', () => {
    const kit = { transferPump: null, siphon: { bore: 0.01, length: 2 } };
    expect(bestWayOut({ vehicle: rail, aboard, complaint: 'pump', kit }, 25).way?.id).not.toBe('transferPump');
    expect(bestWayOut({ vehicle: rail, aboard: exactly(0), complaint: 'pump' }, 25).way).toBeNull();
  });
});

describe('many cans', () => {
  test('more than twelve: 15 of 5 L take 60 L in thirteen, none above 95 %', () => {
    const { cans, over } = shareOut(60, Array<number>(15).fill(5), 0.95);
    expect(over).toBe(0);
    expect(cans).toHaveLength(13);
    expect(cans.reduce((sum, c) => sum + c.litres, 0)).toBeCloseTo(60, 6);
    expect(Math.max(...cans.map((c) => c.litres))).toBeLessThanOrEqual(4.75 + 1e-9);
  });
  test('against trying every choice: the fewest cans, and of those the least room left', () => {
    const rng = seeded(4);
    for (let n = 0; n < 200; n++) {
      const capacities = Array.from(
        { length: 1 + Math.floor(rng() * 8) },
        () => [5, 10, 20, 25][Math.floor(rng() * 4)]!,
      );
      const wanted = rng() * 0.9 * capacities.reduce((a, b) => a + b, 0);
      let best: { count: number; room: number } | null = null;
      for (let mask = 0; mask < 1 << capacities.length; mask++) {
        const pick = capacities.filter((_, i) => mask & (1 << i));
        const room = pick.reduce((sum, c) => sum + c * 0.9, 0) - wanted;
        if (room < -1e-9) continue;
        if (!best || pick.length < best.count || (pick.length === best.count && room < best.room - 1e-9))
          best = { count: pick.length, room };
      }
      const { cans } = shareOut(wanted, capacities, 0.9);
      expect(cans).toHaveLength(best!.count);
      expect(cans.reduce((sum, c) => sum + c.capacity * 0.9, 0) - wanted).toBeCloseTo(best!.room, 1);
    }
  });
});

describe('no figure that cannot be', () => {
  const rail = archetypes[0]!;
  test('no more stays than is aboard, no hands longer than the minutes', () => {
    for (const litres of [0.5, 3, 8, 40])
      for (const complaint of ['pump', 'level', 'leak'] as const) {
        const some = exactly(litres);
        for (const way of drainWays({ vehicle: rail, aboard: some, complaint }))
          for (const end of ['lo', 'typ', 'hi'] as const) {
            expect(way.stays[end]).toBeLessThanOrEqual(litres);
            expect(way.hands[end]).toBeLessThanOrEqual(way.minutes[end]);
          }
      }
  });
});
