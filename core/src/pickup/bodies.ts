import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsISO8601,
  IsNumber,
  IsOptional,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';

/** The float beside it. */
class FloatBody {
  /** mm below the flange. */
  @IsNumber() @Min(0) @Max(1000) pivot!: number;
  /** mm from the pick-up. */
  @IsNumber() @Min(0) @Max(1000) away!: number;
  /** mm from pivot to the middle of the float. */
  @IsNumber() @Min(10) @Max(1000) arm!: number;
  /** mm across. */
  @IsNumber() @Min(5) @Max(300) across!: number;
}

/** Where the return ends. */
class ReturnBody {
  /** mm above the floor. */
  @IsNumber() @Min(0) @Max(1000) above!: number;
  /** mm from the pick-up. */
  @IsNumber() @Min(0) @Max(3000) away!: number;
}

/** A pick-up is planned, before it is cut. */
export class PickupPlannedBody {
  /** The engine’s, or a heater’s. */
  @IsIn(['engine', 'heater']) serves!: 'engine' | 'heater';
  /** mm from the face of the opening to the floor. */
  @IsNumber() @Min(20) @Max(1200) toFloor!: number;
  /** Measured with the tank held as on its straps? */
  @IsBoolean() held!: boolean;
  /** mm of the gasket. */
  @IsNumber() @Min(0) @Max(20) gasket!: number;
  /** mm off the floor. */
  @IsNumber() @Min(0) @Max(300) clearance!: number;
  /** L a heater leaves to the engine. */
  @IsOptional() @IsNumber() @Min(0) @Max(1000) reserve?: number;
  /** The float beside it. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => FloatBody) float?: FloatBody;
  /** The return’s end. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => ReturnBody) back?: ReturnBody;
}

/** What is known of the screens, and the day it is said. */
export class ScreensKnownBody {
  /** ISO days on which they were cleaned. */
  @IsArray() @ArrayMaxSize(40) @IsISO8601({ strict: true }, { each: true }) cleaned!: string[];
  /** Is there a filter ahead of the pump? */
  @IsBoolean() filterAhead!: boolean;
  /** A petrol pump’s own sock? */
  @IsBoolean() sock!: boolean;
  /** ISO day on which it is said. */
  @IsISO8601({ strict: true }) today!: string;
}
