import { complaints } from '../order/index.ts';
import fc from 'fast-check';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { diagnose, type QuickTest } from './index.ts';
import { quickTests } from './tests.ts';

const vehicle = archetypes[0]!;
const told = (complaint: (typeof complaints)[number], answers: Record<string, string>, file: VehicleFile = vehicle) =>
  diagnose({
    complaint,
    vehicle: file,
    answers: Object.fromEntries(
      Object.entries(answers).map(([id, value]) => [
        `test/${id}`,
        Number.isFinite(Number(value)) ? Number(value) : value,
      ]),
    ),
  });

describe('must it come down?', () => {
  test('untested it is not known, and what decides most a minute comes first', () => {
    const { tests, verdict } = told('pump', {});
    expect(verdict.outcome).toBe('unknown');
    expect(tests[0]!.test.id).toBe('fuse');
    // A quarter of them settled in two minutes beats a third in three, and both beat a tenth in five.
    expect(tests.map((t) => t.test.id)).toEqual(['fuse', 'ground', 'hatch', 'feed', 'filter']);
    expect(verdict.reasons[0]!.text).toContain(`${tests.reduce((s, t) => s + t.test.minutes, 0)} minutes`);
  });

  // Half a volt in the feed and a tenth in the ground: common practice, no source.
  test.each([
    ['feed', '0.5', 'doubtful'],
    ['feed', '0.51', 'bad'],
    ['ground', '0.1', 'doubtful'],
    ['ground', '0.35', 'bad'],
    ['fuse', 'no', 'bad'],
    ['filter', 'no', 'bad'],
    ['hatch', 'yes', 'doubtful'],
  ])('pump: %s %s → %s', (id, value, outcome) => expect(told('pump', { [id]: value }).verdict.outcome).toBe(outcome));

  test('everything sound outside points into the tank', () => {
    const all = { fuse: 'yes', feed: '0.2', ground: '0.05', filter: 'yes', hatch: 'no' };
    expect(told('pump', all).verdict.outcome).toBe('good');
    expect(told('pump', { ...all, ground: '0.4' }).verdict).toMatchObject({
      outcome: 'bad',
      next: ['mend the ground first, then test again'],
    });
  });

  test('level: open is in the tank; a needle that does not move is not', () => {
    expect(told('level', { senderOhms: 'open', needle: 'yes', hatch: 'no' }).verdict.outcome).toBe('good');
    expect(told('level', { senderOhms: 'open', needle: 'no' }).verdict.outcome).toBe('bad');
  });

  test('sender ohms against the file, and without one against two families that work (20–80, 52–990 Ω)', () => {
    const judge = (ohms: string, file: VehicleFile = vehicle) =>
      told('level', { senderOhms: ohms }, file).tests.find((t) => t.test.id === 'senderOhms')!.judged!;
    expect(judge('47').points).toBe('nowhere');
    expect(judge('1200').points).toBe('tank');
    expect(judge('3').points).toBe('tank');
    const known: VehicleFile = {
      ...vehicle,
      sender: { emptyOhms: { lo: 260, typ: 268, hi: 275 }, fullOhms: { lo: 38, typ: 40, hi: 42 } },
    };
    expect(judge('150', known).points).toBe('elsewhere');
    expect(judge('400', known).points).toBe('tank');
  });

  test('a bigger tank needs no test to come down', () => expect(told('biggerTank', {}).verdict.outcome).toBe('good'));

  test('whatever was answered, it never fails, and one pointer elsewhere always halts', () => {
    const answer = (test: QuickTest) =>
      'words' in test.reads ? fc.constantFrom('yes', 'no') : fc.double({ min: 0, max: 2000, noNaN: true }).map(String);
    for (const complaint of complaints)
      fc.assert(
        fc.property(
          fc.record(
            Object.fromEntries(quickTests[complaint].map((t) => [t.id, fc.option(answer(t), { nil: undefined })])),
          ),
          (given) => {
            const answers = Object.fromEntries(
              Object.entries(given).filter((e): e is [string, string] => e[1] !== undefined),
            );
            const { tests, verdict } = told(complaint, answers);
            const elsewhere = tests.some((t) => t.judged?.points === 'elsewhere');
            expect(verdict.outcome === 'bad').toBe(elsewhere);
            expect(verdict.reasons.length).toBeGreaterThan(0);
            expect(tests.filter((t) => t.judged).length).toBe(Object.keys(answers).length);
          },
        ),
        { numRuns: 60 },
      );
  });

  test('text that is no reading is no reading', () =>
    expect(told('pump', { feed: 'much' }).tests.every((t) => t.judged === null)).toBe(true));
});
