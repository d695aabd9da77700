import { measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { estimate, exactly } from '../estimate/index.ts';
import { inWords } from '../quantity/index.ts';
import { staysAboard } from '../tank/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { usualArchetypes } from '../vehicle/testing.ts';
import {
  drained,
  judgeHandling,
  judgeJack,
  judgeLift,
  judgeTwoJacks,
  litresToTakeOut,
  postBalance,
  raiseHeight,
  tankCentre,
  teamLift,
} from './index.ts';
import { weightLimit, weightLimitUS, type LiftMetric } from './lift.ts';

/** Where each judgement of a load turns: at its limits, a little on either side, and which end of a range decides. */
const box = usualArchetypes[0]!;
const known: VehicleFile = { ...box, basis: 'measured', tiltLimit: 20 };
const tan = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);
const text = (verdict: { reasons: readonly { text: Parameters<typeof inWords>[0] }[] }): string =>
  verdict.reasons.map((r) => inWords(r.text)).join('; ');

describe('kilograms off a jack', () => {
  const shop = { alone: 25, two: 40 };
  const kg = (lo: number, hi: number) => estimate({ lo, typ: (lo + hi) / 2, hi }, measured);
  test.each([
    [kg(25, 25), 'alone', 'light enough for one', '25 kg'],
    [kg(25, 40), 'two', 'light enough for two, perhaps for one', '25 kg'],
    [kg(25.1, 40), 'two', 'light enough for two, too heavy for one', '25 kg'],
    [kg(40, 40.1), 'neither', 'may be too heavy for two', '40 kg'],
    [kg(40.1, 50), 'neither', 'too heavy for two', '40 kg'],
  ] as const)('%o', (mass, hands, words, limit) => {
    const judged = judgeHandling(mass, shop);
    expect([judged.hands, text(judged.verdict), inWords(judged.verdict.reasons[0]!.limit!)]).toEqual([
      hands,
      words,
      limit,
    ]);
    expect(judged.verdict.next.join()).toMatch(/leave it on what carries it/);
  });

  test('lying too heavy for one: said with the limit of one, and what carries it keeps it', () => {
    const { verdict } = judgeHandling(exactly(16), { alone: 15, two: null });
    expect([text(verdict), inWords(verdict.reasons[0]!.limit!)]).toEqual([
      'too heavy to be held lying under it; for two lying there is no figure',
      '15 kg',
    ]);
  });

  test('two may do as much as one, never less', () => {
    expect(judgeHandling(exactly(9), { alone: 25, two: 25 }).hands).toBe('alone');
    expect(() => judgeHandling(exactly(9), { alone: 25, two: 24 })).toThrow(InputError);
  });

  test('what stays behind weighs at its heavy end: 20 + 4 × 0.775 = 23.1 kg', () => {
    const vehicle = { ...box, tank: { ...box.tank, unusable: { lo: 1, typ: 2, hi: 4 } } };
    expect(litresToTakeOut({ vehicle, aboard: exactly(50), limit: 23.11 }).enough).toBe(true);
    expect(litresToTakeOut({ vehicle, aboard: exactly(50), limit: 23.09 }).enough).toBe(false);
    expect(drained(vehicle, exactly(50))).toMatchObject({ lo: 1, typ: 2, hi: 4 });
    expect(drained(vehicle, exactly(1.5))).toMatchObject({ lo: 1, typ: 1.5, hi: 1.5 });
  });

  test('behind a hump more stays than the pick-up leaves, by what stands there; what only tilting frees is not counted twice', () => {
    const seat = usualArchetypes.find((a) => a.mounting === 'seat')!;
    const { pockets } = staysAboard(seat, exactly(40));
    const behind = pockets.filter((p) => p.kind === 'sill').reduce((sum, p) => sum + p.litres.typ, 0);
    expect(behind).toBeGreaterThan(1);
    expect(drained(seat, exactly(40)).typ).toBeCloseTo(seat.tank.unusable.typ + behind, 6);
  });
});

