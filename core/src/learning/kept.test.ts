import { exactly } from '../estimate/index.ts';
import { tell } from '../job/testing.ts';
import { litresAt } from '../sender/index.ts';
import { archetypes, checkVehicle, type VehicleFile } from '../vehicle/index.ts';
import { walkOf } from '../proof/index.ts';
import { keptCurve, keptFigures, keptPlaces, withKept } from './index.ts';

const rail = archetypes[0]!;
const file: VehicleFile = {
  ...rail,
  tank: { ...rail.tank, litres: exactly(95) },
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};
const strap = rail.supports[0]!;

describe('what the next one may look at', () => {
  test('what was pulled, how long a hose was, how long hands were on it; never what was bad', () => {
    const job = tell({ complaint: 'hose', vehicle: file });
    job.say('torque', { key: `support:${strap.id}`, asWritten: '40–42 N·m', lo: 40, hi: 42 });
    job.say('hoseRuns', {
      key: 'line:vent',
      below: true,
      bore: 8,
      route: [
        { x: 0, z: 400 },
        { x: 300, z: 0 },
      ],
    });
    const hands = [
      { by: 'ines', name: 'Ines Calder', minutes: 104.6 },
      { by: 'marek', name: 'Marek', minutes: 40 },
      { by: 'lead', name: 'Lead', minutes: 0.2 },
    ];
    const figures = keptFigures(job.state, file, { hands, where: 'lift' });
    expect(figures.map(({ path, seen, unit }) => [path, seen, unit])).toEqual([
      [`pulled ${strap.fastener}`, 41, 'N·m'],
      ['hose vent', 500, 'mm'],
      ['worked lift', 145, 'min'],
      ['by lift ines', 105, 'min'],
      ['by lift marek', 40, 'min'],
    ]);
    expect(keptFigures(job.state, file, { hands: [], where: 'lift' })).toHaveLength(2);
    expect(keptFigures(job.state, file, null)).toHaveLength(2);
  });
  test('kept beside what jobs before saw; no torque of the file comes of it', () => {
    const job = tell({ complaint: 'hose', vehicle: file });
    job.say('torque', { key: `support:${strap.id}`, asWritten: '41 N·m', lo: 41, hi: 41 });
    const before = { ...file, seen: { [`pulled ${strap.fastener}`]: [38] } };
    const [figure] = keptFigures(job.state, before, null);
    expect(figure!.before).toEqual([38]);
    const next = withKept(before, [figure!], {});
    expect(next.seen).toEqual({ [`pulled ${strap.fastener}`]: [38, 41] });
    expect(next.fasteners).toEqual(file.fasteners);
    expect(() => checkVehicle(next)).not.toThrow();
  });
});

describe('places of the head', () => {
  test('said on a job they order its walk, and go into the file where it had none', () => {
    const bare = { ...file, connections: file.connections.map(({ seenFrom: _, ...line }) => line) };
    const job = tell({ complaint: 'hose', vehicle: bare });
    for (const id of ['vent', 'filler']) job.say('cleared', { key: `line:${id}` });
    for (const id of ['vent', 'filler']) job.say('made', { key: `line:${id}` });
    expect(walkOf(job.state).map(({ place }) => place)).toEqual([null, null]);
    for (const id of ['vent', 'filler']) job.say('seenFrom', { key: `line:${id}`, place: 'left arch' });
    expect(walkOf(job.state).map(({ place, joints }) => [place, joints.length])).toEqual([['left arch', 2]]);
    const places = keptPlaces(job.state, bare);
    expect(places).toEqual({ vent: 'left arch', filler: 'left arch' });
    const next = withKept(bare, [], { places });
    expect(next.connections.find(({ id }) => id === 'vent')!.seenFrom).toBe('left arch');
    expect(() => checkVehicle(next)).not.toThrow();
    expect(keptPlaces(job.state, next)).toEqual({});
  });
});

describe('the sender’s curve out of a refill', () => {
  const refilled = (ohms: readonly (number | undefined)[]) => {
    const job = tell({ complaint: 'level', vehicle: file });
    job.say('fuelWitness', { witness: 'dip', reading: 0 });
    for (const one of ohms) {
      job.say('fill', { litres: 20, from: 'new' });
      job.say('refillRead', one === undefined ? { needle: 0.5 } : { ohms: one });
    }
    return job.state;
  };
  test('ohms at the heights of known litres, its stops beyond them', () => {
    const { points } = keptCurve(refilled([34, 47, 60]), file)!;
    expect(points[0]).toEqual({ mm: 0, ohms: 20 });
    expect(points.at(-1)!.ohms).toBe(80);
    expect(points.slice(1, -1).map(({ ohms }) => ohms)).toEqual([34, 47, 60]);
    // Each height holds the litres that were in it then, as the sender’s own table tells them.
    for (const [i, { mm }] of points.slice(1, -1).entries())
      expect(Math.abs(litresAt(file, mm) - 20 * (i + 1))).toBeLessThan(1.5);
    const next = withKept(file, [], { curve: { points } });
    expect(next.sender!.curve).toEqual(points);
    expect(() => checkVehicle(next)).not.toThrow();
  });
  test('a file that has one, one step alone, or no ohms teach none', () => {
    const state = refilled([34, 47]);
    expect(keptCurve(state, { ...file, sender: { ...file.sender!, curve: [{ mm: 0, ohms: 20 }] } })).toBeNull();
    expect(keptCurve(state, { ...file, sender: null })).toBeNull();
    expect(keptCurve(state, { ...file, tank: rail.tank })).toBeNull();
    expect(keptCurve(refilled([34]), file)).toBeNull();
    expect(keptCurve(refilled([undefined, 40]), file)).toBeNull();
  });
});
