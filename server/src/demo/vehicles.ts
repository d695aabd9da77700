import { archetypes, asUsual, unitOf, type Connection, type Range, type VehicleFile, present } from '@iron-cradle/core';

/** The shop's measured vehicles. All invented: plain names, plain figures. */

const exactly = (mm: number): Range => ({ lo: mm, typ: mm, hi: mm, basis: { kind: 'measured' } });
const between = (lo: number, typ: number, hi: number): Range => ({ lo, typ, hi, basis: { kind: 'measured' } });

function from(id: string, change: (file: VehicleFile) => void): VehicleFile {
  const found = present(
    archetypes.find((a) => a.id === id),
    'archetype',
    id,
  );
  // Somebody looked at this one: there are no looks left to be had.
  const file = { ...structuredClone(asUsual(found)), variants: [] };
  change(file);
  return file;
}

const line = (file: VehicleFile, id: string): Connection =>
  present(
    file.connections.find((c) => c.id === id),
    'connection',
    id,
  );

/** A delivery van, tank along the rail: most lines measured with a string, the vent never seen. */
const van4 = from('archetype-rail', (file) => {
  Object.assign(file, { id: 'van-4', name: 'Van 4, delivery van', basis: 'measured' });
  file.tank.litres = exactly(80);
  file.tank.shape = {
    kind: 'box',
    length: 1100,
    width: 330,
    height: 270,
    taper: { first: 60, second: 140 },
    sump: { x: 320, y: 165, length: 220, width: 200, depth: 35 },
  };
  file.tank.outlet = { x: 320, y: 165, z: 8 };
  file.sender = { emptyOhms: exactly(990), fullOhms: exactly(52) };
  file.fuelSystem = { pump: 'electricHigh', place: 'tank', engine: { kilowatts: exactly(90), bar: exactly(3.9) } };
  // What stands on its pump.
  const unit = unitOf(file);
  file.unit = {
    ...unit,
    parts: unit.parts.map((part) =>
      part.kind === 'pump' ? { ...part, reads: { volts: 12, flow: 90, bar: 3.9 } } : part,
    ),
  };
  file.tank.emptyMass = exactly(12);
  file.tank.unusable = between(2, 3, 4);
  line(file, 'feed').slack = exactly(35);
  line(file, 'return').slack = exactly(50);
  line(file, 'plug').slack = exactly(80);
  line(file, 'vent').slack = { lo: 45, typ: 75, hi: 110, basis: { kind: 'typical' } };
  line(file, 'filler').slack = exactly(120);
  file.connections = file.connections.filter((c) => c.id !== 'vent-rear');
  file.obstructions = file.obstructions.filter((o) => o.id !== 'crossmember');
  for (const support of file.supports)
    for (const way of support.on ?? []) way.after = way.after.filter((id) => id !== 'crossmember');
  for (const id of ['feed', 'return', 'plug', 'vent']) {
    line(file, id).part[0]!.reachFrom = between(25, 35, 40);
    line(file, id).make[0]!.reachFrom = between(30, 40, 45);
  }
  // The filter end is behind a guard here: feed and return part on top or not at all.
  for (const id of ['feed', 'return']) {
    line(file, id).part = [line(file, id).part[0]!];
    line(file, id).make = [line(file, id).make[0]!];
  }
  file.fasteners[0]!.torque = between(38, 40, 44);
  file.notes = ['Stone shield: two of its bolts were missing in spring.'];
});

/** A school minibus, crosswise, whose heater line is too short to let the tank down. */
const minibus = from('archetype-crosswise', (file) => {
  Object.assign(file, { id: 'minibus', name: 'Minibus, school run', basis: 'measured', fuel: 'diesel' });
  file.fuelSystem = { pump: 'dieselSupply', place: 'tank' };
  file.tank.litres = exactly(70);
  // Two lobes over the shaft: what lies in the right one is out of the pump’s reach.
  file.tank.shape = {
    kind: 'lobes',
    length: 900,
    width: 420,
    height: 240,
    over: 'x',
    hump: { from: 360, to: 600, height: 85, slope: 45 },
  };
  file.tank.outlet = { x: 190, y: 210, z: 12 };
  file.tank.unusable = between(1, 2, 3);
  file.tank.emptyMass = exactly(15);
  file.sender = { emptyOhms: between(19, 20, 21), fullOhms: between(78, 80, 82) };
  const heater: Connection = {
    ...structuredClone(line(file, 'return')),
    id: 'heater',
    kind: 'heater',
    name: 'heater line',
    x: 700,
    slack: exactly(45),
    visibleFrom: between(20, 30, 40),
    fitting: 'slide-collar',
  };
  heater.clips = [
    {
      id: 'heater-clip',
      name: 'heater clip',
      slack: exactly(105),
      ways: [{ ...heater.clips[0]!.ways[0]!, id: 'heater-unclip', reachFrom: between(50, 55, 60) }],
    },
  ];
  heater.part = [{ ...heater.part[0]!, id: 'heater-top', reachFrom: between(70, 80, 90), tools: ['split ring tool'] }];
  heater.make = [{ ...heater.make[0]!, id: 'heater-top', reachFrom: between(60, 70, 80) }];
  file.connections.push(heater);
  present(
    file.obstructions.find((o) => o.id === 'exhaust'),
    'obstruction',
    'exhaust',
  ).blocksAt = exactly(80);
  file.fasteners[0]!.torque = between(45, 48, 50);
});

/** A farm pickup, along the rail, seen often. */
const pickup2 = from('archetype-rail', (file) => {
  Object.assign(file, { id: 'pickup-2', name: 'Pickup 2, farm', basis: 'measured', fuel: 'diesel' });
  file.fuelSystem = { pump: 'dieselLift', place: 'tank' };
  file.tank.material = 'steel';
  file.tank.litres = exactly(75);
  file.tank.shape = { kind: 'cylinder', length: 1100, width: 300, height: 300 };
  file.tank.outlet = { x: 250, y: 150, z: 15 };
  file.tank.emptyMass = exactly(17);
  for (const c of file.connections) c.slack = exactly(Math.round(c.slack.typ / 5) * 5 + 10);
  file.fasteners[0]!.torque = between(38, 41, 44);
});

/** The vehicles of the demo shop; all invented. */
export const demoVehicles: readonly VehicleFile[] = [van4, minibus, pickup2];
