import { descend } from '../rehearsal/index.ts';
import type { Complaint } from '../order/index.ts';
import { BURSTS } from '../tank/index.ts';
import { type Entry, foldJob, type JobState, logWriter } from '../job/index.ts';
import { seeded } from '../rehearsal/index.ts';
import { usualArchetypes as archetypes } from '../vehicle/testing.ts';
import { BLEEDING, type InstrumentKind, instruments, readInstrument } from './index.ts';
import { airThrough, areaOf } from '../hold/index.ts';
import { hiddenTruth } from '../truth/index.ts';
import { nowOf } from './now.ts';
import { judgeRun, runFrom, wantedBar } from '../pump/index.ts';
import { inWords } from '../quantity/index.ts';
import { wayFrom } from '../vacuum/index.ts';

const rail = archetypes[0]!;
const write = logWriter('job');
const job = (complaint: Complaint, more: Entry[] = []): JobState =>
  foldJob(null, [write('opened', { name: 'Van', complaint, vehicle: rail, gauge: 0.5 }), ...more])!;
const start = Date.UTC(2026, 0, 5, 8);
const wait = (what: string): Entry => ({
  ...write('wait', { what, state: 'start' }),
  at: new Date(start).toISOString(),
});
const read = (state: JobState, kind: InstrumentKind, channel: string, at = start) =>
  readInstrument(state, { kind, channelId: channel, at, chance: seeded(3) });

describe('what a demo job hides', () => {
  test('lies inside every range of its file and its first witness, and is the same every time', () => {
    const state = job('pump');
    const truth = hiddenTruth(state);
    expect(hiddenTruth(job('pump'))).toEqual(truth);
    expect(truth.litres).toBeGreaterThanOrEqual(state.fuel.aboard.lo);
    expect(truth.litres).toBeLessThanOrEqual(state.fuel.aboard.hi);
    expect(truth.emptyMass).toBeGreaterThanOrEqual(rail.tank.emptyMass.lo);
    expect(truth.emptyMass).toBeLessThanOrEqual(rail.tank.emptyMass.hi);
    expect(truth.pumpFlow).toBe(0);
    // Under the vehicle too: a rehearsal of the job meets the same truth as its instruments.
    for (const line of rail.connections) {
      expect(truth.slack[line.id]).toBeGreaterThanOrEqual(line.slack.lo);
      expect(truth.slack[line.id]).toBeLessThanOrEqual(line.slack.hi);
    }
    expect(descend(rail, { truth, rng: seeded(2) }).end).not.toBe('pulled');
  });
});

