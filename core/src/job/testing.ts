import fc from 'fast-check';
import { archetypes } from '../vehicle/index.ts';
import type { Entry, EntryKind } from './types.ts';

/** Arbitrary entries of every kind a job can see, sensible and senseless, for property tests. */
const keys = fc.constantFrom(
  'line:feed',
  'line:vent',
  'line:plug',
  'clip:feed-clip',
  'obstruction:shield',
  'support:strap-1',
  'line:moon',
  'thing:x',
  'odd',
);
const drop = fc.integer({ min: 0, max: 70 }).map((n) => n * 5);
const pose = drop.map((f) => ({ f, r: f }));
const gate = fc.constantFrom(1, 2, 3, 4);
const names = fc.subarray(['feed', 'vent', 'plug', 'return', 'moon']);
const off = fc.array(fc.record({ key: keys, tag: fc.integer({ min: 1, max: 40 }) }), { maxLength: 4 });
const stop = fc.record({
  to: pose,
  off,
  capped: fc.constant([] as string[]),
  look: fc.record({ asked: fc.boolean(), tight: names, nearly: names, allFist: fc.boolean(), reachable: names }),
  notDone: fc.constant([]),
});

const bodies: Partial<Record<EntryKind, fc.Arbitrary<unknown>>> = {
  opened: fc.constantFrom(...archetypes).map((vehicle) => ({ name: 'Van', complaint: 'pump', vehicle, gauge: 0.5 })),
  identity: fc.constant({ plate: 'IS 1', mileage: 10, unit: 'km' }),
  complaintTest: fc.constant({ test: 'volts', result: 'shown' }),
  complaintAgain: fc.record({ result: fc.constantFrom('passed', 'unchanged', 'worse') }),
  fuelWitness: fc.record({
    witness: fc.constantFrom('gauge', 'dip', 'plugDry', 'weight', 'ranDry'),
    reading: fc.double({ min: 0, max: 300, noNaN: true }),
  }),
  gateItem: fc.record({
    gate,
    item: fc.constantFrom('air', 'heat', 'support', 'hands', 'battery', 'jack', 'seal'),
    answer: fc.constantFrom('yes', 'no', 'new'),
  }),
  gate: fc.record({ gate }),
  exception: fc.record({
    gate,
    item: fc.constantFrom('pressure', 'witnesses'),
    reason: fc.constant('known'),
    lead: fc.constant('marit'),
    approval: fc.constant('a'),
  }),
  pressure: fc.record({ reading: fc.integer({ min: 0, max: 400 }) }),
  container: fc.record({
    number: fc.integer({ min: 1, max: 3 }),
    capacity: fc.constant(20),
    litres: fc.double({ min: 0, max: 20, noNaN: true }),
    clean: fc.boolean(),
  }),
  fuelMoved: fc.record({
    what: fc.constantFrom('spilled', 'returned', 'disposed', 'fedIn'),
    litres: fc.integer({ min: 1, max: 20 }),
  }),
  tankShape: fc.constant({ shape: { kind: 'cylinder', length: 900, width: 300, height: 300 }, litres: 60 }),
  fill: fc.record({ litres: fc.integer({ min: 1, max: 60 }) }),
  stopDone: stop,
  crept: fc.tuple(stop, fc.option(keys, { nil: undefined })).map(([s, taut]) => (taut ? { ...s, taut } : s)),
  moved: fc.record({ to: pose }),
  surprise: fc.oneof(
    fc.record({ what: fc.constant('holds'), key: fc.oneof(keys, fc.constant('new:1')), lets: drop }),
    fc.record({ what: fc.constant('freed'), key: keys, more: fc.integer({ min: 1, max: 90 }) }),
  ),
  pulled: fc.record({ key: keys }),
  inspected: fc.record({ key: keys, outcome: fc.constantFrom('good', 'bad') }),
  cleared: fc.record({ key: keys }),
  made: fc.record({ key: keys }),
  restored: fc.record({ key: keys }),
  putIn: fc.constant({ name: 'rag' }),
  takenOut: fc.record({ key: keys }),
  loosened: fc.constant({ name: 'collar', until: 'hoses are on' }),
  deferred: fc.record({ key: keys, until: fc.constant('home') }),
  deviation: fc.record({
    key: keys,
    reason: fc.constant('missing'),
    who: fc.constant('owner'),
    due: fc.constant('next'),
  }),
  replaced: fc.record({ key: keys, slack: drop }),
  cut: fc.record({
    what: fc.constantFrom('hose', 'pipe', 'clamp', 'body'),
    where: fc.constant('at the neck'),
    key: keys,
    tried: fc.constant([] as string[]),
  }),
  torque: fc.record({
    key: fc.constant('support:strap-1'),
    asWritten: fc.constant('40 N·m'),
    lo: fc.constant(40),
    hi: fc.constant(40),
  }),
  jointSeen: fc.record({ key: keys, seen: fc.constantFrom('dry', 'weeps'), checks: fc.subarray(['wiped', 'wet']) }),
  finding: fc.constant({ what: 'light film', where: 'floor', verdict: 'good' }),
  wait: fc.record({ what: fc.constant('soak'), state: fc.constantFrom('start', 'end'), minutes: fc.constant(20) }),
  parked: fc.constant({ reason: 'seal' }),
  takeBack: fc.constant({ entry: '' }),
  signed: fc.constant({}),
  addendum: fc.constant({ text: 'later' }),
};

/** A log of up to `most` entries that opens the job first. `takeBack` names the entry before it half of the time. */
export const anyLog = (most = 25): fc.Arbitrary<Entry[]> => {
  const kinds = Object.keys(bodies).filter((kind) => kind !== 'opened') as EntryKind[];
  const later = fc.constantFrom(...kinds).chain((kind) => bodies[kind]!.map((body) => ({ kind, body })));
  const first = bodies.opened!.map((body) => ({ kind: 'opened' as EntryKind, body }));
  return fc.tuple(first, fc.array(later, { maxLength: most })).map(([opened, rest]) =>
    [opened, ...rest].map(({ kind, body }, i) => ({
      id: `e${i}`,
      jobId: 'job',
      seq: i + 1,
      at: new Date(Date.UTC(2026, 0, 5, 8, i)).toISOString(),
      by: 'ines',
      kind,
      body: kind === 'takeBack' ? { entry: `e${i - 1}` } : body,
    })),
  ) as fc.Arbitrary<Entry[]>;
};
