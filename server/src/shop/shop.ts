import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNumber,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { startingKilograms } from '@iron-cradle/core';
import type { Database } from '../db/connect.ts';

export class Bay {
  @IsString() @Length(1, 40) name!: string;
  @IsIn(['two-post', 'flat', 'pit']) kind!: 'two-post' | 'flat' | 'pit';
}

/** What the shop set for itself. */
export class Shop {
  @IsString() @Length(1, 60) name!: string;
  /** kg one and two people may take off a jack. */
  @IsNumber() @Min(5) @Max(60) alone!: number;
  @IsNumber() @Min(5) @Max(120) two!: number;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(4) @ValidateNested({ each: true }) @Type(() => Bay) bays!: Bay[];
}

const start: Shop = {
  name: 'The shop',
  ...startingKilograms,
  bays: [
    { name: 'Bay 1', kind: 'two-post' },
    { name: 'Bay 2', kind: 'flat' },
  ],
};

export async function readShop(db: Database): Promise<Shop> {
  const row = await db.models.Setting.findByPk('shop');
  return row ? (JSON.parse(row.value) as Shop) : start;
}

export async function writeShop(db: Database, shop: Shop): Promise<void> {
  await db.models.Setting.upsert({ name: 'shop', value: JSON.stringify(shop) });
}
