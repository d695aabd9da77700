import { inWords } from '../quantity/index.ts';
import { InputError } from '../errors/index.ts';
import { exactly } from '../estimate/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { usualArchetypes } from '../vehicle/testing.ts';
import { judgeJack, judgeTwoJacks, judgeLift, postBalance, raiseHeight, tankCentre, teamLift } from './index.ts';
import { weightLimit, weightLimitUS, type LiftMetric } from './lift.ts';

const rail = archetypes[0]!;
const cm = (h: number, v: number, d: number, a = 0, fm = 1, coupling = 1): LiftMetric => ({
  horizontal: h,
  vertical: v,
  distance: d,
  asymmetry: a,
  frequency: fm,
  coupling,
});

describe('NIOSH revised lifting equation (Applications Manual 94-110, values from memory)', () => {
  test('a lift by hand, metric: H 40, V 30, D 60 cm, 30°, CM 0.95: 9.557 kg', () => {
    expect(weightLimit(cm(40, 30, 60, 30, 1, 0.95))).toBeCloseTo(9.557, 3);
  });
  test('the manual’s first example in inches: 16.02 and 14.15 lb unrounded, its print at ±6 %', () => {
    // Origin and destination of one lift: V 15 and 64, so D 49; poor coupling only at the origin would be 0.9.
    const origin = weightLimitUS(cm(23, 15, 49, 0, 1, 0.95));
    const destination = weightLimitUS(cm(23, 64, 49, 0, 1, 1));
    expect(origin).toBeCloseTo(16.02, 1);
    expect(Math.abs(origin / 16.4 - 1)).toBeLessThan(0.06);
    expect(destination).toBeCloseTo(14.15, 1);
    expect(Math.abs(destination / 14.5 - 1)).toBeLessThan(0.06);
  });
  test('the best there is: 23 kg, or 51 lb', () => {
    expect(weightLimit(cm(25, 75, 25))).toBeCloseTo(23, 6);
    expect(weightLimitUS(cm(10, 30, 10))).toBeCloseTo(51, 6);
  });
  test.each([
    [cm(20, 75, 25), /horizontal/],
    [cm(25, 200, 25), /vertical/],
    [cm(25, 75, 10), /distance/],
    [cm(25, 75, 25, 150), /asymmetry/],
  ])('outside its limits it is refused', (lift, message) => {
    expect(() => weightLimit(lift)).toThrow(message);
  });
  test('lying, kneeling, wet: outside the method, and no index is made up', () => {
    const lying = judgeLift(12, cm(25, 75, 25), ['lying', 'unstable']);
    expect(lying.outcome).toBe('bad');
    expect(lying.reasons.every((r) => inWords(r.text).startsWith('outside the method'))).toBe(true);
    expect(JSON.stringify(lying)).not.toMatch(/index/);
    expect(judgeLift(20, cm(25, 75, 25), []).outcome).toBe('good');
    expect(judgeLift(30, cm(25, 75, 25), []).outcome).toBe('doubtful');
    expect(judgeLift(60, cm(25, 75, 25), []).outcome).toBe('bad');
  });
  test('team of two: two thirds of the sum; three: half (HSE, ISO 11228-1, from memory)', () => {
    expect(teamLift([23, 23])).toBeCloseTo(30.667, 3);
    expect(teamLift([20, 20, 20])).toBe(30);
    expect(() => teamLift([])).toThrow(InputError);
  });
});

describe('centre of the tank', () => {
  test('level and alone it lies in the middle; a shield at one end draws it there', () => {
    const alone = tankCentre(rail, exactly(30));
    expect(alone.x.typ).toBeCloseTo(550, 6);
    const hung = tankCentre(rail, exactly(0), { attached: [{ kg: exactly(5), x: 1100 }] });
    expect(hung.x.typ).toBeCloseTo((13 * 550 + 5 * 1100) / 18, 6);
    expect(hung.mass.typ).toBeCloseTo(18, 6);
  });
  test('tipped to the second end, fuel runs there', () => {
    expect(tankCentre(rail, exactly(30), { attached: [], tilt: { x: 6, y: 0 } }).x.typ).toBeGreaterThan(560);
  });
});

