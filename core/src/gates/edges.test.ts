import { describe, expect, test } from '@jest/globals';
import { exactly } from '../estimate/index.ts';
import { BEFORE_FILLER } from '../ledger/index.ts';
import { owed, recordLines } from '../job/index.ts';
import { inWords } from '../quantity/index.ts';
import { gateBeforeBack, isPassed, judgeProofFuel } from './index.ts';
import { crossings, passFour, passOne, passThree, passTwo, rail, start } from './testing.ts';

/** What ends what, what crossing a gate owes, what each item is judged by: one thing at a time. */
describe('what was confirmed ends with its condition', () => {
  test('the vehicle moved: its support and the air, not the heat; the key on: the pressure', () => {
    const job = start();
    passOne(job);
    expect(isPassed(job.state, 1)).toBe(true);
    job.say('vehicleMoved', {});
    expect(isPassed(job.state, 1)).toBe(false);
    expect(job.state.gates[1].ended).toBe('the vehicle was moved since');
    expect(Object.keys(job.state.gates[1].answers).sort()).toEqual(['hands', 'heat']);
    const other = start();
    passOne(other);
    other.say('keyOn', { where: 'home', primed: 'pump' });
    expect(isPassed(other.state, 1)).toBe(false);
    expect(other.state.gates[1].ended).toBe('the key was turned on since');
    expect(other.is(1, 'pressure')?.outcome).not.toBe('good');
  });
  test('battery on ends gate 2’s battery alone, battery off gate 4’s', () => {
    const job = start();
    passTwo(job);
    job.say('battery', { on: true });
    expect(isPassed(job.state, 2)).toBe(false);
    expect(Object.keys(job.state.gates[2].answers).sort()).toEqual(['helper', 'jack']);
    const key = start();
    passFour(key);
    expect(isPassed(key.state, 4)).toBe(true);
    key.say('battery', { on: false });
    expect(Object.keys(key.state.gates[4].answers).sort()).toEqual(['under', 'wiped']);
    expect(key.state.gates[4].ended).toBe('the battery was taken off since');
  });
  test('“battery is off” at gate 2 takes it off, “on” at gate 4 puts it on', () => {
    const job = start();
    job.say('gateItem', { gate: 2, item: 'battery', answer: 'no' });
    expect(job.state.battery).toBeNull();
    job.say('gateItem', { gate: 2, item: 'battery', answer: 'yes' });
    expect(job.state.battery).toBe('off');
    job.say('gateItem', { gate: 2, item: 'jack', answer: 'yes' });
    job.say('gateItem', { gate: 4, item: 'battery', answer: 'yes' });
    expect(job.state.battery).toBe('on');
  });
  test('litres that come in end gate 2, litres that go out do not', () => {
    const job = start();
    passTwo(job);
    job.say('container', { number: 1, capacity: 20, litres: 1, clean: true });
    expect(isPassed(job.state, 2)).toBe(true);
    job.say('fuelMoved', { what: 'fedIn', litres: 2 });
    expect(isPassed(job.state, 2)).toBe(false);
    expect(job.state.gates[2].ended).toBe('litres went in since');
  });
  test('the ring, another part, new laid on old end gate 3; the same answer once more ends nothing', () => {
    const job = start();
    passThree(job);
    job.say('gateItem', { gate: 3, item: 'seal', answer: 'new' });
    expect(isPassed(job.state, 3)).toBe(true);
    job.say('gateItem', { gate: 3, item: 'seal', answer: 'old' });
    expect(isPassed(job.state, 3)).toBe(false);
    for (const [kind, body, why] of [
      ['ring', { state: 'opened' }, 'the ring was opened since'],
      ['partSwapped', { part: 'pump', with: 'another' }, 'a part of the unit is another, or not sound'],
      ['fitMeasured', { figure: 'flange', now: 100 }, 'new was laid on old once more'],
    ] as const) {
      const one = start();
      passThree(one);
      one.say(kind, body as never);
      expect(isPassed(one.state, 3)).toBe(false);
      expect(one.state.gates[3].ended).toBe(why);
    }
  });
  test('a live joint parted ends gate 4, the neck’s filler does not', () => {
    const job = start();
    passFour(job);
    job.say('cleared', { key: 'line:filler' });
    expect(isPassed(job.state, 4)).toBe(true);
    job.say('cleared', { key: 'line:evap' });
    expect(isPassed(job.state, 4)).toBe(false);
    expect(job.state.gates[4].ended).toBe('vapour line was parted since');
    expect(job.state.liveParted).toHaveLength(1);
  });
  test('nothing was confirmed: nothing ends, and no reason is given', () => {
    const job = start();
    job.say('vehicleMoved', {});
    job.say('ring', { state: 'opened' });
    expect([job.state.gates[1].ended, job.state.gates[3].ended]).toEqual([null, null]);
  });
});

