import { describe, expect, test } from '@jest/globals';
import type { PumpKind, VehicleFile } from '../vehicle/index.ts';
import { gateTitles, judgeGate } from './index.ts';
import { gateItems } from './items.ts';
import { rail, start } from './testing.ts';

describe('asked in the words of its fuel and its pump (common practice, no source)', () => {
  const caution = (item: 'air' | 'pressure', fuel: VehicleFile['fuel'], pump: PumpKind) =>
    judgeGate(start({ ...rail, fuel, fuelSystem: { pump } }).state, 1).find((one) => one.item.id === item)!.item
      .caution;
  const light = ['electricHigh', 'electricLow', 'mechanical', 'none', 'unknown'] as const;
  const heavy = ['dieselSupply', 'dieselLift', 'dieselSuction', 'none', 'unknown'] as const;
  test('only injected petrol is said to be injected, and only a pump that presses to hold', () => {
    expect(caution('pressure', 'petrol', 'electricHigh')).toMatch(/Injected engines hold it/);
    for (const pump of light.slice(1)) expect(caution('pressure', 'petrol', pump)).not.toMatch(/[Ii]njected/);
    for (const pump of heavy) expect(caution('pressure', 'diesel', pump)).not.toMatch(/[Ii]njected/);
    for (const pump of ['mechanical', 'none'] as const)
      expect(caution('pressure', 'petrol', pump)).toMatch(/No electric pump.*cap/);
    for (const fuel of ['petrol', 'diesel'] as const)
      expect(caution('pressure', fuel, 'unknown')).toMatch(/counts as under pressure/);
  });
  test('on a diesel nothing is opened at the engine, and the air is not asked for by petrol', () => {
    for (const pump of heavy) {
      expect(caution('pressure', 'diesel', pump)).toMatch(/nothing is opened at the engine/);
      expect(caution('air', 'diesel', pump)).not.toMatch(/[Pp]etrol/);
    }
    for (const pump of light) expect(caution('air', 'petrol', pump)).toMatch(/Vapour is heavier than air/);
  });
  test('each covers the eyes and defers to the service information', () => {
    for (const [fuel, pumps] of [
      ['petrol', light],
      ['e85', light],
      ['diesel', heavy],
    ] as const)
      for (const pump of pumps) {
        expect(caution('pressure', fuel, pump)).toMatch(/eyes covered.*service information/);
        expect(caution('air', fuel, pump)).toMatch(/service information/);
      }
  });
});

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
