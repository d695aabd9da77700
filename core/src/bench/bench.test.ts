import { InputError } from '../errors/index.ts';
import { isPassed } from '../gates/index.ts';
import { checkBody, recordLines } from '../job/index.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, checkVehicle, unitOf, type VehicleFile } from '../vehicle/index.ts';
import { judgePart, judgeUnit, pieceOf, wordOf } from './index.ts';
import { ids, item, part, ramp, rated, start, van } from './testing.ts';

describe('the unit of a vehicle', () => {
  test('from the strainer up to what closes it, each on the one below', () => {
    expect(ids).toEqual(['strainer', 'pump', 'hose', 'sender', 'flange', 'seal', 'ring']);
    expect(unitOf(van).parts[1]!.mates).toBe('strainer');
    const carburettor = { ...van, fuelSystem: { pump: 'mechanical' as const } };
    expect(unitOf(carburettor).parts.map((p) => p.id)).toEqual([
      'strainer',
      'pickup',
      'sender',
      'flange',
      'seal',
      'ring',
    ]);
    expect(unitOf({ ...van, mounting: 'pads' }).parts.at(-1)!.kind).toBe('collar');
    expect(unitOf({ ...van, mounting: 'floor' }).parts.at(-1)!.kind).toBe('screws');
    expect(
      unitOf({ ...van, fuelSystem: { pump: 'electricHigh', place: 'outside' } }).parts.some((p) => p.kind === 'pump'),
    ).toBe(false);
    for (const file of archetypes) expect(unitOf(file).parts.length).toBeGreaterThanOrEqual(4);
  });
  test('a file may list its own; ids twice, or a part on one that is not below it, are refused', () => {
    const own = (parts: NonNullable<VehicleFile['unit']>['parts']) => ({
      ...van,
      unit: { kind: 'ring' as const, parts },
    });
    const pump = { id: 'pump', kind: 'pump' as const, name: 'pump', reads: rated };
    expect(() => checkVehicle(own([pump, { id: 'seal', kind: 'seal', name: 'seal', mates: 'pump' }]))).not.toThrow();
    expect(() => checkVehicle(own([pump, pump]))).toThrow('unit.parts[1].id');
    expect(() => checkVehicle(own([{ ...pump, mates: 'seal' }]))).toThrow('unit.parts[0].mates');
  });
});

describe('a word about each part', () => {
  test('nobody began: the gate asks plainly; once begun it asks for every part', () => {
    const job = start();
    expect(item(job.state, 'tests')).toBeDefined();
    expect(item(job.state, 'unit')).toBeUndefined();
    job.say('partSaid', { parts: ['ring'], outcome: 'good' });
    expect(item(job.state, 'tests')).toBeUndefined();
    expect(item(job.state, 'unit')?.verdict.outcome).toBe('bad');
    expect(judgeUnit(job.state).reasons.map((r) => r.at)).toEqual([
      'strainer',
      'pump',
      'hose inside',
      'level sender',
      'flange',
      'seal',
    ]);
  });
  test('the pump a pump job is about has to be run, a look is not enough; elsewhere it is', () => {
    const job = start('pump');
    job.say('partSaid', { parts: ids, outcome: 'good' });
    expect(judgePart(job.state, part('pump'))).toMatchObject({
      outcome: 'unknown',
      reasons: [{ text: 'looked at, not run' }],
    });
    expect(judgeUnit(job.state).outcome).toBe('bad');
    expect(judgeUnit(job.state).next).toEqual(['pump: run it: a look shows no flow']);
    const rust = start('rust');
    rust.say('partSaid', { parts: ids, outcome: 'good' });
    expect(judgeUnit(rust.state).outcome).toBe('good');
  });
  test('a test outranks a look, whichever came later; taken back it is as if it never was', () => {
    const job = start('level');
    job.say('partSaid', { parts: ['sender'], outcome: 'good' });
    const sweep = job.say('swept', { part: 'sender', passes: ramp([0.4, 0.6]) });
    const look = job.say('partSaid', { parts: ['sender'], outcome: 'good' });
    expect(judgePart(job.state, part('sender')).outcome).toBe('bad');
    job.back(look);
    job.back(sweep);
    expect(judgePart(job.state, part('sender'))).toMatchObject({
      outcome: 'unknown',
      reasons: [{ text: 'looked at, not swept' }],
    });
  });
});

