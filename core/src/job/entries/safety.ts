import { witnessSource, type WitnessKind } from '../../tank/index.ts';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Max, MaxLength, Min } from './shared.ts';

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

export class FillBody {
  @IsNumber() @Min(0.1) @Max(1000) litres!: number;
}
