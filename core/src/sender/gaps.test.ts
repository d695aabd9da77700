import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { lateIn } from './gaps.ts';
import {
  judgeSweep,
  LONGEST_WAY,
  oneMore,
  passFrom,
  sweepAgain,
  sweeping,
  sweptWay,
  type Pass,
  type SweptWay,
} from './index.ts';

const file: VehicleFile = {
  ...archetypes[0]!,
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};

/** A meter that reads every so many ms; a hand that rests a second, takes ten for the way, and rests again. */
interface Meter {
  every?: number;
  /** ms between which nothing came. */
  stall?: [number, number];
  /** What the sender does at a share of its travel. */
  sender?: (share: number) => number | null;
}

const even = (share: number) => 20 + 60 * share;

function swept(way: Pass['way'], { every = 400, stall = [0, 0], sender = even }: Meter = {}): Pass {
  const moments = Array.from({ length: Math.floor(12_400 / every) + 1 }, (_, i) => i * every);
  const heard = moments.filter((at) => at <= stall[0] || at >= stall[1]);
  const going = heard.reduce((had, at) => {
    const along = Math.min(1, Math.max(0, (at - 1_000) / 10_000));
    return oneMore(had, { value: sender(way === 'up' ? along : 1 - along), at: 1_764_300_000_000 + at });
  }, sweeping(way));
  return passFrom(sweptWay(going));
}
const judge = (...passes: Pass[]) => judgeSweep(passes, { file });
const why = (...passes: Pass[]) =>
  judge(...passes)
    .verdict.reasons.map((reason) => `${inWords(reason.text)} ${inWords(reason.figure ?? '')}`)
    .join('; ');

describe('a sweep whose readings stopped for a while', () => {
  test('a sound sender is not called jumping: that way was not read there, and it says where', () => {
    // From 38 Ω at 4.0 s to 50 Ω at 6.0 s, by hand: 20 + 60 · (t − 1) / 10.
    const judged = judge(swept('up', { stall: [4_000, 6_000] }), swept('down'));
    expect(judged.jumps).toEqual([]);
    expect(judged.unread).toMatchObject([{ way: 'up', from: 38, to: 50, seconds: 2 }]);
    expect(judged.verdict.outcome).toBe('unknown');
    expect(why(swept('up', { stall: [4_000, 6_000] }), swept('down'))).toBe(
      'not read on the way up: the readings stopped at 38–50 Ω, for 2 s',
    );
    // The same on the way back, empty first.
    expect(judge(swept('up'), swept('down', { stall: [4_000, 6_000] })).unread).toMatchObject([
      { way: 'down', from: 50, to: 62 },
    ]);
  });
  test('whatever the stall, a sound sender is never bad nor doubtful, and one whose dead spot was not read is never good', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 11_000 }),
        fc.integer({ min: 100, max: 4_000 }),
        fc.constantFrom(100, 250, 400),
        (from, lasts, every) => {
          const stall: [number, number] = [from, from + lasts];
          const sound = judge(swept('up', { stall, every }), swept('down', { every })).verdict;
          // At its very end nothing comes after it: the full stop was not seen, and that is said.
          if (from + lasts < 12_000) expect(['good', 'unknown']).toContain(sound.outcome);
          // A dead spot under the stall, both ways: a tenth of the travel.
          const at = Math.min(0.85, Math.max(0.05, (from + lasts / 2 - 1_000) / 10_000 - 0.05));
          const dead = (share: number) => (share > at && share < at + 0.1 ? null : even(share));
          const back: [number, number] = [12_000 - from - lasts, 12_000 - from];
          const hidden = judge(
            swept('up', { stall, every, sender: dead }),
            swept('down', { stall: back, every, sender: dead }),
          );
          expect(hidden.verdict.outcome).not.toBe('good');
        },
      ),
    );
  });
  test('read there by another pass of the same way it is whole; a pass the other way does not do', () => {
    const stalled = swept('up', { stall: [4_000, 6_000] });
    expect(judge(stalled, swept('down'), swept('up')).verdict.outcome).toBe('good');
    expect(judge(stalled, swept('down'), swept('down')).verdict.outcome).toBe('unknown');
    expect(judge(stalled, swept('down'), swept('up', { stall: [5_000, 7_000] })).verdict.outcome).toBe('unknown');
    expect(judge(stalled, swept('down'), swept('up', { stall: [8_000, 9_500] })).verdict.outcome).toBe('good');
  });
  test('a pass that ended before the stretch, or began behind it, did not read it', () => {
    const stalled = swept('up', { stall: [4_000, 6_000] });
    const part = (from: number, to: number): Pass => ({ way: 'up', readings: swept('up').readings.slice(from, to) });
    // Readings every 0.4 s: the first ten end at 35.6 Ω, those from the sixteenth on begin at 50 Ω.
    expect(judge(stalled, swept('down'), part(0, 10)).verdict.outcome).toBe('unknown');
    expect(judge(stalled, swept('down'), part(15, 32)).verdict.outcome).toBe('unknown');
    expect(judge(stalled, swept('down'), part(9, 17)).verdict.outcome).toBe('good');
  });
  test('a jump between two readings that came in time is still a jump', () => {
    const jumps = (share: number) => even(share) + (share > 0.5 ? 8 : 0);
    const wide: VehicleFile = {
      ...file,
      sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 86, typ: 88, hi: 90 } },
    };
    const passes = [swept('up', { sender: jumps, stall: [8_000, 10_000] }), swept('down', { sender: jumps })];
    expect(judgeSweep(passes, { file: wide }).verdict.outcome).toBe('bad');
  });
  test('a meter that only speaks when the reading changes is silent at rest: nothing is missing', () => {
    const quiet = (way: Pass['way']): Pass => {
      const { readings } = swept(way, { every: 250 });
      return { way, readings: readings.filter(({ ohms }, i) => i === 0 || ohms !== readings[i - 1]!.ohms) };
    };
    expect(judge(quiet('up'), quiet('down')).verdict.outcome).toBe('good');
  });
  test('without times nobody can tell a gap from a jump: as before it is a jump', () => {
    const bare = ({ way, readings }: Pass): Pass => ({ way, readings: readings.map(({ ohms }) => ({ ohms })) });
    const judged = judge(bare(swept('up', { stall: [4_000, 6_000] })), bare(swept('down')));
    expect(judged.unread).toEqual([]);
    expect(judged.jumps).toHaveLength(1);
  });
});

