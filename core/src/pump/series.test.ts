import { InputError } from '../errors/index.ts';
import { flowOf, readRun, runFrom, writeRun, type RunReading } from './index.ts';

/** Half a litre in twenty seconds: 90 L/h. It picks up for a second, then stands off for thirty. */
const run = (changes: Partial<RunReading> = {}): RunReading[] => [
  ...Array.from({ length: 24 }, (_, at) => ({
    at,
    volts: 12.9,
    amps: at === 0 ? 9 : 4.1,
    bar: at === 0 ? 0.4 : 3.9,
    litres: at * 0.025,
    ...changes,
  })),
  ...[30, 53].map((at) => ({ at, volts: 0, amps: 0, bar: at === 30 ? 3.85 : 3.7, litres: 0.575 })),
];

describe('a run from its readings', () => {
  test('medians once it has picked up, what came meanwhile, what it held', () => {
    expect(runFrom(run())).toEqual({
      volts: 12.9,
      amps: 4.1,
      bar: 3.9,
      litres: 0.5,
      seconds: 20,
      held: { bar: 3.7, seconds: 30 },
    });
    expect(flowOf(runFrom(run()))).toBeCloseTo(90, 6);
  });
  test('what nobody read is left out', () => {
    const bare = run({ bar: null, litres: null }).slice(0, 24);
    expect(runFrom(bare)).toEqual({ volts: 12.9, amps: 4.1 });
  });
  test('a counter that stops in the middle says nothing of the flow', () => {
    const readings = run().map((one) => (one.at > 10 && one.at < 24 ? { ...one, litres: null } : one));
    expect(runFrom(readings)).not.toHaveProperty('litres');
  });
  test('a counter that began with something on it', () => {
    const readings = run().map((one) => ({ ...one, litres: one.litres! + 40 }));
    expect(runFrom(readings).litres).toBeCloseTo(0.5, 9);
  });
  test.each([
    ['nothing read', []],
    ['it never drew current', run().map((one) => ({ ...one, amps: 0 }))],
    ['switched off after six seconds', run().slice(0, 7)],
  ])('%s: refused', (_, readings) => {
    expect(() => runFrom(readings)).toThrow(InputError);
  });
});

describe('a run as a table', () => {
  test('written and read again it is the same', () => {
    const readings = run({ litres: null });
    expect(readRun(writeRun(readings))).toEqual(readings);
  });
  test('another separator, comma decimals, psi, columns left out', () => {
    expect(readRun('t;I (A);voltage;psi\n0;4,1;12,9;58')).toMatchObject([
      { at: 0, amps: 4.1, volts: 12.9, litres: null, bar: expect.closeTo(3.999, 3) as number },
    ]);
  });
  test.each([
    ['t;volts;amps\n0;12;4\n5;12;4\n3;12;4', /row 3 \(seconds\)/],
    ['t;volts;amps\n0;12;much', /line 2, column 3 \(amps\)/],
    ['t;volts\n0;12', /a column of amps/],
  ])('%j is refused', (text, why) => {
    expect(() => readRun(text)).toThrow(why);
  });
});