describe('two jacks', () => {
  const box = usualArchetypes[0]!;
  const known = { ...box, basis: 'measured' as const, tiltLimit: 400 };
  const on = (litres: number, at: readonly [number, number], file = known, over = 0) => ({
    file,
    litres: exactly(litres),
    at,
    over,
  });
  const jack = { rated: 200, pad: 100 };

  test('an empty tank of 9 to 20 kg, pads a quarter from each end: half on each, and wet it slides from atan 0.2', () => {
    const { loads, step, verdict } = judgeTwoJacks(jack, on(0, [275, 825]));
    for (const load of loads)
      expect([load.lo, load.typ, load.hi]).toEqual([4.5, 6.5, 10].map((kg) => expect.closeTo(kg, 6) as number));
    // 11.3° less three is 8: 550 · tan 8° = 77.3 mm, to the grid 75.
    expect(step).toBe(75);
    expect(verdict.outcome).toBe('good');
  });

  test('the lighter end goes first: fuel runs there and evens the load', () => {
    const { loads, first, verdict } = judgeTwoJacks(jack, on(0, [275, 700]));
    // 13 kg about the pad at 275: 13 · 275 / 425.
    expect(loads[1].typ).toBeCloseTo((13 * 275) / 425, 6);
    expect(loads[0].typ).toBeCloseTo(13 - (13 * 275) / 425, 6);
    expect(first).toBe(0);
    expect(inWords(verdict.reasons[0]!.text)).toMatch(new RegExp(`^the ${box.ends[0]} end first`));
    expect(judgeTwoJacks(jack, on(0, [400, 825])).first).toBe(1);
  });

  test('ten litres run to the low end: the step ends before the weight leaves a pad, by hand', () => {
    const centre = (deg: number): number => {
      const slope = Math.tan((deg * Math.PI) / 180);
      const litres = (10 / box.tank.litres.typ) * ((1100 * 420 * 280) / 1e6);
      const l = Math.sqrt((2 * litres * 1e6) / (420 * slope));
      return (9 * 550 + 10 * 0.775 * (1100 - l / 3)) / (9 + 10 * 0.775);
    };
    let hand = 4;
    while (hand < 11 && centre(hand + 1) < 700) hand += 1;
    expect(hand).toBeLessThan(11);
    const { step } = judgeTwoJacks(jack, on(10, [400, 700]));
    expect(step).toBe(Math.floor((300 * Math.tan(((hand - 3) * Math.PI) / 180)) / 5) * 5);
    expect(step).toBeLessThan(judgeTwoJacks(jack, on(0, [400, 700])).step);
  });

  test('tilted, the middle of the weight leans to the low end: 140 mm over the pads, 25 mm from one of them', () => {
    // 140 · tan θ < 25 up to 10.1°; less three is 7: 115 · tan 7° = 14.1 mm, to the grid 10. Flat it would be 8° and 15.
    expect(judgeTwoJacks(jack, on(0, [525, 640], known, 140)).step).toBe(10);
    expect(judgeTwoJacks(jack, on(0, [525, 640], known, 0)).step).toBe(15);
  });

  test('too small for its end, or the weight outside both: bad; guessed: doubtful; pads that are none are refused', () => {
    expect(judgeTwoJacks({ rated: 8, pad: 100 }, on(0, [275, 825])).verdict).toMatchObject({ outcome: 'bad' });
    expect(judgeTwoJacks(jack, on(0, [600, 1000]))).toMatchObject({ step: 0, verdict: { outcome: 'bad' } });
    expect(judgeTwoJacks(jack, on(0, [275, 825], { ...known, basis: 'typical' as never })).verdict.outcome).toBe(
      'doubtful',
    );
    // The file lets it tilt 20 mm: never more, whatever the jacks could.
    expect(judgeTwoJacks(jack, on(0, [275, 825], { ...known, tiltLimit: 20 })).step).toBe(20);
    for (const at of [
      [275, 300],
      [-5, 800],
      [300, 1200],
    ] as const)
      expect(() => judgeTwoJacks(jack, on(0, at))).toThrow(InputError);
    expect(() => judgeTwoJacks({ rated: 0, pad: 100 }, on(0, [275, 825]))).toThrow(InputError);
  });
});

