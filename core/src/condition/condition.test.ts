import { describe, expect, test } from '@jest/globals';
import { judgeGate } from '../gates/index.ts';
import { checkBody, completed, owed, recordLines, type Bodies } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import {
  conditionPlaces,
  judgeSpark,
  placesOf,
  placeStands,
  remedies,
  remediesFor,
  remedyIds,
  sparkOf,
  standingFindings,
} from './index.ts';

const rail = archetypes.find((file) => file.mounting === 'rail')!;
const steel = { ...rail, tank: { ...rail.tank, material: 'steel' as const } };
const plastic = { ...rail, tank: { ...rail.tank, material: 'plastic' as const } };
const start = (vehicle = steel) => tell({ complaint: 'rust', vehicle });
const all: Bodies['spark'] = {
  at: 'vehicle',
  act: 'grind',
  tank: 'fuelled',
  wetEnds: [],
  air: true,
  away: true,
  dry: true,
};

describe('what is looked for; common practice, no source', () => {
  test('every place says how to look, what sound is, and what may be found with what it means', () => {
    for (const place of placesOf(steel)) {
      expect(place.look.length).toBeGreaterThan(30);
      expect(place.found.length).toBeGreaterThan(1);
      for (const one of place.found) {
        expect(one.outcome).not.toBe('good');
        expect(one.remedies.length).toBeGreaterThan(0);
      }
      expect(new Set(place.found.map(({ words }) => words)).size).toBe(place.found.length);
    }
  });
  test('plastic does not rust, steel does not swell; a tank nothing straps has no straps', () => {
    const words = (file: typeof rail) =>
      placesOf(file).flatMap(({ id, found }) => found.map((f) => `${id}: ${f.words}`));
    expect(words(plastic).filter((w) => w.startsWith('inside') && w.includes('rust'))).toEqual([]);
    expect(words(plastic)).toContain('outside: cracked or swollen');
    expect(words(steel)).not.toContain('outside: cracked or swollen');
    expect(words(steel)).toContain('inside: light film of rust');
    const pads = archetypes.find((file) => file.mounting === 'pads')!;
    expect(placesOf(pads).map(({ name }) => name)).not.toContain('straps');
    expect(placesOf(pads)).toHaveLength(conditionPlaces.length);
  });
  test('heat and welding are never among what is done here: a tank goes out for it', () => {
    for (const id of remedyIds) if (/weld|heats|grinds/.test(remedies[id].how)) expect(id).toBe('sendOut');
    for (const { hands, wait } of Object.values(remedies)) {
      expect(hands.lo).toBeLessThanOrEqual(hands.typ);
      expect(hands.typ).toBeLessThanOrEqual(hands.hi);
      if (wait) expect(wait.lo <= wait.typ && wait.typ <= wait.hi).toBe(true);
    }
    expect(remediesFor(steel, { what: 'surface rust', where: 'straps' })).toEqual(['treat', 'coat']);
    // Older logs say it so; a scaled frame is sent out, whatever it is called.
    for (const what of ['scaled where it carries', 'scaled at a strap hook'])
      expect(remediesFor(steel, { what, where: 'frame' })).toEqual(['sendOut']);
    expect(remediesFor(steel, { what: 'something nobody listed', where: 'straps' })).toEqual(remedyIds);
  });
});

describe('how a place stands', () => {
  const found = (what: string, where: string, verdict: 'good' | 'doubtful' | 'bad') => ({ what, where, verdict });
  test('of one thing the newest word counts, of several the gravest; “sound” mends nothing else', () => {
    const list = [
      found('thinned, in layers', 'straps', 'bad'),
      found('surface rust', 'straps', 'doubtful'),
      found('full thickness, ends sound', 'straps', 'good'),
    ];
    expect(placeStands(list, 'straps')?.what).toBe('thinned, in layers');
    expect(placeStands([...list, found('thinned, in layers', 'straps', 'good')], 'straps')?.what).toBe('surface rust');
    expect(placeStands(list, 'pads')).toBeNull();
    expect(standingFindings(list)).toHaveLength(3);
  });
  test('a halt holds gate 3 until it is answered', () => {
    const job = start();
    const gate = () => judgeGate(job.state, 3).find(({ item }) => item.id === 'findings')!.verdict.outcome;
    expect(gate()).toBe('good');
    job.say('finding', { what: 'thinned, in layers', where: 'straps', verdict: 'bad' });
    expect(gate()).toBe('bad');
    job.say('finding', { what: 'thinned, in layers', where: 'straps', verdict: 'good', note: 'replaced' });
    expect(gate()).toBe('good');
  });
});

