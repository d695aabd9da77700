import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import type { VehicleFile } from '../vehicle/index.ts';
import type { ShopFigures } from './shop.ts';

/** Why a job is opened. */
export const complaints = [
  'pump',
  'level',
  'leak',
  'rust',
  'badFuel',
  'hose',
  'biggerTank',
  'fades',
  'addedPickup',
  'screens',
] as const;
/** One of the complaints. */
export type Complaint = (typeof complaints)[number];

/** What a judgement needs of the shop, as it stands in the log. */
export class ShopFiguresBody implements ShopFigures {
  /** kg */
  @IsNumber() @Min(1) @Max(500) alone!: number;
  /** kg */
  @IsNumber() @Min(1) @Max(1000) two!: number;
  /** kg */
  @IsOptional() @IsNumber() @Min(1) @Max(100) lying?: number;
  /** minutes */
  @IsNumber() @Min(0) @Max(120) helperMinutes!: number;
  /** mm */
  @IsNumber() @Min(0) @Max(100) overshoot!: number;
  /** mm */
  @IsNumber() @Min(0) @Max(100) eye!: number;
}

/** Opens the job and carries the snapshot of its vehicle file, so that the log stands alone. */
export class OpenedBody {
  /** What the vehicle is called in the shop. */
  @IsString() @Length(1, 80) name!: string;
  /** Why. */
  @IsIn(complaints) complaint!: Complaint;
  /** Number of the bay; left out where it waits outside. */
  @IsOptional() @IsInt() @Min(1) @Max(20) bay?: number;
  /** Its vehicle file. */
  @IsDefined() @IsObject() vehicle!: VehicleFile;
  /** Share of full the gauge shows; left out when the gauge lies. */
  @IsOptional() @IsNumber() @Min(0) @Max(1) gauge?: number;
  /** The shop's figures; left out: where every shop starts. */
  @IsOptional() @ValidateNested() @Type(() => ShopFiguresBody) shop?: ShopFiguresBody;
}

/** Plate and mileage: asked for by the time of signing. */
export class IdentityBody {
  /** Plate. */
  @IsString() @Length(1, 20) plate!: string;
  /** In `unit`. */
  @IsInt() @Min(0) @Max(9_999_999) mileage!: number;
  /** Of the mileage. */
  @IsIn(['km', 'mi']) unit!: 'km' | 'mi';
}

/** The test that shows the complaint, run before the work. */
export class ComplaintTestBody {
  /** Which test. */
  @IsString() @Length(1, 200) test!: string;
  /** How it came out. */
  @IsIn(['shown', 'notShown', 'notRun']) result!: 'shown' | 'notShown' | 'notRun';
  /** In words. */
  @IsOptional() @IsString() @MaxLength(400) words?: string;
}

/** The same test after the work. */
export class ComplaintAgainBody {
  /** How it came out. */
  @IsIn(['passed', 'unchanged', 'worse']) result!: 'passed' | 'unchanged' | 'worse';
  /** In words. */
  @IsOptional() @IsString() @MaxLength(400) words?: string;
}

/** What the owner said. */
export class ApprovalBody {
  /** Their answer. */
  @IsIn(['yes', 'no', 'call']) answer!: 'yes' | 'no' | 'call';
  /** Who said it. */
  @IsString() @Length(1, 80) who!: string;
  /** How: by telephone, at the counter. */
  @IsString() @Length(1, 80) how!: string;
}
