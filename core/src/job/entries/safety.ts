import { IsObject, ValidateBy } from 'class-validator';
import type { TankShape } from '../../shape/index.ts';
import { witnessSource, type WitnessKind } from '../../tank/index.ts';
import { checkTank } from '../../vehicle/index.ts';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Max, MaxLength, Min } from './shared.ts';

/** A shape that makes sense, with an outlet inside it where one is given. */
const IsTankShape = () =>
  ValidateBy({
    name: 'isTankShape',
    validator: {
      validate: (value, args) => wrongWith(value, args?.object) === null,
      defaultMessage: (args) => wrongWith(args?.value, args?.object) ?? 'the shape of a tank',
    },
  });

function wrongWith(shape: unknown, body: unknown): string | null {
  try {
    if (typeof shape !== 'object' || shape === null || !('kind' in shape)) return 'the shape of a tank';
    if (!['box', 'cylinder', 'profile', 'lobes', 'table'].includes(String(shape.kind))) return 'a known shape';
    checkTank({ shape: shape as TankShape, outlet: (body as TankShapeBody).outlet ?? null });
    return null;
  } catch (error) {
    return error instanceof Error && error.name === 'InputError' ? error.message : 'the shape of a tank';
  }
}

export type GateNumber = 1 | 2 | 3 | 4;

/** One item of a gate, confirmed or denied by somebody. */
export class GateItemBody {
  @IsIn([1, 2, 3, 4]) gate!: GateNumber;
  @IsString() @Length(1, 40) item!: string;
  @IsString() @Length(1, 40) answer!: string;
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}

/** Going through a gate: an intention, refused while an item of it is not answered. */
export class GateBody {
  @IsIn([1, 2, 3, 4]) gate!: GateNumber;
}

/** An item passed all the same, with a reason, on the lead's word. */
export class ExceptionBody {
  @IsIn([1, 2, 3, 4]) gate!: GateNumber;
  @IsString() @Length(1, 40) item!: string;
  @IsString() @Length(3, 300) reason!: string;
  /** Person who allowed it. */
  @IsString() @Length(1, 60) lead!: string;
  /** The server's proof that the lead typed their PIN on this device. */
  @IsString() @Length(1, 60) approval!: string;
}

/** Residual pressure read, or what counts instead. */
export class PressureBody {
  /** kPa gauge */
  @IsOptional() @IsNumber() @Min(0) @Max(2000) reading?: number;
  @IsOptional() @IsIn(['engineDied', 'noSpurt', 'capOnly']) instead?: 'engineDied' | 'noSpurt' | 'capOnly';
}

export class FuelWitnessBody {
  @IsIn(Object.keys(witnessSource)) witness!: WitnessKind;
  @IsOptional() @IsNumber() @Min(0) @Max(1000) reading?: number;
}

/** Litres that went into a container. */
export class ContainerBody {
  @IsInt() @Min(1) @Max(99) number!: number;
  @IsNumber() @Min(0.5) @Max(1000) capacity!: number;
  @IsNumber() @Min(0) @Max(1000) litres!: number;
  @IsBoolean() clean!: boolean;
}

/** Litres that went another way than into a can. */
export class FuelMovedBody {
  @IsIn(['spilled', 'returned', 'disposed', 'fedIn']) what!: 'spilled' | 'returned' | 'disposed' | 'fedIn';
  @IsNumber() @Min(0.05) @Max(1000) litres!: number;
  @IsOptional() @IsString() @MaxLength(200) words?: string;
}

/** The shape of the tank as somebody measured it, where its pick-up is and what it holds; for this job. */
export class TankShapeBody {
  @IsTankShape() shape!: TankShape;
  @IsOptional() @IsObject() outlet?: { x: number; y: number; z: number };
  @IsOptional() @IsNumber() @Min(1) @Max(1000) litres?: number;
}

export class FillBody {
  @IsNumber() @Min(0.1) @Max(1000) litres!: number;
}
