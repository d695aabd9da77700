import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { besideOld } from './beside.ts';
import { driverSees, judgeDriver, judgeSweep, keptOf, stopsOf, type DriverSaw, type Pass } from './index.ts';

/** 20 Ω empty, 80 Ω full: an open shows as very many ohms, beyond full. */
const file: VehicleFile = {
  ...archetypes[0]!,
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};
const stops = stopsOf(file.sender);
const way = Array.from({ length: 60 }, (_, i) => Math.min(1, Math.max(0, (i / 59) * 1.4 - 0.2)));
const sweep = (ohms: (share: number) => number | null): Pass[] => [
  { way: 'up', readings: way.map((share) => ({ ohms: ohms(share) })) },
  { way: 'down', readings: way.map((share) => ({ ohms: ohms(1 - share) })) },
];
const kept = (passes: Pass[]) => keptOf(passes, judgeSweep(passes, { file }), stops);
const even = (share: number) => 20 + 60 * share;
const dead = sweep((share) => (share >= 0.35 && share <= 0.6 ? null : even(share)));
const word = (saw: DriverSaw, passes: Pass[] | null, arm: string | null = null) =>
  judgeDriver(saw, { kept: passes && kept(passes), whole: true, arm, stops });

describe('what stays of a sweep', () => {
  test('a dead spot by its place on the needle, the ways with their gap', () => {
    const small = kept(dead);
    expect(small.ends).toEqual({ empty: 20, full: 80 });
    expect(small.places).toHaveLength(1);
    expect(small.places[0]!.lo).toBeGreaterThan(0.3);
    expect(small.places[0]!.hi).toBeLessThan(0.65);
    expect(small.traces.map((trace) => trace.way)).toEqual(['up', 'down']);
    expect(small.traces[0]!.ohms).toContain(null);
  });
  test('one open in ten thousand readings is still there', () => {
    const many = Array.from({ length: 10_000 }, (_, i) => ({ ohms: i === 5000 ? null : 20 + (60 * i) / 9999 }));
    const passes: Pass[] = [{ way: 'up', readings: many }];
    const [trace] = kept(passes).traces;
    expect(trace!.ohms).toHaveLength(60);
    expect(trace!.ohms.filter((one) => one === null)).toHaveLength(1);
  });
});

