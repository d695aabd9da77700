import fc from 'fast-check';
import { InputError } from '../errors/index.ts';
import { boreOf, drillFor, judgeThread, lookAlikes, mustNotMeet, rankThreads, threads } from './index.ts';

const named = (name: string) => threads.find((t) => t.name === name)!;
const first = (...args: Parameters<typeof rankThreads>) => rankThreads(...args)[0]?.thread.name;

describe('the tables (from memory of the documents)', () => {
  test('ISO 261: pitch of the coarse series', () => {
    const coarse = { M4: 0.7, M5: 0.8, M6: 1, M8: 1.25, M10: 1.5, M12: 1.75, M14: 2, M16: 2, M18: 2.5, M20: 2.5 };
    for (const [size, pitch] of Object.entries(coarse))
      expect(named(`${size} × ${pitch}`)).toMatchObject({ pitch, flank: 60 });
  });
  test('ISO 724: least bore of a nut, mm', () => {
    // M6 4.917, M8 6.647, M10 8.376, M12 10.106: the document’s minor diameters D1.
    const minor: [string, number][] = [
      ['M6 × 1', 4.917],
      ['M8 × 1.25', 6.647],
      ['M10 × 1.5', 8.376],
      ['M12 × 1.75', 10.106],
    ];
    for (const [name, bore] of minor) expect(boreOf(named(name))).toBeCloseTo(bore, 2);
    // ISO 228-1: G 1/8 8.566, G 1/4 11.445, G 1/2 18.631.
    for (const [name, bore] of [
      ['G 1/8-28', 8.566],
      ['G 1/4-19', 11.445],
      ['G 1/2-14', 18.631],
    ] as [string, number][])
      expect(boreOf(named(name))).toBeCloseTo(bore, 2);
  });
  test('ASME B1.20.1 and ISO 228-1: outside diameters; ASME B1.1: an inch over its threads', () => {
    expect([named('NPT 1/8-27').outside, named('NPT 1/2-14').outside]).toEqual([10.287, 21.336]);
    expect([named('G 1/8-28').outside, named('G 1/2-14').outside]).toEqual([9.728, 20.955]);
    expect(named('3/8-16 UNC').pitch).toBeCloseTo(1.5875, 9);
    expect(named('3/8-16 UNC').outside).toBeCloseTo(9.525, 9);
  });
  test('tap drills are D − P, as the tables of the trade have them within a tenth: 5.0, 6.8, 8.5, 10.2; none for a taper', () => {
    const drills: [string, number][] = [
      ['M6 × 1', 5],
      ['M8 × 1.25', 6.75],
      ['M10 × 1.5', 8.5],
      ['M12 × 1.75', 10.25],
    ];
    for (const [name, drill] of drills) expect(drillFor(named(name))).toBeCloseTo(drill, 2);
    expect(drillFor(named('NPT 1/4-18'))).toBeNull();
  });
  test('every look-alike is a thread of the tables, and close to the others of its group', () => {
    for (const group of lookAlikes) {
      const all = group.map(named);
      for (const one of all) expect(one).toBeDefined();
      const sizes = all.map((t) => t.outside);
      expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThan(1.2);
    }
    expect(mustNotMeet('M10 × 1.5')).toEqual(['3/8-16 UNC']);
    expect(mustNotMeet('M10 × 1')).toContain('NPT 1/8-27');
    expect(mustNotMeet('M20 × 2.5')).toEqual([]);
  });
});

describe('which one is it', () => {
  test('every thread of the tables, measured as a sound one measures, is among the first', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...threads),
        fc.double({ min: 0.05, max: 0.27, noNaN: true }),
        fc.boolean(),
        (thread, by, bore) => {
          const measured = bore
            ? { of: 'bore' as const, diameter: boreOf(thread) + by, pitch: thread.pitch, taper: thread.taper }
            : { of: 'outside' as const, diameter: thread.outside - by, pitch: thread.pitch, taper: thread.taper };
          const ranked = rankThreads(measured).filter(({ misfit }) => misfit <= 1);
          expect(ranked.map((c) => c.thread.name)).toContain(thread.name);
        },
      ),
    );
  });
  test('by diameter and pitch', () => {
    expect(first({ of: 'outside', diameter: 9.85, pitch: 1.5 })).toBe('M10 × 1.5');
    expect(first({ of: 'outside', diameter: 9.4, pitch: 1.5875 })).toBe('3/8-16 UNC');
    expect(first({ of: 'bore', diameter: 6.75, pitch: 1.25 })).toBe('M8 × 1.25');
  });
  test('what seals decides first: 7/16-20 is a flare, an O-ring boss or a plain bolt', () => {
    const at = { of: 'outside' as const, diameter: 10.95, pitch: 1.27 };
    expect(rankThreads(at).map((c) => c.thread.name)).toEqual(
      expect.arrayContaining(['7/16-20 UNF', '7/16-20 flare', '7/16-20 O-ring boss']),
    );
    const cone = rankThreads({ ...at, seals: 'cone' }).map((c) => c.thread.name);
    expect(cone).toContain('7/16-20 flare');
    expect(cone).not.toContain('7/16-20 O-ring boss');
  });
  test('taper parts G 1/8 from NPT 1/8', () => {
    expect(first({ of: 'outside', diameter: 9.6, pitch: 25.4 / 28, taper: false })).toBe('G 1/8-28');
    const names = rankThreads({ of: 'outside', diameter: 10.1, taper: true }).map((c) => c.thread.family);
    expect(names.every((family) => family === 'NPT' || family === 'R')).toBe(true);
  });
  test('without a pitch nobody is sure; with it and nothing beside it, it is good; nothing fits: unknown', () => {
    expect(judgeThread({ of: 'outside', diameter: 9.85 }).outcome).toBe('doubtful');
    const sure = judgeThread({ of: 'outside', diameter: 15.85, pitch: 2 });
    expect([sure.outcome, sure.reasons[0]!.text]).toEqual(['good', 'M16 × 2']);
    const alike = judgeThread({ of: 'outside', diameter: 9.85, pitch: 1.5 });
    expect([alike.outcome, alike.reasons[1]?.text]).toEqual([
      'good',
      'starts in it and must never meet it: 3/8-16 UNC',
    ]);
    expect(judgeThread({ of: 'outside', diameter: 41, pitch: 1.1 }).outcome).toBe('unknown');
  });
  test('no size, or a thread of two lengths', () => {
    for (const diameter of [0, 1.9, 61, Number.NaN])
      expect(() => rankThreads({ of: 'outside', diameter })).toThrow(InputError);
    for (const pitch of [0, 5, Number.NaN])
      expect(() => rankThreads({ of: 'outside', diameter: 10, pitch })).toThrow('pitch');
  });
});
