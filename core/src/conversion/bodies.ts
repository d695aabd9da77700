import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsDefined,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';

/** A hole that is not made yet. */
export class HolePlannedBody {
  /** mm above the tank. */
  @IsNumber() @Min(0) @Max(500) stack!: number;
  /** mm to what is above it. */
  @IsNumber() @Min(0) @Max(1000) recess!: number;
  /** What hangs there. */
  @IsOptional() @IsString() @MaxLength(80) hangs?: string;
  /** mm */
  @IsNumber() @Min(5) @Max(300) hole!: number;
  /** mm; left out: a ring. */
  @IsOptional() @IsNumber() @Min(5) @Max(400) boltCircle?: number;
  /** mm */
  @IsOptional() @IsNumber() @Min(2) @Max(20) bolt?: number;
  /** mm under a straight edge. */
  @IsNumber() @Min(0) @Max(30) outOfFlat!: number;
  /** mm the seal gives. */
  @IsNumber() @Min(0.1) @Max(20) squeeze!: number;
  /** mm from the unit to tray, baffle or wall. */
  @IsNumber() @Min(0) @Max(2000) inside!: number;
  /** mm the float needs. */
  @IsNumber() @Min(0) @Max(1000) swing!: number;
  /** Degrees it points off. */
  @IsNumber() @Min(-180) @Max(180) clocking!: number;
  /** Never held fuel. */
  @IsBoolean() neverFuelled!: boolean;
}

/** What one of each is good for, kN. */
class GoodBody {
  /** kN */
  @IsOptional() @IsNumber() @Min(0.1) @Max(500) hook?: number;
  /** kN */
  @IsOptional() @IsNumber() @Min(0.1) @Max(500) strap?: number;
  /** kN */
  @IsOptional() @IsNumber() @Min(0.1) @Max(500) bolt?: number;
}

/** A support made in the shop, or one that carries more. */
export class SupportPlannedBody {
  /** kg, full. */
  @IsNumber() @Min(1) @Max(2000) kilograms!: number;
  /** How many. */
  @IsInt() @Min(1) @Max(12) count!: number;
  /** The shop’s factor, as it was set then; left out: none was. */
  @IsOptional() @IsNumber() @Min(1) @Max(20) shock?: number;
  /** What one of each is good for. */
  @IsDefined() @ValidateNested() @Type(() => GoodBody) good!: GoodBody;
  /** Who outside signed for it. */
  @IsOptional() @IsString() @MaxLength(120) signedBy?: string;
}
