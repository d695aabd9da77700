import { foldJob, type JobState, logWriter } from '../job/index.ts';
import { usualArchetypes } from '../vehicle/testing.ts';
import { gatesBefore, nextStop } from './index.ts';

const write = logWriter('job');
const opened = (id: string): JobState =>
  foldJob(null, [
    write('opened', {
      name: 'x',
      complaint: 'pump',
      vehicle: usualArchetypes.find((a) => a.id === `archetype-${id}`)!,
      gauge: 0.5,
    }),
  ])!;
const passed = (state: JobState, ...gates: (1 | 2)[]) => ({
  ...state,
  gates: { ...state.gates, ...Object.fromEntries(gates.map((g) => [g, { ...state.gates[g], passed: {} }])) },
});

describe('which gates stand before a stop', () => {
  test('gate 1 before anything is opened, gate 2 before the supports: what needs neither is planned first', () => {
    const rail = opened('rail');
    const first = nextStop(rail);
    expect(first.actions.some((a) => a.type === 'support')).toBe(false);
    expect(gatesBefore(rail, first)).toEqual([1]);
    const all = nextStop(passed(rail, 1, 2) as never);
    expect(all.actions.filter((a) => a.type === 'support')).toHaveLength(2);
    expect(gatesBefore(rail, all)).toEqual([1, 2]);
    expect(gatesBefore(passed(rail, 1) as never, all)).toEqual([2]);
    expect(gatesBefore(passed(rail, 1, 2) as never, all)).toEqual([]);
  });

  test('a joint below the level waits for the tank to be dry, and the straps for it', () => {
    const upright = opened('upright');
    const first = nextStop(upright);
    expect(first.actions.map((a) => a.key)).not.toContain('line:feed');
    expect(first.actions.some((a) => a.type === 'support')).toBe(false);
    expect(first.actions.map((a) => a.key)).toContain('obstruction:trim');
  });

  test('the first move from home is behind gate 2 too', () => {
    const rail = opened('rail');
    expect(gatesBefore(rail, { actions: [], pose: { f: 25, r: 25 } })).toEqual([2]);
    expect(gatesBefore({ ...rail, pose: { f: 25, r: 25 } }, { actions: [], pose: { f: 40, r: 40 } })).toEqual([]);
  });
});
