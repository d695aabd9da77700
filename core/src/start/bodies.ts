import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsIn, IsNumber, IsOptional, Length, Max, Min } from 'class-validator';

/** What the engine did. */
export const STARTS = ['ran', 'dies', 'no'] as const;

/** The engine was started after the work; pressures are over the air. */
export class StartedBody {
  /** Did it run? */
  @IsIn(STARTS) ran!: (typeof STARTS)[number];
  /** V of its battery at rest. */
  @IsOptional() @IsNumber() @Min(0) @Max(40) volts?: number;
  /** bar once it was primed. */
  @IsOptional() @IsNumber() @Min(0) @Max(12) primed?: number;
  /** bar while it ran. */
  @IsOptional() @IsNumber() @Min(0) @Max(12) bar?: number;
  /** bar some minutes after it stopped. */
  @IsOptional() @IsNumber() @Min(0) @Max(12) stopped?: number;
  /** s it cranked. */
  @IsOptional() @IsNumber() @Min(0) @Max(600) seconds?: number;
}

/** Fault codes that were read. */
export class CodesBody {
  /** Before the work, or after it. */
  @IsIn(['before', 'after']) when!: 'before' | 'after';
  /** As the tool shows them; none: an empty list. */
  @IsArray() @ArrayMaxSize(40) @Length(2, 60, { each: true }) codes!: string[];
}
