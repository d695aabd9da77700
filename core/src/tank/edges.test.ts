import { describe, expect, test } from '@jest/globals';
import { exactly } from '../estimate/index.ts';
import { checkBody, foldJob, kindOf, owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import { usualArchetypes } from '../vehicle/testing.ts';
import { burstClock } from './bursts.ts';
import { BURSTS, fuelCelsius, litresIn, litresInCans, litresOut, safeFillToday, spillTilt } from './index.ts';
import { shownBy, witnessLitres } from './witness.ts';

/** Where the litres turn: a box of 1000 × 400 × 250 mm, which is 100 L, that keeps 1 to 3; every figure by hand. */
const van: VehicleFile = {
  ...usualArchetypes[0]!,
  fuel: 'petrol',
  ends: ['front', 'rear'],
  length: 1000,
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 79, typ: 80, hi: 81 } },
  tank: {
    ...usualArchetypes[0]!.tank,
    shape: { kind: 'box', length: 1000, width: 400, height: 250 },
    litres: exactly(100),
    unusable: { lo: 1, typ: 2, hi: 3 },
    emptyMass: { lo: 9, typ: 10, hi: 11 },
  },
};
const start = (more: { gauge?: number; complaint?: 'pump' | 'level' } = {}) =>
  tell({ complaint: 'pump', vehicle: van, ...more });
const flags = (state: ReturnType<typeof start>['state']) =>
  recordLines(state)
    .filter(({ under }) => under === 'flags')
    .map(({ text }) => inWords(text))
    .join('; ');

describe('the clock of the bursts: ten seconds on, twenty off', () => {
  test.each([
    [-5, { phase: 'burst', into: 0, done: 0, pumped: 0 }],
    [0, { phase: 'burst', into: 0, done: 0, pumped: 0 }],
    [9.5, { phase: 'burst', into: 9.5, done: 0, pumped: 9.5 }],
    [10, { phase: 'rest', into: 0, done: 1, pumped: 10 }],
    [29, { phase: 'rest', into: 19, done: 1, pumped: 10 }],
    [30, { phase: 'burst', into: 0, done: 1, pumped: 10 }],
    [37, { phase: 'burst', into: 7, done: 1, pumped: 17 }],
    [100, { phase: 'rest', into: 0, done: 4, pumped: 40 }],
  ])('%d s', (seconds, clock) => {
    expect(burstClock(seconds)).toEqual(clock);
  });
});