describe('before it is judged', () => {
  const ways = (...passes: Pass[]): SweptWay[] =>
    passes.map(({ way, readings }) => ({
      way,
      ohms: readings.map(({ ohms }) => ohms),
      seconds: readings.map(({ seconds }) => seconds!),
    }));
  test('it says which way to sweep again, and nothing once that was done', () => {
    const some = ways(swept('up'), swept('down', { stall: [4_000, 6_000] }));
    expect(sweepAgain(some, { file })).toMatchObject({ way: 'down', verdict: { outcome: 'unknown' } });
    expect(sweepAgain([...some, ...ways(swept('down'))], { file })).toBeNull();
    expect(sweepAgain([], { file })).toBeNull();
  });
  test('with both ways unread, the key and the words are of one way: the one with the longer stretch', () => {
    const some = ways(swept('up', { stall: [4_000, 5_600] }), swept('down', { stall: [4_000, 6_400] }));
    const again = sweepAgain(some, { file });
    expect(again?.way).toBe('down');
    expect(inWords(again!.verdict.reasons[0]!.text)).toMatch(/^not read on the way back/);
  });
  test('a reading that is no resistance throws nothing here', () => {
    expect(sweepAgain([{ way: 'up', ohms: [20, -0.1, 30] }], { file })).toBeNull();
  });
});

describe('the times of a way', () => {
  test('from its first reading; a clock that is put back stands still', () => {
    const going = [5_000, 5_400, 5_200, 6_000].reduce((had, at) => oneMore(had, { value: 20, at }), sweeping('up'));
    expect(sweptWay(going)).toEqual({ way: 'up', ohms: [20, 20, 20, 20], seconds: [0, 0.4, 0.4, 1] });
  });
  test('a clock that is put on by a day makes no way that would be refused', () => {
    const going = [0, 400, 86_400_000].reduce((had, at) => oneMore(had, { value: 20, at }), sweeping('up'));
    expect(going.seconds).toEqual([0, 0.4, LONGEST_WAY]);
  });
  test('late is beyond one and a half usual times; several at one moment are not', () => {
    const at = (...seconds: number[]) => lateIn(seconds.map((one) => ({ ohms: 20, seconds: one })));
    expect(at(0, 0.4, 0.8, 1.3, 1.7)).toEqual([false, false, false, false, false]);
    expect(at(0, 0.4, 0.8, 1.6, 2)).toEqual([false, false, false, true, false]);
    expect(at(0, 0, 0, 0, 2)).toEqual([false, false, false, false, false]);
  });
});