describe('the graver of test and look', () => {
  test('a sender that sweeps evenly and whose float takes in fuel is bad, whichever was found first', () => {
    const job = start('level');
    const fills = { parts: ['sender'], outcome: 'bad' as const, found: 'float takes in fuel' };
    job.say('swept', { part: 'sender', passes: ramp(null) });
    expect(judgePart(job.state, part('sender')).outcome).toBe('good');
    job.say('partSaid', fills);
    expect(judgePart(job.state, part('sender'))).toMatchObject({
      outcome: 'bad',
      reasons: [{ text: 'float takes in fuel' }],
    });
    // Swept once more: no sweep shows the float.
    job.say('swept', { part: 'sender', passes: ramp(null) });
    expect(judgePart(job.state, part('sender')).outcome).toBe('bad');
    // Looked at again and found sound, another float on it.
    job.say('partSaid', { parts: ['sender'], outcome: 'good' });
    expect(judgePart(job.state, part('sender')).outcome).toBe('good');
    expect(wordOf(pieceOf(job.state, 'sender'))?.how).toBe('swept');
  });
});

describe('the first pass counts', () => {
  const dropOut = () => [...ramp(null), { way: 'up' as const, ohms: ramp([0.4, 0.45])[0]!.ohms }];
  test('swept again it is even, for it was wiped clean: never good all the same, until another one goes in', () => {
    const job = start('level');
    job.say('swept', { part: 'sender', passes: dropOut() });
    expect(judgePart(job.state, part('sender')).outcome).toBe('doubtful');
    job.say('swept', { part: 'sender', passes: ramp(null) });
    expect(judgePart(job.state, part('sender')).outcome).toBe('doubtful');
    job.say('swept', { part: 'sender', passes: [ramp(null)[0]!] });
    expect(judgePart(job.state, part('sender')).outcome).toBe('doubtful');
    job.say('partSwapped', { part: 'sender', with: 'another' });
    job.say('swept', { part: 'sender', passes: ramp(null) });
    expect(judgePart(job.state, part('sender')).outcome).toBe('good');
  });
  test('a pump that was run again after its hose was mended is judged by the last run', () => {
    const job = start('pump');
    const run = (litres: number) =>
      job.say('pumpRan', { part: 'pump', volts: 12, amps: 4.1, bar: 3.9, litres, seconds: 20, rated });
    run(0.17);
    run(0.5);
    expect(judgePart(job.state, part('pump')).outcome).toBe('good');
  });
});