describe('when a spark is allowed', () => {
  test('never on a tank that has held fuel, washed or not', () => {
    for (const act of ['drill', 'grind', 'heat', 'weld'] as const) {
      const verdict = judgeSpark({ ...all, act, at: 'tank', gas: 0 });
      expect(verdict.outcome).toBe('bad');
      expect(inWords(verdict.reasons[0]!.text)).toMatch(/has held fuel/);
    }
  });
  test('never fuelled or certified: doubtful at best, welding is the licensed shop’s', () => {
    const verdict = judgeSpark({ ...all, act: 'weld', at: 'tank', tank: 'certified', gas: 0 });
    expect(verdict.outcome).toBe('doubtful');
    expect(verdict.next.map((n) => inWords(n)).join(' ')).toMatch(/licensed shop/);
    expect(judgeSpark({ ...all, act: 'drill', at: 'tank', tank: 'neverFuelled', gas: 0 }).outcome).toBe('doubtful');
  });
  test('another tank or can near stands against it on the tank as well', () =>
    expect(judgeSpark({ ...all, act: 'drill', at: 'tank', tank: 'neverFuelled', away: false, gas: 0 }).outcome).toBe(
      'bad',
    ));
  test('on the vehicle: good only with all of it, and the air measured', () => {
    expect(judgeSpark({ ...all, gas: 0 }).outcome).toBe('good');
    expect(judgeSpark(all).outcome).toBe('doubtful');
    for (const less of [{ air: false }, { away: false }, { dry: false }, { wetEnds: ['feed line'] }])
      expect(judgeSpark({ ...all, gas: 0, ...less }).outcome).toBe('bad');
  });
  // 29 CFR 1910.146, from memory: above 10 % of the lower flammable limit the atmosphere is hazardous.
  test.each([
    [10, 'good'],
    [10.1, 'bad'],
    [47, 'bad'],
  ] as const)('%d %% of the lower limit: %s', (gas, outcome) =>
    expect(judgeSpark({ ...all, gas }).outcome).toBe(outcome),
  );
  test('a wet end that is off and not capped stands against it, as its maker knew; capped, no more', () => {
    const job = start();
    const feed = job.state.vehicle.connections.find(({ wetWhenOpen }) => wetWhenOpen)!;
    job.say('cleared', { key: `line:${feed.id}` });
    const ask = () => job.say('spark', completed(job.state, 'spark', { ...all, gas: 0 }) as never);
    ask();
    const allowed = () => sparkOf(job.state, Date.parse(job.state.sparks.at(-1)!.at))?.verdict.outcome ?? 'ask';
    expect(allowed()).toBe('bad');
    job.say('capped', { keys: [`line:${feed.id}`] });
    ask();
    expect(allowed()).toBe('good');
    // What allowed it ends with the next thing that comes off, and with the half hour.
    const at = Date.parse(job.state.sparks.at(-1)!.at);
    expect(sparkOf(job.state, at + 31 * 60_000)).toBeNull();
    job.say('cleared', { key: `line:${job.state.vehicle.connections.find(({ id }) => id !== feed.id)!.id}` });
    expect(allowed()).toBe('ask');
    expect(recordLines(job.state).some(({ text }) => inWords(text).includes('asked for'))).toBe(true);
  });
  test('a gas reading past the scale is refused', () =>
    expect(() => checkBody('spark', { ...all, gas: 140 } as never)).toThrow(/gas/));
});

test('open ends are capped later, and listed', () => {
  const job = start();
  const [line] = job.state.vehicle.connections.filter(({ wetWhenOpen }) => wetWhenOpen);
  job.say('cleared', { key: `line:${line!.id}` });
  expect(job.state.items.find(({ key }) => key === `line:${line!.id}`)?.capped).toBe(false);
  job.say('capped', { keys: [`line:${line!.id}`] });
  expect(job.state.items.find(({ key }) => key === `line:${line!.id}`)?.capped).toBe(true);
  expect(owed(job.state).some(({ key }) => key === `line:${line!.id}`)).toBe(true);
});
