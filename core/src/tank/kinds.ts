import {
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateBy,
} from 'class-validator';
import { measured } from '../basis/index.ts';
import { defineKind } from '../kernel/index.ts';
import type { TankShape } from '../shape/index.ts';
import { checkTank, type VehicleSlice } from '../vehicle/index.ts';
import { litresIn, litresOut } from './counted.ts';
import { pastGuess, witness } from './told.ts';
import type { FuelFacts, FuelSlice } from './types.ts';
import { witnessSource, witnessWord, type WitnessKind } from './witness.ts';

/** What is expected where nothing of the kind was given. */
const FORM = 'a tank as it is built: box, cylinder, profile, lobes or table';

/** A shape that makes sense, with an outlet inside it where one is given. */
const IsTankShape = () =>
  ValidateBy({
    name: 'isTankShape',
    validator: {
      validate: (value, args) => wrongWith(value, args?.object) === null,
      defaultMessage: (args) => wrongWith(args?.value, args?.object) ?? FORM,
    },
  });

function wrongWith(shape: unknown, body: unknown): string | null {
  try {
    if (typeof shape !== 'object' || shape === null || !('kind' in shape)) return FORM;
    if (!['box', 'cylinder', 'profile', 'lobes', 'table'].includes(String(shape.kind))) return FORM;
    checkTank({ shape: shape as TankShape, outlet: (body as TankShapeBody).outlet ?? null });
    return null;
  } catch (error) {
    return error instanceof Error && error.name === 'InputError' ? error.message : FORM;
  }
}

/** What somebody read or saw of what is aboard. */
class FuelWitnessBody {
  /** By what. */
  @IsIn(Object.keys(witnessSource)) witness!: WitnessKind;
  /** In its own unit. */
  @IsOptional() @IsNumber() @Min(0) @Max(1000) reading?: number;
}

/** Litres that went into a container. */
class ContainerBody {
  /** Number of the can. */
  @IsInt() @Min(1) @Max(99) number!: number;
  /** What it holds, L. */
  @IsNumber() @Min(0.5) @Max(1000) capacity!: number;
  /** L */
  @IsNumber() @Min(0) @Max(1000) litres!: number;
  /** Fit to go back. */
  @IsBoolean() clean!: boolean;
}

/** Litres that went another way than into a can. */
class FuelMovedBody {
  /** Which way. */
  @IsIn(['spilled', 'returned', 'disposed', 'fedIn']) what!: 'spilled' | 'returned' | 'disposed' | 'fedIn';
  /** L */
  @IsNumber() @Min(0.05) @Max(1000) litres!: number;
  /** In words. */
  @IsOptional() @IsString() @MaxLength(200) words?: string;
}

/** The shape of the tank as somebody measured it, where its pick-up is and what it holds; for this job. */
class TankShapeBody {
  /** mm */
  @IsTankShape() shape!: TankShape;
  /** mm */
  @IsOptional() @IsObject() outlet?: { x: number; y: number; z: number };
  /** L */
  @IsOptional() @IsNumber() @Min(1) @Max(1000) litres?: number;
}

/** Litres put in. */
class FillBody {
  /** L */
  @IsNumber() @Min(0.1) @Max(1000) litres!: number;
  /** Out of the cans, its own fuel; left out: new. */
  @IsOptional() @IsIn(['cans', 'new']) from?: 'cans' | 'new';
}

/** A witness of what is aboard. */
export const fuelWitness = defineKind<'fuelWitness', FuelWitnessBody, FuelSlice, FuelFacts>({
  kind: 'fuelWitness',
  version: 1,
  Body: FuelWitnessBody,
  apply: (own, body, { moment, tell, facts }) => {
    if (witness(own, moment, { kind: body.witness, reading: body.reading ?? null, tell, facts }))
      tell('fuelChanged', { in: false });
  },
  touches: (_body, id) => ({ reads: ['fuel'], writes: [`witness:${id}`] }),
  words: (body) => `witness: ${witnessWord[body.witness]}`,
  arbitrary: (f) =>
    f.record({
      witness: f.constantFrom(
        'gauge' as const,
        'dip' as const,
        'plugDry' as const,
        'weight' as const,
        'ranDry' as const,
      ),
      reading: f.double({ min: 0, max: 300, noNaN: true }),
    }),
});

