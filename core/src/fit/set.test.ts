import { judgeGate } from '../gates/index.ts';
import { checkBody } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { judgeFigure, judgeFit, judgePins, judgeSet, type PinUse } from './index.ts';

const van = archetypes[0]!;
const start = () => tell({ complaint: 'pump', vehicle: van });
const words = (verdict: ReturnType<typeof judgePins> | null) =>
  (verdict?.reasons ?? []).map((one) => inWords(one.text));

describe('plug and pins, position before colour', () => {
  const pins = (old: PinUse[], now: PinUse[], how: 'meter' | 'colour' = 'meter') => judgePins({ old, now, how });
  test('the same places', () => {
    expect(pins(['pump', 'ground', 'sender'], ['pump', 'ground', 'sender']).outcome).toBe('good');
  });
  test('two change places: it can be moved, and the pump’s plus is said', () => {
    const judged = pins(['pump', 'ground', 'sender'], ['sender', 'ground', 'pump']);
    expect(judged.outcome).toBe('doubtful');
    expect(words(judged)).toEqual([
      'pin 1: the sender, where the old one has the pump’s plus: plugged in so, it burns',
      'pin 3: the pump’s plus, where the old one has the sender',
    ]);
  });
  test('one that is not there at all is a stop', () => {
    expect(pins(['pump', 'ground', 'sender'], ['pump', 'ground', 'none'])).toMatchObject({
      outcome: 'bad',
      reasons: [{ text: 'the new part brings no pin for the sender' }],
    });
    // Two grounds, and only one of them comes.
    expect(pins(['ground', 'ground', 'pump'], ['ground', 'none', 'pump']).outcome).toBe('bad');
  });
  test('by colour alone nobody knows, also where all seem alike', () => {
    expect(pins(['pump', 'ground'], ['pump', 'ground'], 'colour').outcome).toBe('unknown');
    expect(() => checkBody('pinsRead', { old: ['pump'], now: ['pump', 'ground'], how: 'meter' })).toThrow('now');
  });
  test('read pin by pin it speaks for the tap', () => {
    const job = start();
    job.say('answer', { question: 'compare', value: 'different', of: 'plug' });
    expect(words(judgeFit(job.state).verdict)).toContain('plug and pin positions: not as the old one');
    job.say('pinsRead', { old: ['pump', 'ground'], now: ['pump', 'ground'], how: 'meter' });
    expect(words(judgeFit(job.state).verdict)).not.toContain('plug and pin positions: not as the old one');
    expect(judgeGate(job.state, 3).some((one) => one.item.id === 'fit')).toBe(true);
  });
});

describe('index mark', () => {
  const index = (old: number, now: number) => judgeFigure('index', { old, now, file: van });
  test.each([
    [0, 5, 'good'],
    [355, 0, 'good'], // round the circle
    [0, 30, 'bad'],
    [10, 350, 'bad'], // 20°, not 340
    [0, 180, 'bad'],
  ])('old %d°, new %d°: %s', (old, now, outcome) => {
    expect(index(old, now)!.outcome).toBe(outcome);
  });
  test('how far it stands apart is the short way round', () => {
    expect(index(10, 350)!.text).toMatch(/stands 20°/);
    expect(judgeFigure('index', { old: null, now: 3, file: van })).toBeNull();
  });
});

describe('parts of several donors as one set', () => {
  const of = (...parts: { part: string; donor: string; low?: number; high?: number }[]) => {
    const job = start();
    for (const part of parts) job.say('setPart', part);
    return judgeSet(job.state);
  };
  const hose = { part: 'hose', donor: 'the shelf', low: 8, high: 8 };
  test('from one hand: not asked', () => {
    expect(of()).toBeNull();
    expect(of(hose, { ...hose, part: 'pump' })).toBeNull();
  });
  test('a hose of 8 on the outlet of 8 and the pipe of 8 goes on', () => {
    const set = of({ part: 'pump', donor: 'the blue van', low: 12, high: 8 }, hose, {
      part: 'flange',
      donor: 'the blue van',
      low: 8,
    });
    // Strainer and pump: the strainer is what came out, and nobody measured it.
    expect(set!.outcome).toBe('unknown');
    expect(words(set)).toEqual([
      'pump on strainer: from two hands, and not measured',
      'hose inside on pump: it goes on',
      'flange on hose inside: it goes on',
    ]);
  });
  test('a pump with a bigger outlet than the hose of the other: no clamp, another hose', () => {
    // 3/8 in hose over 5/16 in pipe: one size up.
    const set = of({ part: 'pump', donor: 'the blue van', low: 12, high: 7.94 }, { ...hose, low: 9.53 });
    expect(set!.outcome).toBe('bad');
    expect(words(set)[0]).toBe('hose inside on pump: bigger than the pipe by 20 %: no clamp cures that');
  });
  test('the flange stands in the hose: its pipe, the hose’s bore', () => {
    const set = of(hose, { part: 'flange', donor: 'another', low: 9.53 });
    expect(words(set).find((text) => text.startsWith('flange'))).toBe(
      'flange on hose inside: tighter than the pipe by 16.1 %',
    );
  });
  test('strainer and pump: neck by outside', () => {
    const set = of({ part: 'strainer', donor: 'the shelf', high: 12 }, { part: 'pump', donor: 'another', low: 12 });
    expect(words(set)).toContain('pump on strainer: it goes on');
  });
  test('it counts in what goes in, and ends what gate 3 had confirmed', () => {
    const job = start();
    job.say('setPart', { ...hose, low: 9.53 });
    job.say('setPart', { part: 'pump', donor: 'the blue van', high: 7.94 });
    expect(words(judgeFit(job.state).verdict)[0]).toMatch(/^hose inside on pump: bigger/);
    expect(judgeGate(job.state, 3).find((one) => one.item.id === 'fit')?.verdict.outcome).toBe('bad');
  });
});
