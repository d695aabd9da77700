import { Ajv2020 } from 'ajv/dist/2020.js';
import { InputError } from '../errors/index.ts';
import { archetypes, checkVehicle, fileFromSight, mountings, vehicleSchema, type VehicleFile } from './index.ts';

const valid = new Ajv2020({ allErrors: true, strict: false }).compile(vehicleSchema);
const changed = (change: (file: VehicleFile) => void): VehicleFile => {
  const file = structuredClone(archetypes[0]!);
  change(file);
  return file;
};

describe('archetypes', () => {
  test.each(archetypes.map((file) => [file.id, file] as const))('%s fits the schema and makes sense', (_, file) => {
    expect(valid(file) ? [] : valid.errors).toEqual([]);
    expect(() => checkVehicle(file)).not.toThrow();
  });

  test.each(archetypes.map((file) => [file.id, file] as const))(
    '%s: whatever parts at a joint can be made at that joint',
    (_, file) => {
      for (const line of file.connections)
        for (const way of line.part) expect(line.make.map((w) => w.id)).toContain(way.id);
      for (const thing of file.obstructions)
        for (const way of thing.clear) expect(thing.restore.map((w) => w.id)).toContain(way.id);
    },
  );

  test('litres and lines lie within the usual figures of their mounting (common practice, no source)', () => {
    for (const file of archetypes) {
      const usual = mountings.find((m) => m.id === file.mounting)!;
      expect([file.tank.litres.lo, file.tank.litres.hi]).toEqual(usual.litres);
      const { length, width, height } = file.tank.shape;
      expect((length * width * height) / 1e6).toBeGreaterThan(file.tank.litres.typ);
    }
  });

  test('a file from first sight carries what was seen; a mounting that there is not is refused', () => {
    const sight = {
      mounting: 'rail',
      fuel: 'diesel',
      feed: 'carburettor',
      material: 'steel',
      name: 'On the lift',
    } as const;
    expect(fileFromSight(sight)).toMatchObject({
      fuel: 'diesel',
      feed: 'carburettor',
      name: 'On the lift',
      basis: 'typical',
    });
    expect(fileFromSight(sight).tank.material).toBe('steel');
    expect(() => fileFromSight({ ...sight, mounting: 'roof' as 'rail' })).toThrow(InputError);
    expect(mountings.map((m) => m.id).sort()).toEqual(archetypes.map((a) => a.mounting).sort());
  });
});

describe('a file that makes no sense says where', () => {
  test.each<[string, (f: VehicleFile) => void, RegExp]>([
    ['no fastener at all', (f) => (f.fasteners[0]!.count = 0), /fasteners\..*count.*a whole number from 1/],
    ['slack negative', (f) => (f.connections[0]!.slack.lo = -5), /slack.*at least 0/],
    ['range upside down', (f) => (f.connections[0]!.slack.hi = 1), /rising order/],
    [
      'reach upside down',
      (f) => (f.connections[0]!.part[0]!.reachTo = { lo: 1, typ: 1, hi: 1 }),
      /lower than it begins/,
    ],
    ['outside the tank', (f) => (f.connections[0]!.x = 5000), /between 0 and 1100/],
    ['unknown after', (f) => f.connections[0]!.part[0]!.after.push('moon'), /moon/],
    ['id used twice', (f) => (f.connections[1]!.id = 'feed'), /only once/],
    ['clear off the grid', (f) => (f.clear = 321), /multiple of 5/],
  ])('%s', (_, change, message) => {
    expect(() => checkVehicle(changed(change))).toThrow(message);
  });

  test('a circle is named', () => {
    const file = changed((f) => {
      for (const way of f.connections[0]!.part) way.after = ['vent'];
      for (const way of f.connections[3]!.part) way.after = ['feed'];
    });
    expect(() => checkVehicle(file)).toThrow(/feed → vent → feed|vent → feed → vent/);
  });

  test('the schema refuses what is not in it', () => {
    expect(valid({ ...archetypes[0], colour: 'red' })).toBe(false);
    expect(valid(changed((f) => (f.connections[0]!.fitting = 'glue' as never)))).toBe(false);
  });
});
