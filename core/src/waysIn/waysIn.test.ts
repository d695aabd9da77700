import { said } from '../job/testing.ts';
import type { Complaint } from '../order/index.ts';
import { foldJob, type JobState, logWriter } from '../job/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { breakEven, lowerMinutes, waysIn, type WayInId } from './index.ts';

const [rail, crosswise] = archetypes as [VehicleFile, VehicleFile];
function job(vehicle: VehicleFile, complaint: Complaint = 'pump', answers: Record<string, string> = {}): JobState {
  const write = logWriter('job');
  return foldJob(null, [
    write('opened', { name: 'Van', complaint, vehicle, gauge: 0.5 }),
    ...Object.entries(answers).map(([question, value]) => write('answer', said(question, value))),
  ])!;
}
const wins = (state: JobState) => breakEven(waysIn(state), lowerMinutes(state));
const way = (state: JobState, id: WayInId) => waysIn(state).find((w) => w.id === id)!;

describe('ways in', () => {
  test('five are compared; what cannot be comes last and says why', () => {
    const ways = waysIn(job(rail));
    expect(ways.map((w) => w.id).sort()).toEqual(['bed', 'hatch', 'lower', 'partway', 'sender']);
    const first = ways.findIndex((w) => w.cannot !== null);
    expect(ways.slice(first).every((w) => w.cannot !== null)).toBe(true);
    for (const w of ways) {
      expect(w.minutes.lo).toBeLessThanOrEqual(w.minutes.typ);
      expect(w.off.length).toBeGreaterThan(0);
    }
  });
  test('a rusted tank must come out: no hatch, no part-way', () => {
    const state = job(crosswise, 'rust');
    for (const id of ['hatch', 'partway', 'sender'] as const) expect(way(state, id).cannot).not.toBeNull();
    expect(way(state, 'lower').cannot).toBeNull();
  });
  test('a hatch is open until somebody looked; a bed only above a rail', () => {
    expect(way(job(crosswise), 'hatch')).toMatchObject({
      cannot: null,
      look: expect.stringContaining('ring') as string,
    });
    expect(way(job(crosswise, 'pump', { 'ring from above': 'no' }), 'hatch').cannot).toMatch(/no ring/);
    expect(way(job(crosswise, 'pump', { 'ring from above': 'yes' }), 'hatch').look).toBeNull();
    expect(way(job(crosswise), 'bed').cannot).toMatch(/no bed/);
    expect(way(job(rail, 'pump', { 'bed comes off': 'no' }), 'bed').cannot).toMatch(/does not come off/);
  });
  test('part-way takes off no more than lowering all the way', () => {
    for (const file of [rail, crosswise]) {
      const state = job(file);
      expect(way(state, 'partway').off.length).toBeLessThanOrEqual(way(state, 'lower').off.length + 2);
      expect(way(state, 'partway').minutes.lo).toBeGreaterThan(0);
    }
  });
});

describe('break-even', () => {
  test('clearing that costs an hour more makes the bed win, and the sentence turns', () => {
    const slow = structuredClone(rail);
    const shield = slow.obstructions.find((o) => o.id === 'shield')!;
    shield.blocksAt = { lo: 40, typ: 60, hi: 80 };
    shield.clear[0]!.minutes = { lo: 60, typ: 120, hi: 160 };
    shield.restore[0]!.minutes = { lo: 60, typ: 120, hi: 160 };
    expect(wins(job(rail))).toMatch(/bed .*wins once what is in the way costs over \d+ min/);
    expect(wins(job(slow))).toMatch(/bed .*: quicker(;|$)/);
    // The minutes at which it turns: lowering without what is in the way, plus that much, is the bed.
    const state = job(rail);
    const said = Number(/bed .*over (\d+) min/.exec(wins(state)!)![1]);
    const lower = lowerMinutes(state);
    expect(Math.abs(said + lower.total.typ - lower.inTheWay.typ - way(state, 'bed').minutes.typ)).toBeLessThanOrEqual(
      2.5,
    );
  });
});
