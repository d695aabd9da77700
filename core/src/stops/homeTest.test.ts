import { judgeGate } from '../gates/index.ts';
import { type Entry, foldJob, type JobState, logWriter } from '../job/index.ts';
import { keyOf } from '../vehicle/index.ts';
import { usualArchetypes as archetypes } from '../vehicle/testing.ts';
import { nextUp, testStop } from './index.ts';

/** A tank that hangs on the floor of the well, everything off. */
function allOff(id: string): { state: JobState; write: ReturnType<typeof logWriter> } {
  const write = logWriter('job');
  const vehicle = archetypes.find((a) => a.id === id)!;
  const entries: Entry[] = [
    write('opened', { name: 'Van', complaint: 'pump', vehicle, gauge: 0.1 }),
    ...vehicle.connections.map((c) => write('cleared', { key: keyOf('line', c.id), way: c.part[0]!.id })),
    ...vehicle.supports.map((s) => write('cleared', { key: keyOf('support', s.id) })),
    write('moved', { to: { f: vehicle.clear, r: vehicle.clear } }),
  ];
  return { state: foldJob(null, entries)!, write };
}

describe('the test stop of every mounting', () => {
  test.each(archetypes.map((a) => a.id))('%s: the key is never turned before gate 4, wherever its joints are', (id) => {
    const { state: start, write } = allOff(id);
    let state: JobState = { ...start, out: true };
    let tested = false;
    for (let i = 0; i < 40; i++) {
      const stop = nextUp(state);
      const top = testStop(state);
      if (stop.kind === 'home') break;
      if (stop.pose.f !== state.pose.f || stop.pose.r !== state.pose.r)
        state = { ...foldJob(state, [write('moved', { to: stop.pose, why: 'raised' })])!, out: true };
      for (const item of stop.items) state = { ...foldJob(state, [write('made', { key: item.key })])!, out: true };
      if (stop.kind !== 'test') continue;
      expect(stop.pose.f).toBeLessThanOrEqual(top?.f ?? 0);
      expect(judgeGate(state, 4).find((j) => j.item.id === 'joints')!.verdict.outcome).toBe('good');
      for (const item of ['wiped', 'battery', 'under'])
        state = foldJob(state, [write('gateItem', { gate: 4, item, answer: 'yes' })])!;
      state = { ...foldJob(state, [write('gate', { gate: 4 })])!, out: true };
      tested = state.gates[4].passed !== null;
      if (top === null) continue;
      expect(nextUp(state)).toMatchObject({ kind: 'test', pose: state.pose, items: [] });
      const finding = { what: 'test stop', where: 'top of the tank', verdict: 'good' as const, note: 'joints dry' };
      state = { ...foldJob(state, [write('finding', finding)])!, out: true };
    }
    expect(tested).toBe(true);
    expect(nextUp(state).kind).toBe('home');
  });
});
