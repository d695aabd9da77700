import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { clampKinds, clampSizes, type BandWidth, type ClampKind } from './clamp.ts';
import { hoseGrades, type HoseGrade } from './grade.ts';
import { RUBS, type Rubs } from './rubs.ts';
import { hoseStates, type HoseState } from './seen.ts';

/** A hose was looked at, or a new one is in. */
export class HoseSeenBody {
  /** Key of the rubber. */
  @IsString() @Length(3, 90) key!: string;
  /** What is printed on it. */
  @IsIn(hoseGrades) grade!: HoseGrade;
  /** bar a metric print names. */
  @IsOptional() @IsNumber() @Min(0) @Max(100) printedBar?: number;
  /** mm inside. */
  @IsOptional() @IsNumber() @Min(2) @Max(80) bore?: number;
  /** mm of the pipe at the tank. */
  @IsOptional() @IsNumber() @Min(2) @Max(80) pipe?: number;
  /** mm of the pipe at the other end. */
  @IsOptional() @IsNumber() @Min(2) @Max(80) other?: number;
  /** What is seen of it. */
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(6) @IsIn(hoseStates, { each: true }) is!: HoseState[];
  /** Year printed on it. */
  @IsOptional() @IsInt() @Min(1950) @Max(2100) year?: number;
}

/** A place of a hose, from the side. */
export class RoutePointBody {
  /** mm along. */
  @IsNumber() @Min(-5000) @Max(5000) x!: number;
  /** mm up. */
  @IsNumber() @Min(-3000) @Max(3000) z!: number;
}

/** How a hose runs. */
export class HoseRunsBody {
  /** Key of the rubber. */
  @IsString() @Length(3, 90) key!: string;
  /** Is its lowest point below both of its ends? */
  @IsBoolean() below!: boolean;
  /** mm inside. */
  @IsOptional() @IsNumber() @Min(2) @Max(80) bore?: number;
  /** Drawn from the side, from the tank on. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(24)
  @ValidateNested({ each: true })
  @Type(() => RoutePointBody)
  route?: RoutePointBody[];
  /** Does its other end stand in the open air? */
  @IsOptional() @IsBoolean() openAir?: boolean;
  /** On what it lies, or nearly. */
  @IsOptional() @IsArray() @ArrayMaxSize(4) @IsIn(RUBS, { each: true }) rubs?: Rubs[];
  /** Is there a sleeve on it, or a clip that keeps it off? */
  @IsOptional() @IsBoolean() guarded?: boolean;
}

/** A clamp is on. */
export class ClampPutBody {
  /** Key of the rubber. */
  @IsString() @Length(3, 90) key!: string;
  /** At which of its ends. */
  @IsIn(['tank', 'other']) end!: 'tank' | 'other';
  /** Of which kind. */
  @IsIn(clampKinds) kind!: ClampKind;
  /** Stamped size of a worm clamp. */
  @IsOptional() @IsIn(clampSizes.map(({ name }) => name)) size?: string;
  /** mm, outside of the fitted hose. */
  @IsOptional() @IsNumber() @Min(4) @Max(90) over?: number;
  /** Width of its band, mm. */
  @IsOptional() @IsIn(['8', '9', '12']) band?: BandWidth;
  /** N·m it was drawn to. */
  @IsOptional() @IsNumber() @Min(0) @Max(20) torque?: number;
  /** Is what it sits on plastic? */
  @IsDefined() @IsBoolean() plastic!: boolean;
  /** Is the support sleeve in? */
  @IsOptional() @IsBoolean() sleeve?: boolean;
  /** Has the pipe a bead or a barb? */
  @IsDefined() @IsBoolean() bead!: boolean;
  /** Was it there before? */
  @IsDefined() @IsBoolean() again!: boolean;
}