describe('the lifting equation', () => {
  const lift: LiftMetric = {
    horizontal: 50,
    vertical: 100,
    distance: 50,
    asymmetry: 45,
    frequency: 0.8,
    coupling: 0.9,
  };
  test('each multiplier makes it less, metric: 23·0.5·0.925·0.91·0.856·0.8·0.9', () => {
    expect(weightLimit(lift)).toBeCloseTo(23 * 0.5 * 0.925 * 0.91 * 0.856 * 0.8 * 0.9, 9);
  });
  test('and in inches: 51·0.5·0.925·0.91·0.856·0.8·0.9, V 40, D 20', () => {
    expect(weightLimitUS({ ...lift, horizontal: 20, vertical: 40, distance: 20 })).toBeCloseTo(
      51 * 0.5 * 0.925 * 0.91 * 0.856 * 0.8 * 0.9,
      9,
    );
  });
  test('its limits are the method’s own', () => {
    expect(() => weightLimit({ ...lift, frequency: 1.1 })).toThrow('frequency: expected 0 to 1, found “1.1”');
    expect(() => weightLimit({ ...lift, coupling: -0.1 })).toThrow('coupling');
    expect(weightLimit({ ...lift, horizontal: 63, vertical: 175, distance: 175, asymmetry: 135 })).toBeGreaterThan(0);
    expect(weightLimit({ ...lift, vertical: 0 })).toBeGreaterThan(0);
  });
  test('at the limit it is good, at twice the limit still doubtful, and nothing may weigh less than nothing', () => {
    const limit = weightLimit(lift);
    expect(judgeLift(limit, lift, [])).toMatchObject({ outcome: 'good', next: [] });
    expect(judgeLift(2 * limit, lift, []).outcome).toBe('doubtful');
    expect(judgeLift(2.01 * limit, lift, [])).toMatchObject({ outcome: 'bad', next: ['two people or the jack'] });
    expect(text(judgeLift(limit, lift, []))).toBe('lifting index 1.0');
    expect(judgeLift(1.5 * limit, lift, []).next[0]).toMatch(/bench instead of the floor/);
    expect(judgeLift(0, lift, []).outcome).toBe('good');
    expect(() => judgeLift(-1, lift, [])).toThrow(InputError);
    expect(judgeLift(5, lift, ['kneeling']).next[0]).toMatch(/get help/);
  });
  test('one alone lifts all of his own; nobody lifts nothing', () => {
    expect(teamLift([23])).toBe(23);
    for (const team of [[0], [23, 0], [23, -1]]) expect(() => teamLift(team)).toThrow(InputError);
  });
});

describe('centre of shell and fuel', () => {
  // A wedge of 10 L at 6° in a box 1100 × 420 × 280 that is filed to hold less: its length by its area.
  const volume = (10 / box.tank.litres.typ) * 1100 * 420 * 280;
  test('the light shell with the heavy fuel lies furthest down, the heavy shell least', () => {
    const wedge = 1100 - Math.sqrt((2 * volume) / (420 * tan(6))) / 3;
    const { x } = tankCentre(box, exactly(10), { tilt: { x: 6, y: 0 } });
    expect(x.typ).toBeCloseTo((13 * 550 + 7.45 * wedge) / 20.45, 3);
    expect(x.hi).toBeCloseTo((9 * 550 + 7.75 * wedge) / 16.75, 3);
    expect(x.lo).toBeCloseTo((20 * 550 + 7.2 * wedge) / 27.2, 3);
  });
  test('across it is the same, and what hangs from it hangs in the middle', () => {
    const wedge = 420 - Math.sqrt((2 * volume) / (1100 * tan(12))) / 3;
    expect(tankCentre(box, exactly(10), { tilt: { x: 0, y: 12 } }).y.typ).toBeCloseTo(
      (13 * 210 + 7.45 * wedge) / 20.45,
      3,
    );
    const hung = { attached: [{ kg: estimate({ lo: 2, typ: 5, hi: 8 }, measured), x: 0 }], tilt: { x: 0, y: 12 } };
    expect(tankCentre(box, exactly(10), hung).y.typ).toBeCloseTo((18 * 210 + 7.45 * wedge) / 25.45, 3);
    expect(tankCentre(box, exactly(0), hung).mass).toMatchObject({ lo: 11, typ: 18, hi: 28 });
  });
});

