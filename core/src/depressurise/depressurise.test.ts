import { judgeGate } from '../gates/index.ts';
import { foldJob, type JobState, logWriter } from '../job/index.ts';
import { archetypes, type PumpKind, type VehicleFile } from '../vehicle/index.ts';
import { judgeSchool, schoolsFor } from './index.ts';
import { type SchoolId } from './schools.ts';

const rail = archetypes[0]!;
const fits = (
  vehicle: VehicleFile,
  complaint: JobState['complaint'] = 'level',
  answers: Record<string, string> = {},
): SchoolId[] =>
  schoolsFor({ vehicle, complaint, answers })
    .filter((s) => s.cannot === null)
    .map((s) => s.id);

describe('taking the pressure out (common practice, no source)', () => {
  test('an injected petrol engine is run dry or bled, never by the cap alone', () => {
    expect(fits(rail)).toEqual(['runDry', 'bleed']);
  });
  const by = (pump: PumpKind, fuel: VehicleFile['fuel'] = 'petrol') => ({ ...rail, fuel, fuelSystem: { pump } });
  test('a dead pump is bled, a weak one that still runs is run dry; until somebody says, only bled', () => {
    expect(fits(rail, 'pump')).toEqual(['bleed']);
    expect(fits(rail, 'pump', { 'pump runs': 'no' })).toEqual(['bleed']);
    expect(fits(rail, 'pump', { 'pump runs': 'yes' })).toEqual(['runDry', 'bleed']);
  });
  test('the pump decides, not the carburettor: an electric one is bled, a mechanical one or none takes the cap', () => {
    expect(fits(by('electricLow'))).toEqual(['runDry', 'bleed']);
    expect(fits(by('mechanical'))).toEqual(['capOnly']);
    expect(fits(by('none'))).toEqual(['capOnly']);
    // Nobody is told of petrol under pressure where nothing presses.
    for (const pump of ['mechanical', 'none'] as const)
      for (const { cannot } of schoolsFor({ vehicle: by(pump), complaint: 'level', answers: {} }))
        expect(cannot ?? '').not.toMatch(/petrol under pressure/);
  });
  test('a diesel is never offered a petrol bleed, nor run dry', () => {
    expect(fits(by('dieselSupply', 'diesel'))).toEqual(['rest']);
    expect(fits(by('dieselLift', 'diesel'))).toEqual(['rest']);
    expect(fits(by('dieselSuction', 'diesel'))).toEqual(['capOnly']);
    for (const pump of ['dieselSupply', 'dieselLift', 'dieselSuction'] as const)
      expect(
        schoolsFor({ vehicle: by(pump, 'diesel'), complaint: 'level', answers: {} })
          .filter((s) => s.cannot === null)
          .every((s) => /not cracked open/.test(s.cautions.join())),
      ).toBe(true);
  });
  test('a pump nobody named counts as under pressure', () => {
    expect(fits(by('unknown'))).toEqual(['bleed']);
    expect(fits(by('unknown', 'diesel'))).toEqual(['rest']);
    const { feed: _, fuelSystem: __, ...nothing } = { ...rail, feed: 'carburettor' as const };
    expect(fits({ ...nothing, feed: 'carburettor' })).toEqual(['bleed']);
  });
  test('a sealed tank has its own procedure first', () => {
    expect(fits({ ...rail, tank: { ...rail.tank, sealed: true } })[0]).toBe('ownProcedure');
    expect(fits(rail)).not.toContain('ownProcedure');
  });
  test('each says how, in which order against the battery, what counts, and defers to the service information', () => {
    for (const school of schoolsFor({ vehicle: rail, complaint: 'level', answers: {} })) {
      expect(school.steps.length).toBeGreaterThan(1);
      expect(school.order.length).toBeGreaterThan(5);
      expect(school.cautions.join(' ')).toMatch(/service information/);
      expect(school.steps.join(' ')).toMatch(/cap/);
    }
  });
});

describe('at gate 1', () => {
  const gate = (school: SchoolId, body?: { reading?: number; instead?: 'capOnly' | 'engineDied' }, vehicle = rail) => {
    const write = logWriter('job');
    const state = foldJob(null, [
      write('opened', { name: 'Van', complaint: 'level', vehicle, gauge: 0.5 }),
      write('answer', { question: 'school', value: school }),
      ...(body ? [write('pressure', body)] : []),
    ])!;
    return { school: judgeSchool(state), item: judgeGate(state, 1).find((j) => j.item.id === 'pressure')!.verdict };
  };
  test('a way that does not fit halts, until the gauge itself says that it is out', () => {
    expect(gate('capOnly').item.outcome).toBe('bad');
    expect(gate('capOnly', { instead: 'capOnly' }).item.outcome).toBe('bad');
    expect(gate('capOnly', { reading: 3 }).item.outcome).toBe('good');
    expect(gate('runDry', { instead: 'engineDied' }).item.outcome).toBe('doubtful');
  });
  test('a tank found sealed on the job turns the ways round, and back again', () => {
    const write = logWriter('job');
    const open = write('opened', { name: 'Van', complaint: 'level', vehicle: rail, gauge: 0.5 });
    const told = (value: string) => foldJob(null, [open, write('answer', { question: 'sealed tank', value })])!;
    expect(schoolsFor(told('yes'))[0]!.id).toBe('ownProcedure');
    expect(schoolsFor(told('no'))[0]!.id).toBe('runDry');
    expect(rail.tank.sealed).toBeUndefined();
  });
  test('a sealed tank takes no word for a reading', () => {
    const sealed = { ...rail, tank: { ...rail.tank, sealed: true } };
    expect(gate('ownProcedure', { instead: 'engineDied' }, sealed).item.outcome).toBe('bad');
    expect(gate('ownProcedure', { reading: 2 }, sealed).item.outcome).toBe('good');
  });
});