/** Litres into a can. */
export const container = defineKind<'container', ContainerBody, FuelSlice, FuelFacts>({
  kind: 'container',
  version: 1,
  Body: ContainerBody,
  apply: (own, body, { moment: { id, by, at }, tell, facts: { vehicle } }) => {
    own.pours.push({ ...body, id, by, at });
    pastGuess(own, { vehicle, least: { litres: litresOut(own) - litresIn(own) }, id, tell });
    tell('fuelChanged', { in: false });
  },
  touches: () => ({ reads: [], writes: ['fuel'] }),
  words: ({ litres, number }, speech) => `${speech.litres(litres)} into can ${number}`,
  arbitrary: (f) =>
    f.record({
      number: f.integer({ min: 1, max: 3 }),
      capacity: f.constant(20),
      litres: f.double({ min: 0, max: 20, noNaN: true }),
      clean: f.boolean(),
    }),
});

const ways = { spilled: 'spilt', returned: 'put back', disposed: 'disposed of', fedIn: 'came in by itself' } as const;

/** Litres another way. */
export const fuelMoved = defineKind<'fuelMoved', FuelMovedBody, FuelSlice, FuelFacts>({
  kind: 'fuelMoved',
  version: 1,
  Body: FuelMovedBody,
  apply: (own, { what, litres, words }, { moment, tell }) => {
    const { id, by, at } = moment;
    // What came in by itself was found by a look: witnesses since the first have seen it.
    if (what === 'fedIn') for (const w of own.witnesses) if (w.outBefore > 0 || w.inBefore > 0) w.inBefore += litres;
    own.moves.push({ id, what, litres, words: words ?? null, by, at });
    tell('fuelChanged', { in: what === 'returned' || what === 'fedIn' });
  },
  touches: () => ({ reads: [], writes: ['fuel'] }),
  words: ({ what, litres }, speech) => `${speech.litres(litres)} ${ways[what]}`,
  arbitrary: (f) =>
    f.record({
      what: f.constantFrom('spilled' as const, 'returned' as const, 'disposed' as const, 'fedIn' as const),
      litres: f.integer({ min: 1, max: 20 }),
    }),
});

/** A shape measured on the job. */
export const tankShape = defineKind<'tankShape', TankShapeBody, VehicleSlice>({
  kind: 'tankShape',
  version: 1,
  Body: TankShapeBody,
  apply: (own, { shape, outlet, litres }, { tell }) => {
    own.vehicle.tank = { ...own.vehicle.tank, shape, shapeBasis: 'measured', outlet: outlet ?? null };
    if (litres !== undefined) own.vehicle.tank.litres = { lo: litres, typ: litres, hi: litres, basis: measured };
    tell('tankShaped', {});
    tell('fuelChanged', { in: false });
  },
  touches: () => ({ reads: [], writes: ['fuel', 'shape'] }),
  words: () => 'shape of the tank',
  arbitrary: (f) =>
    f.constant({ shape: { kind: 'cylinder' as const, length: 900, width: 300, height: 300 }, litres: 60 }),
});

/** Litres put in. */
export const fill = defineKind<'fill', FillBody, FuelSlice, FuelFacts>({
  kind: 'fill',
  version: 1,
  Body: FillBody,
  apply: (own, { litres, from }, { moment: { id, by, at }, tell }) => {
    own.fills.push({ id, litres, own: from === 'cans', by, at });
    tell('fuelChanged', { in: true });
  },
  touches: () => ({ reads: [], writes: ['fuel'] }),
  words: ({ litres, from }, speech) => `${speech.litres(litres)} ${from === 'cans' ? 'put back' : 'put in'}`,
  arbitrary: (f) =>
    f.record({ litres: f.integer({ min: 1, max: 60 }), from: f.constantFrom('cans' as const, 'new' as const) }),
});
