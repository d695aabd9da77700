import { elsewhere, inThisOrder } from '../job/testing.ts';
import { gateTitles, judgeGate } from './index.ts';
import { crossings, passFour, passOne, passThree, passTwo, rail, start, type Job } from './testing.ts';

/** On which entries a passing rests, what an answer meets on another tablet, and that every verdict says why. */
const restedOn = (job: Job, gate: 1 | 2 | 3 | 4) => job.state.gates[gate].passed!.restedOn;
const floor = { f: rail.clear, r: rail.clear };

describe('a passing rests on these entries and on no other', () => {
  test('gate 1: the pressure and its four answers', () => {
    const job = start();
    const before = job.log.length;
    passOne(job);
    // Everything told since but the gate itself.
    expect([...restedOn(job, 1)].sort()).toEqual(
      job.log
        .slice(before, -1)
        .map(({ id }) => id)
        .sort(),
    );
  });
  test('gate 2: witnesses that count and agree, not one that contradicts them', () => {
    const job = start();
    const lie = job.say('fuelWitness', { witness: 'scan', reading: 95 });
    passTwo(job);
    const dip = job.state.witnesses.find(({ kind }) => kind === 'dip')!.id;
    expect(restedOn(job, 2)).toContain(dip);
    expect(restedOn(job, 2)).not.toContain(lie);
  });
  test('gate 3: what came out again, every word about what goes back, the steps of building it up, old on new', () => {
    const job = start(rail, 'pump');
    const rag = job.say('putIn', { name: 'rag' });
    const out = job.say('takenOut', { key: `thing:${rag}` });
    const old = job.say('partSaid', { parts: ['hose'], outcome: 'bad', found: 'split' });
    const put = job.say('partSwapped', { part: 'hose', with: 'new' });
    const words = [
      job.say('partSaid', { parts: ['strainer', 'hose', 'sender', 'flange', 'seal', 'ring'], outcome: 'good' }),
      job.say('pumpRan', {
        part: 'pump',
        volts: 12,
        amps: 4.1,
        bar: 3.9,
        litres: 0.5,
        seconds: 20,
        rated: { volts: 12, flow: 90, bar: 3.9 },
      }),
    ];
    const built = ['groove', 'strainer', 'pump', 'hose', 'sender', 'flange', 'seal', 'ring'].map((step) =>
      job.say('built', { step }),
    );
    const laid = [
      job.say('answer', { question: 'compare', value: 'same', of: 'grade' }),
      job.say('fitMeasured', { figure: 'seal', now: 3, old: 3 }),
      job.say('portLaid', { line: 'feed', is: 'same' }),
      job.say('pinsRead', { old: ['pump', 'ground'], now: ['pump', 'ground'], how: 'meter' }),
      job.say('setPart', { part: 'hose', donor: 'the shelf', low: 8, high: 8 }),
    ];
    job.say('gateItem', { gate: 3, item: 'seal', answer: 'new' });
    expect(
      judgeGate(job.state, 3)
        .filter(({ through }) => !through)
        .map(({ item }) => item.id),
    ).toEqual([]);
    job.say('gate', { gate: 3 });
    expect(restedOn(job, 3)).toEqual(expect.arrayContaining([out, ...words, ...built, ...laid.slice(1)]));
    for (const id of [old, put, rag]) expect(restedOn(job, 3)).not.toContain(id);
  });
  test('gate 4: the joints that were made, not what came off', () => {
    const job = start();
    const off = job.say('cleared', { key: 'line:feed' });
    const made = job.say('made', { key: 'line:feed', openings: job.state.openings.map(({ id }) => id) });
    job.say('fill', { litres: 12, from: 'new' });
    passFour(job);
    expect(restedOn(job, 4)).toContain(made);
    expect(restedOn(job, 4)).not.toContain(off);
  });
});

