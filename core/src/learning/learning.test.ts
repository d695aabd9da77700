import { said } from '../job/testing.ts';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { type Bodies, type EntryKind, foldJob, type JobState, logWriter } from '../job/index.ts';
import { archetypes, asVariant, checkVehicle, difference, vehicleSchema, type VehicleFile } from '../vehicle/index.ts';
import { lessons, taught } from './index.ts';
import { rangeFrom } from './lessons.ts';

const rail = archetypes[0]!;
const look = { asked: true, tight: [], nearly: [], allFist: false, reachable: [] };
const valid = new Ajv2020({ strict: false }).compile(vehicleSchema);

function job(vehicle: VehicleFile) {
  const write = logWriter('job');
  let state: JobState = foldJob(null, [write('opened', { name: 'Van', complaint: 'pump', vehicle })])!;
  return {
    log: <K extends EntryKind>(kind: K, body: Bodies[K]) => (state = foldJob(state, [write(kind, body)])!),
    get state() {
      return state;
    },
  };
}
const taut = (mm: number, id: string): Bodies['crept'] => ({
  to: { f: mm, r: mm },
  off: [],
  capped: [],
  look,
  notDone: [],
  taut: `line:${id}`,
});

describe('what a job teaches its file', () => {
  test('seen once ±30 %, seen three times least to most', () => {
    expect(rangeFrom([50])).toEqual({ lo: 35, typ: 50, hi: 65, basis: { kind: 'learned', count: 1 } });
    expect(rangeFrom([40, 60])).toEqual({ lo: 28, typ: 50, hi: 78, basis: { kind: 'learned', count: 2 } });
    expect(rangeFrom([40, 60, 45])).toEqual({ lo: 40, typ: 45, hi: 60, basis: { kind: 'learned', count: 3 } });
  });

  test('a line felt taut three jobs long: the file ends at what was seen, and says three times', () => {
    let file = rail;
    for (const mm of [45, 55, 50]) {
      const one = job(file);
      one.log('crept', taut(mm, 'vent'));
      const list = lessons(one.state).filter((l) => l.path === 'slack vent');
      expect(list).toMatchObject([{ seen: mm, what: expect.stringMatching(/, slack$/) as string }]);
      file = taught(file, list);
      expect(valid(file)).toBe(true);
      expect(() => checkVehicle(file)).not.toThrow();
    }
    const { slack } = file.connections.find((c) => c.id === 'vent')!;
    expect(slack).toEqual({ lo: 45, typ: 50, hi: 55, basis: { kind: 'learned', count: 3 } });
    expect(file.seen!['slack vent']).toEqual([45, 55, 50]);
    // The file it began with is untouched.
    expect(rail.seen).toBeUndefined();
  });

  test('what was known better than ±30 % never gets wider; what contradicts the file does count', () => {
    const known = structuredClone(rail);
    const vent = known.connections.find((c) => c.id === 'vent')!;
    Object.assign(vent, { slack: { lo: 48, typ: 50, hi: 52 }, clips: [] });
    const teach = (mm: number) => {
      const one = job(known);
      one.log('answer', said('slack vent', String(mm)));
      return lessons(one.state).find((l) => l.path === 'slack vent')!.after;
    };
    expect(teach(51)).toMatchObject({ lo: 48, typ: 51, hi: 52 });
    expect(teach(80)).toMatchObject({ lo: 56, typ: 80, hi: 104 });
  });

  test('something nobody had written down becomes an obstruction with an id of its own', () => {
    const one = job(rail);
    one.log('surprise', { what: 'holds', key: 'new:1', name: 'tow wiring', lets: 60 });
    const [lesson] = lessons(one.state);
    expect(lesson).toMatchObject({ what: 'tow wiring', seen: 60, before: null });
    const file = taught(rail, [lesson!]);
    expect(file.obstructions.at(-1)).toMatchObject({ id: 'found-1', name: 'tow wiring', blocksAt: { typ: 60 } });
    expect(() => checkVehicle(file)).not.toThrow();
    // A new thing in the next job is a second one.
    const two = job(file);
    two.log('surprise', { what: 'holds', key: 'new:1', name: 'bracket', lets: 40 });
    expect(taught(file, lessons(two.state)).obstructions.map((o) => o.id)).toContain('found-2');
  });

  test('a joint parted higher than the file was sure of: a hand reaches it from there', () => {
    const line = rail.connections.find((c) => c.part.some((w) => w.reachFrom.lo < w.reachFrom.hi))!;
    const way = line.part.find((w) => w.reachFrom.lo < w.reachFrom.hi)!;
    const at = Math.round(way.reachFrom.hi / 5) * 5 - 5;
    const one = job(rail);
    one.log('stopDone', {
      to: { f: at, r: at },
      off: [{ key: `line:${line.id}`, way: way.id }],
      capped: [],
      look,
      notDone: [],
    });
    const file = taught(
      rail,
      lessons(one.state).filter((l) => l.path === `reach ${way.id}`),
    );
    const after = file.connections.find((c) => c.id === line.id)!.part.find((w) => w.id === way.id)!.reachFrom;
    expect(after.hi).toBe(at);
    expect(after.lo).toBeLessThanOrEqual(after.hi);
  });

  test('with its clip off a line teaches nothing of the slack it has with it; a guess teaches nothing at all', () => {
    const line = rail.connections.find((c) => c.clips.length > 0)!;
    const one = job(rail);
    one.log('stopDone', {
      to: { f: 0, r: 0 },
      off: [{ key: `clip:${line.clips[0]!.id}` }],
      capped: [],
      look,
      notDone: [],
    });
    one.log('crept', taut(80, line.id));
    expect(lessons(one.state).filter((l) => l.path.startsWith('slack'))).toEqual([]);
    const two = job(rail);
    two.log('answer', said('slack vent', 'short'));
    expect(lessons(two.state)).toEqual([]);
  });
});

