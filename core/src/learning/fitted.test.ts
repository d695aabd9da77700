import { Ajv2020 } from 'ajv/dist/2020.js';
import { tell } from '../job/testing.ts';
import { archetypes, checkVehicle, unitOf, vehicleSchema, type VehicleFile } from '../vehicle/index.ts';
import { fittedParts, withFitted } from './index.ts';

const silent: VehicleFile = { ...archetypes[0]!, sender: null };
const valid = new Ajv2020({ strict: false }).compile(vehicleSchema);
const passes = [
  { way: 'up' as const, ohms: Array.from({ length: 40 }, (_, i) => 20 + (60 * i) / 39) },
  { way: 'down' as const, ohms: Array.from({ length: 40 }, (_, i) => 80 - (60 * i) / 39) },
];
const ran = { part: 'pump', volts: 12, amps: 4.1, bar: 3.9, litres: 0.5, seconds: 20 };

describe('what was fitted goes into the file', () => {
  test('a pump that was run: what is written on it, and what it is rated for', () => {
    const job = tell({ complaint: 'pump', vehicle: silent });
    job.say('partSwapped', { part: 'pump', with: 'pump 90 L/h' });
    // Not proved yet: nothing to keep.
    expect(fittedParts(job.state, silent)).toEqual([]);
    job.say('pumpRan', { ...ran, rated: { volts: 12, flow: 90, bar: 3.9 } });
    const file = withFitted(silent, fittedParts(job.state, silent));
    expect(unitOf(file).parts.find(({ id }) => id === 'pump')).toMatchObject({
      fitted: 'pump 90 L/h',
      reads: { volts: 12, flow: 90, bar: 3.9 },
    });
    expect(() => checkVehicle(file)).not.toThrow();
    expect(valid(file)).toBe(true);
    expect(silent.unit).toBeUndefined();
  });
  test('a sender swept beside the old one teaches its stops where the file is silent, and nowhere else', () => {
    const swap = (vehicle: VehicleFile) => {
      const job = tell({ complaint: 'level', vehicle });
      job.say('swept', { part: 'sender', passes });
      job.say('partSwapped', { part: 'sender', with: 'sender 20 to 80' });
      job.say('swept', { part: 'sender', passes });
      return fittedParts(job.state, vehicle);
    };
    expect(swap(silent)).toMatchObject([
      { part: 'sender', sender: { emptyOhms: { lo: 17, typ: 20, hi: 23 }, fullOhms: { lo: 77, typ: 80, hi: 83 } } },
    ]);
    const file = withFitted(silent, swap(silent));
    expect(file.sender?.fullOhms.typ).toBe(80);
    expect(valid(file)).toBe(true);
    const known = {
      ...silent,
      sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
    };
    expect(swap(known)).toMatchObject([{ part: 'sender', called: 'sender 20 to 80' }]);
    expect(swap(known)[0]).not.toHaveProperty('sender');
  });
  test('what is bad, and what came out, teaches nothing', () => {
    const job = tell({ complaint: 'pump', vehicle: silent });
    job.say('partSwapped', { part: 'hose', with: 'hose 8 mm' });
    job.say('partSaid', { parts: ['hose', 'ring'], outcome: 'bad' });
    expect(fittedParts(job.state, silent)).toEqual([]);
    expect(withFitted(silent, [])).toBe(silent);
  });
});