describe('jack', () => {
  const box = usualArchetypes[0]!;
  /** As if it had been measured, so that only the physics speaks; held so that its own tilt is small. */
  const known = { ...box, basis: 'measured' as const, tiltLimit: 20 };
  const on = (litres: number, more: Partial<Parameters<typeof judgeJack>[1]> = {}) => ({
    file: known,
    litres: exactly(litres),
    under: 550,
    over: 140,
    ...more,
  });
  const degrees = (verdict: ReturnType<typeof judgeJack>) =>
    Number(/to (\d+)° of tilt/.exec(inWords(verdict.reasons[0]!.text))?.[1]);

  test('too small is said with both figures', () => {
    const verdict = judgeJack({ rated: 15, pad: 400 }, on(8));
    expect(verdict.outcome).toBe('bad');
    expect(verdict.reasons[0]!.text).toBe('the jack is too small');
    expect(inWords(verdict.reasons[0]!.limit!)).toBe('15 kg rated');
    // 15 kg × 2.2046 lb/kg = 33.07
    expect(inWords(verdict.reasons[0]!.limit!, 'us')).toBe('33 lb rated');
  });

  test('an empty tank slides before it leaves: atan 0.4 is 21.8°, less three', () => {
    expect(degrees(judgeJack({ rated: 200, pad: 400 }, on(0)))).toBe(21 - 3);
  });

  test('fuel runs to the low end: the wedge of 10 L in a box, by hand', () => {
    // At θ the wedge is l = √(2V / (w·tan θ)) long, its centroid l/3 from the low end; shell 9 to 20 kg, petrol 0.72 to 0.775.
    const leans = (deg: number): number => {
      const slope = Math.tan((deg * Math.PI) / 180);
      const share = (litres: number) => (litres / box.tank.litres.typ) * ((1100 * 420 * 280) / 1e6);
      const l = Math.sqrt((2 * share(10) * 1e6) / (420 * slope));
      const x = 1100 - l / 3;
      const fuel = 10 * 0.775;
      return (9 * 550 + fuel * x) / (9 + fuel) - 550 + 140 * slope;
    };
    let hand = 5;
    while (leans(hand + 1) <= 200) hand += 1;
    expect(hand).toBeLessThan(21);
    expect(degrees(judgeJack({ rated: 200, pad: 400 }, on(10)))).toBe(hand - 3);
    // With the fuel frozen in the middle it would have said atan(200 / 140) = 55°.
    expect(hand).toBeLessThan(30);
  });

  test('a guessed tank is said to be guessed; beside the middle it does not stand at all', () => {
    const guessed = judgeJack({ rated: 200, pad: 400 }, on(5, { file: { ...known, basis: 'typical' } }));
    expect(guessed.outcome).toBe('doubtful');
    expect(guessed.reasons.map((r) => inWords(r.text)).join()).toMatch(/only guessed/);
    expect(judgeJack({ rated: 200, pad: 200 }, on(5, { under: 800 })).outcome).toBe('bad');
    expect(judgeJack({ rated: 200, pad: 400 }, on(5)).next[0]).toMatch(/strap the tank to the saddle/);
    expect(() => judgeJack({ rated: 0, pad: 200 }, on(5))).toThrow(InputError);
  });

  test('a plan that tilts further than it stays is never good', () => {
    expect(judgeJack({ rated: 200, pad: 400 }, on(10, { file: { ...known, tiltLimit: 400 } })).outcome).not.toBe(
      'good',
    );
  });
});

describe('two-post lift', () => {
  const axles = { front: 1100, rear: 1000, wheelbase: 3000, posts: 1450, tank: 2600, arms: 500 };
  test('before by the lever of the axles; after without the tank’s moment', () => {
    const { before, after } = postBalance(axles, exactly(80));
    expect(before).toBeCloseTo((1000 * 3000) / 2100 - 1450, 6);
    // Taken about the front axle: 1000·3000 − 80·2600 over the 2020 kg that are left.
    expect(after).toBeCloseTo((3_000_000 - 208_000) / 2020 - 1450, 6);
    expect(after).toBeLessThan(before);
  });
  test('a heavy tank far behind asks for a stand; weight outside the arms halts', () => {
    expect(postBalance({ ...axles, tank: 4500 }, exactly(250)).verdict.outcome).not.toBe('good');
    expect(postBalance({ ...axles, posts: 2400 }, exactly(50)).verdict.outcome).toBe('bad');
  });
  test.each([
    [{ ...axles, front: 0 }, /front/],
    [{ ...axles, front: 60, rear: 70 }, /add up/],
    [{ ...axles, wheelbase: 300 }, /wheelbase/],
    [{ ...axles, posts: 3200 }, /between the axles/],
  ])('what does not add up is said', (bad, message) => {
    expect(() => postBalance(bad, exactly(80))).toThrow(message);
  });
});

describe('raise height (common practice, no source)', () => {
  test('over the jack: tank + lowered jack + 50; on a board: tank + board', () => {
    expect(raiseHeight('overJack', 280, 150).mm.typ).toBe(480);
    expect(raiseHeight('board', 280, 150).mm.typ).toBe(320);
    expect(raiseHeight('flat', 280, 150).mm.typ).toBeLessThan(raiseHeight('board', 280, 150).mm.typ);
    expect(() => raiseHeight('flat', 0, 150)).toThrow(InputError);
  });
});