describe('litres out and in', () => {
  const job = start({ gauge: 0.5 });
  job.say('container', { number: 1, capacity: 20, litres: 12, clean: true });
  job.say('container', { number: 2, capacity: 10, litres: 4, clean: true });
  job.say('container', { number: 1, capacity: 20, litres: 3, clean: false });
  job.say('fuelMoved', { what: 'spilled', litres: 0.5 });
  job.say('fuelMoved', { what: 'returned', litres: 2 });
  job.say('fuelMoved', { what: 'disposed', litres: 1 });
  job.say('fuelMoved', { what: 'fedIn', litres: 0.25, words: 'return hose' });
  job.say('fill', { litres: 5, from: 'cans' });
  job.say('fill', { litres: 8, from: 'new' });
  const { state } = job;
  test('out is what was poured and spilt; in is filled, put back, fed in; in cans is the rest', () => {
    expect([litresOut(state), litresIn(state), litresInCans(state)]).toEqual([19.5, 15.25, 19 - 2 - 1 - 5]);
    expect(state.filled).toBe(13);
  });
  test('a can adds up, and is suspect once anything suspect went in', () => {
    expect(state.containers.map(({ number, litres, clean, capacity }) => [number, litres, clean, capacity])).toEqual([
      [1, 15, false, 20],
      [2, 4, true, 10],
    ]);
  });
  test('who and in which words stays with it', () => {
    expect(state.moves.map(({ what, words }) => [what, words])).toEqual([
      ['spilled', null],
      ['returned', null],
      ['disposed', null],
      ['fedIn', 'return hose'],
    ]);
    expect(state.fills.map(({ litres, own }) => [litres, own])).toEqual([
      [5, true],
      [8, false],
    ]);
  });
  test('a witness holds what its maker knew of out and in; what came in by itself later witnesses have seen', () => {
    const more = start({ gauge: 0.5 });
    more.say('container', { number: 1, capacity: 20, litres: 10, clean: true });
    more.say('fuelMoved', { what: 'spilled', litres: 1 });
    more.say('fill', { litres: 3, from: 'new' });
    more.say('fuelWitness', { witness: 'dip', reading: 100 });
    const of = (kind: string) => more.state.witnesses.find((w) => w.kind === kind)!;
    expect([of('gauge').outBefore, of('gauge').inBefore]).toEqual([0, 0]);
    expect([of('dip').outBefore, of('dip').inBefore]).toEqual([11, 3]);
    more.say('fuelMoved', { what: 'spilled', litres: 2 });
    expect(of('dip').inBefore).toBe(3);
    more.say('fuelMoved', { what: 'fedIn', litres: 4 });
    expect([of('gauge').inBefore, of('dip').inBefore]).toEqual([0, 7]);
  });
  test('a witness after only a fill has seen what came in since, too', () => {
    const more = start({ gauge: 0.5 });
    more.say('fill', { litres: 3, from: 'new' });
    more.say('fuelWitness', { witness: 'dip', reading: 100 });
    more.say('fuelMoved', { what: 'fedIn', litres: 4 });
    expect(more.state.witnesses.map(({ inBefore }) => inBefore)).toEqual([0, 7]);
  });
  test('bursts say what was aboard when they began', () => {
    const more = start();
    more.say('container', { number: 1, capacity: 20, litres: 5, clean: true });
    more.say('wait', { what: 'paint', state: 'start' });
    more.say('container', { number: 1, capacity: 20, litres: 2, clean: true });
    more.say('wait', { what: BURSTS, state: 'start' });
    more.say('container', { number: 1, capacity: 20, litres: 9, clean: true });
    more.say('wait', { what: BURSTS, state: 'end' });
    more.say('fuelWitness', { witness: 'bursts', reading: 300 });
    more.say('fuelWitness', { witness: 'dip', reading: 10 });
    expect(more.state.witnesses.map(({ kind, outBefore }) => [kind, outBefore])).toEqual([
      ['bursts', 7],
      ['dip', 16],
    ]);
  });
});

describe('what is owed and flagged', () => {
  test('more than a quarter of a litre of the customer’s fuel in cans', () => {
    const job = start();
    job.say('container', { number: 1, capacity: 20, litres: 0.25, clean: true });
    const cans = () =>
      owed(job.state)
        .filter(({ key }) => key === 'cans')
        .map(({ text }) => inWords(text));
    expect(cans()).toEqual([]);
    job.say('container', { number: 1, capacity: 20, litres: 4, clean: true });
    expect(cans()).toEqual(['4.3 L of the customer’s fuel still stand in cans']);
    job.say('fuelMoved', { what: 'returned', litres: 4 });
    expect(cans()).toEqual([]);
  });
  test('the first fill once the tank was down: new, from cans or put back', () => {
    const job = start();
    const fill = () => owed(job.state).some(({ key }) => key === 'fill');
    expect(fill()).toBe(false);
    job.say('moved', { to: { f: 20, r: 20 } });
    expect(fill()).toBe(true);
    const back = foldJob(job.state, [])!;
    expect(back.deepest).toBe(20);
    job.say('fuelMoved', { what: 'disposed', litres: 1 });
    expect(fill()).toBe(true);
    job.say('fuelMoved', { what: 'returned', litres: 1 });
    expect(fill()).toBe(false);
  });
  test('a can over its safe fill says so, with what is safe', () => {
    const job = start();
    job.say('container', { number: 3, capacity: 20, litres: 18.5, clean: true });
    expect(safeFillToday(job.state)).toBeCloseTo(0.95, 2);
    expect(flags(job.state)).not.toMatch(/can 3/);
    job.say('container', { number: 3, capacity: 20, litres: 1, clean: true });
    expect(flags(job.state)).toMatch(/can 3 holds 19\.5 L, 18\.\d L are safe/);
  });
  test('as the day was said to be; without a word at 15 °C, for the densities', () => {
    const job = start();
    expect(fuelCelsius(job.state)).toBe(15);
    job.say('answer', { question: 'celsius', of: 'today', value: -10 });
    expect(fuelCelsius(job.state)).toBe(-10);
    // Filled at −10 °C for 40 °C: 94.1 % by API MPMS 11.1, from memory; the lightest petrol expands a little more.
    expect(safeFillToday(job.state)).toBeCloseTo(0.94, 2);
    job.say('answer', { question: 'celsius', of: 'store', value: 60 });
    expect(safeFillToday(job.state)).toBeLessThan(0.93);
  });
  test('a reading that cannot be is a flag and no witness', () => {
    const job = start();
    job.say('fuelWitness', { witness: 'gauge', reading: 3 });
    expect(job.state.witnesses).toEqual([]);
    expect(flags(job.state)).toMatch(/not counted as a witness: gauge: expected a share of full/);
  });
});