describe('variants, decided by one look', () => {
  const other = rail.connections[1]!;
  const file: VehicleFile = {
    ...rail,
    variants: [
      {
        id: 'lines',
        look: 'Two lines at the front, or three?',
        choices: [
          { label: 'Two', without: [other.id] },
          { label: 'Three', without: [] },
        ],
      },
    ],
  };

  test('the answer takes away what this one does not have, and nothing waits for it', () => {
    const one = job(file);
    one.log('answer', said('variant lines', 'Two'));
    const { connections, variants } = one.state.vehicle;
    expect(connections.map((c) => c.id)).not.toContain(other.id);
    expect(connections).toHaveLength(rail.connections.length - 1);
    expect(connections.flatMap((c) => c.part.flatMap((w) => w.after))).not.toContain(other.id);
    expect(variants).toEqual([]);
    expect(asVariant(file, 'lines', 'Three').connections).toHaveLength(rail.connections.length);
  });

  test('a choice the file does not have, or one that names what is not there, is refused', () => {
    expect(() => asVariant(file, 'lines', 'Four')).toThrow(/Two or Three/);
    const wrong = structuredClone(file);
    wrong.variants![0]!.choices[0]!.without = ['heater-9'];
    expect(() => checkVehicle(wrong)).toThrow(/variants.lines.*heater-9/);
    expect(valid(file)).toBe(true);
  });
});

describe('two files beside one another', () => {
  test('says where they differ, in words, and nothing where they do not', () => {
    const b = structuredClone(rail);
    b.connections.reverse();
    expect(difference(rail, b)).toEqual([]);
    b.connections.find((c) => c.id === 'vent')!.slack = { lo: 35, typ: 40, hi: 45 };
    b.connections = b.connections.filter((c) => c.id !== 'feed');
    b.tiltLimit += 10;
    const list = difference(rail, b);
    expect(list).toContainEqual({ where: 'feed line', a: 'there', b: 'not there' });
    expect(list.find((d) => d.where.endsWith('slack'))).toMatchObject({ b: '35–45' });
    expect(list).toContainEqual({ where: 'tilt let', a: String(rail.tiltLimit), b: String(rail.tiltLimit + 10) });
    expect(list).toHaveLength(3);
  });
});