describe('one jack', () => {
  const on = (tiltLimit: number, more: object = {}) => ({
    file: { ...known, tiltLimit },
    litres: exactly(0),
    under: 550,
    over: 140,
    ...more,
  });
  const jack = { rated: 200, pad: 400 };
  test('it carries just what it is rated for', () => {
    expect(judgeJack({ rated: 20, pad: 400 }, on(20)).outcome).toBe('good');
    const small = judgeJack({ rated: 19.9, pad: 400 }, on(20));
    expect([small.outcome, small.next[0]]).toEqual(['bad', expect.stringMatching(/take fuel out first/)]);
  });
  test('a pad that is none is refused', () => {
    for (const pad of [0, -1, NaN]) expect(() => judgeJack({ rated: 200, pad }, on(20))).toThrow('jack.pad');
  });
  test('at the rim of the pad it is still on it; a little further it is said where the pad belongs', () => {
    expect(text(judgeJack(jack, on(20, { under: 750 })))).toMatch(/^stays on the pad to 0°/);
    const outside = judgeJack(jack, on(20, { under: 755 }));
    expect(text(outside)).toBe('the middle of the weight may lie outside the pad');
    expect(inWords(outside.reasons[0]!.limit!)).toBe('400 mm pad');
    expect(inWords(outside.next[0]!)).toBe('move the pad to 550 mm from the first end, or use two jacks');
    expect(judgeJack(jack, on(20, { under: 345 })).outcome).toBe('bad');
  });
  test.each([
    // Wet it slides from 11°; on this pad it leaves at 45° and slides at 21°, less three: 18.
    [10.5, 'good', '200 kg rated'],
    [11.5, 'doubtful', '200 kg rated'],
    [17.5, 'doubtful', '200 kg rated'],
    [18.5, 'doubtful', 'the plan may tilt it 19°'],
  ])('a plan that tilts it %d° is %s', (degrees, outcome, limit) => {
    const verdict = judgeJack(jack, on(1100 * tan(degrees)));
    expect([verdict.outcome, inWords(verdict.reasons[0]!.limit!)]).toEqual([outcome, limit]);
    expect(verdict.reasons).toHaveLength(1);
    expect(verdict.next.join()).toMatch(/strap the tank to the saddle/);
  });
  test('a narrow pad: 60 mm leaves at atan(30/140) = 12°, less three is under the 11° of wet sliding; 74 mm is not', () => {
    const plan = on(1100 * tan(11.5));
    expect(judgeJack({ rated: 200, pad: 60 }, plan).outcome).toBe('bad');
    expect(judgeJack({ rated: 200, pad: 60 }, plan).next.join()).toMatch(/two jacks/);
    expect(judgeJack({ rated: 200, pad: 74 }, plan).outcome).toBe('doubtful');
  });
  test('the middle has to stay on in both axes: a tank whose fuel runs across leaves sooner than its length says', () => {
    const long = (width: number): VehicleFile => ({
      ...known,
      tank: { ...known.tank, shape: { ...known.tank.shape, width, length: 300 } as never },
      length: 300,
    });
    const at = (file: VehicleFile) =>
      text(judgeJack({ rated: 200, pad: 200 }, on(20, { file, litres: exactly(20), under: 150 })));
    expect(at(long(900))).not.toBe(at(long(200)));
  });
  test('learned is known; typical is guessed and said so', () => {
    expect(judgeJack(jack, { ...on(20), file: { ...known, basis: 'learned' } }).outcome).toBe('good');
    const guessed = judgeJack(jack, { ...on(20), file: { ...known, basis: 'typical' } });
    expect([guessed.outcome, guessed.reasons[1]?.text]).toEqual([
      'doubtful',
      'length and mass of this tank are only guessed: so is this',
    ]);
  });
});

describe('two jacks', () => {
  const file: VehicleFile = { ...known, tiltLimit: 400 };
  const on = (litres: number, at: readonly [number, number], over = 0) => ({ file, litres: exactly(litres), at, over });
  const jack = { rated: 200, pad: 100 };
  test('pads may stand at the very ends, and no nearer than one pad', () => {
    expect(judgeTwoJacks(jack, on(0, [0, 1100])).loads[0].typ).toBeCloseTo(6.5, 6);
    expect(() => judgeTwoJacks(jack, on(0, [500, 600]))).toThrow(InputError);
  });
  test('each carries just what it is rated for; one too small is enough to halt', () => {
    expect(judgeTwoJacks({ rated: 10.000001, pad: 100 }, on(0, [275, 825])).verdict.outcome).toBe('good');
    // 20 kg · 275 / 425 = 12.9 on the second, 7.1 on the first.
    const { verdict } = judgeTwoJacks({ rated: 10, pad: 100 }, on(0, [275, 700]));
    expect(text(verdict)).toBe('a jack is too small for its end');
    expect(inWords(verdict.reasons[0]!.limit!)).toBe('10 kg rated');
    expect(verdict.next).toEqual(['take fuel out first, or move the pads apart']);
  });
  test('loads that are equal: the first end goes first', () => {
    expect(judgeTwoJacks(jack, on(0, [275, 825])).first).toBe(0);
  });
  test('fuel and lean both go to the low end: 10 L and 140 mm over the pads, by hand', () => {
    const volume = (10 / box.tank.litres.typ) * 1100 * 420 * 280;
    const centre = (deg: number): number => {
      const fuel = 10 * 0.775;
      return (9 * 550 + fuel * (1100 - Math.sqrt((2 * volume) / (420 * tan(deg))) / 3)) / (9 + fuel) + 140 * tan(deg);
    };
    let hand = 3;
    while (hand < 11 && centre(hand + 1) < 720) hand += 1;
    expect(hand).toBeLessThan(11);
    expect(hand).toBeGreaterThan(4);
    expect(judgeTwoJacks(jack, on(10, [380, 720], 140)).step).toBe(Math.floor((340 * tan(hand - 3)) / 5) * 5);
  });
  test('where no step is left it says so, with what to do instead', () => {
    const { step, verdict } = judgeTwoJacks(jack, on(0, [545, 650], 140));
    expect([step, verdict.outcome]).toEqual([0, 'bad']);
    expect(text(verdict)).toBe('no end may be lowered before the other: the weight leaves a pad or slides');
    expect(verdict.next[0]).toMatch(/take more out/);
  });
  test('the weight outside both: where it lies is said', () => {
    const { verdict } = judgeTwoJacks(jack, on(0, [600, 1000]));
    expect(text(verdict)).toBe('the middle of the weight may lie outside the two pads');
    expect(verdict.reasons[0]!.limit).toBeUndefined();
    expect(inWords(verdict.next[0]!)).toBe('a pad to each side of 550 mm from the front end');
  });
  test('a sound one says its step, and is only doubtful where the tank is guessed', () => {
    const { verdict } = judgeTwoJacks(jack, on(0, [275, 825]));
    expect([verdict.outcome, verdict.reasons.length, inWords(verdict.reasons[0]!.limit!)]).toEqual([
      'good',
      1,
      '75 mm between the two',
    ]);
    expect(inWords(verdict.next[0]!)).toMatch(/^lower 75 mm at most, then the other/);
    const learned = judgeTwoJacks(jack, { ...on(0, [275, 825]), file: { ...file, basis: 'learned' } });
    expect(learned.verdict.outcome).toBe('good');
    const guessed = judgeTwoJacks(jack, { ...on(0, [275, 825]), file: { ...file, basis: 'typical' } });
    expect(guessed.verdict.reasons[1]?.text).toMatch(/only guessed/);
  });
});

