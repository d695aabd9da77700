import { InputError } from '../errors/index.ts';
import { exactly } from '../estimate/index.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type PumpKind, type VehicleFile } from '../vehicle/index.ts';
import {
  behindIt,
  ampsOf,
  atRatedVolts,
  demandOf,
  flowOf,
  judgeRun,
  judgeSuction,
  wantedBar,
  type PumpRated,
  type PumpRun,
} from './index.ts';

const engine = (pump: PumpKind, kilowatts?: number, more: object = {}): VehicleFile => ({
  ...archetypes[0]!,
  fuel: 'petrol',
  fuelSystem: { pump, ...(kilowatts ? { engine: { kilowatts: exactly(kilowatts), ...more } } : {}) },
});
const injected = engine('electricHigh', 90);
const rated: PumpRated = { volts: 12, flow: 90, bar: 3.9 };
/** 90 L/h at 3.9 bar should take 3.25 to 5.42 A. */
const run = (litresAnHour: number, amps: number, more: Partial<PumpRun> = {}): PumpRun => ({
  volts: 12,
  amps,
  bar: 3.9,
  litres: litresAnHour / 180,
  seconds: 20,
  ...more,
});
const judged = (one: PumpRun, file = injected, of: PumpRated | undefined = rated) => {
  const { verdict } = judgeRun(one, { file, ...(of ? { rated: of } : {}) });
  return [verdict.outcome, verdict.reasons.map((r) => inWords(r.text)).join('; ')] as const;
};

describe('figures', () => {
  test('half a litre in 20 s is 90 L/h', () => {
    expect(flowOf({ volts: 12, litres: 0.5, seconds: 20 })).toBeCloseTo(90, 9);
    expect(flowOf({ volts: 12, litres: 0.5 })).toBeNull();
  });
  test('3.9 bar, 90 L/h, 12 V: 4.1 A at η 0.2, 5.4 to 3.3 over 0.15 to 0.25 (handbook, from memory)', () => {
    const amps = ampsOf({ bar: 3.9, flow: 90, volts: 12 });
    expect(amps.typ).toBeCloseTo(4.06, 2);
    expect(amps.hi).toBeCloseTo(5.42, 2);
    expect(amps.lo).toBeCloseTo(3.25, 2);
  });
  test('fewer volts: (12 − 4) / (10 − 4) of what came under pressure; free, 12 / 10', () => {
    expect(atRatedVolts({ flow: 60, volts: 10, bar: 3, rated: 12 })).toBeCloseTo(80, 9);
    expect(atRatedVolts({ flow: 60, volts: 10, rated: 12 })).toBeCloseTo(72, 9);
    expect(() => atRatedVolts({ flow: 60, volts: 5.9, bar: 3, rated: 12 })).toThrow('at least 6 V');
    expect(() => atRatedVolts({ flow: 60, volts: 1.9, rated: 12 })).toThrow('at least 2 V');
  });
  test('150 kW of petrol ask 64 L/h, charged 72; a diesel is not judged without its return', () => {
    expect(demandOf(engine('electricHigh', 150))!.lo).toBeCloseTo((150 * 0.32) / 0.745, 6);
    expect(Math.round(demandOf(engine('electricHigh', 150))!.lo)).toBe(64);
    expect(demandOf(engine('electricHigh', 150))!.hi).toBeCloseTo((150 * 0.36) / 0.745, 6);
    const diesel = { ...engine('dieselSupply', 100), fuel: 'diesel' as const };
    expect(demandOf(diesel)).toBeNull();
    const returns = {
      ...diesel,
      fuelSystem: { pump: 'dieselSupply' as const, engine: { kilowatts: exactly(100), returns: exactly(60) } },
    };
    expect(demandOf(returns)!.lo).toBeCloseTo((100 * 0.22) / 0.835 + 60, 6);
    expect(demandOf(engine('electricHigh'))).toBeNull();
  });
  test('what it runs at: as the file says, else as is usual for the pump (common practice, no source)', () => {
    expect(wantedBar(injected)).toMatchObject({ lo: 2.5, hi: 4.5, filed: false });
    expect(wantedBar(engine('electricHigh', 90, { bar: exactly(3.5) }))).toMatchObject({
      lo: 3.5,
      hi: 3.5,
      filed: true,
    });
    expect(wantedBar(engine('none'))).toBeNull();
  });
});

