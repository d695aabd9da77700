import { castDraft } from 'immer';
import { InputError } from '../errors/index.ts';
import { defineKind } from '../kernel/index.ts';
import { driverWord, judgeArm, needleIn } from '../sender/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import { ArmMeasuredBody, DriverSawBody, SenderKeptBody } from './bodies.ts';
import { add, MODULE, written } from './words.ts';
import type { BenchSlice } from './slice.ts';

type Facts = BenchSlice & VehicleSlice;

/** The float’s height was measured at both stops: a bent arm shows there, not in its ohms. */
export const armMeasured = defineKind<'armMeasured', ArmMeasuredBody, BenchSlice, Facts>({
  kind: 'armMeasured',
  version: 1,
  Body: ArmMeasuredBody,
  check: ({ empty, full, wasEmpty, wasFull }) => {
    if (!(empty > full)) throw new InputError('body.empty', String(empty), 'lower below the flange than at full');
    if (!(wasEmpty > wasFull))
      throw new InputError('body.wasEmpty', String(wasEmpty), 'lower below the flange than at full');
  },
  apply: (own, { part, empty, full, wasEmpty, wasFull }, { moment, facts, tell }) => {
    const verdict = judgeArm({ empty, full }, { empty: wasEmpty, full: wasFull }, facts.vehicle);
    add(own, part, { how: 'measured', verdict, moment });
    if (verdict.outcome !== 'good') tell('unitChanged', {});
  },
  touches: ({ part }) => ({ reads: [MODULE], writes: [written(part), 'gate:3'] }),
  words: ({ part }) => `${part}: float measured at both stops`,
  arbitrary: (f) =>
    f.record({
      part: f.constantFrom('sender', 'moon'),
      empty: f.constantFrom(230, 250),
      full: f.constant(30),
      wasEmpty: f.constant(230),
      wasFull: f.constant(30),
    }),
});

/** The old sender goes into another tank: what its needle means there. */
export const senderKept = defineKind<'senderKept', SenderKeptBody, BenchSlice, Facts>({
  kind: 'senderKept',
  version: 1,
  Body: SenderKeptBody,
  check: ({ empty, full, toFloor, pickup }) => {
    if (!(empty > full)) throw new InputError('body.empty', String(empty), 'lower below the flange than at full');
    if (!(toFloor > full)) throw new InputError('body.toFloor', String(toFloor), 'deeper than the float hangs at full');
    if (!(pickup < toFloor)) throw new InputError('body.pickup', String(pickup), 'less than from opening to floor');
  },
  apply: (own, body, { moment: { id, by, at }, facts }) =>
    void (own.needle = castDraft({ ...needleIn(facts.vehicle, body), id, by, at })),
  touches: () => ({ reads: [], writes: ['needle'] }),
  words: ({ litres }) => `what the needle means in a tank of ${litres} L`,
  arbitrary: (f) =>
    f.record({
      litres: f.constant(120),
      toFloor: f.constantFrom(250, 330),
      empty: f.constant(240),
      full: f.constant(20),
      pickup: f.constant(10),
    }),
});

/** What the driver saw of the gauge. */
export const driverSaw = defineKind<'driverSaw', DriverSawBody, BenchSlice, Facts>({
  kind: 'driverSaw',
  version: 1,
  Body: DriverSawBody,
  apply: (own, { saw, where }, { moment: { id, by, at } }) =>
    void (own.driver = { saw, ...(where === undefined || saw !== 'jumps' ? {} : { where }), id, by, at }),
  touches: () => ({ reads: [], writes: ['driver'] }),
  words: ({ saw }) => `driver: ${driverWord[saw]}`,
  arbitrary: (f) => f.record({ saw: f.constantFrom('jumps' as const, 'stuckFull' as const) }),
});
