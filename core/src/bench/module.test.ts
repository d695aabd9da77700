import { judgeGate } from '../gates/index.ts';
import { recordLines } from '../job/index.ts';
import { elsewhere, inThisOrder, tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, unitOf, type VehicleFile } from '../vehicle/index.ts';
import { driverStands, judgePart, judgeUnit, pieceOf } from './index.ts';

const van: VehicleFile = {
  ...archetypes[0]!,
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};
const { parts } = unitOf(van);
const start = (complaint: 'pump' | 'level' | 'rust') => tell({ complaint, vehicle: van });
const passes = [
  { way: 'up' as const, ohms: Array.from({ length: 40 }, (_, i) => 20 + (60 * i) / 39) },
  { way: 'down' as const, ohms: Array.from({ length: 40 }, (_, i) => 80 - (60 * i) / 39) },
];
const open = (state: ReturnType<typeof start>['state']) =>
  parts.filter((part) => judgePart(state, part).outcome !== 'good').map(({ id }) => id);

describe('a whole new unit', () => {
  test('asks its seal, its index and its ring, and nothing of what came inside', () => {
    const job = start('rust');
    job.say('partSaid', { parts: ['pump'], outcome: 'bad', found: 'does not turn' });
    job.say('unitSwapped', { with: 'module', tag: 101 });
    expect(open(job.state)).toEqual(['flange', 'seal', 'ring']);
    job.say('partSaid', { parts: ['flange', 'seal', 'ring'], outcome: 'good' });
    expect(judgeUnit(job.state).outcome).toBe('good');
    expect(judgeGate(job.state, 3).find((one) => one.item.id === 'unit')?.verdict.outcome).toBe('good');
  });
  test('what the job is about is tested all the same', () => {
    const level = start('level');
    level.say('unitSwapped', { with: 'module' });
    level.say('partSaid', { parts: ['flange', 'seal', 'ring'], outcome: 'good' });
    expect(open(level.state)).toEqual(['sender']);
    level.say('swept', { part: 'sender', passes });
    expect(open(level.state)).toEqual([]);
    const pump = start('pump');
    pump.say('unitSwapped', { with: 'module' });
    expect(open(pump.state)).toEqual(['pump', 'flange', 'seal', 'ring']);
  });
  test('one part of it swapped on its own is asked like any other', () => {
    const job = start('rust');
    job.say('unitSwapped', { with: 'module' });
    job.say('partSwapped', { part: 'sender', with: 'sender 20 to 80' });
    expect(open(job.state)).toContain('sender');
  });
  test('fitted in error: the old one is back, with every word said of it', () => {
    const job = start('rust');
    job.say('partSaid', { parts: parts.map(({ id }) => id), outcome: 'good' });
    job.say('unitSwapped', { with: 'module' });
    job.say('unitSwapped', { with: 'the one that came out', again: true });
    expect(pieceOf(job.state, 'pump')).toMatchObject({ called: null, words: [{ how: 'looked' }] });
    expect(judgeUnit(job.state).outcome).toBe('good');
  });
  test('it is on the record, out and in', () => {
    const job = start('rust');
    job.say('partSaid', { parts: ['pump'], outcome: 'bad', found: 'does not turn' });
    job.say('unitSwapped', { with: 'module 90', tag: 101 });
    const said = recordLines(job.state)
      .map(({ text }) => inWords(text))
      .filter((text) => text.includes('module 90'));
    // Once for all of it; besides, only the part something was found of.
    expect(said).toEqual([
      'whole unit out; “module 90” (101) in',
      'pump out: does not turn; pump “module 90” (101) in: not tested',
    ]);
  });
  test('another tablet, that did not know of it, found the pump sound: the shop is asked', () => {
    const job = start('rust');
    const away = elsewhere(job.log, 1, { kind: 'partSaid', body: { parts: ['pump'], outcome: 'good' } });
    job.say('unitSwapped', { with: 'module' });
    const both = inThisOrder([...job.log, away]);
    expect(Object.keys(both.twoDevices)).toContain('module');
  });
});

describe('the driver’s word beside the sweep', () => {
  test('of the one that came out, also once another is in', () => {
    const job = start('level');
    expect(driverStands(job.state)).toBeNull();
    job.say('driverSaw', { saw: 'jumps', where: 0.5 });
    expect(driverStands(job.state)?.outcome).toBe('unknown');
    const dead = passes.map(({ way, ohms }) => ({ way, ohms: ohms.map((one) => (one > 44 && one < 56 ? null : one)) }));
    job.say('swept', { part: 'sender', passes: dead });
    expect(driverStands(job.state)?.outcome).toBe('good');
    job.say('partSwapped', { part: 'sender', with: 'another' });
    job.say('swept', { part: 'sender', passes });
    expect(driverStands(job.state)?.outcome).toBe('good');
    expect(recordLines(job.state).map(({ text }) => inWords(text))).toContain(
      'driver: it jumps or falls at one level, at ½; the sweep is lost there',
    );
  });
  test('half a sweep says nothing of it, and takes nothing back that a whole one said', () => {
    const job = start('level');
    job.say('driverSaw', { saw: 'jumps' });
    job.say('swept', { part: 'sender', passes: passes.slice(0, 1) });
    expect(driverStands(job.state)?.outcome).toBe('unknown');
    job.say('swept', { part: 'sender', passes });
    expect(driverStands(job.state)?.outcome).toBe('doubtful');
    job.say('swept', { part: 'sender', passes: passes.slice(0, 1) });
    expect(driverStands(job.state)?.outcome).toBe('doubtful');
  });
  test('a bent arm found by its heights explains an end that is never reached', () => {
    const job = start('level');
    job.say('driverSaw', { saw: 'shortOfFull' });
    job.say('armMeasured', { part: 'sender', empty: 270, full: 70, wasEmpty: 230, wasFull: 30 });
    expect(driverStands(job.state)?.outcome).toBe('good');
  });
});

describe('a family somebody names, where the file says nothing', () => {
  const silent: VehicleFile = { ...van, sender: null };
  const sender = unitOf(silent).parts.find(({ id }) => id === 'sender')!;
  const judged = (...sweeps: { family?: string; passes: typeof passes }[]) => {
    const job = tell({ complaint: 'rust', vehicle: silent });
    for (const sweep of sweeps) job.say('swept', { part: 'sender', ...sweep });
    return judgePart(job.state, sender).outcome;
  };
  const dropOut = passes.map(({ way, ohms }, i) => ({
    way,
    ohms: ohms.map((one, k) => (i === 0 && k === 20 ? null : one)),
  }));
  test('none named: doubted, for nothing is there to hold it against', () => {
    expect(judged({ passes })).toBe('doubtful');
  });
  test('the right one, also after it was swept without; the wrong one', () => {
    expect(judged({ passes, family: '20 to 80' })).toBe('good');
    expect(judged({ passes }, { passes, family: '20 to 80' })).toBe('good');
    expect(judged({ passes, family: '240 to 33' })).toBe('bad');
  });
  test('what the first pass dropped stays, whatever is named afterwards', () => {
    expect(judged({ passes: dropOut as typeof passes }, { passes, family: '20 to 80' })).toBe('doubtful');
  });
});