describe('what flow, current and pressure say together', () => {
  test.each([
    ['sound', run(88, 4.1), 'good', 'it delivers what it is rated for'],
    ['a leak inside', run(31, 4.1), 'bad', 'it leaks inside'],
    ['worn, at low pressure', run(31, 3.5, { bar: 2.6 }), 'bad', 'it leaks inside'],
    ['tight', run(31, 9), 'bad', 'tight or dirty'],
    ['blocked behind it', run(31, 9, { bar: 6 }), 'bad', 'blocked behind it'],
    ['starved', run(31, 1.5, { bar: 1.2 }), 'bad', 'starved'],
    ['open inside', run(0, 0), 'bad', 'open inside'],
    ['stalled', run(0, 17), 'bad', 'stalled'],
    ['turning for nothing', run(0, 3), 'bad', 'it turns and nothing comes'],
    ['delivers and draws too much', run(88, 7), 'doubtful', 'draws too much'],
  ])('%s', (_name, one, outcome, words) => {
    const [got, text] = judged(one);
    expect(got).toBe(outcome);
    expect(text).toContain(words);
  });
  test('the amps are held against the rated flow, never the measured one: a third of the fuel at full amps is no sound pump', () => {
    expect(judged(run(30, 4.1))[1]).toContain('leaks inside');
  });
  test('the edge is a fifth under what it is rated for', () => {
    expect(judged(run(72.1, 4.1))[1]).toContain('it delivers');
    expect(judged(run(71.9, 4.1))[1]).toContain('leaks inside');
  });
  test('little came because volts were missing: feed or ground, not the pump', () => {
    // 60 · (12 − 4) / (9.5 − 4) = 87 L/h.
    const [outcome, text] = judged(run(60, 4.1, { volts: 9.5 }));
    expect([outcome, text]).toEqual(['good', expect.stringContaining('missing are the volts')]);
  });
  test('run without volts, without flow, or never rated: nobody knows, or it is refused', () => {
    expect(() => judgeRun({ volts: 0 }, { file: injected, rated })).toThrow('volts at its plug');
    expect(() => judgeRun({ volts: 12, amps: -1 }, { file: injected, rated })).toThrow(InputError);
    expect(judged({ volts: 12, amps: 4 })).toEqual(['unknown', 'nobody measured what it delivers']);
    const { verdict } = judgeRun(run(88, 4), { file: engine('electricHigh') });
    expect([verdict.outcome, verdict.reasons[0]!.text]).toEqual(['unknown', 'what it is rated for is not in the file']);
    expect(judged({ volts: 12, litres: 0, seconds: 20 })[0]).toBe('unknown');
  });
});

describe('enough for this engine', () => {
  // 90 kW: 38.7 to 43.5 L/h; sound from 47.8.
  const engineWords = (flow: number) => judged(run(flow, 3), injected, { volts: 12, flow, bar: 3.9 })[1];
  test.each([
    [38, 'too little for this engine'],
    [47, 'just enough'],
    [48.5, 'enough for this engine'],
  ])('%d L/h', (flow, words) => expect(engineWords(flow)).toContain(words));
  test('free flow never proves an injection pump', () => {
    const free = judged({ volts: 12, amps: 3, bar: 0.1, litres: 0.6, seconds: 20 });
    expect(free).toEqual(['unknown', expect.stringContaining('free flow proves nothing')]);
  });
  test('a carburettor floods: 0.5 bar is too much, at a mechanical pump a halt', () => {
    const some = { volts: 12, flow: 60, bar: 0.4 };
    const at = (bar: number) => ({ volts: 12, litres: 0.35, seconds: 20, bar });
    expect(judged(at(0.5), engine('mechanical', 40), some)).toEqual(['bad', expect.stringContaining('floods')]);
    expect(judged(at(0.45), engine('mechanical', 40), some)[1]).not.toContain('floods');
    expect(judged(at(0.6), engine('electricLow', 40), some)[1]).toContain('floods');
  });
  test('after it stops: a fifth may be lost', () => {
    expect(judged(run(88, 4.1, { held: { bar: 3.2, seconds: 60 } }))[1]).toContain('it holds after it stops');
    expect(judged(run(88, 4.1, { held: { bar: 3.0, seconds: 60 } }))).toEqual([
      'doubtful',
      expect.stringContaining('falls after it stops'),
    ]);
  });
});

test('suction at an outside pump (common practice, no source): free to 0.15 bar, restricted above 0.25', () => {
  expect([0, 0.14, 0.15, 0.25, 0.26].map((under) => judgeSuction(under).outcome)).toEqual([
    'good',
    'good',
    'doubtful',
    'doubtful',
    'bad',
  ]);
  for (const under of [-0.1, 1, Number.NaN]) expect(() => judgeSuction(under)).toThrow(InputError);
});

describe('a second gauge behind filter or regulator; common practice, no source', () => {
  const high: VehicleFile = {
    ...archetypes[0]!,
    fuelSystem: { pump: 'electricHigh', engine: { bar: { lo: 3, typ: 3.5, hi: 4 } } },
  };
  const low: VehicleFile = { ...archetypes[0]!, fuelSystem: { pump: 'electricLow' } };
  test.each([
    ['a clean filter', high, 3.9, 'filter', 3.8, 'good'],
    ['one that begins to hold back', high, 3.9, 'filter', 3.6, 'doubtful'],
    ['a blocked one', high, 3.9, 'filter', 3.2, 'bad'],
    ['the same 0.15 bar starve a low pump', low, 0.4, 'filter', 0.25, 'bad'],
    ['a regulator that keeps', high, 5, 'regulator', 3.5, 'good'],
    ['one that lets all of it back', high, 5, 'regulator', 1.5, 'bad'],
    ['a shut return', high, 5, 'regulator', 4.9, 'bad'],
    ['a carburettor behind its regulator', low, 0.8, 'regulator', 0.3, 'good'],
  ] as const)('%s', (_, file, bar, what, behind, outcome) => {
    expect(behindIt({ volts: 12, bar, behind: { what, bar: behind } }, file)[0]!.outcome).toBe(outcome);
  });
  test('without the first gauge, or where nobody knows the engine, nothing is said of it', () => {
    expect(behindIt({ volts: 12, behind: { what: 'filter', bar: 3 } }, high)).toEqual([]);
    const gravity: VehicleFile = { ...archetypes[0]!, fuelSystem: { pump: 'none' } };
    expect(behindIt({ volts: 12, bar: 1, behind: { what: 'regulator', bar: 1 } }, gravity)[0]!.outcome).toBe('unknown');
  });
});
