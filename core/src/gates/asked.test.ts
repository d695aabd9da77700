import { describe, expect, test } from '@jest/globals';
import type { VehicleFile } from '../vehicle/index.ts';
import { gateTitles, judgeGate } from './index.ts';
import { gateItems } from './items.ts';
import { rail, start } from './testing.ts';

describe('asked in the words of what carries it', () => {
  const jack = (file: VehicleFile) => judgeGate(start(file).state, 2).find(({ item }) => item.id === 'jack')!.item;
  const carried = (by: 'jack' | 'two jacks' | 'board on a jack' | 'hands', people = 1): VehicleFile => ({
    ...rail,
    carriedBy: { by: [by], people, whenSupportsLetGo: people },
  });
  test.each([
    [carried('jack'), /Does the padded jack carry it/],
    [carried('two jacks'), /both padded jacks/],
    [carried('board on a jack'), /board on the jack/],
    [carried('hands'), /may it lie where it goes/],
    [carried('hands', 2), /two people hold it/],
  ])('%#', (file, question) => expect(jack(file).question).toMatch(question));
  test('a helper where more than one is wanted, in the words of straps or of fasteners', () => {
    const helper = (file: VehicleFile) =>
      judgeGate(start(file).state, 2).find(({ item }) => item.id === 'helper')?.item;
    expect(helper(carried('jack', 1))).toBeUndefined();
    expect(helper(carried('jack', 2))?.question).toMatch(/for the straps/);
    const bolted = { ...carried('jack', 2), supports: rail.supports.map((one) => ({ ...one, kind: 'bolt' as const })) };
    expect(helper(bolted)?.question).toMatch(/when it lets go/);
    const mass = (file: VehicleFile) =>
      judgeGate(start(file).state, 2).find(({ item }) => item.id === 'mass')!.item.caution;
    expect(mass(carried('hands'))).toMatch(/carried dry/);
    expect(mass(carried('jack'))).toMatch(/stays on the jack/);
  });
  test('every answer says what it is taken as, and one that is not go says what to do', () => {
    for (const gate of [1, 2, 3, 4] as const) {
      expect(gateTitles[gate]).toMatch(/^before/);
      for (const { answers } of gateItems[gate])
        for (const { outcome, says, next } of answers) {
          expect(says.length).toBeGreaterThan(0);
          if (outcome === 'bad') expect(next!.length).toBeGreaterThan(0);
        }
    }
  });
  test('an answer nobody gave is not known; a look lets through, a halt does not', () => {
    const job = start();
    const air = () => judgeGate(job.state, 1).find(({ item }) => item.id === 'air')!;
    expect(air()).toMatchObject({ verdict: { outcome: 'unknown' }, through: false });
    job.say('gateItem', { gate: 1, item: 'air', answer: 'no' });
    expect(air()).toMatchObject({
      verdict: { outcome: 'bad', next: ['open the doors or switch extraction on'] },
      through: false,
    });
    job.say('gateItem', { gate: 1, item: 'air', answer: 'yes' });
    expect(air()).toMatchObject({ verdict: { outcome: 'good', next: [] }, through: true });
    job.say('gateItem', { gate: 2, item: 'helper', answer: 'walked' });
    expect(judgeGate(job.state, 2).find(({ item }) => item.id === 'helper')).toMatchObject({
      verdict: { outcome: 'doubtful' },
      through: true,
    });
  });
});
