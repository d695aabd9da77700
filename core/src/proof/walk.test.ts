import { exactly } from '../estimate/index.ts';
import { inWords } from '../quantity/index.ts';
import { tell } from '../job/testing.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { proofLitres, walkOf, wetsOf } from './index.ts';

/** Feed and vent from the shaft side at once, the filler from the arch; 80 L, 3 of them out of reach. */
const places: Record<string, string> = { feed: 'front, shaft side', vent: 'front, shaft side', filler: 'left arch' };
const rail = archetypes[0]!;
const van: VehicleFile = {
  ...rail,
  tank: { ...rail.tank, litres: exactly(80), unusable: exactly(3) },
  connections: rail.connections.map(({ seenFrom: _, ...line }) => ({
    ...line,
    ...(places[line.id] ? { seenFrom: places[line.id]! } : {}),
  })),
};
const opened = (...ids: string[]) => {
  const job = tell({ complaint: 'pump', vehicle: van });
  job.say('fuelWitness', { witness: 'dip', reading: 0 });
  for (const id of ids) job.say('cleared', { key: `line:${id}` });
  for (const id of ids) job.say('made', { key: `line:${id}` });
  return job;
};

describe('the walk round the joints', () => {
  test('seen at once from one place of the head; one that no file places, by itself', () => {
    const job = opened('filler', 'feed', 'vent', 'return');
    expect(walkOf(job.state).map(({ place, joints }) => [place, joints.map(({ key }) => key)])).toEqual(
      expect.arrayContaining([
        ['front, shaft side', expect.arrayContaining(['line:feed', 'line:vent']) as string[]],
        ['left arch', ['line:filler']],
        [null, ['line:return']],
      ]),
    );
  });
  test('what wets it: a pump with fuel over its pick-up, or a tank near full', () => {
    const job = opened('feed', 'filler');
    // 3 L out of reach and 5 to push; 95 % of 80.
    expect(wetsOf(job.state, 'line:feed').litres).toBe(8);
    expect(wetsOf(job.state, 'line:filler').litres).toBe(76);
    expect(inWords(wetsOf(job.state, 'line:feed').text)).toMatch(/pump or engine running, 8 L/);
    expect(wetsOf(job.state, 'line:feed').now).toBe(false);
    job.say('fill', { litres: 20, from: 'new' });
    expect(wetsOf(job.state, 'line:feed').now).toBe(true);
    expect(wetsOf(job.state, 'line:filler').now).toBe(false);
  });
  test('what can be proved now stands first', () => {
    const job = opened('vent', 'feed');
    job.say('fill', { litres: 20, from: 'new' });
    const [front] = walkOf(job.state);
    expect(front!.joints.map(({ key, wets }) => [key, wets.now])).toEqual([
      ['line:feed', true],
      ['line:vent', false],
    ]);
  });
});

describe('the smallest fill that proves what is left', () => {
  test('by the joint that asks most; less once that is seen dry; nothing once all are', () => {
    const job = opened('feed', 'filler');
    job.say('fill', { litres: 10, from: 'new' });
    const { lo } = job.state.fuel.aboard;
    expect(proofLitres(job.state)!.litres).toBeCloseTo(76 - lo, 6);
    expect(proofLitres(job.state)!.keys).toEqual(['line:filler']);
    const dry = (key: string) => job.say('jointSeen', { key, seen: 'dry', checks: ['wiped', 'wet'] });
    dry('line:filler');
    expect(proofLitres(job.state)).toEqual({ litres: 0, keys: [] });
    dry('line:feed');
    expect(proofLitres(job.state)).toBeNull();
    job.say('jointSeen', { key: 'line:feed', seen: 'weeps', checks: [] });
    expect(proofLitres(job.state)).not.toBeNull();
  });
});