describe('a crossing is owed where its gate was not passed', () => {
  test('a line opened, a support off, the tank lowered: each once, on the record too', () => {
    const job = start();
    job.say('cleared', { key: 'line:evap' });
    job.say('cleared', { key: 'support:strap-1' });
    job.say('moved', { to: { f: 20, r: 20 }, why: 'lowered' });
    job.say('moved', { to: { f: 40, r: 40 }, why: 'lowered' });
    expect(crossings(job)).toEqual(['1: vapour line was opened', '2: a support came off', '2: lowered to 20 mm']);
    expect(owed(job.state).map(({ key }) => key)).toEqual(expect.arrayContaining(['gate:1', 'gate:2']));
    const flags = recordLines(job.state)
      .filter(({ under }) => under === 'flags')
      .map(({ text }) => inWords(text));
    expect(flags).toContain('vapour line was opened before gate 1 was passed');
  });
  test('passed before, nothing is owed; passed afterwards, what went before stays', () => {
    const job = start();
    passOne(job);
    job.say('cleared', { key: 'line:evap' });
    expect(crossings(job)).toEqual([]);
    job.say('cleared', { key: 'support:strap-1' });
    passTwo(job);
    job.say('moved', { to: { f: 20, r: 20 }, why: 'lowered' });
    expect(crossings(job)).toEqual(['2: a support came off']);
  });
  test('an obstruction cleared crosses none', () => {
    const job = start();
    job.say('cleared', { key: 'obstruction:wheel' });
    expect(crossings(job)).toEqual([]);
  });
  test('what the screen says before the tank goes back is what is flagged if it goes all the same', () => {
    const floor = { f: rail.clear, r: rail.clear };
    const to = { f: rail.clear - 50, r: rail.clear - 50 };
    type Job = ReturnType<typeof start>;
    const ways: [string, (job: Job) => void, 3 | null][] = [
      ['nobody said anything of the ring', () => undefined, 3],
      ['the ring was opened', (job) => job.say('ring', { state: 'opened' }), 3],
      ['gate 3 was passed', passThree, null],
      ['and the ring closed', (job) => (passThree(job), job.say('ring', { state: 'closed', newSeal: true })), null],
      ['and opened again', (job) => (passThree(job), job.say('ring', { state: 'opened' })), 3],
    ];
    for (const [, before, gate] of ways) {
      const job = start();
      job.say('moved', { to: floor, why: 'lowered' });
      before(job);
      expect(gateBeforeBack(job.state, to)).toBe(gate);
      const had = crossings(job).filter((one) => one.startsWith('3')).length;
      job.say('moved', { to, why: 'raised' });
      expect(crossings(job).filter((one) => one.startsWith('3'))).toHaveLength(had + (gate === null ? 0 : 1));
    }
    const under = start();
    under.say('moved', { to, why: 'lowered' });
    expect(gateBeforeBack(under.state, { f: 0, r: 0 })).toBeNull();
  });
  test('the ring closed, and the tank raised from the floor with it open, cross gate 3', () => {
    const job = start();
    job.say('ring', { state: 'closed', newSeal: true });
    expect(crossings(job)).toEqual(['3: the ring was closed']);
    const up = start();
    const floor = { f: rail.clear, r: rail.clear };
    up.say('moved', { to: floor, why: 'lowered' });
    up.say('moved', { to: { f: rail.clear - 50, r: rail.clear - 50 }, why: 'raised' });
    expect(crossings(up)).toContain('3: the tank went up');
    const shut = start();
    shut.say('moved', { to: floor, why: 'lowered' });
    passThree(shut);
    shut.say('ring', { state: 'closed', newSeal: true });
    shut.say('moved', { to: { f: rail.clear - 50, r: rail.clear - 50 }, why: 'raised' });
    expect(crossings(shut).filter((one) => one.startsWith('3'))).toEqual([]);
  });
  test('raised half-way it never was on the floor', () => {
    const job = start();
    job.say('moved', { to: { f: 60, r: 60 }, why: 'lowered' });
    job.say('moved', { to: { f: 20, r: 20 }, why: 'raised' });
    expect(crossings(job).filter((one) => one.startsWith('3'))).toEqual([]);
  });
  test('the key on after a live joint was parted crosses gate 4, before that none', () => {
    const job = start();
    job.say('keyOn', { where: 'home', primed: 'pump' });
    expect(crossings(job)).toEqual([]);
    job.say('cleared', { key: 'line:feed' });
    job.say('keyOn', { where: 'test stop', primed: 'pump' });
    expect(crossings(job)).toContain('4: the key was turned on');
  });
});