describe('instruments', () => {
  test('every channel shows steps of its resolution inside its range', () => {
    const state = job('leak');
    const chance = seeded(11);
    for (const { kind, channels } of instruments)
      for (const channel of channels)
        for (let i = 0; i < 40; i++) {
          const { value } = readInstrument(state, { kind, channelId: channel.id, at: start, chance });
          if (value === null) continue;
          expect(value).toBeGreaterThanOrEqual(channel.range[0]);
          expect(value).toBeLessThanOrEqual(channel.range[1]);
          const steps = value / channel.resolution;
          expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
        }
  });
  test('the mean of many readings is the truth, their spread the noise', () => {
    const state = job('leak');
    const chance = seeded(5);
    const truth = hiddenTruth(state);
    const mass = Array.from(
      { length: 400 },
      () => readInstrument(state, { kind: 'scale', channelId: 'mass', at: start, chance }).value!,
    );
    const mean = mass.reduce((a, b) => a + b, 0) / mass.length;
    expect(Math.abs(mean - (truth.emptyMass + truth.litres * truth.density))).toBeLessThan(0.03);
    const spread = Math.sqrt(mass.reduce((sum, m) => sum + (m - mean) ** 2, 0) / mass.length);
    expect(spread).toBeGreaterThan(0.08);
    expect(spread).toBeLessThan(0.16);
  });
  test('a counter never takes back what it has counted', () => {
    const bursts = job('leak', [wait(BURSTS)]);
    const chance = seeded(7);
    for (const channelId of ['litres', 'bench']) {
      // Ninety seconds: three bursts with their rests, or a run on the bench.
      const shown = Array.from(
        { length: 900 },
        (_, i) =>
          readInstrument(bursts, { kind: 'flowCounter', channelId, since: start, at: start + i * 100, chance }).value!,
      );
      expect(shown).toEqual([...shown].sort((a, b) => a - b));
      expect(shown.at(-1)).toBeGreaterThan(shown[0]!);
    }
  });
  test('pressure stays until it is let out, then falls to a third in five seconds', () => {
    const closed = job('leak');
    expect(nowOf(hiddenTruth(closed), closed, start + 60_000).pressure).toBe(hiddenTruth(closed).pressure);
    const open = job('leak', [wait(BLEEDING)]);
    const at = (seconds: number) => nowOf(hiddenTruth(open), open, start + seconds * 1000).pressure;
    expect(at(5) / at(0)).toBeCloseTo(1 / Math.E, 6);
    expect(read(open, 'pressureGauge', 'pressure', start + 60_000).value).toBeLessThan(0.06);
  });
  test('a dead spot reads open; the scan tool then shows nothing aboard', () => {
    const state = job('level');
    const truth = hiddenTruth(state);
    const share = nowOf(truth, state, start).levelShare;
    const inside = share >= 0.35 && share <= 0.6;
    expect(read(state, 'multimeter', 'senderOhms').text === 'open').toBe(inside);
    expect(read(state, 'scanTool', 'codes').value).toBe(1);
  });
  test('bursts pump litres until only what the pick-up leaves is there', () => {
    const state = job('leak', [wait(BURSTS)]);
    const truth = hiddenTruth(state);
    // Sixty seconds: two bursts of ten.
    expect(nowOf(truth, state, start + 60_000).pumped).toBeCloseTo((20 / 60) * truth.pumpFlow, 6);
    const long = nowOf(truth, state, start + 24 * 3_600_000);
    expect(long.litres).toBeGreaterThan(0);
    expect(long.litres + long.pumped).toBeCloseTo(truth.litres, 6);
  });
  test('the plugged tank falls through the hole it hides, and through none once it is mended', () => {
    const fallen = (state: JobState) => {
      const { value } = readInstrument(state, {
        kind: 'tankGauge',
        channelId: 'hold',
        since: start,
        at: start + 20_000,
        chance: () => 0.25, // no noise
      });
      return 13.5 - value!;
    };
    const leaks = job('leak');
    const truth = hiddenTruth(leaks);
    // Air is where no fuel stands.
    const air = truth.airLitres - nowOf(truth, leaks, start).litres;
    // At first the pressure falls by what goes out over what is in it; over 20 s a little less.
    const out = airThrough({ gauge: 3362.7, outside: 101_325, celsius: 20 }) * areaOf(truth.leak / 1000);
    const atFirst = (((out * 101_325) / (air / 1000)) * 20) / 249.08891;
    expect(fallen(leaks)).toBeLessThan(atFirst);
    expect(fallen(leaks)).toBeGreaterThan(0.75 * atFirst);
    const mended = [write('finding', { what: 'seam', where: 'outside', verdict: 'good', note: 'repaired' })];
    expect(fallen(job('leak', mended))).toBeLessThan(0.5);
  });
  test('a pump whose hose inside is split: current sound, flow low, falls once it stands; another hose, and it is sound', () => {
    const passes = (state: JobState) => {
      const read = (kind: InstrumentKind, channelId: string, seconds: number, off?: number) =>
        readInstrument(state, {
          kind,
          channelId,
          since: start,
          at: start + seconds * 1000,
          off: off === undefined ? undefined : start + off * 1000,
          chance: () => 0.25, // no noise
        }).value!;
      const readings = [...Array.from({ length: 21 }, (_, s) => [s] as const), [30, 20] as const].map(([at, off]) => ({
        at,
        volts: read('supply', 'volts', at, off),
        amps: read('supply', 'amps', at, off),
        bar: read('pressureGauge', 'outlet', at, off),
        litres: read('flowCounter', 'bench', at, off),
      }));
      return judgeRun(runFrom(readings), {
        file: state.vehicle,
        rated: { volts: 12, flow: 90, bar: wantedBar(rail)!.hi },
      });
    };
    const weak = passes(job('pump'));
    expect(weak.verdict.outcome).toBe('bad');
    expect(weak.verdict.reasons.map((r) => inWords(r.text)).join()).toContain('leaks inside, hose or relief');
    // A third of what it is rated for comes.
    expect(weak.flow).toBeGreaterThan(25);
    expect(weak.flow).toBeLessThan(36);
    const swapped = [write('partSwapped', { part: 'hose', with: 'hose for submersion' })];
    const sound = passes(job('pump', swapped));
    expect(sound.verdict.outcome).toBe('good');
    expect(sound.flow).toBeGreaterThan(85);
  });
  test('a hand vacuum pump: valves hold one way; in a vehicle that fades they let go', () => {
    const way = (complaint: Complaint, channelId: string) =>
      wayFrom(
        Array.from({ length: 30 }, (_, s) => [
          s,
          readInstrument(job(complaint), {
            kind: 'vacuumPump',
            channelId,
            since: start,
            at: start + s * 1000,
            chance: () => 0.25,
          }).value!,
        ]),
      );
    expect([way('pump', 'tester'), way('pump', 'against'), way('pump', 'along')]).toEqual([
      'holds',
      'holds',
      'nothing',
    ]);
    expect(way('fades', 'against')).toBe('lets');
    expect(way('fades', 'line')).toBe('holds');
  });
  test('what there is not is refused with what there is', () => {
    expect(() => read(job('pump'), 'multimeter', 'amps')).toThrow(/senderOhms/);
    expect(() => read(job('pump'), 'spoon' as 'scale', 'x')).toThrow(/pressureGauge/);
  });
});
