import { type Bodies, type EntryKind, foldJob, type JobState, logWriter, owed, refusalOf } from '../job/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { usualArchetypes } from '../vehicle/testing.ts';
import { ignoredWitnesses } from './index.ts';
import { judgeGate } from '../gates/index.ts';
import { inWords } from '../quantity/index.ts';

const open = (complaint: 'pump' | 'level' = 'pump', vehicle = archetypes[0]!) => {
  const write = logWriter('job');
  let state: JobState = foldJob(null, [write('opened', { name: 'x', complaint, vehicle, gauge: 0.5 })])!;
  return {
    log<K extends EntryKind>(kind: K, body: Bodies[K]) {
      state = foldJob(state, [write(kind, body)])!;
    },
    get state() {
      return state;
    },
    sign: () => write('signed', {}),
  };
};
const witnesses = (state: JobState) => judgeGate(state, 2).find((j) => j.item.id === 'witnesses')!.verdict;

describe('nothing came is unknown (common practice, no source)', () => {
  test('a plug that was silent and a pump that ran dry, with not one litre out: still anything up to full', () => {
    const job = open('level');
    job.log('answer', { question: 'drain plug', value: 'silent' });
    job.log('fuelWitness', { witness: 'plugDry' });
    job.log('fuelWitness', { witness: 'ranDry' });
    expect(job.state.fuel.sources).toEqual([]);
    expect(job.state.fuel.aboard).toMatchObject({ lo: 0, hi: 130 });
    expect(witnesses(job.state).outcome).toBe('bad');
  });
  test('it is said of each that does not count, and why; nobody is sent to do what was done', () => {
    const job = open('level');
    job.log('answer', { question: 'drain plug', value: 'silent' });
    job.log('fuelWitness', { witness: 'plugDry' });
    const silent = () => {
      const { reasons, next } = witnesses(job.state);
      return [...reasons.map((r) => inWords(r.text)), ...next.map((text) => inWords(text))].join('; ');
    };
    expect(silent()).toMatch(/plug open and dry: nothing came of it.*nobody knows which/);
    // Half on the gauge at the beginning: the sender is what is complained of.
    expect(silent()).toMatch(/gauge: .*the complaint/);
    expect(silent()).not.toMatch(/or open the plug/);
    job.log('fuelWitness', { witness: 'dip', reading: 40 });
    // Not named beside the one that counts as if it were another.
    expect(silent()).toMatch(/^only dipped; two/);
    expect(silent()).toMatch(/plug open and dry: nothing came of it/);
    // Two that cannot both be true are not two.
    job.log('fuelWitness', { witness: 'weight', reading: 90 });
    expect(silent()).toMatch(/^only weighed; two.*dipped and weighed do not agree/);
    job.log('fuelWitness', { witness: 'dip', reading: 210 });
    expect(silent()).toMatch(/^weighed, dipped;/);
    expect(silent()).toMatch(/plug open and dry: nothing came of it/);
  });
  test('it stays so on that outlet, whatever came out elsewhere', () => {
    const job = open();
    job.log('answer', { question: 'drain plug', value: 'silent' });
    job.log('container', { number: 1, capacity: 20, litres: 15, clean: true });
    job.log('fuelWitness', { witness: 'plugDry' });
    expect(job.state.fuel.sources).not.toContain('drain plug');
    job.log('fuelWitness', { witness: 'ranDry' });
    expect(job.state.fuel.sources).toContain('pick-up');
  });
  test('dry after the level passed it is a witness', () => {
    const job = open();
    job.log('container', { number: 1, capacity: 60, litres: 45, clean: true });
    job.log('fuelWitness', { witness: 'plugDry' });
    expect(job.state.fuel.sources).toContain('drain plug');
  });
});