describe('what a passing keeps', () => {
  test('how each item came out, and the entries it rested on', () => {
    const job = start();
    const air = job.say('gateItem', { gate: 1, item: 'air', answer: 'yes' });
    const pressure = job.say('pressure', { reading: 4 });
    for (const item of ['heat', 'support', 'hands']) job.say('gateItem', { gate: 1, item, answer: 'yes' });
    const id = job.say('gate', { gate: 1 });
    const passed = job.state.gates[1].passed!;
    expect(passed.id).toBe(id);
    expect(passed.items).toEqual({ air: 'good', heat: 'good', pressure: 'good', support: 'good', hands: 'good' });
    expect(passed.restedOn).toEqual(expect.arrayContaining([air, pressure]));
    expect(new Set(passed.restedOn).size).toBe(passed.restedOn.length);
  });
  test('gate 2 rests on the witnesses, gate 3 on words and findings, gate 4 on what was filled', () => {
    const job = start();
    passTwo(job);
    const dip = job.state.witnesses.find(({ kind }) => kind === 'dip')!.id;
    expect(job.state.gates[2].passed!.restedOn).toContain(dip);
    const rag = job.say('putIn', { name: 'rag', tag: 40 });
    const out = job.say('takenOut', { key: `thing:${rag}`, openings: job.state.openings.map(({ id }) => id) });
    const found = job.say('finding', { what: 'surface rust', where: 'straps', verdict: 'doubtful' });
    passThree(job);
    expect(job.state.gates[3].passed!.restedOn).toEqual(expect.arrayContaining([found]));
    expect(job.state.gates[3].passed!.restedOn).toContain(out);
    expect(job.state.gates[3].passed!.restedOn).not.toContain(rag);
    const fill = job.say('fill', { litres: 9 });
    passFour(job);
    expect(job.state.gates[4].passed!.restedOn).toContain(fill);
  });
  test('an exception is kept as one, with the answer there was, and lets through', () => {
    const job = start();
    expect(job.refused('gate', { gate: 3 })).not.toBeNull();
    job.say('gateItem', { gate: 3, item: 'seal', answer: 'old' });
    job.say('gateItem', { gate: 3, item: 'tests', answer: 'passed' });
    expect(inWords(job.refused('gate', { gate: 3 })!.text)).toMatch(/not ready: seal/);
    job.say('exception', { gate: 3, item: 'seal', reason: 'none to be had today', lead: 'marit', approval: 'a' });
    expect(job.refused('gate', { gate: 3 })).toBeNull();
    expect(job.state.gates[3].answers.seal).toMatchObject({
      answer: 'old',
      excepted: { reason: 'none to be had today', lead: 'marit' },
    });
    job.say('gate', { gate: 3 });
    expect(job.state.gates[3].passed!.items.seal).toBe('excepted');
    job.say('exception', { gate: 1, item: 'pressure', reason: 'known', lead: 'marit', approval: 'a' });
    expect(job.state.gates[1].answers.pressure).toMatchObject({ answer: 'excepted', words: null });
  });
});

