import { describe, expect, test } from '@jest/globals';
import { checkBody, completed, owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { freeVolume, holdOf, judgeHeld, readHold, writeHold, type HeldBody } from './index.ts';

const van = archetypes[0]!;
const start = () => tell({ complaint: 'leak', vehicle: van });
/** √p falls by so much a second, from 3 400 Pa on. */
const falling = (by: number, more: Partial<HeldBody> = {}): HeldBody => ({
  readings: Array.from({ length: 64 }, (_, i): [number, number] => [
    i,
    Math.round((Math.sqrt(3400) - by * i) ** 2 * 10) / 10,
  ]),
  step: 5,
  celsius: 18,
  height: 0,
  hole: '0.020',
  aired: true,
  volume: { lo: 90, hi: 95 },
  ...more,
});
const [TIGHT, LEAKS] = [falling(0), falling(0.4)];
const owedHold = (state: ReturnType<typeof start>['state']) => owed(state).filter((debt) => debt.key === 'hold');

describe('the tank held on the bench', () => {
  test('a leak is owed until it held, and a tight one is on the record', () => {
    const job = start();
    job.say('held', LEAKS);
    expect(holdOf(job.state)?.verdict.outcome).toBe('bad');
    expect(owedHold(job.state).map((d) => inWords(d.text))).toEqual([
      expect.stringMatching(/the tank on the bench: it falls faster/),
    ]);
    job.say('held', TIGHT);
    expect(owedHold(job.state)).toEqual([]);
    const lines = recordLines(job.state).filter((line) => inWords(line.text).startsWith('held'));
    expect(lines.map((line) => inWords(line.text))).toEqual([
      expect.stringMatching(/falls faster than through a hole of 0.51 mm/),
      expect.stringMatching(/tighter than a hole of 0.51 mm/),
    ]);
  });
  test('not decided answers nothing', () => {
    const job = start();
    job.say('held', LEAKS);
    job.say('held', { ...TIGHT, readings: TIGHT.readings.slice(0, 9) });
    expect(owedHold(job.state)).toHaveLength(1);
  });
  test('the ring opened again: what held says nothing any more, what leaked is still owed', () => {
    const job = start();
    job.say('held', LEAKS);
    job.say('ring', { state: 'opened' });
    expect(holdOf(job.state)).toBeNull();
    expect(owedHold(job.state)).toHaveLength(1);
    job.say('held', TIGHT);
    expect(holdOf(job.state)?.verdict.outcome).toBe('good');
    job.say('ring', { state: 'closed' });
    expect(holdOf(job.state)?.verdict.outcome).toBe('good');
    job.say('ring', { state: 'opened' });
    expect(holdOf(job.state)).toBeNull();
  });
  test('the free volume stands in the entry as its maker knew it; by the file with room for vapour', () => {
    const { state } = start();
    const dry = { ...state, fuel: { ...state.fuel, aboard: { ...state.fuel.aboard, lo: 0, hi: 0.5 } } };
    const { lo, hi } = van.tank.litres;
    expect(freeVolume(dry)).toEqual({ lo: lo - 0.5, hi: Math.round(hi * 11.5) / 10 });
    const { volume: _, ...unsaid } = TIGHT;
    expect(completed(dry, 'held', unsaid)).toEqual({ ...unsaid, volume: freeVolume(dry), joints: [] });
    expect(completed(dry, 'held', TIGHT)).toEqual({ ...TIGHT, joints: [] });
    // More may be in it than it holds.
    expect(freeVolume({ ...state, fuel: { ...state.fuel, aboard: { ...state.fuel.aboard, hi: lo + 1 } } })).toBeNull();
    expect(judgeHeld(unsaid).verdict).toMatchObject({ outcome: 'unknown' });
  });
  test('a push decides on the volume; one too small is refused before it is entered', () => {
    const { volume: _, ...pushed } = { ...TIGHT, push: { millilitres: 100, rise: 110 } };
    expect(judgeHeld(pushed).verdict.reasons[0]?.basis.source).toMatch(/free volume 88\.\d–9\d\.\d L/);
    expect(() => checkBody('held', { ...pushed, push: { millilitres: 100, rise: 12 } })).toThrow(/four steps/);
  });
  test('how high the shop stands makes it sharper: without it every place to 2 000 m counts', () => {
    const near = falling(0.105);
    expect(judgeHeld(near).fall!.limit.lo).toBeGreaterThan(judgeHeld({ ...near, height: undefined }).fall!.limit.lo);
    expect(judgeHeld({ ...near, height: 2000 }).fall!.limit.lo).toBeCloseTo(
      judgeHeld(near).fall!.limit.lo * Math.sqrt(79_495 / 101_325),
      4,
    );
  });
  test.each([
    [{ readings: [] }, /readings/],
    [{ readings: [[0, NaN]] }, /readings/],
    [{ readings: [[0, 30_000]] }, /readings/],
    [{ hole: '0.030' }, /hole/],
    [{ volume: { lo: 9, hi: 3 } }, /least before its most/],
    [{ step: 0 }, /step/],
    [{ over: { lo: 60_000, hi: 50_000 } }, /least before its most/],
    [{ aired: false, settled: true, over: { lo: 0, hi: 60_000 } }, /vapour pressure/],
    [{ where: 'moon' }, /where/],
  ])('%j is refused', (wrong, why) => {
    expect(() => checkBody('held', { ...TIGHT, ...wrong } as HeldBody)).toThrow(why);
  });
  test('readings come and go as a table', () => {
    expect(readHold('s;inH2O\n5;14\n6;13,9').map(([at, pa]) => [at, Math.round(pa * 10) / 10])).toEqual([
      [0, 3487.2],
      [1, 3462.3],
    ]);
    expect(readHold(writeHold(TIGHT.readings))).toEqual(TIGHT.readings);
    // A hundred thousand become the means of every five: the same line.
    const many = Array.from({ length: 100_000 }, (_, i) => `${i / 10};${3400 - i * 0.01 + (i % 5)}`).join('\n');
    const five = readHold(many);
    expect(five).toHaveLength(20_000);
    expect(five[1]).toEqual([expect.closeTo(0.7, 9), expect.closeTo(3400 - 0.07 + 2, 9)]);
  });
});
