import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  Min,
  ValidateBy,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { holes, type HoleName } from './holes.ts';

/** Readings a hold may have: half an hour at ten a second. */
export const MOST_READINGS = 20_000;

const isReading = (one: unknown): boolean =>
  Array.isArray(one) &&
  one.length === 2 &&
  one.every((figure) => typeof figure === 'number' && Number.isFinite(figure)) &&
  one[0] >= 0 &&
  Math.abs(one[1] as number) <= 20_000;

/** Pairs of seconds and pascals. */
const ArePressures = () =>
  ValidateBy({
    name: 'arePressures',
    validator: {
      validate: (list) =>
        Array.isArray(list) && list.length >= 1 && list.length <= MOST_READINGS && list.every(isReading),
      defaultMessage: () =>
        `must be 1 to ${MOST_READINGS} readings, each the seconds since it began and Pa over the air, at most 20 000`,
    },
  });

/** Air pushed in to learn the free volume. */
class PushBody {
  /** mL */
  @IsNumber() @Min(1) @Max(5000) millilitres!: number;
  /** Pa the gauge rose by once it stood. */
  @IsNumber() @Min(1) @Max(3500) rise!: number;
}

/** Free volume, L. */
class VolumeBody {
  /** Least. */
  @IsNumber() @Min(0.5) @Max(2000) lo!: number;
  /** Most. */
  @IsNumber() @Min(0.5) @Max(2000) hi!: number;
}

/** Reid vapour pressure of the petrol in it, Pa; none at its most: a fuel that gives off hardly any. */
class ReidBody {
  /** Least. */
  @IsNumber() @Min(0) @Max(105_000) lo!: number;
  /** Most. */
  @IsNumber() @Min(0) @Max(105_000) hi!: number;
}

/** Where a tank is held: by itself on the bench, or at home with its lines on. */
export const HELD_AT = ['bench', 'home'] as const;

/** A tank held under a little pressure or vacuum. */
export class HeldBody {
  /** Where; left out: on the bench. */
  @IsOptional() @IsIn(HELD_AT) where?: (typeof HELD_AT)[number];
  /** s since it began, and Pa over the air; below zero: vacuum. */
  @ArePressures() readings!: [number, number][];
  /** Smallest step of the gauge, Pa. */
  @IsNumber() @Min(0.1) @Max(500) step!: number;
  /** °C of the air when it began. */
  @IsNumber() @Min(-30) @Max(50) celsius!: number;
  /** °C when it ended, where somebody read a thermometer. */
  @ValidateIf(({ ends }: HeldBody) => ends !== undefined && ends !== null) @IsNumber() @Min(-30) @Max(50) ends?: number;
  /** m above the sea; left out: nobody said. */
  @IsOptional() @IsNumber() @Min(-430) @Max(5000) height?: number;
  /** Which hole it must be tighter than. */
  @IsIn(holes) hole!: HoleName;
  /** Drained, and aired until no vapour stands in it. */
  @IsBoolean() aired!: boolean;
  /** Over fuel: did the gauge stand still before it began, so that its vapour is in balance? */
  @IsOptional() @IsBoolean() settled?: boolean;
  /** What is known of that fuel’s vapour, where it stood. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => ReidBody) over?: ReidBody;
  /** Pa that the file allows; left out: what any tank bears. */
  @IsOptional() @IsNumber() @Min(100) @Max(20_000) most?: number;
  /** At home: openings of joints that stand behind it and are closed, as its maker knew them. */
  @IsOptional() @IsArray() @IsString({ each: true }) joints?: string[];
  /** What was pushed in to learn the free volume; left out: as the file says. */
  @IsOptional() @ValidateNested() @Type(() => PushBody) push?: PushBody;
  /** Free volume as its maker knew it, L. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => VolumeBody) volume?: VolumeBody;
}