describe('items that are judged', () => {
  test('witnesses: none, one source, two, two that contradict', () => {
    const job = start({ ...rail, tank: { ...rail.tank, litres: exactly(100) } });
    const told = () => job.is(2, 'witnesses')!;
    expect(told().outcome).toBe('bad');
    expect(inWords(told().reasons[0]!.text)).toMatch(/only gauge/i);
    job.say('fuelWitness', { witness: 'dip', reading: 70 });
    expect(told().outcome).toBe('good');
    expect(told().reasons).toHaveLength(1);
    job.say('fuelWitness', { witness: 'dip', reading: 250 });
    expect(['doubtful', 'good']).toContain(told().outcome);
    const nobody = start({ ...rail });
    expect(inWords(nobody.is(2, 'witnesses')!.next[0]!)).toMatch(/dip it/);
  });
  test('things: counted in, counted out', () => {
    const job = start();
    expect(job.is(3, 'things')?.outcome).toBe('good');
    const id = job.say('putIn', { name: 'rag', tag: 40 });
    const item = job.state.items.find(({ kind }) => kind === 'thing')!;
    expect(id).toBeTruthy();
    expect(job.is(3, 'things')?.outcome).toBe('bad');
    expect(job.is(3, 'things')?.next).toEqual(['take out rag']);
    job.say('takenOut', { key: item.key, openings: [...item.openings] });
    expect(job.is(3, 'things')?.outcome).toBe('good');
  });
  test('a rag in the neck on the vehicle is not in the tank: the ring may close, the job is not done', () => {
    const job = start();
    job.say('putIn', { name: 'rag in the neck', before: BEFORE_FILLER });
    expect(job.is(3, 'things')?.outcome).toBe('good');
    expect(owed(job.state).map(({ text }) => inWords(text))).toContain('rag in the neck is still in');
  });
  test('joints: what is live wherever it sits, what is reached here and waits for nothing', () => {
    const job = start();
    expect(job.is(4, 'joints')?.outcome).toBe('good');
    job.say('cleared', { key: 'line:feed' });
    expect(job.is(4, 'joints')?.outcome).toBe('bad');
    expect(job.is(4, 'joints')?.next).toEqual(['make feed line']);
    job.say('made', { key: 'line:feed', openings: job.state.openings.map(({ id }) => id) });
    expect(job.is(4, 'joints')?.outcome).toBe('good');
    // The filler is no live one: asked only where a hand reaches it and what it waits for is done.
    job.say('cleared', { key: 'line:breather' });
    job.say('cleared', { key: 'support:strap-2' });
    expect(job.is(4, 'joints')?.outcome).toBe('good');
    job.say('deferred', { key: 'line:breather', until: 'home' });
    expect(job.is(4, 'joints')?.outcome).toBe('good');
    const open = job.state.openings.filter(({ key }) => key === 'support:strap-2').map(({ id }) => id);
    job.say('restored', { key: 'support:strap-2', openings: open });
    expect(job.is(4, 'joints')?.next).toEqual(['make breather hose']);
  });
  test('fuel to prove with: what the pick-up leaves at its most, and five litres', () => {
    const file = { ...rail, tank: { ...rail.tank, litres: exactly(100), unusable: { lo: 1, typ: 2, hi: 3 } } };
    const job = start(file);
    const with_ = (litres: number) =>
      judgeProofFuel({ ...job.state, fuel: { ...job.state.fuel, aboard: exactly(litres) } });
    expect(with_(8).outcome).toBe('good');
    expect(with_(7.9).outcome).toBe('doubtful');
    expect(inWords(with_(7.9).reasons[0]!.limit!)).toBe('8 L');
    expect(with_(7.9).next).toHaveLength(1);
  });
  test('findings: a halt, the newest word; what was seen at the test stop is no finding of the bench', () => {
    const job = start();
    job.say('finding', { what: 'test stop', where: 'feed line', verdict: 'bad' });
    expect(job.is(3, 'findings')?.outcome).toBe('good');
    job.say('finding', { what: 'surface rust', where: 'straps', verdict: 'doubtful' });
    expect(job.is(3, 'findings')?.outcome).toBe('good');
    job.say('finding', { what: 'cracked at a bend', where: 'straps', verdict: 'bad' });
    expect(job.is(3, 'findings')).toMatchObject({ outcome: 'bad' });
    expect(inWords(job.is(3, 'findings')!.next[0]!)).toMatch(/how straps looks now/);
  });
});