describe('what an answer meets on another tablet', () => {
  const met = (body: { gate: 1 | 2 | 3 | 4; item: string; answer: string }, other: { kind: string; body: object }) => {
    const job = start();
    const away = elsewhere(job.log, 1, other);
    job.say('gateItem', body);
    return Object.keys(inThisOrder([...job.log, away]).twoDevices);
  };
  test('the same item, and no other', () => {
    const air = { gate: 1, item: 'air', answer: 'yes' } as const;
    expect(met(air, { kind: 'gateItem', body: { ...air, answer: 'no' } })).toEqual(['gate:1:air']);
    expect(met(air, { kind: 'gateItem', body: { ...air, item: 'heat' } })).toEqual([]);
    expect(
      met(air, { kind: 'exception', body: { gate: 1, item: 'air', reason: 'known', lead: 'marit', approval: 'a' } }),
    ).toEqual(['gate:1:air']);
  });
  test('the battery is one thing, whichever gate asks for it; the air is not', () => {
    const battery = { gate: 2, item: 'battery', answer: 'yes' } as const;
    expect(met(battery, { kind: 'battery', body: { on: true } })).toContain('battery');
    expect(met({ gate: 1, item: 'air', answer: 'yes' }, { kind: 'battery', body: { on: true } })).toEqual([]);
  });
  test('battery answered no puts nothing on; yes at gate 4 does', () => {
    const job = start();
    job.say('gateItem', { gate: 2, item: 'battery', answer: 'yes' });
    expect(job.state.battery).toBe('off');
    job.say('gateItem', { gate: 4, item: 'battery', answer: 'no' });
    expect(job.state.battery).toBe('off');
    job.say('gateItem', { gate: 4, item: 'battery', answer: 'yes' });
    expect(job.state.battery).toBe('on');
  });
  test('what was said beside an answer is kept, or nothing', () => {
    const job = start();
    job.say('gateItem', { gate: 1, item: 'air', answer: 'yes', words: 'doors open' });
    job.say('gateItem', { gate: 1, item: 'heat', answer: 'yes' });
    expect(job.state.gates[1].answers.air!.words).toBe('doors open');
    expect(job.state.gates[1].answers.heat!.words).toBeNull();
  });
});

describe('crossed once, and only by what crosses', () => {
  test('one entry that opens two lines is one crossing', () => {
    const job = start();
    const look = { asked: true, tight: [], nearly: [], allFist: true, reachable: [] };
    job.say('stopDone', {
      to: { f: 0, r: 0 },
      off: [{ key: 'line:filler' }, { key: 'line:vent' }],
      capped: [],
      look,
      notDone: [],
    });
    expect(crossings(job).filter((one) => one.startsWith('1'))).toHaveLength(1);
  });
  test('the ring opened, and the tank tilted on the bench without rising, cross nothing', () => {
    const job = start();
    job.say('ring', { state: 'opened' });
    expect(crossings(job)).toEqual([]);
    passOne(job);
    passTwo(job);
    job.say('moved', { to: floor, why: 'lowered' });
    job.say('moved', { to: { f: rail.clear, r: rail.clear - 10 }, why: 'lowered' });
    expect(crossings(job).filter((one) => one.startsWith('3'))).toEqual([]);
  });
  test('part-way counts as benched where that is how far it was to go', () => {
    const job = start();
    job.say('answer', { question: 'how far down', value: 200 });
    job.say('moved', { to: { f: 200, r: 200 }, why: 'lowered' });
    job.say('moved', { to: { f: 150, r: 150 }, why: 'raised' });
    expect(crossings(job)).toContain('3: the tank went up');
    const tilted = start();
    tilted.say('answer', { question: 'how far down', value: 200 });
    tilted.say('moved', { to: { f: 200, r: 180 }, why: 'lowered' });
    tilted.say('moved', { to: { f: 150, r: 150 }, why: 'raised' });
    expect(crossings(tilted).filter((one) => one.startsWith('3'))).toEqual([]);
  });
});

describe('every verdict of every gate says why, and what is good asks nothing', () => {
  const says = (job: Job) => {
    for (const gate of Object.keys(gateTitles).map(Number) as (1 | 2 | 3 | 4)[])
      for (const { item, verdict } of judgeGate(job.state, gate)) {
        expect({ item: item.id, reasons: verdict.reasons.length > 0 }).toEqual({ item: item.id, reasons: true });
        for (const reason of verdict.reasons) {
          expect({ item: item.id, text: Boolean(reason.text), basis: Boolean(reason.basis) }).toEqual({
            item: item.id,
            text: true,
            basis: true,
          });
        }
        // A rag over the joint stays said also where the pressure is out.
        if (verdict.outcome === 'good' && item.id !== 'pressure')
          expect({ item: item.id, next: verdict.next }).toEqual({ item: item.id, next: [] });
        if (verdict.outcome === 'bad')
          expect({ item: item.id, next: verdict.next.length > 0 }).toEqual({ item: item.id, next: true });
      }
  };
  test('at its beginning, and with nothing answered', () => says(start()));
  test('once all of it is passed', () => {
    const job = start();
    passOne(job);
    passTwo(job);
    job.say('moved', { to: floor, why: 'lowered' });
    passThree(job);
    job.say('ring', { state: 'closed', newSeal: true });
    job.say('fill', { litres: 20, from: 'new' });
    passFour(job);
    says(job);
  });
  test('with witnesses that contradict each other, a rag inside, a line open and a crack', () => {
    const job = start();
    job.say('fuelWitness', { witness: 'dip', reading: 8 });
    job.say('fuelWitness', { witness: 'scan', reading: 95 });
    job.say('putIn', { name: 'rag' });
    job.say('cleared', { key: 'line:feed' });
    job.say('finding', { what: 'crack', where: 'straps', verdict: 'bad' });
    says(job);
    expect(job.is(2, 'witnesses')!.outcome).not.toBe('good');
    expect(job.is(3, 'things')!.reasons).toHaveLength(1);
  });
});
