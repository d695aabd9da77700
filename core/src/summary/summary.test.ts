import { BEFORE_FILLER, inOrderOfReturn } from '../ledger/index.ts';
import { usualArchetypes as archetypes } from '../vehicle/testing.ts';
import { type Bodies, type EntryKind, foldJob, type JobState, logWriter } from '../job/index.ts';
import { inWords } from '../quantity/index.ts';
import { summaryOf } from './index.ts';

/** As somebody reads it in millimetres. */
const read = (state: JobState) => {
  const summary = summaryOf(state);
  return { ...summary, sentence: inWords(summary.sentence), detail: inWords(summary.detail) };
};

const rail = archetypes[0]!;
/** Nothing but the shield is in the way. */
const van = {
  ...rail,
  connections: rail.connections.filter((c) => c.id !== 'vent-rear'),
  obstructions: rail.obstructions.filter((o) => o.id === 'shield'),
};

const job = (vehicle = van) => {
  const write = logWriter('job');
  let state = foldJob(null, [write('opened', { name: 'Van 4', complaint: 'pump', vehicle, gauge: 1 })])!;
  return {
    log<K extends EntryKind>(kind: K, body: Bodies[K]) {
      state = foldJob(state, [write(kind, body)])!;
      return read(state);
    },
    get state() {
      return state;
    },
  };
};
const quiet = { asked: false, tight: [], nearly: [], allFist: false, reachable: [] };
const stop = (to: number, off: string[] = []) => ({
  to: { f: to, r: to },
  off: off.map((key, i) => ({ key, tag: i + 1 })),
  capped: [],
  look: quiet,
  notDone: [],
});

test('one sentence for each part of the way', () => {
  const van = job();
  expect(read(van.state)).toMatchObject({
    station: 'plan',
    sentence: 'don’t take it down alone yet',
    halt: false,
    open: 0,
  });
  expect(van.log('complaintTest', { test: 'volts', result: 'shown' })).toMatchObject({
    station: 'safe',
    sentence: 'make it safe',
    done: ['plan'],
  });
  van.log('pressure', { reading: 2 });
  for (const item of ['air', 'heat', 'support', 'hands']) van.log('gateItem', { gate: 1, item, answer: 'yes' });
  expect(van.log('gate', { gate: 1 })).toMatchObject({ station: 'drain' });
  expect(van.log('stopDone', stop(0, ['line:filler', 'line:evap']))).toMatchObject({
    station: 'drain',
    open: 2,
    detail: expect.stringContaining('L aboard'),
  });
  for (const key of ['line:breather', 'line:ground', 'line:feed', 'line:return']) van.log('cleared', { key });
  expect(van.log('stopDone', stop(15))).toMatchObject({ station: 'drop', here: 15 });
  expect(van.log('surprise', { what: 'holds', key: 'line:vent', lets: 15 })).toMatchObject({
    halt: true,
    sentence: 'front vent holds it at 15 mm',
    detail: 'filler, vapour, breather and 3 more open',
  });
  expect(van.log('pulled', { key: 'line:vent' })).toMatchObject({
    halt: true,
    sentence: 'front vent was pulled: inspect it',
  });
  van.log('inspected', { key: 'line:vent', outcome: 'good' });
  for (const key of ['line:vent', 'line:plug']) van.log('cleared', { key });
  expect(van.log('moved', { to: { f: 320, r: 320 }, why: 'out' })).toMatchObject({
    station: 'bench',
    tankOff: true,
    sentence: 'tank is on the bench',
  });
  expect(van.log('parked', { reason: 'ring seal comes Thursday' })).toMatchObject({
    sentence: 'rests with filler, vapour, breather and 3 more not capped',
    detail: 'ring seal comes Thursday',
  });
  expect(van.log('parked', {})).toMatchObject({ parked: null });
  van.log('gateItem', { gate: 3, item: 'tests', answer: 'passed' });
  van.log('gateItem', { gate: 3, item: 'seal', answer: 'new' });
  expect(van.log('gate', { gate: 3 })).toMatchObject({
    station: 'refit',
    sentence: expect.stringMatching(/goes back at \d+ mm|raise to/),
  });
});

describe('a job that rests', () => {
  const capped = (key: string) => ({ ...stop(0, [key]), capped: [key] });

  test('says why, while every end of it is capped', () => {
    const van = job();
    van.log('stopDone', capped('line:filler'));
    expect(van.log('parked', { reason: 'seal comes Thursday' })).toMatchObject({
      sentence: 'seal comes Thursday',
      halt: false,
    });
  });

  test('names the ends that were left open, also one that was parted while it rested', () => {
    const van = job();
    van.log('stopDone', capped('line:filler'));
    van.log('parked', { reason: 'seal comes Thursday' });
    expect(van.log('stopDone', stop(0, ['line:breather', 'line:evap']))).toMatchObject({
      sentence: 'rests with breather, vapour not capped',
      detail: 'seal comes Thursday',
      halt: true,
    });
    expect(van.log('capped', { keys: ['line:breather', 'line:evap'] })).toMatchObject({
      sentence: 'seal comes Thursday',
      halt: false,
    });
  });

  test('does not hide a line that was pulled', () => {
    const van = job();
    van.log('pulled', { key: 'line:vent' });
    expect(van.log('parked', { reason: 'seal comes Thursday' })).toMatchObject({
      sentence: 'front vent was pulled: inspect it',
      halt: true,
    });
  });
});

test('a rag comes out, it does not go back', () => {
  const floor = archetypes.find(({ id }) => id === 'archetype-floor')!;
  const boot = job(floor);
  for (const { id } of floor.connections) boot.log('cleared', { key: `line:${id}` });
  for (const { id } of floor.supports) boot.log('cleared', { key: `support:${id}` });
  for (const { id } of floor.obstructions) boot.log('cleared', { key: `obstruction:${id}` });
  boot.log('moved', { to: { f: floor.clear, r: floor.clear }, why: 'out' });
  boot.log('gateItem', { gate: 3, item: 'tests', answer: 'passed' });
  boot.log('gateItem', { gate: 3, item: 'seal', answer: 'new' });
  boot.log('gate', { gate: 3 });
  expect(boot.log('putIn', { name: 'rag in the neck', before: BEFORE_FILLER }).station).toBe('refit');
  expect(boot.log('moved', { to: { f: 0, r: 0 }, why: 'raised' }).sentence).toBe('rag in the neck comes out at 0 mm');
});

test('a wait runs until its minutes are over or somebody ends it', () => {
  const van = job();
  const [wait] = van.log('wait', { what: 'strap fasteners', state: 'start', minutes: 20 }).waits;
  expect(Date.parse(wait!.until!) - Date.parse(van.state.waits[0]!.started)).toBe(20 * 60_000);
  expect(van.log('wait', { what: 'strap fasteners', state: 'end' }).waits).toEqual([]);
});

test('tags hang in the order of going back: events first, deep before shallow, supports before what was in the way', () => {
  const van = job();
  van.log('cleared', { key: 'obstruction:shield', tag: 1 });
  van.log('cleared', { key: 'support:strap-1', tag: 2 });
  van.log('stopDone', stop(0, ['line:ground', 'line:filler']));
  van.log('stopDone', { ...stop(60), off: [{ key: 'line:vent', way: 'vent-top', tag: 9 }] });
  van.log('putIn', { name: 'rag', tag: 10, before: 'the neck is on' });
  const order = inOrderOfReturn(van.state.items).map((i) => i.name);
  expect(order).toEqual(['rag', 'front vent hose', 'filler hose', 'front strap', 'ground strap', 'stone shield']);
});
