import { describe, expect, test } from '@jest/globals';
import { checkBody, owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { judgeLine, judgeValve, liftVacuum } from './index.ts';

const start = () => tell({ complaint: 'pump', vehicle: archetypes[0]! });
const valve = { valve: 'foot valve', tester: 'held' as const, against: 'holds' as const, along: 'nothing' as const };
const line = { line: 'feed', tester: 'held' as const, from: 40, to: 38, seconds: 60 };

describe('a valve by vacuum; common practice, no source', () => {
  test.each([
    ['holds', 'nothing', 'good', /one way/],
    ['holds', 'lets', 'doubtful', /opens hard/],
    ['holds', 'holds', 'bad', /stuck shut/],
    ['lets', 'nothing', 'bad', /slowly/],
    ['nothing', 'holds', 'bad', /wrong way/],
    ['nothing', 'lets', 'bad', /wrong way/],
    ['nothing', 'nothing', 'bad', /missing inside/],
  ] as const)('against %s, along %s: %s', (against, along, outcome, why) => {
    const verdict = judgeValve({ ...valve, against, along }, 'petrol');
    expect(verdict.outcome).toBe(outcome);
    expect(inWords(verdict.reasons[0]!.text)).toMatch(why);
  });
  test('a tester nobody proved says nothing, whatever the valve did', () => {
    for (const tester of ['fell', 'notTried'] as const) {
      expect(judgeValve({ ...valve, tester }, 'petrol').outcome).toBe('unknown');
      expect(judgeValve({ ...valve, tester, against: 'nothing' }, 'petrol').outcome).toBe('unknown');
      expect(judgeLine({ ...line, tester, to: 0 }, 'petrol').outcome).toBe('unknown');
    }
  });
  test('0.46 m of petrol asks 3.4 kPa of its foot valve, by hand', () => {
    expect(liftVacuum(0.46, 'petrol')).toBeCloseTo(3.36, 2);
    expect(liftVacuum(0.46, 'diesel')).toBeCloseTo((835 * 9.80665 * 0.46) / 1000, 6);
    expect(judgeValve({ ...valve, kPa: 3.4, lift: 0.46 }, 'petrol').outcome).toBe('good');
    const weak = judgeValve({ ...valve, kPa: 3.2, lift: 0.46 }, 'petrol');
    expect(weak.outcome).toBe('bad');
    expect(weak.next.map((n) => inWords(n)).join()).toMatch(/empties the tank/);
    expect(() => liftVacuum(-1, 'petrol')).toThrow(/lift/);
  });
});

describe('a line by vacuum', () => {
  test.each([
    [{ to: 32 }, 'good'], // four fifths
    [{ to: 31.9 }, 'bad'],
    [{ seconds: 59 }, 'unknown'],
    [{ from: 19, to: 19 }, 'unknown'],
    [{ from: 20, to: 20 }, 'good'],
  ])('%j: %s', (more, outcome) => {
    expect(judgeLine({ ...line, ...more }, 'petrol').outcome).toBe(outcome);
  });
  test('its proof stays pressure', () => {
    expect(inWords(judgeLine(line, 'petrol').next[0]!)).toMatch(/proof is pressure/);
  });
  test('petrol left in it boils at 0.9 of what stands above its vapour, 59 kPa at 20 °C; diesel does not', () => {
    // (101.3 − 35.8) · 0.9 = 58.97, by the vapour pressure of AP-42.
    expect(judgeLine({ ...line, from: 58.5, to: 58 }, 'petrol').outcome).toBe('good');
    expect(judgeLine({ ...line, from: 59.5, to: 59 }, 'petrol').outcome).toBe('unknown');
    expect(judgeLine({ ...line, from: 80, to: 79 }, 'diesel').outcome).toBe('good');
  });
  test('vacuum does not grow', () => {
    expect(() => checkBody('lineHeld', { ...line, to: 41 })).toThrow(/no more than the 40 kPa/);
  });
});

describe('in the job', () => {
  test('what is missing inside is owed until it is found, also once another valve is in', () => {
    const job = start();
    const search = () =>
      owed(job.state)
        .filter(({ key }) => key === 'search')
        .map(({ text }) => inWords(text));
    job.say('valveTried', { ...valve, tester: 'notTried', against: 'nothing' });
    expect(search()).toEqual([]);
    job.say('valveTried', { ...valve, against: 'nothing' });
    expect(search()).toEqual(['what is missing of the foot valve: look in tank, line, filter']);
    job.say('searched', { valve: 'foot valve', place: 'tank', told: 'notThere' });
    job.say('valveTried', valve);
    expect(search()).toEqual(['what is missing of the foot valve: look in line, filter']);
    job.say('searched', { valve: 'foot valve', place: 'line', told: 'notThere' });
    job.say('searched', { valve: 'foot valve', place: 'filter', told: 'notThere' });
    expect(search()).toEqual(['what is missing of the foot valve: in none of tank, line, filter']);
    job.say('searched', { valve: 'foot valve', place: 'line', told: 'found' });
    expect(search()).toEqual([]);
  });
  test('a line that does not hold is owed until it does, and both are on the record', () => {
    const job = start();
    const owes = () =>
      owed(job.state)
        .filter(({ id }) => id.startsWith('vacuum:'))
        .map(({ text }) => inWords(text));
    job.say('lineHeld', { ...line, to: 10 });
    expect(owes()).toEqual(['feed line does not hold a vacuum']);
    job.say('valveTried', valve);
    expect(recordLines(job.state).map(({ text }) => inWords(text))).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/foot valve, by vacuum: it holds one way/),
        expect.stringMatching(/feed line, by vacuum: it does not hold, 40 kPa to 10 kPa in 60 s/),
      ]),
    );
    job.say('lineHeld', line);
    expect(owes()).toEqual([]);
  });
});