describe('two posts', () => {
  const axles = { front: 1000, rear: 1000, wheelbase: 3000, posts: 1500, tank: 1500, arms: 500 };
  test('the vehicle’s measures at their ends', () => {
    const fits = (more: Partial<typeof axles>) => () => postBalance({ ...axles, ...more }, exactly(80));
    for (const more of [
      { wheelbase: 1000, posts: 500, tank: 500 },
      { wheelbase: 7000 },
      { tank: -1499 },
      { tank: 5499 },
    ])
      expect(fits(more)).not.toThrow();
    for (const more of [
      { wheelbase: 999 },
      { wheelbase: 7001 },
      { posts: 0 },
      { posts: 3000 },
      { tank: -1500 },
      { tank: 5500 },
    ])
      expect(fits(more)).toThrow(InputError);
    expect(() => postBalance({ ...axles, front: 120, rear: 120 }, exactly(80))).toThrow(/add up/);
  });
  test.each([
    // Balance 1500 behind the front axle, and there it stays: the tank hangs in the middle.
    ['on the arms', { posts: 1000 }, 80, 'doubtful', 'rear'],
    ['on the rim of half the way', { posts: 1000, arms: 1000 }, 80, 'good', 'rear'],
    ['beyond the arms', { posts: 999 }, 80, 'bad', ''],
    ['beyond the arms to the front', { posts: 2001 }, 80, 'bad', ''],
    ['in the middle', {}, 80, 'good', 'rear'],
    // (2000·1500 − 250·4500) / 1750 = 1071: 279 ahead of where it was, the tank gone.
    ['moved by more than half the way', { tank: 4500, posts: 1290 }, 250, 'doubtful', 'front'],
    ['beyond the arms only once the tank is gone', { tank: 4500, posts: 1600 }, 250, 'bad', ''],
  ] as const)('%s', (_name, more, kg, outcome, end) => {
    const { verdict } = postBalance({ ...axles, ...more }, exactly(kg));
    expect(verdict.outcome).toBe(outcome);
    expect(inWords(verdict.next[0]!)).toMatch(end ? `stand under the ${end} end` : 'outside the arms');
  });
  test('it says to which end, now and then', () => {
    const { verdict } = postBalance({ ...axles, tank: 4500, posts: 1290 }, exactly(250));
    expect(text(verdict)).toBe('balance 210 mm to the rear of the arms now, 220 mm to the front once the tank is out');
    expect(inWords(verdict.reasons[0]!.limit!)).toBe('250 mm, half way to the arms');
  });
});

test('how high it stands: by hand along the floor half the room over a jack; staying under it nothing', () => {
  expect(raiseHeight('flat', 280, 0).mm.typ).toBe(305);
  expect(raiseHeight('under', 280, 150)).toMatchObject({ mm: { typ: 0 }, how: 'the vehicle goes up later' });
  expect(() => raiseHeight('flat', 280, -1)).toThrow(InputError);
});

test('every mounting has a file these can judge', () => {
  for (const file of archetypes) expect(tankCentre(file, exactly(5)).x.typ).toBeGreaterThan(0);
});