describe('a shape measured on the job', () => {
  test('witnesses are read anew through it; one that can’t be is flagged and goes', () => {
    const job = start();
    job.say('fuelWitness', { witness: 'dip', reading: 125 });
    job.say('fuelWitness', { witness: 'dip', reading: 240 });
    expect(job.state.witnesses[0]!.litres.typ).toBeCloseTo(50, 9);
    job.say('tankShape', {
      shape: { kind: 'box', length: 1000, width: 400, height: 200 },
      outlet: { x: 500, y: 200, z: 10 },
      litres: 80,
    });
    const { tank } = job.state.vehicle;
    expect(tank).toMatchObject({
      shapeBasis: 'measured',
      outlet: { x: 500, y: 200, z: 10 },
      litres: { lo: 80, typ: 80, hi: 80 },
    });
    expect(job.state.witnesses.map(({ reading }) => reading)).toEqual([125]);
    expect(job.state.witnesses[0]!.litres.typ).toBeCloseTo(50, 9);
    expect(flags(job.state)).toMatch(/not counted as a witness any more: dip: expected 0 to 200 mm/);
    job.say('tankShape', { shape: { kind: 'box', length: 1000, width: 400, height: 250 } });
    expect(job.state.vehicle.tank).toMatchObject({ outlet: null, litres: { typ: 80 } });
  });
  test.each([
    [null, /a tank as it is built/],
    [{ length: 3 }, /a tank as it is built/],
    ['box', /a tank as it is built/],
    [{ kind: 'ball' }, /a tank as it is built/],
    [{ kind: 'box', length: -1, width: 400, height: 250 }, /length/],
  ])('%j is refused', (shape, why) => {
    expect(() => checkBody('tankShape', { shape } as never)).toThrow(why);
  });
  test('an outlet outside of it is refused', () => {
    const shape = { kind: 'box' as const, length: 1000, width: 400, height: 250 };
    expect(() => checkBody('tankShape', { shape, outlet: { x: 2000, y: 0, z: 0 } })).toThrow(/outlet/);
    expect(() => checkBody('tankShape', { shape, outlet: { x: 20, y: 20, z: 5 } })).not.toThrow();
  });
});

