import { complaints } from '../order/index.ts';
import fc from 'fast-check';
import { measured } from '../basis/index.ts';
import { shapeLitres } from '../shape/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { diagnose, type QuickTest } from './index.ts';
import { quickTests } from './tests.ts';

const vehicle = archetypes[0]!;
/** The same with its pump in front of the tank: every test there is can be made on it. */
const outside: VehicleFile = { ...vehicle, fuelSystem: { pump: 'electricLow', place: 'outside' } };
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

  describe('a sender, read in place', () => {
    // 268 Ω empty, 40 full: the linear curve of a box of 300 mm halves at 154 Ω.
    const known: VehicleFile = {
      ...vehicle,
      sender: { emptyOhms: { lo: 266, typ: 268, hi: 270 }, fullOhms: { lo: 39, typ: 40, hi: 41 } },
    };
    const full = shapeLitres(vehicle.tank.shape);
    const judge = (ohms: number | 'open', file: VehicleFile = vehicle, share: [number, number] | null = null) =>
      diagnose({
        complaint: 'level',
        vehicle: file,
        answers: { 'test/senderOhms': ohms },
        ...(share
          ? {
              fuel: {
                aboard: {
                  lo: share[0] * full,
                  typ: ((share[0] + share[1]) / 2) * full,
                  hi: share[1] * full,
                  basis: measured,
                },
                steps: [],
              } as never,
            }
          : {}),
      }).tests.find((t) => t.test.id === 'senderOhms')!.judged!;

    test('without the file’s figures one value names no family: unknown, also where only one of them has it', () => {
      for (const ohms of [3, 47, 200])
        expect(judge(ohms)).toMatchObject({ points: 'nowhere', verdict: { outcome: 'unknown' } });
      // Beyond 990, the most any family gives empty (from memory), it is no sound sender.
      expect(judge(1200)).toMatchObject({ points: 'tank', verdict: { outcome: 'bad' } });
      expect(judge('open')).toMatchObject({ points: 'tank', verdict: { outcome: 'bad' } });
    });

    test('within what it gives, but nobody knows the litres: unknown', () => {
      expect(judge(150, known)).toMatchObject({ points: 'nowhere', verdict: { outcome: 'unknown' } });
      expect(judge(150, known, [0, 1])).toMatchObject({ verdict: { outcome: 'unknown' } });
      expect(judge(400, known).points).toBe('tank');
    });

    test('with the litres: right at this level proves this one point; reading full in an empty tank is the sender', () => {
      expect(judge(260, known, [0, 0.12])).toMatchObject({ points: 'nowhere', verdict: { outcome: 'doubtful' } });
      expect(judge(45, known, [0, 0.12])).toMatchObject({ points: 'tank', verdict: { outcome: 'bad' } });
    });
  });

  test('the needle that does not move when its wire is grounded points elsewhere', () =>
    expect(told('level', { senderOhms: '47', needle: 'no' }).verdict.outcome).toBe('bad'));

  test('a dirty sample is not outranked by a filter that hardly flows: both are said', () => {
    const { verdict } = told('badFuel', { sample: 'yes', filter: 'no' });
    expect(verdict.outcome).toBe('good');
    expect(verdict.reasons.map((r) => r.text).join()).toMatch(/does not look clean.*filter may be blocked/);
  });

  test('a sample that was looked at once is not asked for again', () => {
    const of = (more: object) => {
      const facts = { complaint: 'badFuel' as const, vehicle, answers: {}, ...more };
      return diagnose(facts).tests.find((t) => t.test.id === 'sample')!.judged?.points;
    };
    expect(of({})).toBeUndefined();
    expect(of({ answers: { sample: 'water' } })).toBe('tank');
    expect(of({ answers: { sample: 'clear' } })).toBe('elsewhere');
    expect(of({ complaintTest: { result: 'shown' } })).toBe('tank');
    expect(of({ complaintTest: { result: 'notRun' } })).toBeUndefined();
  });

  test('rust that holds under the probe is no halt', () => {
    expect(told('rust', { probe: 'no' }).verdict.outcome).toBe('doubtful');
    expect(told('rust', { probe: 'yes' }).verdict.outcome).toBe('good');
  });

  test('fades: halved by what is cheapest to swap, before any drop', () => {
    const points = (answers: Record<string, string>) =>
      told('fades', answers, outside).tests.find((t) => t.judged)!.judged!.points;
    expect(points({ capLoose: 'yes' })).toBe('elsewhere');
    expect(points({ fromCan: 'yes' })).toBe('tank');
    expect(points({ fromCan: 'no' })).toBe('elsewhere');
    expect(points({ flowLoad: 'no' })).toBe('elsewhere');
    expect(points({ otherTank: 'yes' })).toBe('tank');
    // Sound below 0.15 bar under the air, restricted above 0.25; common practice, no source.
    expect(points({ suction: '0.1' })).toBe('elsewhere');
    expect(points({ suction: '0.3' })).toBe('tank');
    expect(points({ suction: '0.2' })).toBe('nowhere');
    expect(told('fades', { capLoose: 'yes' }).verdict.outcome).toBe('bad');
    // An outside pump has an inlet to read; one in the tank has none.
    const offered = (file: VehicleFile) => told('fades', {}, file).tests.map(({ test }) => test.id);
    expect(offered(outside)).toContain('suction');
    expect(offered(vehicle)).not.toContain('suction');
  });

  test('a bigger tank needs no test to come down', () => expect(told('biggerTank', {}).verdict.outcome).toBe('good'));

  test('whatever was answered, it never fails, and one pointer elsewhere halts unless the tank was seen wrong', () => {
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
            const { tests, verdict } = told(complaint, answers, outside);
            const elsewhere = tests.some((t) => t.judged?.points === 'elsewhere');
            const stands = tests.some((t) => t.judged?.stands);
            expect(verdict.outcome === 'bad').toBe(elsewhere && !stands);
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