describe('the driver’s word', () => {
  test('lost where he saw it', () => {
    expect(word({ saw: 'jumps', where: 0.5 }, dead)).toMatchObject({
      outcome: 'good',
      reasons: [{ text: 'driver: it jumps or falls at one level, at ½; the sweep is lost there' }],
    });
  });
  test('bad, and still not what he saw: the cause stays open', () => {
    const judged = word({ saw: 'jumps', where: 0.95 }, dead);
    expect(judged.outcome).toBe('doubtful');
    expect(judged.reasons[0]!.text).toMatch(/something else$/);
    expect(judged.next[0]).toMatch(/plug and ground/);
  });
  test.each(driverSees.map((saw) => [saw] as const))('%s: an even sweep explains nothing', (saw) => {
    const judged = word({ saw }, sweep(even));
    expect(judged.outcome).toBe('doubtful');
    expect(judged.next).toHaveLength(1);
  });
  test('swept only in part it explains nothing yet; what it did find counts', () => {
    const part = (passes: Pass[], saw: DriverSaw) =>
      judgeDriver(saw, { kept: kept(passes), whole: false, arm: null, stops });
    expect(part(sweep(even), { saw: 'jumps' })).toMatchObject({
      outcome: 'unknown',
      next: [expect.stringMatching(/rest of it/)],
    });
    expect(part(dead, { saw: 'jumps', where: 0.5 }).outcome).toBe('good');
  });
  test('not swept: an open puts the needle at full, where full has the more ohms', () => {
    expect(word({ saw: 'stuckFull' }, null)).toMatchObject({
      outcome: 'unknown',
      next: ['sweep it: where it is open the needle goes to full'],
    });
    const other = stopsOf({ emptyOhms: { lo: 980, typ: 990, hi: 1000 }, fullOhms: { lo: 50, typ: 52, hi: 54 } });
    expect(judgeDriver({ saw: 'stuckEmpty' }, { kept: null, whole: false, arm: null, stops: other }).next[0]).toMatch(
      /to empty$/,
    );
  });
  test('open all the way: always full here, and never always empty', () => {
    const open = sweep(() => null);
    expect(word({ saw: 'stuckFull' }, open).outcome).toBe('good');
    expect(word({ saw: 'stuckEmpty' }, open).outcome).toBe('doubtful');
  });
  test('it stays at its empty ohms', () => {
    const stuck = sweep(() => 20);
    expect(word({ saw: 'stuckEmpty' }, stuck).outcome).toBe('good');
    expect(word({ saw: 'stuckFull' }, stuck).outcome).toBe('doubtful');
  });
  test('an end that is not reached', () => {
    const short = sweep((share) => 20 + 60 * Math.min(share, 0.85));
    expect(word({ saw: 'shortOfFull' }, short).outcome).toBe('good');
    expect(word({ saw: 'aboveEmpty' }, short).outcome).toBe('doubtful');
    const high = sweep((share) => 20 + 60 * Math.max(share, 0.15));
    expect(word({ saw: 'aboveEmpty' }, high).outcome).toBe('good');
    expect(word({ saw: 'shortOfFull' }, high).outcome).toBe('doubtful');
  });
  test('a bent arm or a float that fills explains an end, never a jump', () => {
    expect(word({ saw: 'aboveEmpty' }, sweep(even), 'arm bent').outcome).toBe('good');
    expect(word({ saw: 'jumps', where: 0.5 }, sweep(even), 'arm bent').outcome).toBe('doubtful');
  });
  test('it flickers: that wanders', () => {
    const restless = sweep((share) => even(share) + 6 * Math.sin(997 * share * share * 31));
    expect(word({ saw: 'wanders' }, restless).outcome).toBe('good');
  });
});

describe('new beside old, where no file says what it reads', () => {
  const old = { empty: 20, full: 80 };
  test('alike within a twentieth of the span', () => {
    expect(besideOld({ empty: 22, full: 78 }, old, file)).toEqual([]);
  });
  test('the other way round is a halt', () => {
    expect(besideOld({ empty: 80, full: 20 }, old, file)![0]!.outcome).toBe('bad');
  });
  test('it does not move', () => {
    expect(besideOld({ empty: 40, full: 41 }, old, file)![0]).toMatchObject({ outcome: 'bad', figure: '40 Ω' });
  });
  test('a fuller family: half the needle at empty', () => {
    // 50 Ω is half way from 20 to 80: half of what the tank holds stands on the gauge of an empty one.
    const found = besideOld({ empty: 50, full: 80 }, old, file)!;
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ outcome: 'bad', limit: '20 Ω of the one that came out' });
  });
  test('one of them with no ends: not compared', () => {
    expect(besideOld({ empty: null, full: 80 }, old, file)).toBeNull();
    expect(besideOld({ empty: 20, full: 80 }, { empty: null, full: null }, file)).toBeNull();
  });
  test('held against the old one only where the file is silent', () => {
    const silent = { ...file, sender: null };
    const other = sweep((share) => 80 - 60 * share);
    expect(judgeSweep(other, { file: silent, old }).verdict.outcome).toBe('bad');
    expect(judgeSweep(sweep(even), { file: silent, old }).verdict.outcome).toBe('good');
    expect(judgeSweep(sweep(even), { file: silent }).verdict.outcome).toBe('doubtful');
    const lies = { empty: 240, full: 33 };
    expect(judgeSweep(sweep(even), { file, old: lies }).verdict.outcome).toBe('good');
  });
});
