import { describe, expect, test } from '@jest/globals';
import { exactly } from '../estimate/index.ts';
import { judgeGate } from '../gates/index.ts';
import { checkBody, owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import {
  alwaysMeasured,
  chainBetween,
  compareList,
  endInWords,
  judgeFigure,
  judgeFit,
  meet,
  portLines,
  type End,
} from './index.ts';

const van: VehicleFile = {
  ...archetypes[0]!,
  fuel: 'petrol',
  fuelSystem: { pump: 'electricHigh', engine: { kilowatts: exactly(90), bar: { lo: 3.5, typ: 3.8, hi: 4 } } },
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};
const start = (complaint: 'pump' | 'level' | 'rust' = 'level', vehicle = van) => tell({ complaint, vehicle });
const hose = (mm: number): End => ({ kind: 'hose', mm });
const pipe = (mm: number): End => ({ kind: 'pipe', mm });
const thread = (name: string, side: 'male' | 'female'): End => ({ kind: 'thread', name, side });
const names = (from: End, to: End) => chainBetween(from, to)?.map(({ name }) => name) ?? null;

describe('one end to another; sizes of the trade, common practice', () => {
  test('what meets needs nothing between', () => {
    expect(names(hose(7.94), pipe(8))).toEqual([]);
    expect(names(thread('NPT 1/4-18', 'male'), thread('NPT 1/4-18', 'female'))).toEqual([]);
    expect(meet(hose(9.53), pipe(7.94))).toBe(false);
    expect(meet(hose(8), hose(8))).toBe(false);
    expect(meet(thread('NPT 1/4-18', 'male'), thread('NPT 1/4-18', 'male'))).toBe(false);
  });
  test('a hose into a port takes one barb; a size up one joiner and a hose', () => {
    expect(names(hose(7.94), thread('NPT 1/4-18', 'female'))).toEqual(['barb 5/16 in to male NPT 1/4-18']);
    expect(names(hose(7.94), hose(12.7))).toEqual(['joiner 5/16 in to 1/2 in']);
    expect(names(hose(7.94), pipe(12.7))).toEqual(['joiner 5/16 in to 1/2 in', 'hose 1/2 in']);
    expect(names(pipe(8), pipe(8))).toHaveLength(1);
  });
  test('what only looks like it never meets: between G and NPT of one size a hose and two barbs, no screwing', () => {
    expect(meet(thread('G 1/4-19', 'male'), thread('NPT 1/4-18', 'female'))).toBe(false);
    const chain = chainBetween(thread('G 1/4-19', 'male'), thread('NPT 1/4-18', 'female'))!;
    expect(chain).toHaveLength(3);
    expect(chain.map(({ name }) => name.split(' ')[0])).toEqual(['barb', 'hose', 'barb']);
    for (const { ends } of chain)
      expect(ends.every((end) => end.kind !== 'thread' || /^(G|NPT)/.test(end.name))).toBe(true);
  });
  test('within a family there are reducers; a thread no adaptor is made in leads nowhere', () => {
    expect(names(thread('NPT 1/2-14', 'female'), thread('NPT 1/4-18', 'male'))).toEqual([
      'reducer male NPT 1/2-14 to female NPT 1/4-18',
    ]);
    expect(names(hose(7.94), thread('M20 × 2.5', 'female'))).toBeNull();
  });
  test('every link of a chain goes on the one before it', () => {
    for (const [from, to] of [
      [hose(6), thread('M14 × 1.5', 'female')],
      [pipe(19.05), thread('9/16-18 flare', 'male')],
      [thread('R 1/2-14', 'female'), hose(6.35)],
    ] as [End, End][]) {
      let end = from;
      for (const { ends } of chainBetween(from, to)!) {
        const near = meet(end, ends[0]) ? 0 : 1;
        expect(meet(end, ends[near]!)).toBe(true);
        end = ends[1 - near]!;
      }
      expect(meet(end, to)).toBe(true);
    }
    expect(endInWords(hose(9.53))).toBe('hose 3/8 in');
    expect(endInWords(pipe(11))).toBe('pipe 11 mm');
    expect(endInWords(thread('G 1/4-19', 'male'))).toBe('male G 1/4-19');
  });
});

describe('figures of the new part; tolerances common practice, no source', () => {
  const judge = (figure: Parameters<typeof judgeFigure>[0], now: number, old: number | null = null, file = van) =>
    judgeFigure(figure, { now, old, file })?.outcome ?? null;
  test('a flange that is another is a stop; without the old one nobody knows', () => {
    expect([judge('flange', 102.8, 102), judge('flange', 104, 102), judge('flange', 104)]).toEqual([
      'good',
      'bad',
      null,
    ]);
    expect([judge('seal', 4, 4.2), judge('seal', 3, 4.2), judge('seal', 3)]).toEqual(['good', 'doubtful', null]);
  });
  test('ohms against the file: 5 % of the span is the same, beyond 10 % another family', () => {
    expect(judge('ohmsEmpty', 20)).toBe('good');
    expect(judge('ohmsEmpty', 21 + 0.05 * 60)).toBe('good');
    expect(judge('ohmsEmpty', 21 + 0.08 * 60)).toBe('doubtful');
    expect(judge('ohmsEmpty', 240)).toBe('bad');
    expect(judge('ohmsFull', 33)).toBe('bad');
    const bare = { ...van, sender: null };
    expect([judge('ohmsFull', 80, null, bare), judge('ohmsFull', 80, 82, bare)]).toEqual([null, 'good']);
  });
  test('pressure against the engine: too weak is a stop, more only with a regulator', () => {
    expect([judge('pressure', 3), judge('pressure', 3.8), judge('pressure', 4.7), judge('pressure', 6)]).toEqual([
      'bad',
      'good',
      'good',
      'doubtful',
    ]);
    // A carburettor wants 0.25 to 0.45 bar; more floods it.
    const old = { ...van, fuelSystem: { pump: 'mechanical' as const } };
    expect([
      judge('pressure', 0.2, null, old),
      judge('pressure', 0.4, null, old),
      judge('pressure', 3.8, null, old),
    ]).toEqual(['bad', 'good', 'doubtful']);
    const none = { ...van, fuelSystem: { pump: 'none' as const } };
    expect([judge('pressure', 1, null, none), judge('pressure', 1, 1, none)]).toEqual([null, 'good']);
  });
  test('a tank that holds more carries more', () => {
    expect([judge('capacity', 71, 70), judge('capacity', 90, 70), judge('capacity', 60, 70)]).toEqual([
      'good',
      'doubtful',
      'doubtful',
    ]);
    expect(judge('capacity', van.tank.litres.typ)).toBe('good');
  });
});

describe('old laid on new', () => {
  test('nobody began: unknown, and gate 3 does not ask', () => {
    const { state } = start();
    expect(judgeFit(state)).toMatchObject({ begun: false, verdict: { outcome: 'unknown' } });
    expect(judgeGate(state, 3).some(({ item }) => item.id === 'fit')).toBe(false);
  });
  test('a new part fitted makes gate 3 ask; laid, measured and the same it is good', () => {
    const job = start();
    job.say('partSwapped', { part: 'sender', with: 'sender, long arm' });
    const fit = () => judgeGate(job.state, 3).find(({ item }) => item.id === 'fit')!.verdict.outcome;
    expect(fit()).toBe('unknown');
    for (const { id } of compareList(job.state)) job.say('answer', { question: 'compare', of: id, value: 'same' });
    expect(fit()).toBe('unknown');
    // A sender into the old hanger: its ohms. The flange is measured where one comes.
    expect(alwaysMeasured(job.state)).toEqual(['ohmsEmpty', 'ohmsFull']);
    job.say('fitMeasured', { figure: 'flange', now: 102, old: 102 });
    job.say('fitMeasured', { figure: 'ohmsEmpty', now: 20 });
    job.say('fitMeasured', { figure: 'ohmsFull', now: 79 });
    expect(fit()).toBe('good');
    // Measured again it is another family.
    job.say('fitMeasured', { figure: 'ohmsFull', now: 33 });
    expect(fit()).toBe('bad');
  });
  test('what was confirmed ends when a line is tapped otherwise; “the same” once more ends nothing', () => {
    const job = start();
    job.say('partSwapped', { part: 'sender', with: 'sender, long arm' });
    for (const { id } of compareList(job.state)) job.say('answer', { question: 'compare', of: id, value: 'same' });
    for (const [figure, now] of [
      ['flange', 102],
      ['ohmsEmpty', 20],
      ['ohmsFull', 80],
    ] as const)
      job.say('fitMeasured', { figure, now, old: now });
    job.say('swept', {
      part: 'sender',
      passes: (['up', 'down'] as const).map((way) => ({
        way,
        ohms: Array.from({ length: 60 }, (_, i) => {
          const share = Math.min(1, Math.max(0, (i / 59) * 1.4 - 0.2));
          return 20 + 60 * (way === 'up' ? share : 1 - share);
        }),
      })),
    });
    job.say('partSaid', {
      parts: ['ring', 'seal', 'flange', 'pump', 'hose', 'strainer', 'sender'],
      outcome: 'good',
    });
    job.say('gateItem', { gate: 3, item: 'seal', answer: 'new' });
    job.say('gate', { gate: 3 });
    const stands = () => job.state.gates[3].passed !== null;
    expect(stands()).toBe(true);
    job.say('answer', { question: 'compare', of: 'plug', value: 'same' });
    expect(stands()).toBe(true);
    job.say('answer', { question: 'compare', of: 'plug', value: 'different' });
    expect(stands()).toBe(false);
    expect(job.state.gates[3].ended).toBe('new was laid on old once more');
  });
  test('what is measured speaks for its line: tapped “differs” and within its figure it is no stop', () => {
    const job = start();
    for (const { id } of compareList(job.state))
      job.say('answer', { question: 'compare', of: id, value: id === 'ohms' ? 'different' : 'same' });
    expect(judgeFit(job.state).verdict.outcome).toBe('bad');
    // One end measured says nothing of the other.
    job.say('fitMeasured', { figure: 'ohmsEmpty', now: 20 });
    expect(judgeFit(job.state).verdict.outcome).toBe('bad');
    job.say('fitMeasured', { figure: 'ohmsFull', now: 80 });
    expect(judgeFit(job.state).verdict.outcome).toBe('unknown');
  });
  test('“threads differ” is spoken for by a port laid in another size, not by one that is missing elsewhere', () => {
    const job = start('rust');
    const threads = () =>
      judgeFit(job.state).verdict.reasons.some(({ text }) => inWords(text).startsWith('threads and tube sizes'));
    job.say('answer', { question: 'compare', of: 'threads', value: 'different' });
    const [first, second] = portLines(job.state);
    job.say('portLaid', { line: first!.id, is: 'missing' });
    expect(threads()).toBe(true);
    job.say('portLaid', {
      line: second!.id,
      is: 'size',
      from: { kind: 'hose', mm: 7.94 },
      to: { kind: 'pipe', mm: 7.94 },
    });
    expect(threads()).toBe(false);
  });
  test('a module has the ports of the unit, a tank those of the filler neck too', () => {
    const ports = (complaint: 'pump' | 'rust') => portLines(start(complaint).state).map(({ kind }) => kind);
    expect(ports('rust')).toEqual(expect.arrayContaining(['feed', 'filler']));
    expect(ports('pump')).toContain('feed');
    expect(ports('pump')).not.toContain('filler');
    expect(ports('pump')).not.toContain('breather');
  });
  test('port by port: another size goes on with a barb, a missing one is a stop, another use too', () => {
    const job = start('rust');
    const [first, second] = portLines(job.state);
    job.say('portLaid', {
      line: first!.id,
      is: 'size',
      from: { kind: 'hose', mm: 7.94 },
      to: { kind: 'thread', name: 'NPT 1/4-18', side: 'female' },
    });
    const reasons = () =>
      judgeFit(job.state)
        .verdict.reasons.map(({ text }) => inWords(text))
        .join('; ');
    expect(reasons()).toMatch(/goes on with one piece: barb 5\/16 in to male NPT 1\/4-18/);
    job.say('portLaid', { line: second!.id, is: 'missing' });
    expect(judgeFit(job.state).verdict.outcome).toBe('bad');
    expect(reasons()).toMatch(/has no port for it/);
    job.say('portLaid', { line: second!.id, is: 'use' });
    expect(reasons()).toMatch(/does something else inside/);
    expect(recordLines(job.state).some(({ text }) => inWords(text).includes('new against old'))).toBe(true);
  });
  test('what is to be carried over keeps the old part in the shop until it is', () => {
    const job = start();
    const carried = () => owed(job.state).filter(({ key }) => key === 'fit');
    job.say('answer', { question: 'compare', of: 'plug', value: 'carry' });
    expect(carried()).toHaveLength(1);
    job.say('answer', { question: 'compare', of: 'plug', value: 'carried' });
    expect(carried()).toEqual([]);
  });
  test.each([
    [{ line: 'feed', is: 'size' }, /what the line ends in/],
    [{ line: 'feed', is: 'size', from: { kind: 'hose', mm: 8 } }, /what the new part offers/],
    [{ line: 'feed', is: 'size', from: { kind: 'hose' }, to: { kind: 'pipe', mm: 8 } }, /its size/],
    [
      { line: 'feed', is: 'size', from: { kind: 'thread', side: 'male' }, to: { kind: 'pipe', mm: 8 } },
      /a thread of the tables/,
    ],
    [
      { line: 'feed', is: 'size', from: { kind: 'thread', name: 'M7', side: 'male' }, to: { kind: 'pipe', mm: 8 } },
      /name/,
    ],
  ])('%j is refused', (body, why) => {
    expect(() => checkBody('portLaid', body as never)).toThrow(why);
  });
});

describe('what goes in decides what is asked', () => {
  const judged = (put: readonly string[], whole = false) => {
    const job = tell({ complaint: 'pump', vehicle: van });
    for (const part of put) job.say('partSwapped', { part, with: 'new' });
    if (whole) job.say('unitSwapped', { with: 'module' });
    return {
      lines: compareList(job.state).map(({ id }) => id),
      measured: alwaysMeasured(job.state),
      ports: portLines(job.state).length,
    };
  };
  test('before anything went in: all that may come', () => {
    const { lines, measured, ports } = judged([]);
    expect(lines).toEqual(expect.arrayContaining(['ports', 'flange', 'pressure', 'grade']));
    expect(measured).toEqual(['flange', 'pressure']);
    expect(ports).toBeGreaterThan(0);
  });
  test('a hose inside alone: its grade, no flange and no pressure of a pump that stays', () => {
    expect(judged(['hose'])).toEqual({ lines: ['grade'], measured: [], ports: 0 });
  });
  test('a pump alone: its pressure, plug and valves; no port', () => {
    const { lines, measured, ports } = judged(['pump']);
    expect(measured).toEqual(['pressure']);
    expect(lines).toEqual(['functions', 'plug', 'pressure']);
    expect(ports).toBe(0);
  });
  test('a sender that has a flange of its own brings it', () => {
    const alone = { ...van, fuelSystem: { pump: 'none' as const } };
    const job = tell({ complaint: 'level', vehicle: alone });
    job.say('partSwapped', { part: 'sender', with: 'new' });
    expect(alwaysMeasured(job.state)).toEqual(['flange', 'ohmsEmpty', 'ohmsFull']);
  });
  test('a whole unit: all of it', () => {
    expect(judged([], true)).toEqual(judged([]));
  });
  test('what was said to differ, or to go over, stays said', () => {
    const job = tell({ complaint: 'pump', vehicle: van });
    job.say('answer', { question: 'compare', value: 'carry', of: 'plug' });
    job.say('partSwapped', { part: 'hose', with: 'new' });
    expect(compareList(job.state).map(({ id }) => id)).toEqual(['plug', 'grade']);
  });
  test('where a tank may come, a hose inside changes nothing', () => {
    const job = tell({ complaint: 'rust', vehicle: van });
    const before = compareList(job.state).length;
    job.say('partSwapped', { part: 'hose', with: 'new' });
    expect(compareList(job.state)).toHaveLength(before);
  });
});