describe('one witness at its edges', () => {
  const ends = (kind: Parameters<typeof witnessLitres>[1], reading: number | null, file = van) => {
    const { lo, typ, hi } = witnessLitres(file, kind, reading);
    return [lo, typ, hi].map((x) => Math.round(x * 1000) / 1000);
  };
  test('a gauge at its ends, read to an eighth', () => {
    expect(ends('gauge', 0)).toEqual([0, 0, 12.5]);
    expect(ends('gauge', 1)).toEqual([87.5, 100, 100]);
    const wide = { ...van, tank: { ...van.tank, litres: { lo: 60, typ: 100, hi: 130 } } };
    expect(ends('scan', 0.5, wide)).toEqual([0.375 * 60, 50, 0.625 * 130]);
  });
  test('since empty: counted to 3 %, with what stays', () => {
    expect(ends('sinceEmpty', 20)).toEqual([19.4, 22, 23.6]);
    expect(ends('sinceEmpty', 0)).toEqual([0, 2, 3]);
    expect(() => witnessLitres(van, 'sinceEmpty', -1)).toThrow(/0 to \d+ L/);
  });
  test('weighed: no less than nothing', () => {
    expect(ends('weight', 10)[0]).toBe(0);
    expect(() => witnessLitres(van, 'weight', 11 + 100 * 0.775 + 0.01)).toThrow(/0 to 89 kg/);
    expect(ends('weight', 47.25)[1]).toBeCloseTo((47.25 - 10) / 0.745, 3);
  });
  test('ohms: a tenth or less beyond its ends is what a sender may read, more is none', () => {
    expect(ends('ohms', 50)[1]).toBe(50);
    expect(ends('ohms', 20)[1]).toBe(0);
    expect(ends('ohms', 80)[1]).toBe(100);
    expect(() => witnessLitres(van, 'ohms', 200)).toThrow(/Ω/);
    expect(() => witnessLitres({ ...van, sender: null }, 'ohms', 50)).toThrow(/what the sender reads/);
    // The corners: 21 empty and 81 full is the least, 19 and 79 the most, each with the 8 mm a level is read to.
    const [lo, , hi] = ends('ohms', 50);
    expect(lo).toBeCloseTo(((50 - 21) / 60) * 100 - (8 / 250) * 100, 1);
    expect(hi).toBeCloseTo(((50 - 19) / 60) * 100 + (8 / 250) * 100, 1);
  });
  test('bursts from none to two hours; dry is what stays', () => {
    expect(ends('bursts', 0)).toEqual([1, 2, 3]);
    expect(() => witnessLitres(van, 'bursts', 7201)).toThrow(/7200/);
    expect(ends('ranDry', null)).toEqual([0, 2, 3]);
    expect(() => witnessLitres(van, 'dip', null)).toThrow(/found nothing/);
    expect(() => witnessLitres(van, 'dip', Number.NaN)).toThrow(/NaN/);
  });
  test('what shows something of the tank itself', () => {
    expect(shownBy('dip', 90)).toEqual({ mm: 90 });
    expect(shownBy('levelSeen', 90)).toEqual({ mm: 90 });
    expect(shownBy('sinceEmpty', 40)).toEqual({ litres: 40 });
    expect([shownBy('gauge', 0.5), shownBy('dip', null)]).toEqual([{}, {}]);
  });
});

describe('fuel at an open port', () => {
  const line = (x: number, side: string) => ({ ...van.connections[0]!, x, side, name: `at ${x}` });
  test('the end that is lower, and the port it reaches first', () => {
    const to = (x: number, side = 'top') => spillTilt(van, 50, [line(x, side)])!;
    expect(to(1000).end).toBe('rear');
    expect(to(0).end).toBe('front');
    // Half full: the low end is full when tan θ = 250 / 1000.
    expect(to(1000).degrees).toBeCloseTo((Math.atan(0.25) * 180) / Math.PI, 1);
    // Off its end it is taken at its end.
    expect(to(1200).degrees).toBeCloseTo(to(1000).degrees, 6);
    expect(to(-50).degrees).toBeCloseTo(to(0).degrees, 6);
    expect(spillTilt(van, 50, [line(700, 'top'), line(1000, 'top')])!.port).toBe('at 1000');
  });
  test('an empty tank and a level table spill nowhere', () => {
    expect(spillTilt(van, 0, [line(0, 'top')])).toBeNull();
    expect(spillTilt(van, 0.001, [line(500, 'top')])).toBeNull();
    const table = {
      kind: 'table' as const,
      length: 1000,
      width: 400,
      height: 250,
      rows: [
        [0, 0],
        [250, 100],
      ] as [number, number][],
    };
    expect(spillTilt({ ...van, tank: { ...van.tank, shape: table } }, 50, [line(0, 'top')])).toBeNull();
  });
});

describe('what two devices may say at once', () => {
  test.each([
    ['container', { number: 1, capacity: 20, litres: 1, clean: true }, [], ['fuel']],
    ['fuelMoved', { what: 'spilled', litres: 1 }, [], ['fuel']],
    ['fill', { litres: 1, from: 'new' }, [], ['fuel']],
    ['tankShape', {}, [], ['fuel', 'shape']],
    ['fuelWitness', { witness: 'dip', reading: 3 }, ['fuel'], ['witness:x']],
  ] as const)('%s reads and writes', (kind, body, reads, writes) => {
    expect(kindOf(kind).touches(body as never, 'x')).toEqual({ reads, writes });
  });
});
