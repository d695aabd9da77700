import { foresee } from '../foresight/index.ts';
import { planSheet } from '../steps/index.ts';
import { startingFigures } from '../order/index.ts';
import { foldJob, logWriter } from '../job/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { inWords } from '../quantity/index.ts';
import { callLine, complaintKinds, elsewhere, hoursInWords, makeCall } from './index.ts';

const opened = (gauge?: number, complaint: 'pump' | 'level' = 'pump', kilograms = { alone: 25, two: 40 }) =>
  foldJob(null, [
    logWriter('job')('opened', {
      name: 'Van',
      complaint,
      vehicle: archetypes[0]!,
      shop: { ...startingFigures, ...kilograms },
      ...(gauge === undefined ? {} : { gauge }),
    }),
  ])!;

describe('the call', () => {
  test('is plain data on every mounting, so that a worker can send it', () => {
    for (const vehicle of archetypes) {
      const state = foldJob(null, [
        logWriter('job')('opened', { name: 'Van', complaint: 'level', vehicle, gauge: 0.5 }),
      ])!;
      const call = makeCall(state);
      expect(call.questions.length).toBeGreaterThan(0);
      expect(structuredClone(call)).toEqual(call);
      expect(structuredClone(foresee(state))).toEqual(foresee(state));
      expect(structuredClone(planSheet(state))).toEqual(planSheet(state));
    }
  });

  test('a full tank may not come down alone; drained it may, at 9–20 kg empty and 1–6 L left', () => {
    const call = makeCall(opened(1, 'pump', { alone: 25, two: 40 }));
    expect(call.headline).toBe('Don’t take it down alone yet.');
    expect(call.drained.mass.hi).toBeCloseTo(20 + 6 * 0.775, 6);
    expect(call.takeOut.litres.lo).toBeGreaterThan(0);
    expect(call.takeOut.enough).toBe(true);
  });
  test('says how it comes out and into how many cans: up to 107 L into four of twenty and two of ten at most', () => {
    const call = makeCall(opened(0.75, 'pump', { alone: 25, two: 40 }));
    expect(call.wayOut?.way.id).toBe('transferPump');
    expect(call.wayOut?.cans).toBe(6);
    expect(makeCall(opened(0, 'pump', { alone: 60, two: 60 })).wayOut).toBeNull();
  });
  test('a shop that allows less changes the call', () => {
    expect(makeCall(opened(0.5, 'pump', { alone: 15, two: 22 })).headline).toBe(
      'Too heavy by hand even drained: it stays on the jack.',
    );
    expect(makeCall(opened(0.5, 'pump', { alone: 20, two: 40 })).headline).toBe(
      'Drain it first, then take it down with two.',
    );
  });
  test('the gauge is no witness when the sender is the complaint', () => {
    expect(opened(0.5, 'level').fuel.steps[0]!.ignored).toMatch(/complaint/);
    expect(opened(0.5, 'level').fuel.sources).toEqual([]);
    expect(opened(0.5, 'pump').fuel.sources).toEqual(['sender']);
  });
  test('every complaint has its own test with minutes, and every line its why', () => {
    for (const kind of complaintKinds) expect(kind.test.length * kind.minutes).toBeGreaterThan(0);
    const call = makeCall(opened(0.5));
    for (const why of Object.values(call.why)) expect(inWords(why).length).toBeGreaterThan(20);
    expect(call.minutes.lo).toBeLessThan(call.minutes.hi);
  });
  test('minutes as people read them', () => {
    expect(hoursInWords({ lo: 118, typ: 150, hi: 240 })).toBe('2.5 h (2–4)');
    expect(hoursInWords({ lo: 42, typ: 51, hi: 78 })).toBe('50 min (40–80)');
  });
});

describe('what comes before any lifting', () => {
  const told = (...more: { kind: 'complaintTest' | 'answer'; body: object }[]) => {
    const write = logWriter('job');
    return foldJob(null, [
      write('opened', { name: 'Van', complaint: 'level', vehicle: archetypes[0]!, gauge: 0.5 }),
      ...more.map(({ kind, body }) => write(kind, body as never)),
    ])!;
  };
  test('a complaint that does not show itself is the first line', () => {
    const state = told({ kind: 'complaintTest', body: { test: 'watch the needle', result: 'notShown' } });
    expect(callLine(state).headline).toMatch(/does not show itself/);
    expect(elsewhere(told({ kind: 'complaintTest', body: { test: 'watch the needle', result: 'shown' } }))).toBeNull();
  });
  test('a needle that does not move is the first line as well', () => {
    const state = told({ kind: 'answer', body: { question: 'test', of: 'needle', value: 'no' } });
    expect(callLine(state).headline).toBe('Not the tank yet: gauge or wire does not work.');
  });
});
