import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';

/** How far the two ends hang below the installed position, mm. */
export class PoseBody {
  @IsInt() @Min(0) @Max(2000) f!: number;
  @IsInt() @Min(0) @Max(2000) r!: number;
}

/** A thing that came off by a way, with the number painted on it. */
export class OffBody {
  /** Ledger key, as `line:feed` or `support:strap-1`. */
  @IsString() @Length(3, 90) key!: string;
  @IsOptional() @IsString() @MaxLength(60) way?: string;
  @IsOptional() @IsInt() @Min(1) tag?: number;
}

export class NotDoneBody {
  @IsString() @Length(3, 90) key!: string;
  @IsOptional() @IsString() @MaxLength(300) reason?: string;
}

/** What the look on top told. Lines not named had more than two fingers of play, if they could be seen. */
export class LookBody {
  @IsBoolean() asked!: boolean;
  @IsArray() @IsString({ each: true }) tight!: string[];
  @IsArray() @IsString({ each: true }) nearly!: string[];
  @IsBoolean() allFist!: boolean;
  /** Lines a hand reaches here, though the file was not sure. */
  @IsArray() @IsString({ each: true }) reachable!: string[];
}

export const Words = (most = 600) => MaxLength(most);

export {
  Type,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
};
