import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { threads } from '../thread/index.ts';
import { Written } from '../checked/index.ts';
import { fitFigures, type FitFigure } from './figures.ts';
import { pinUses, type PinUse } from './pins.ts';

/** What was measured of a new part, and of the old one beside it. */
export class FitMeasuredBody {
  /** Which figure. */
  @IsIn(fitFigures) figure!: FitFigure;
  /** Of the new part: mm, Ω, bar or L. */
  @IsNumber() @Min(0) @Max(5000) now!: number;
  /** Of the old part; left out: nobody measured it. */
  @IsOptional() @IsNumber() @Min(0) @Max(5000) old?: number;
}

/** What a line or a port ends in. */
export class EndBody {
  /** Of which sort. */
  @IsIn(['hose', 'pipe', 'thread']) kind!: 'hose' | 'pipe' | 'thread';
  /** Bore of a hose, outside of a pipe or barb, mm. */
  @IsOptional() @IsNumber() @Min(2) @Max(80) mm?: number;
  /** Name of a thread. */
  @IsOptional() @IsIn(threads.map(({ name }) => name)) name?: string;
  /** Its side. */
  @IsOptional() @IsIn(['male', 'female']) side?: 'male' | 'female';
}

/** One port of the new part, held against the line that goes on it. */
export class PortLaidBody {
  /** Id of the line. */
  @IsString() @Length(1, 60) line!: string;
  /** As the old one; of another size; of another use inside (draws, returns, shuts off); not there. */
  @IsIn(['same', 'size', 'use', 'missing']) is!: 'same' | 'size' | 'use' | 'missing';
  /** What the line ends in, where the size is another. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => EndBody) from?: EndBody;
  /** What the new part offers. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => EndBody) to?: EndBody;
}

/** The plug, pin by pin. */
export class PinsReadBody {
  /** Of the old part, in the order of its cavities. */
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(12) @IsIn(pinUses, { each: true }) old!: PinUse[];
  /** Of the new one. */
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(12) @IsIn(pinUses, { each: true }) now!: PinUse[];
  /** How they were read. */
  @IsIn(['meter', 'colour']) how!: 'meter' | 'colour';
}

/** A part of a set from several donors. */
export class SetPartBody {
  /** Id of the part. */
  @IsString() @Length(1, 60) part!: string;
  /** From whom, as it is written on it. */
  @IsString() @Length(1, 60) @Written('from whom it comes') donor!: string;
  /** mm of its lower end: bore where it goes over, else its outside. */
  @IsOptional() @IsNumber() @Min(2) @Max(80) low?: number;
  /** mm of its upper end. */
  @IsOptional() @IsNumber() @Min(2) @Max(80) high?: number;
}