describe('a guess never stops a fact', () => {
  const rail = usualArchetypes[0]!;
  test('a dip above the guessed height is taken, widens the guess, and is asked about', () => {
    const job = open('pump', rail);
    // One that the guess allows asks nothing.
    job.log('fuelWitness', { witness: 'dip', reading: 200 });
    expect([job.state.asked, job.state.flags]).toEqual([null, []]);
    job.log('fuelWitness', { witness: 'dip', reading: 320 });
    expect(job.state.witnesses.some((w) => w.kind === 'dip')).toBe(true);
    expect(job.state.vehicle.tank.shape.height).toBe(320);
    expect(job.state.flags.map((f) => inWords(f.text)).join()).toMatch(/wet to 320 mm.*280 mm.*\?/);
    // Asked until somebody tells its shape.
    expect(inWords(job.state.asked!.text)).toMatch(/what is its shape\?/);
    job.log('tankShape', { shape: { kind: 'box', length: 900, width: 300, height: 330 }, litres: 80 });
    expect(job.state.asked).toBeNull();
    expect(job.state.flags).toHaveLength(1);
  });
  test('a reading that cannot be is said not to count, and so is one that the true shape makes impossible', () => {
    const job = open('pump', { ...rail, basis: 'measured' as const });
    job.log('fuelWitness', { witness: 'dip', reading: 1600 });
    expect(ignoredWitnesses(job.state)).toEqual([expect.stringMatching(/^dipped: .*expected/)]);
    const shaped = open('pump', rail);
    shaped.log('fuelWitness', { witness: 'dip', reading: 250 });
    expect(ignoredWitnesses(shaped.state)).toEqual([]);
    shaped.log('tankShape', { shape: { kind: 'box', length: 900, width: 300, height: 200 }, litres: 54 });
    expect(ignoredWitnesses(shaped.state)).toEqual([expect.stringMatching(/^dipped: .*expected/)]);
  });
  test('litres above the guessed capacity too: since empty, or counted out', () => {
    const since = open('pump', rail);
    since.log('fuelWitness', { witness: 'sinceEmpty', reading: 150 });
    expect(since.state.vehicle.tank.litres).toMatchObject({ lo: 150, hi: 150 });
    const out = open('pump', rail);
    out.log('container', { number: 1, capacity: 200, litres: 140, clean: true });
    expect(out.state.vehicle.tank.litres.hi).toBe(140);
    expect(out.state.flags.map((f) => inWords(f.text)).join()).toMatch(/^140 L were in it.*130 L/);
  });
  test('what was measured is not widened by it', () => {
    const measured = { ...rail, basis: 'measured' as const };
    const job = open('pump', measured);
    job.log('fuelWitness', { witness: 'sinceEmpty', reading: 150 });
    expect(job.state.vehicle.tank.litres.hi).toBe(130);
    expect(job.state.flags).toHaveLength(1);
  });
});

describe('the customer’s fuel', () => {
  const owes = (state: JobState) => owed(state).filter((d) => d.key === 'cans');
  test('in a can it is owed until it is back, or disposed of', () => {
    const job = open();
    expect(owes(job.state)).toEqual([]);
    job.log('container', { number: 1, capacity: 20, litres: 11, clean: true });
    expect(inWords(owes(job.state)[0]!.text)).toMatch(/11 L/);
    expect(refusalOf(job.state, { ...job.sign(), jobId: job.state.jobId } as never)?.owed.map((d) => d.key)).toContain(
      'cans',
    );
    job.log('fill', { litres: 9, from: 'cans' });
    expect(inWords(owes(job.state)[0]!.text)).toMatch(/^2 L/);
    job.log('fuelMoved', { what: 'disposed', litres: 2 });
    expect(owes(job.state)).toEqual([]);
  });
  test('own fuel put back is the first fill', () => {
    const job = open();
    job.log('moved', { to: { f: 25, r: 25 } });
    const first = () => owed(job.state).some((d) => d.key === 'fill');
    expect(first()).toBe(true);
    job.log('container', { number: 1, capacity: 20, litres: 11, clean: true });
    job.log('fuelMoved', { what: 'returned', litres: 9 });
    expect(first()).toBe(false);
  });
});
