import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsDefined,
  IsIn,
  IsNumber,
  IsOptional,
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

/** A tank held on the bench under a little pressure. */
export class HeldBody {
  /** s since it began, and Pa over the air. */
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
  /** What was pushed in to learn the free volume; left out: as the file says. */
  @IsOptional() @ValidateNested() @Type(() => PushBody) push?: PushBody;
  /** Free volume as its maker knew it, L. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => VolumeBody) volume?: VolumeBody;
}
