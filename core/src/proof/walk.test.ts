import { exactly } from '../estimate/index.ts';
import { inWords } from '../quantity/index.ts';
import { completed, foldJob, owed, type Bodies, type Entry } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { judgeJoint, proofLitres, walkOf, wetsOf } from './index.ts';

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

describe('never good while nothing stood or was pumped behind it', () => {
  const dry = (job: ReturnType<typeof opened>, key: string) => {
    const body = { key, seen: 'dry', checks: ['wiped', 'wet'] };
    job.say('jointSeen', completed(job.state, 'jointSeen', body) as Bodies['jointSeen']);
  };
  const owes = (job: ReturnType<typeof opened>) =>
    owed(job.state)
      .filter(({ key }) => key.startsWith('joint:'))
      .map(({ key, text }) => `${key.slice(6)}${inWords(text).includes('nothing stood') ? ' nothing stood' : ''}`);
  test('a filler seen dry over eight litres is not proved; the feed is', () => {
    const job = opened('filler', 'feed');
    job.say('fill', { litres: 9, from: 'new' });
    dry(job, 'line:filler');
    dry(job, 'line:feed');
    expect(owes(job)).toEqual(['line:filler nothing stood']);
    job.say('fill', { litres: 70, from: 'new' });
    dry(job, 'line:filler');
    expect(owes(job)).toEqual([]);
  });
  test('litres nobody is sure of may be enough: the look is believed', () => {
    const job = tell({ complaint: 'pump', vehicle: van, gauge: 0.1 });
    job.say('cleared', { key: 'line:feed' });
    job.say('made', { key: 'line:feed' });
    expect(wetsOf(job.state, 'line:feed')).toMatchObject({ now: false, perhaps: true });
    dry(job, 'line:feed');
    expect(owes(job)).toEqual([]);
  });
  test('the ring, opened and closed again, has to be seen too', () => {
    const job = opened('feed');
    job.say('ring', { state: 'closed', newSeal: true });
    expect(owes(job)).toEqual(['line:feed']);
    job.say('ring', { state: 'opened' });
    job.say('ring', { state: 'closed', newSeal: true });
    expect(owes(job)).toEqual(['line:feed', 'unit:unit']);
    job.say('fill', { litres: 78, from: 'new' });
    dry(job, 'unit:unit');
    expect(owes(job)).toEqual(['line:feed']);
    // Closed once more: the look belongs to the closing before.
    job.say('ring', { state: 'opened' });
    job.say('ring', { state: 'closed', newSeal: true });
    expect(owes(job)).toEqual(['line:feed', 'unit:unit']);
  });
  const hold = (by: number, where: 'bench' | 'home') => ({
    where,
    readings: Array.from({ length: 64 }, (_, i): [number, number] => [i, (58 - by * i) ** 2]),
    step: 5,
    celsius: 18,
    height: 0,
    hole: '0.020' as const,
    aired: true,
    volume: { lo: 90, hi: 95 },
  });
  const held = (job: ReturnType<typeof opened>, by: number, where: 'bench' | 'home') =>
    job.say('held', completed(job.state, 'held', hold(by, where)) as Bodies['held']);
  test('a hold at home proves filler, vent and ring, never the feed; opened again it proves nothing', () => {
    const job = opened('filler', 'vent', 'feed');
    job.say('ring', { state: 'opened' });
    job.say('ring', { state: 'closed', newSeal: true });
    held(job, 0, 'home');
    expect(owes(job)).toEqual(['line:feed']);
    job.say('cleared', { key: 'line:vent' });
    job.say('made', { key: 'line:vent' });
    expect(owes(job)).toEqual(expect.arrayContaining(['line:feed', 'line:vent', 'line:filler', 'unit:unit']));
  });
  test('on the bench it proves the ring alone; one that leaks proves nothing; a drop outweighs a gauge', () => {
    const job = opened('filler');
    job.say('ring', { state: 'opened' });
    job.say('ring', { state: 'closed', newSeal: true });
    held(job, 0.4, 'home');
    expect(owes(job)).toEqual(['line:filler', 'unit:unit']);
    held(job, 0, 'bench');
    expect(owes(job)).toEqual(['line:filler']);
    held(job, 0, 'home');
    expect(owes(job)).toEqual([]);
    // It leaks once more: what held before says nothing, until it holds again.
    held(job, 0.4, 'home');
    expect(owes(job)).toEqual(['line:filler', 'unit:unit']);
    held(job, 0, 'home');
    expect(owes(job)).toEqual([]);
    job.say('jointSeen', { key: 'line:filler', seen: 'drips', checks: [] });
    expect(owes(job)).toEqual(['line:filler']);
  });
  test('what to do about a wet joint follows how it is held together', () => {
    const next = (fitting: 'push-tab' | 'ear-clamp') =>
      inWords(judgeJoint({ seen: 'weeps', checks: [] }, { fitting }).next[0]!);
    expect(next('push-tab')).toMatch(/both tabs click/);
    expect(next('ear-clamp')).toMatch(/never squeezed twice/);
  });
});

test('of two tablets one opens the ring and one closes it: the same is owed whichever is delivered first', () => {
  const entry = (id: string, { kind, body, device }: { kind: string; body: object; device: string }, n: number) => ({
    id,
    jobId: 'job',
    version: 1,
    kind,
    body,
    by: device === 'a' ? 'ines' : 'bo',
    device,
    n,
    at: '2026-01-05T08:00:00.000Z',
    on: id === 'c0' ? null : 'c0',
  });
  const opened = entry(
    'c0',
    { kind: 'opened', body: { name: 'Van', complaint: 'pump', vehicle: van }, device: 'a' },
    1,
  );
  const closes = entry('a1', { kind: 'ring', body: { state: 'closed' }, device: 'a' }, 2);
  const opens = entry('b1', { kind: 'ring', body: { state: 'opened' }, device: 'b' }, 1);
  const owes = (...order: object[]) => {
    const log = [opened, ...order].map((one, i) => ({ ...one, seq: i + 1 }));
    return owed(foldJob(null, log as unknown as Entry[])!)
      .map(({ id }) => id)
      .sort();
  };
  expect(owes(closes, opens)).toEqual(owes(opens, closes));
});
