import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Length, MaxLength, Min } from 'class-validator';
import { Written } from '../checked/index.ts';
import { fuelCauses, streamPoints, type FuelCause, type StreamPoint } from './causes.ts';

/** Somebody looked where fuel comes past. */
export class StreamLookedBody {
  /** Where. */
  @IsIn(streamPoints) at!: StreamPoint;
  /** Is it clean there? */
  @IsIn(['clean', 'dirty']) is!: 'clean' | 'dirty';
  /** Of what, where it is dirty. */
  @IsOptional() @IsIn(fuelCauses) what?: FuelCause;
  /** In words: blown out, new filter. */
  @IsOptional() @IsString() @MaxLength(200) note?: string;
}

/** A sample is kept. */
export class SampleKeptBody {
  /** Number painted on its jar. */
  @IsOptional() @IsInt() @Min(1) tag?: number;
  /** Where it was taken. */
  @IsIn(streamPoints) of!: StreamPoint;
  /** Sealed and dated at once. */
  @IsBoolean() sealed!: boolean;
  /** Who keeps it. */
  @IsString() @Length(1, 80) @Written('who keeps it') with!: string;
}

/** A sample goes into other hands. */
export class SampleHandedBody {
  /** Id of the sample. */
  @IsString() @Length(1, 60) sample!: string;
  /** To whom. */
  @IsString() @Length(1, 80) @Written('to whom') to!: string;
  /** Was the seal whole? */
  @IsBoolean() whole!: boolean;
}

/** A laboratory told what it is. */
export class LabToldBody {
  /** Id of the sample. */
  @IsString() @Length(1, 60) sample!: string;
  /** What it is. */
  @IsIn([...fuelCauses, 'sound']) is!: FuelCause | 'sound';
  /** Which laboratory, and its number. */
  @IsString() @Length(1, 120) @Written('which laboratory') lab!: string;
}

/** Somebody suspects something. */
export class SuspectedBody {
  /** What. */
  @IsIn(fuelCauses) cause!: FuelCause;
  /** Who says so. */
  @IsOptional() @IsString() @MaxLength(80) who?: string;
}
