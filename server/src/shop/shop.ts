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
import { startingFigures } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';

/** A place where a vehicle is worked on. */
export class Bay {
  @IsString() @Length(1, 40) name!: string;
  @IsIn(['two-post', 'flat', 'pit']) kind!: 'two-post' | 'flat' | 'pit';
}

/** What the shop takes; a price it has not set is null, and none is made up. */
export class Prices {
  @IsString() @Length(0, 6) currency!: string;
  @IsOptional() @IsNumber() @Min(0) @Max(100_000) hour!: number | null;
  @IsOptional() @IsNumber() @Min(0) @Max(10_000) disposal!: number | null;
}

/** What the shop drains with and stands it on. */
export class Kit {
  /** L/min; null where there is none. */
  @IsOptional() @IsNumber() @Min(0.2) @Max(100) transferPump!: number | null;
  /** Bore in mm and length in m; null where there is none. */
  @IsOptional() @IsNumber() @Min(3) @Max(40) siphonBore!: number | null;
  @IsNumber() @Min(0.3) @Max(10) siphonLength!: number;
  /** Capacities of the cans at hand, L. */
  @IsArray()
  @ArrayMaxSize(12)
  @IsNumber({}, { each: true })
  @Min(1, { each: true })
  @Max(250, { each: true })
  cans!: number[];
  /** Jack: rated kg, width of its padded head and height when lowered, mm. */
  @IsNumber() @Min(10) @Max(3000) jackRated!: number;
  @IsNumber() @Min(50) @Max(1500) jackPad!: number;
  @IsNumber() @Min(50) @Max(1500) jackLowered!: number;
}

/** What the shop set for itself. */
export class Shop {
  @IsString() @Length(1, 60) name!: string;
  /** kg one and two people may take off a jack. */
  @IsNumber() @Min(5) @Max(60) alone!: number;
  @IsNumber() @Min(5) @Max(120) two!: number;
  /** kg one may hold lying or kneeling under it. */
  @IsNumber() @Min(5) @Max(60) lying!: number;
  /** What it costs to call a second pair of hands from their own work, minutes. */
  @IsNumber() @Min(0) @Max(120) helper!: number;
  @IsDefined() @ValidateNested() @Type(() => Prices) prices!: Prices;
  @IsDefined() @ValidateNested() @Type(() => Kit) kit!: Kit;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(4) @ValidateNested({ each: true }) @Type(() => Bay) bays!: Bay[];
}

const start: Shop = {
  name: 'The shop',
  alone: startingFigures.alone,
  two: startingFigures.two,
  lying: startingFigures.lying ?? startingFigures.alone,
  helper: startingFigures.helperMinutes,
  prices: { currency: '', hour: null, disposal: null },
  kit: {
    transferPump: 7,
    siphonBore: 10,
    siphonLength: 2,
    cans: [20, 20, 20, 20, 10, 10],
    jackRated: 200,
    jackPad: 400,
    jackLowered: 150,
  },
  bays: [
    { name: 'Bay 1', kind: 'two-post' },
    { name: 'Bay 2', kind: 'flat' },
  ],
};

/** The shop as it is set now. */
export async function readShop(db: Database): Promise<Shop> {
  const row = await db.models.Setting.findByPk('shop');
  return row ? { ...start, ...(JSON.parse(row.value) as Partial<Shop>) } : start;
}

/** Keeps the shop as it is to be. Jobs that are under way get its figures as entries of their own. */
export async function writeShop(db: Database, shop: Shop): Promise<void> {
  await db.models.Setting.upsert({ name: 'shop', value: JSON.stringify(shop) });
}
