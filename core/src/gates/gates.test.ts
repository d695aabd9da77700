import { inWords } from '../quantity/index.ts';
import { judgeTorque } from '../fastener/index.ts';
import { judgePressure } from '../depressurise/index.ts';
import { judgeJoint } from '../proof/index.ts';
import {
  completed,
  type Bodies,
  type Entry,
  type EntryKind,
  foldJob,
  logWriter,
  owed,
  refusalOf,
  vapourFrom,
} from '../job/index.ts';
import { archetypes, type PumpKind } from '../vehicle/index.ts';
import { judgeGate } from './index.ts';

const start = (gauge = 0.25) => {
  const write = logWriter('job');
  let state = foldJob(null, [write('opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]!, gauge })])!;
  return {
    get state() {
      return state;
    },
    log<K extends EntryKind>(kind: K, body: Bodies[K]) {
      const entry = write(kind, body) as Entry;
      const refused = refusalOf(state, entry);
      state = foldJob(state, [entry])!;
      return refused;
    },
  };
};

/** What is asked before the supports come off, answered so that it may be. */
function sayGateTwo(job: ReturnType<typeof start>): void {
  job.log('gateItem', { gate: 2, item: 'battery', answer: 'yes' });
  job.log('gateItem', { gate: 2, item: 'jack', answer: 'yes' });
  job.log('gateItem', { gate: 2, item: 'helper', answer: 'here' });
}

describe('pressure (common practice, no source)', () => {
  test('read, or what counts instead; a cap alone does not empty an injected system', () => {
    const facts = (school: string | null, pump: PumpKind = 'electricHigh') => ({
      vehicle: { ...archetypes[0]!, fuelSystem: { pump } },
      complaint: 'level' as const,
      answers: (school === null ? {} : { school }) as Record<string, string>,
    });
    expect(judgePressure({ reading: 4 }, facts(null)).outcome).toBe('good');
    expect(judgePressure({ reading: 40 }, facts(null)).outcome).toBe('bad');
    expect(judgePressure({ instead: 'engineDied' }, facts('runDry')).outcome).toBe('doubtful');
    expect(judgePressure({ instead: 'capOnly' }, facts('capOnly')).outcome).toBe('bad');
    expect(judgePressure({ instead: 'capOnly' }, facts('capOnly', 'mechanical')).outcome).toBe('doubtful');
    expect(judgePressure({}, facts('runDry')).outcome).toBe('unknown');
    // Nobody chose a way, or another one: it proves nothing.
    expect(judgePressure({ instead: 'engineDied' }, facts(null)).outcome).toBe('unknown');
    expect(judgePressure({ instead: 'engineDied' }, facts('bleed')).outcome).toBe('unknown');
  });
});

describe('gate 1', () => {
  test('is refused item by item, naming what is missing, and passed with all five', () => {
    const job = start();
    expect(job.log('gate', { gate: 1 })?.owed).toHaveLength(5);
    for (const item of ['air', 'heat', 'support', 'hands']) job.log('gateItem', { gate: 1, item, answer: 'yes' });
    expect(job.log('gate', { gate: 1 })?.text).toContain('pressure');
    job.log('pressure', { reading: 3 });
    job.log('gateItem', { gate: 1, item: 'air', answer: 'no' });
    expect(job.log('gate', { gate: 1 })?.todo).toContain('doors');
    job.log('exception', { gate: 1, item: 'air', reason: 'outdoors', lead: 'marit', approval: 'x' });
    expect(job.log('gate', { gate: 1 })).toBeNull();
    expect(job.state.gates[1].passed).not.toBeNull();
  });
});

describe('gate 2', () => {
  test('wants two witnesses of different sources and a mass the shop allows', () => {
    const job = start(0.5);
    sayGateTwo(job);
    const outcome = (id: string) => judgeGate(job.state, 2).find((j) => j.item.id === id)!.verdict.outcome;
    expect([outcome('witnesses'), outcome('mass')]).toEqual(['bad', 'bad']);
    job.log('fuelWitness', { witness: 'scan', reading: 0.5 });
    expect(outcome('witnesses')).toBe('bad');
    job.log('container', { number: 1, capacity: 60, litres: 45, clean: true });
    job.log('fuelWitness', { witness: 'plugDry' });
    expect([outcome('witnesses'), outcome('mass')]).toEqual(['good', 'good']);
    expect(job.log('gate', { gate: 2 })).toBeNull();
  });
});

describe('gate 2, by what carries the tank (common practice, no source)', () => {
  const asked = (id: string) => {
    const vehicle = archetypes.find((a) => a.id === `archetype-${id}`)!;
    const state = foldJob(null, [logWriter('job')('opened', { name: 'x', complaint: 'pump', vehicle })])!;
    return judgeGate(state, 2).map((j) => j.item);
  };
  test.each(['rail', 'seat', 'crosswise', 'wing', 'floor-hung'])('%s: a jack, and a second pair of hands', (id) => {
    expect(asked(id).find((i) => i.id === 'jack')!.question).toMatch(/jack/);
    expect(asked(id).map((i) => i.id)).toContain('helper');
  });
  test.each(['upright', 'floor', 'pads'])('%s: no word of a jack', (id) => {
    expect(JSON.stringify(asked(id).map(({ question, caution }) => [question, caution]))).not.toMatch(
      /(the|padded|both) jack|stays on the jack/,
    );
  });
  test('straps are not asked for where there are none; one person is enough for pads', () => {
    expect(asked('floor-hung').find((i) => i.id === 'helper')!.question).not.toMatch(/strap/);
    expect(asked('pads').map((i) => i.id)).not.toContain('helper');
    expect(asked('upright').map((i) => i.id)).toContain('helper');
  });
});

describe('gate 3', () => {
  test('a sender or pump job has something to test; another may have nothing', () => {
    const outcome = (complaint: 'pump' | 'level' | 'rust') => {
      const write = logWriter('job');
      const state = foldJob(null, [
        write('opened', { name: 'x', complaint, vehicle: archetypes[0]! }),
        write('gateItem', { gate: 3, item: 'tests', answer: 'none' }),
      ])!;
      return judgeGate(state, 3).find((j) => j.item.id === 'tests')!.verdict.outcome;
    };
    expect([outcome('pump'), outcome('level'), outcome('rust')]).toEqual(['bad', 'bad', 'doubtful']);
  });
  test('a halt that was found holds it until the same place is found good', () => {
    const job = start();
    const found = (verdict: 'bad' | 'good') =>
      job.log('finding', { what: 'hose inside', where: 'at the pump', verdict, note: 'new one on' });
    const outcome = () => judgeGate(job.state, 3).find((j) => j.item.id === 'findings')!.verdict.outcome;
    expect(outcome()).toBe('good');
    found('bad');
    expect(outcome()).toBe('bad');
    expect(job.log('gate', { gate: 3 })?.text).toContain('found');
    found('good');
    expect(outcome()).toBe('good');
  });
  test('a rag that is still in blocks it', () => {
    const job = start();
    job.log('gateItem', { gate: 3, item: 'tests', answer: 'passed' });
    job.log('gateItem', { gate: 3, item: 'seal', answer: 'new' });
    job.log('putIn', { name: 'rag', tag: 6 });
    expect(job.log('gate', { gate: 3 })?.owed[0]?.text).toContain('rag');
    job.log('takenOut', { key: job.state.items[0]!.key });
    expect(job.log('gate', { gate: 3 })).toBeNull();
  });
});

describe('gate 4', () => {
  const item = (job: ReturnType<typeof start>, id: string) => judgeGate(job.state, 4).find((j) => j.item.id === id)!;
  test('asks for fuel first: a drained tank proves plug and gauge, no joint, and says so', () => {
    const job = start();
    job.log('container', { number: 1, capacity: 20, litres: 10, clean: true });
    job.log('fuelWitness', { witness: 'plugDry' });
    job.log('fuelWitness', { witness: 'weight', reading: 12 });
    expect(item(job, 'fuel').verdict).toMatchObject({ outcome: 'doubtful' });
    expect(inWords(item(job, 'fuel').verdict.reasons[0]!.text)).toMatch(/no joint/);
    job.log('fill', { litres: 15 });
    expect(item(job, 'fuel').verdict.outcome).toBe('good');
  });
  test('nobody underneath is a question of its own', () => {
    const job = start();
    expect(item(job, 'under').verdict.outcome).toBe('unknown');
    expect(job.log('gate', { gate: 4 })?.text).toContain('nobody under');
  });
});

describe('what was confirmed ends with its condition', () => {
  /** Gates 1 and 2 gone through, nothing taken off yet. */
  const passed = () => {
    const job = start();
    for (const item of ['air', 'heat', 'support', 'hands']) job.log('gateItem', { gate: 1, item, answer: 'yes' });
    job.log('pressure', { reading: 3 });
    expect(job.log('gate', { gate: 1 })).toBeNull();
    job.log('container', { number: 1, capacity: 20, litres: 10, clean: true });
    job.log('fuelWitness', { witness: 'plugDry' });
    job.log('fuelWitness', { witness: 'weight', reading: 12 });
    sayGateTwo(job);
    expect(job.log('gate', { gate: 2 })).toBeNull();
    return job;
  };
  const stands = (job: ReturnType<typeof passed>) => [1, 2].filter((g) => job.state.gates[g as 1 | 2].passed);

  test('a fact that has nothing to do with a gate ends none', () => {
    const job = passed();
    job.log('note', { text: 'seen' });
    job.log('battery', { on: false });
    expect(stands(job)).toEqual([1, 2]);
  });

  test.each([
    ['key on ends the pressure', 'keyOn', { where: 'home', primed: 'pump' }, [2]],
    ['battery on ends its being off', 'battery', { on: true }, [1]],
    ['the vehicle moved ends how it is held', 'vehicleMoved', {}, [2]],
    ['litres in end the witnesses and the mass', 'fill', { litres: 9 }, [1]],
  ] as const)('%s', (_, kind, body, left) => {
    const job = passed();
    job.log(kind as never, body as never);
    expect(stands(job)).toEqual(left);
    const ended = left[0] === 1 ? 2 : 1;
    expect(job.state.gates[ended].ended).toEqual(expect.any(String));
    // Told anew what ended, and only that.
    expect(job.log('gate', { gate: ended })?.owed.length ?? 0).toBeLessThan(3);
  });

  test('supports all back on end gate 2: before they come off again it is asked anew', () => {
    const job = passed();
    const keys = job.state.vehicle.supports.map((s) => `support:${s.id}`);
    keys.forEach((key, i) => job.log('cleared', { key, tag: i + 1 }));
    expect(job.state.crossings).toEqual([]);
    for (const key of keys) job.log('restored', completed(job.state, 'restored', { key }) as never);
    expect(stands(job)).toEqual([1]);
    job.log('cleared', { key: keys[0]!, tag: 1 });
    expect(job.state.crossings.map((c) => c.gate)).toEqual([2]);
    // Passing it later covers only what follows.
    sayGateTwo(job);
    expect(job.log('gate', { gate: 2 })).toBeNull();
    expect(owed(job.state).filter((d) => d.id.startsWith('crossing:2'))).toHaveLength(1);
  });

  test('a crossing is owed by what its maker knew, also where the gate was passed elsewhere meanwhile', () => {
    const write = logWriter('job');
    const asked = [
      write('opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]!, gauge: 0.25 }),
      ...['air', 'heat', 'support', 'hands'].map((item) => write('gateItem', { gate: 1, item, answer: 'yes' })),
      write('pressure', { reading: 3 }),
      write('gate', { gate: 1 }),
    ].map((entry, i) => ({ ...entry, seq: i + 1 }) as Entry);
    const parted = (on: string) =>
      ({
        ...logWriter('other', { device: 'other' })('cleared', { key: 'line:vent', tag: 3 }),
        jobId: 'job',
        on,
        seq: asked.length + 1,
      }) as Entry;
    const gatesOwed = (entry: Entry) =>
      owed(foldJob(null, [...asked, entry])!)
        .map((debt) => debt.key)
        .filter((key) => key === 'gate:1');
    // Delivered after the gate both times; one maker had seen it passed, the other had not.
    expect(gatesOwed(parted(asked.at(-1)!.id))).toEqual([]);
    expect(gatesOwed(parted(asked[0]!.id))).toEqual(['gate:1']);
  });
});

describe('small judgements', () => {
  test('torque beside the file’s range', () => {
    const range = { lo: 38, typ: 40, hi: 44 };
    expect(judgeTorque({ asWritten: '41 N·m', lo: 41, hi: 41 }, range).outcome).toBe('good');
    expect(judgeTorque({ asWritten: '43–46 N·m', lo: 43, hi: 46 }, range).outcome).toBe('doubtful');
    expect(judgeTorque({ asWritten: '60 N·m', lo: 60, hi: 60 }, range).outcome).toBe('bad');
    expect(judgeTorque({ asWritten: '41 N·m', lo: 41, hi: 41 }, null).outcome).toBe('unknown');
    expect(judgeTorque({ asWritten: 'not measured' }, range).outcome).toBe('unknown');
  });
  test('dry counts only when it was wiped before and wet behind', () => {
    expect(judgeJoint({ seen: 'dry', checks: ['wiped', 'wet'] }).outcome).toBe('good');
    expect(judgeJoint({ seen: 'dry', checks: ['wiped'] }).outcome).toBe('doubtful');
    expect(judgeJoint({ seen: 'weeps', checks: ['wiped', 'wet'] }).outcome).toBe('bad');
    expect(judgeJoint({ seen: 'hidden', checks: [] }).outcome).toBe('unknown');
  });
  test('a wet end that is open belongs on the cart; an electric plug does not', () => {
    const job = start();
    const look = { asked: false, tight: [], nearly: [], allFist: false, reachable: [] };
    job.log('stopDone', { to: { f: 0, r: 0 }, off: [{ key: 'line:plug' }], capped: [], look, notDone: [] });
    expect(vapourFrom(job.state)).toBeNull();
    job.log('stopDone', { to: { f: 0, r: 0 }, off: [{ key: 'line:filler' }], capped: [], look, notDone: [] });
    expect(vapourFrom(job.state)).toBe('filler is open');
    job.log('made', { key: 'line:filler' });
    expect(vapourFrom(job.state)).toBeNull();
  });
});

describe('signing', () => {
  test('a complaint that is unchanged is signed only as a deviation', () => {
    const job = start();
    job.log('complaintTest', { test: 'volts', result: 'shown' });
    job.log('identity', { plate: 'IS 1', mileage: 5, unit: 'km' });
    job.log('complaintAgain', { result: 'unchanged' });
    expect(job.log('signed', {})?.owed.map((d) => d.key)).toEqual(['complaint']);
    const debt = owed(job.state)[0]!;
    job.log('deviation', {
      debt: debt.id,
      what: inWords(debt.text),
      reason: 'owner waits for a part',
      who: 'owner',
      due: 'Friday',
    });
    expect(owed(job.state)).toEqual([]);
    expect(job.log('signed', {})).toBeNull();
    expect(job.log('note', { text: 'late' })?.todo).toContain('addendum');
    expect(job.log('addendum', { text: 'cold recheck dry' })).toBeNull();
    expect(job.state.addenda).toHaveLength(1);
  });
});