describe('the swap', () => {
  test('a sender with a dead spot, another one in, untested until it is swept; the record says what was bad and what proved it', () => {
    const job = start('level');
    job.say('partSaid', { parts: ids.filter((id) => id !== 'sender'), outcome: 'good' });
    job.say('swept', { part: 'sender', passes: ramp([0.4, 0.6]) });
    expect(judgeUnit(job.state).outcome).toBe('bad');
    job.say('partSwapped', { part: 'sender', with: 'sender 20 to 80', tag: 104 });
    expect(pieceOf(job.state, 'sender')).toMatchObject({ called: 'sender 20 to 80', tag: 104, words: [] });
    expect(judgeUnit(job.state).reasons).toMatchObject([
      { at: 'level sender', text: 'new: nobody tested or looked at it' },
    ]);
    job.say('partSaid', { parts: ['sender'], outcome: 'good' });
    expect(judgeUnit(job.state).outcome).toBe('bad');
    job.say('swept', { part: 'sender', passes: ramp(null) });
    expect(judgeUnit(job.state).outcome).toBe('good');
    expect(item(job.state, 'unit')?.verdict.outcome).toBe('good');
    const said = recordLines(job.state).map((line) => inWords(line.text));
    expect(said.find((text) => text.startsWith('level sender out'))).toMatch(
      /^level sender out: open at \d+–\d+ L, up and back; level sender “sender 20 to 80” \(104\) in: even from stop to stop/,
    );
    // Fitted in error: taken out again, the old one and its word are back.
    job.say('partSwapped', { part: 'sender', with: 'the one that came out', again: true });
    expect(pieceOf(job.state, 'sender').called).toBeNull();
    expect(judgePart(job.state, part('sender')).outcome).toBe('bad');
    // Nothing was there before: then it is simply the one that goes in.
    job.say('partSwapped', { part: 'ring', with: 'new ring', again: true });
    expect(pieceOf(job.state, 'ring').called).toBe('new ring');
  });
  test('a weak pump whose hose inside is split: run, hose swapped, run again', () => {
    const job = start('pump');
    const run = (litres: number) =>
      job.say('pumpRan', { part: 'pump', volts: 12, amps: 4.1, bar: 3.9, litres, seconds: 20, rated });
    run(31 / 180);
    const weak = judgePart(job.state, part('pump'));
    expect([weak.outcome, weak.reasons.map((r) => inWords(r.text)).join()]).toEqual([
      'bad',
      expect.stringContaining('leaks inside, hose or relief'),
    ]);
    job.say('partSaid', { parts: ['hose'], outcome: 'bad', found: 'split at the clamp' });
    job.say('partSwapped', { part: 'hose', with: 'hose for submersion, 8 mm' });
    job.say('partSaid', { parts: ids.filter((id) => id !== 'pump'), outcome: 'good' });
    expect(judgeUnit(job.state).outcome).toBe('bad');
    run(0.5);
    expect(judgeUnit(job.state).outcome).toBe('good');
    expect(wordOf(pieceOf(job.state, 'pump'))?.how).toBe('run');
  });
});

describe('gate 3 ends with what it rested on', () => {
  const passed = () => {
    const job = start('rust');
    job.say('partSaid', { parts: ids, outcome: 'good' });
    job.say('gateItem', { gate: 3, item: 'seal', answer: 'new' });
    job.say('gate', { gate: 3 });
    expect(isPassed(job.state, 3)).toBe(true);
    return job;
  };
  test.each([
    ['another part goes in untested', 'partSwapped', { part: 'sender', with: 'another' }],
    ['a part is found bad', 'partSaid', { parts: ['hose'], outcome: 'bad', found: 'split at the clamp' }],
    ['a sweep finds a dead spot', 'swept', { part: 'sender', passes: ramp([0.4, 0.6]) }],
    [
      'a run finds it weak',
      'pumpRan',
      { part: 'pump', volts: 12, amps: 4.1, bar: 3.9, litres: 0.17, seconds: 20, rated },
    ],
  ] as const)('%s: it is asked again', (_name, kind, body) => {
    const job = passed();
    job.say(kind, body as never);
    expect(isPassed(job.state, 3)).toBe(false);
  });
  test('one more good word ends nothing', () => {
    const job = passed();
    job.say('partSaid', { parts: ['hose'], outcome: 'good' });
    expect(isPassed(job.state, 3)).toBe(true);
  });
});

test('as many readings as a body may hold are judged, whatever they say', () => {
  const job = start('level');
  const many = (one: (i: number) => number | null) => Array.from({ length: 20_000 }, (_, i) => one(i));
  const passes = (one: (i: number) => number | null) =>
    Array.from({ length: 12 }, (_, i) => ({ way: i % 2 === 0 ? ('up' as const) : ('down' as const), ohms: many(one) }));
  job.say('swept', { part: 'sender', passes: passes((i) => (i % 2 === 0 ? null : 20 + (i % 60))) });
  expect(judgePart(job.state, part('sender')).outcome).toBe('bad');
  job.say('swept', { part: 'sender', passes: passes((i) => (Math.floor(i / 4) % 2 === 0 ? 20 : 80)) });
  expect(judgePart(job.state, part('sender')).outcome).toBe('bad');
});

