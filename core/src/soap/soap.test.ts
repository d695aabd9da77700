import { judgeHold, MOST, type HoldRun } from '../hold/index.ts';
import { tell } from '../job/testing.ts';
import { archetypes } from '../vehicle/index.ts';
import { howItFalls, soapPlaces } from './index.ts';

const STEP = 12;
/** Air at 20 °C, kg/m³; what goes through a sharp hole is 0.6 · A · √(2Δp/ρ): Bernoulli, not the product's own road. */
const DENSITY = 101_325 / (287.05 * 293.15);

/** A hold of 50 L with a hole of so many mm that is there while more than `shuts` Pa stand behind it: stepped by Euler. */
function held(millimetres: number, { shuts = 0, noise = 0 } = {}): HoldRun {
  const area = (Math.PI * (millimetres / 1000) ** 2) / 4;
  const readings: [number, number][] = [];
  let pa = MOST;
  for (let at = 0; at <= 120; at += 0.1) {
    if (Math.round(at * 10) % 20 === 0) {
      const wobble = noise * Math.sin(at * 7);
      readings.push([Math.round(at * 10) / 10, Math.round((pa + wobble) / STEP) * STEP]);
    }
    if (pa > shuts) pa = Math.max(0, pa - (0.1 * 0.6 * area * Math.sqrt((2 * pa) / DENSITY) * 101_325) / 0.05);
  }
  return {
    readings,
    step: STEP,
    volume: { lo: 48, hi: 52 },
    outside: { lo: 99_000, hi: 103_000 },
    celsius: 20,
    ends: 20,
    hole: '0.020',
    aired: true,
  };
}
const falls = (run: HoldRun) => howItFalls(run, judgeHold(run));

describe('how it falls', () => {
  test('through two millimetres fast, through a third of one it seeps, through two thirds neither', () => {
    expect(falls(held(2))).toBe('fast');
    expect(falls(held(0.33))).toBe('seeps');
    expect(falls(held(0.66))).toBe('any');
  });
  test('gone before it could be read: something is open', () => {
    expect(
      falls({
        ...held(2),
        readings: [
          [0, 3480],
          [1, 1200],
          [2, 300],
          [3, 60],
          [4, 0],
          [5, 0],
          [6, 0],
          [7, 0],
        ],
      }),
    ).toBe('fast');
  });
  test('what lifts and shuts below a pressure falls, then stands; one hole never does', () => {
    expect(falls(held(0.8, { shuts: 2000 }))).toBe('stops');
    for (const millimetres of [0.2, 0.4, 0.6, 0.8, 1])
      expect(falls(held(millimetres, { noise: STEP }))).not.toBe('stops');
  });
  test('what holds says nothing', () => {
    expect(falls(held(0, { noise: STEP }))).toBe('any');
    expect(howItFalls({ readings: [[0, 3400]], step: STEP }, judgeHold({ ...held(0), readings: [[0, 3400]] }))).toBe(
      'any',
    );
  });
});

const rail = archetypes[0]!;
const names = (...args: Parameters<typeof soapPlaces>) => soapPlaces(...args).map(({ name }) => name);

describe('where soap goes first', () => {
  const bench = () => {
    const job = tell({ complaint: 'pump', vehicle: rail });
    job.say('ring', { state: 'opened' });
    return job;
  };
  test('nothing told: what was opened first', () => {
    expect(names(bench().state, 'bench', 'any')[0]).toMatch(/all round/);
    expect(names(tell({ complaint: 'pump', vehicle: rail }).state, 'bench', 'any')).toHaveLength(4);
  });
  test('fast: the ring that was opened and the plugs; a seep: seams before the plugs', () => {
    const fast = names(bench().state, 'bench', 'fast');
    expect(fast.slice(0, 2)).toEqual([expect.stringMatching(/all round/), 'ports and their plugs']);
    expect(fast.indexOf('ports and their plugs')).toBeLessThan(fast.indexOf('front seam'));
    const seeps = names(bench().state, 'bench', 'seeps');
    expect(seeps.indexOf('rear seam')).toBeLessThan(seeps.indexOf('ports and their plugs'));
    expect(soapPlaces(bench().state, 'bench', 'seeps')[0]!.why[0]).toBe('it seeps: rust or a crack at a seam');
  });
  test('a new seal is soaped; what went in new inside the tank lets nothing out', () => {
    const job = bench();
    job.say('partSwapped', { part: 'seal', with: 'seal, fuel-proof' });
    job.say('partSwapped', { part: 'pump', with: 'another pump' });
    const [first] = soapPlaces(job.state, 'bench', 'seeps');
    expect(first).toMatchObject({
      name: 'seal, fuel-proof',
      why: ['it seeps: a thread or a new seal', 'new on this job'],
    });
    expect(names(job.state, 'bench', 'seeps')).not.toContain('another pump');
  });
  test('at home the joints that were opened and that air stands behind; what was wet stands first', () => {
    const job = tell({ complaint: 'pump', vehicle: rail });
    for (const id of ['feed', 'vent', 'filler']) job.say('cleared', { key: `line:${id}` });
    for (const id of ['feed', 'vent', 'filler']) job.say('made', { key: `line:${id}` });
    const filler = rail.connections.find(({ id }) => id === 'filler')!.name;
    job.say('finding', { what: 'wet', where: filler, verdict: 'bad' });
    const [first, second] = soapPlaces(job.state, 'home', 'any');
    expect(first).toMatchObject({ name: filler, why: ['was wet at the test stop', 'opened on this job'] });
    expect(second!.name).toBe(rail.connections.find(({ id }) => id === 'vent')!.name);
    expect(names(job.state, 'home', 'any')).not.toContain(rail.connections.find(({ id }) => id === 'feed')!.name);
  });
});
