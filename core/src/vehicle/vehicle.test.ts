import { Ajv2020 } from 'ajv/dist/2020.js';
import { InputError } from '../errors/index.ts';
import {
  pumpsFor,
  archetypes,
  asUsual,
  asVariant,
  checkVehicle,
  fileFromSight,
  mountings,
  vehicleSchema,
  type VehicleFile,
  type Way,
} from './index.ts';

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
      const joint = (way: Way) => way.joint ?? way.id;
      for (const line of file.connections)
        if (new Set(line.part.map(joint)).size > 1)
          for (const way of line.part) expect(line.make.map(joint)).toContain(joint(way));
      for (const thing of file.obstructions)
        if (thing.clear.length > 1)
          for (const way of thing.clear) expect(thing.restore.map((w) => w.id)).toContain(way.id);
    },
  );

  test.each(archetypes.map((file) => [file.id, file] as const))(
    '%s: every choice of every variant leaves a file that makes sense',
    (_, file) => {
      expect(() => checkVehicle({ ...asUsual(file), variants: [] })).not.toThrow();
      for (const variant of file.variants!)
        for (const { label } of variant.choices) {
          const one = asVariant(file, variant.id, label);
          expect(() => checkVehicle({ ...one, variants: [] })).not.toThrow();
          expect(() => checkVehicle({ ...asUsual(one), variants: [] })).not.toThrow();
        }
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

  test('no carburettor is offered injection pressure, no diesel a petrol pump; what a file says all the same stays', () => {
    const petrol = { fuel: 'petrol', feed: 'carburettor' } as const;
    expect(pumpsFor(petrol)).toEqual(['mechanical', 'electricLow', 'none']);
    expect(pumpsFor({ ...petrol, fuelSystem: { pump: 'electricHigh' } })).toContain('electricHigh');
    expect(pumpsFor({ ...petrol, feed: 'injected' })[0]).toBe('electricHigh');
    for (const pump of pumpsFor({ fuel: 'diesel', feed: 'carburettor' })) expect(pump).toMatch(/^diesel|^none$/);
  });

  test('a file from first sight carries what was seen; a mounting that there is not is refused', () => {
    const sight = {
      mounting: 'rail',
      fuel: 'diesel',
      feed: 'carburettor',
      material: 'steel',
      name: 'Vehicle outside',
    } as const;
    expect(fileFromSight(sight)).toMatchObject({
      fuel: 'diesel',
      // Nobody said: it is asked for, and counts as under pressure until then.
      fuelSystem: { pump: 'unknown' },
      name: 'Vehicle outside',
      basis: 'typical',
    });
    expect(fileFromSight(sight).tank.material).toBe('steel');
    expect(() => fileFromSight({ ...sight, mounting: 'roof' as 'rail' })).toThrow(InputError);
    expect(fileFromSight({ ...sight, fuel: 'petrol', feed: 'injected' }).fuelSystem!.pump).toBe('electricHigh');
    expect(fileFromSight({ ...sight, fuel: 'petrol' }).fuelSystem!.pump).toBe('unknown');
    expect(fileFromSight({ ...sight, mounting: 'floor' }).travel).toBe('up');
    expect(fileFromSight({ ...sight, mounting: 'floor', bolts: 'below' }).travel).toBe('down');
    expect(mountings.map((m) => m.id).sort()).toEqual([...new Set(archetypes.map((a) => a.mounting))].sort());
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
    ['a support off the tank', (f) => (f.supports[0]!.x = 5000), /supports\[0\].x.*between 0 and 1100/],
    ['something in the way off the tank', (f) => (f.obstructions[0]!.x = 5000), /between 0 and 1100/],
    [
      'minutes upside down',
      (f) => (f.connections[0]!.make[0]!.minutes = { lo: 5, typ: 3, hi: 1 }),
      /back\[0\].minutes.*rising order/,
    ],
    [
      'minutes of more than a day',
      (f) => (f.obstructions[0]!.restore[0]!.minutes = { lo: 5, typ: 30, hi: 6000 }),
      /at most 600 minutes/,
    ],
    ['a variant that is usual and is not there', (f) => (f.variants![0]!.usual = 'moon'), /usual.*moon/],
    ['clear off the grid', (f) => (f.clear = 321), /multiple of 5/],
  ])('%s', (_, change, message) => {
    expect(() => checkVehicle(changed(change))).toThrow(message);
  });

  test('a circle is named', () => {
    const file = changed((f) => {
      const line = (id: string) => f.connections.find((c) => c.id === id)!;
      for (const way of line('feed').part) way.after = ['vent'];
      for (const way of line('vent').part) way.after = ['feed'];
    });
    expect(() => checkVehicle(file)).toThrow(/feed → vent → feed|vent → feed → vent/);
  });

  test('a circle on the way back is named: in make, in restore, among the supports', () => {
    const back = changed((f) => {
      const line = (id: string) => f.connections.find((c) => c.id === id)!;
      for (const way of line('feed').make) way.after = ['vent'];
      for (const way of line('vent').make) way.after = ['feed'];
    });
    expect(() => checkVehicle(back)).toThrow(/going back.*(feed → vent → feed|vent → feed → vent)/);
    const support = changed((f) => {
      f.obstructions.find((o) => o.id === 'shield')!.restore[0]!.after = ['strap-2'];
    });
    expect(() => checkVehicle(support)).toThrow(/going back.*(shield → strap-2 → shield|strap-2 → shield → strap-2)/);
  });

  test('one thing must be off and another still needs it on: a circle too', () => {
    const file = changed((f) => {
      const line = (id: string) => f.connections.find((c) => c.id === id)!;
      for (const way of line('feed').part) way.while = [{ id: 'vent', is: 'on' }];
      for (const way of line('vent').part) way.while = [{ id: 'feed', is: 'on' }];
    });
    expect(() => checkVehicle(file)).toThrow(/no circle/);
  });

  test('more than can be planned is refused', () => {
    const file = changed((f) => {
      const first = f.obstructions[0]!;
      f.obstructions = Array.from({ length: 40 }, (_, i) => ({
        ...structuredClone(first),
        id: `thing-${i}`,
        clear: [],
        restore: [],
      }));
      f.variants = [];
      for (const line of f.connections)
        for (const way of [...line.part, ...line.make]) Object.assign(way, { after: [], while: [] });
      for (const support of f.supports) Object.assign(support, { off: undefined, on: undefined });
    });
    expect(() => checkVehicle(file)).toThrow(/at most 56/);
  });

  test('the schema refuses what is not in it', () => {
    expect(valid({ ...archetypes[0], colour: 'red' })).toBe(false);
    expect(valid(changed((f) => (f.connections[0]!.fitting = 'glue' as never)))).toBe(false);
  });
});