describe('bad input', () => {
  test.each([
    ['swept', { part: 'sender' }, 'passes'],
    ['swept', { part: 'sender', passes: [{ way: 'up', ohms: [20, -1] }] }, 'ohms'],
    ['swept', { part: 'sender', passes: [{ way: 'sideways', ohms: [] }] }, 'way'],
    ['swept', { part: 'sender', passes: [{ way: 'up', ohms: [20, 21], seconds: [0] }] }, 'seconds'],
    ['swept', { part: 'sender', passes: [{ way: 'up', ohms: [20, 21], seconds: [1, 0.5] }] }, 'seconds'],
    ['swept', { part: 'sender', passes: [{ way: 'up', ohms: [20, 21], seconds: [-1, 0] }] }, 'seconds'],
    ['swept', { part: 'sender', passes: [{ way: 'up', ohms: [20, 21], seconds: [0, 3601] }] }, 'seconds'],
    ['swept', { part: 'sender', passes: [{ way: 'up', ohms: [20, 21], seconds: [0, NaN] }] }, 'seconds'],
    ['pumpRan', { part: 'pump', volts: 0 }, 'volts'],
    ['pumpRan', { part: 'pump', volts: 12, litres: 1 }, 'seconds'],
    ['pumpRan', { part: 'pump', volts: 5, bar: 3, litres: 1, seconds: 20 }, 'volts'],
    ['pumpRan', { part: 'pump', volts: 12, heldBar: 1 }, 'heldSeconds'],
    ['pumpRan', { part: 'pump', volts: 12, bar: 3, behind: 'filter' }, 'barBehind'],
    ['pumpRan', { part: 'pump', volts: 12, behind: 'filter', barBehind: 3 }, 'body.bar'],
    ['partSaid', { parts: [], outcome: 'good' }, 'parts'],
    ['partSwapped', { part: 'pump', with: ' ' }, 'with'],
  ])('%s %j is refused with its field', (kind, body, field) => {
    expect(() => checkBody(kind, body)).toThrow(InputError);
    expect(() => checkBody(kind, body)).toThrow(field);
  });
  test('what is accepted can always be folded: a part nobody lists, one way only, no rated figures', () => {
    const job = start();
    job.say('swept', { part: 'moon', passes: [{ way: 'up', ohms: [null, 20] }] });
    job.say('pumpRan', { part: 'moon', volts: 2, litres: 1, seconds: 20 });
    job.say('pumpRan', { part: 'pump', volts: 0.1, litres: 0, seconds: 20 });
    expect(judgeUnit(job.state).outcome).toBe('bad');
  });
});

describe('what a sweep does not show', () => {
  const heights = { part: 'sender', empty: 260, full: 60, wasEmpty: 230, wasFull: 30 };
  test('a bent arm outweighs an even sweep, until it is measured straight', () => {
    const job = start('level');
    job.say('partSaid', { parts: ['sender'], outcome: 'good' });
    job.say('armMeasured', heights);
    const sender = unitOf(job.state.vehicle).parts.find(({ kind }) => kind === 'sender')!;
    expect(judgePart(job.state, sender).outcome).not.toBe('good');
    expect(inWords(judgePart(job.state, sender).reasons[0]!.text)).toMatch(/arm is bent/);
    job.say('armMeasured', { ...heights, empty: 231, full: 30 });
    // Straight again: what is left is that nobody swept it.
    expect(inWords(judgePart(job.state, sender).reasons[0]!.text)).toMatch(/not swept/);
  });
  test('the old sender in another tank stands on the record', () => {
    const job = start('rust');
    job.say('senderKept', { litres: 130, toFloor: 330, empty: 230, full: 20, pickup: 10 });
    const told = recordLines(job.state).map(({ text }) => inWords(text));
    expect(told.some((text) => text.startsWith('the old sender in the other tank: at empty'))).toBe(true);
  });
  test.each([
    ['armMeasured', { ...heights, empty: 20 }, /lower below the flange/],
    ['senderKept', { litres: 130, toFloor: 15, empty: 230, full: 20, pickup: 10 }, /toFloor|deeper/],
    ['senderKept', { litres: 130, toFloor: 200, empty: 230, full: 20, pickup: 210 }, /less than from opening/],
  ] as const)('%s %j is refused', (kind, body, why) => expect(() => checkBody(kind, body)).toThrow(why));
});
