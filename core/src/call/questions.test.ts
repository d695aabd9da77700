import { inWords } from '../quantity/index.ts';
import { said } from '../job/testing.ts';
import { foldJob, type JobState, logWriter } from '../job/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { planDescent } from '../stops/index.ts';
import { makeCall } from './index.ts';

const [rail, crosswise] = archetypes as [VehicleFile, VehicleFile];
const write = logWriter('job');
const job = (vehicle: VehicleFile, answers: Record<string, string> = {}, gauge = 0.5): JobState =>
  foldJob(null, [
    write('opened', { name: 'Van', complaint: 'pump', vehicle, gauge }),
    ...Object.entries(answers).map(([question, value]) => write('answer', said(question, value))),
  ])!;
const questions = (state: JobState) => makeCall(state).questions;

describe('questions that matter', () => {
  test('at most three, ranked by what is at stake, each with what it decides', () => {
    for (const file of [rail, crosswise]) {
      const list = questions(job(file));
      expect(list.length).toBeGreaterThan(0);
      expect(list.length).toBeLessThanOrEqual(3);
      // What can hurt comes first: how it is worked on decides what one may hold.
      expect(list[0]!.id).toBe('worked on');
      const weights = list.slice(1).map((q) => ('minutes' in q.stake ? q.stake.minutes : 2 * q.stake.kilograms));
      expect(weights).toEqual([...weights].sort((a, b) => b - a));
      for (const q of list) expect(inWords(q.decides).length).toBeGreaterThan(10);
    }
  });
  test('how full is asked while it decides how many hands, and no more once it was dipped', () => {
    expect(questions(job(rail)).map((q) => q.id)).toContain('dip');
    const dipped = foldJob(job(rail), [write('fuelWitness', { witness: 'dip', reading: 140 })])!;
    expect(questions(dipped).map((q) => q.id)).not.toContain('dip');
    // Nearly empty and known to be: light enough at both ends, so nobody asks.
    const small = {
      ...rail,
      tank: { ...rail.tank, litres: { lo: 10, typ: 12, hi: 14 }, emptyMass: { lo: 9, typ: 10, hi: 11 } },
    };
    expect(questions(job(small)).map((q) => q.id)).not.toContain('dip');
  });
  test('a line is asked only where both its ends, re-solved, give another way down', () => {
    const state = job(rail);
    for (const q of questions(state).filter((x) => x.id.startsWith('slack '))) {
      const id = q.id.slice('slack '.length);
      const slack = state.slack[id]!;
      const at = (v: number) =>
        planDescent({ ...state, slack: { ...state.slack, [id]: { ...slack, lo: v, typ: v, hi: v } } });
      const [a, b] = [at(slack.lo), at(slack.hi)];
      expect([a.stops.length, a.outcome, Math.round(a.minutes.typ)]).not.toEqual([
        b.stops.length,
        b.outcome,
        Math.round(b.minutes.typ),
      ]);
    }
  });
  test('an answer is not asked again and moves what is planned with, never the safe end', () => {
    const state = job(rail);
    const short = job(rail, { 'slack vent': 'short' });
    const long = job(rail, { 'slack vent': 'long' });
    expect(short.slack.vent!.hi).toBe(state.slack.vent!.typ);
    expect(long.slack.vent!.lo).toBe(state.slack.vent!.lo);
    expect(long.slack.vent!.typ).toBeGreaterThan(state.slack.vent!.typ);
    expect(questions(short).map((q) => q.id)).not.toContain('slack vent');
  });
  test('measured with a string it is known, and never asked again', () => {
    const state = job(rail, { 'slack vent': '83.7' });
    expect(state.slack.vent).toMatchObject({ lo: 83, typ: 83, hi: 83, basis: { kind: 'measured' } });
    expect(questions(state).map((q) => q.id)).not.toContain('slack vent');
  });
  test('a thing that is not in the way comes off no more', () => {
    const before = makeCall(job(crosswise));
    const after = makeCall(job(crosswise, { 'blocks exhaust': 'no' }));
    expect(after.minutes.typ).toBeLessThan(before.minutes.typ);
    expect(job(crosswise, { 'blocks exhaust': 'hidden' }).vehicle.obstructions[0]!.blocksAt).not.toBeNull();
  });
});
