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
  MaxLength,
  Min,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { behinds } from '../pump/index.ts';
import { driverSees, LONGEST_WAY, type DriverSees } from '../sender/index.ts';
import { Written } from '../checked/index.ts';
import { rungIds, type RungId } from './opening.ts';

/** A word about parts of the unit: looked at, and what was seen. */
export class PartSaidBody {
  /** Ids of the parts. */
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @MaxLength(60, { each: true })
  parts!: string[];
  /** What it means. */
  @IsIn(['good', 'doubtful', 'bad']) outcome!: 'good' | 'doubtful' | 'bad';
  /** What was seen, in words. */
  @IsOptional() @IsString() @MaxLength(200) found?: string;
}

/** Readings a pass may have: half an hour at ten a second. */
const MOST_READINGS = 20_000;

/** Ohms one after the other; null where the meter shows nothing. */
const AreReadings = () =>
  ValidateBy({
    name: 'areReadings',
    validator: {
      validate: (list) =>
        Array.isArray(list) &&
        list.length <= MOST_READINGS &&
        list.every((ohms) => ohms === null || (typeof ohms === 'number' && ohms >= 0 && ohms <= 1e7)),
      defaultMessage: () => `must be up to ${MOST_READINGS} readings in ohms, each zero or more, or open`,
    },
  });

/** When each was read: s from the first on, never backwards. */
const AreTimes = () =>
  ValidateBy({
    name: 'areTimes',
    validator: {
      validate: (list, at) =>
        Array.isArray(list) &&
        list.length === (at?.object as PassBody | undefined)?.ohms?.length &&
        list.every(
          (time, i) => typeof time === 'number' && time <= LONGEST_WAY && time >= (i === 0 ? 0 : Number(list[i - 1])),
        ),
      defaultMessage: () => 'must be seconds from the first reading on, one for each, never backwards',
    },
  });

/** One slow way of a sweep. */
export class PassBody {
  /** From empty to full, or back. */
  @IsIn(['up', 'down']) way!: 'up' | 'down';
  /** Ω; null: open. */
  @AreReadings() ohms!: readonly (number | null)[];
  /** When each was read, where the meter says, s from the first on. */
  @IsOptional() @AreTimes() seconds?: readonly number[];
}

/** Where somebody saw the needle jump. */
export class TapBody {
  /** From empty to full, or back. */
  @IsIn(['up', 'down']) way!: 'up' | 'down';
  /** Share of the travel from empty. */
  @IsNumber() @Min(0) @Max(1) at!: number;
}

/** A sender swept: by a meter, or by the needle alone. */
export class SweptBody {
  /** Id of the part. */
  @IsString() @Length(1, 60) part!: string;
  /** Every way that was swept, by a meter. */
  @IsOptional() @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => PassBody) passes?: PassBody[];
  /** Where the needle jumped, without one. */
  @IsOptional() @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => TapBody) taps?: TapBody[];
  /** Family somebody named. */
  @IsOptional() @IsString() @MaxLength(20) family?: string;
}

/** What a pump is rated for. */
export class RatedBody {
  /** V */
  @IsNumber() @Min(6) @Max(30) volts!: number;
  /** L/h */
  @IsNumber() @Min(1) @Max(1000) flow!: number;
  /** bar gauge */
  @IsNumber() @Min(0) @Max(10) bar!: number;
  /** A */
  @IsOptional() @IsNumber() @Min(0.1) @Max(60) amps?: number;
}

/** A pump run on the bench. */
export class PumpRanBody {
  /** Id of the part. */
  @IsString() @Length(1, 60) part!: string;
  /** V at its plug. */
  @IsNumber() @Min(0.1) @Max(30) volts!: number;
  /** A */
  @IsOptional() @IsNumber() @Min(0) @Max(60) amps?: number;
  /** bar gauge */
  @IsOptional() @IsNumber() @Min(0) @Max(12) bar?: number;
  /** What came, L. */
  @IsOptional() @IsNumber() @Min(0) @Max(100) litres?: number;
  /** In how long, s. */
  @IsOptional() @IsNumber() @Min(1) @Max(3600) seconds?: number;
  /** bar gauge once it stood. */
  @IsOptional() @IsNumber() @Min(0) @Max(12) heldBar?: number;
  /** s after it was switched off. */
  @IsOptional() @IsNumber() @Min(1) @Max(86_400) heldSeconds?: number;
  /** What a second gauge stood behind. */
  @IsOptional() @IsIn(behinds) behind?: (typeof behinds)[number];
  /** bar gauge on it. */
  @IsOptional() @IsNumber() @Min(0) @Max(12) barBehind?: number;
  /** What it is rated for, where the file does not say. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => RatedBody) rated?: RatedBody;
}

/** Another part in place of one: the old one is scrap, the new one is untested. */
export class PartSwappedBody {
  /** Id of the part. */
  @IsString() @Length(1, 60) part!: string;
  /** What goes in, as it is written on it. */
  @IsString() @Length(1, 120) @Written('what goes in, as it is written on it') with!: string;
  /** Number painted on it. */
  @IsOptional() @IsInt() @Min(1) tag?: number;
  /** It is the piece before, fitted again: the other one was fitted in error. */
  @IsOptional() @IsBoolean() again?: boolean;
}

/** A whole new unit goes in for all that came out. */
export class UnitSwappedBody {
  /** What is written on it. */
  @IsString() @Length(1, 120) @Written('what goes in, as it is written on it') with!: string;
  /** Number painted on it. */
  @IsOptional() @IsInt() @Min(1) tag?: number;
  /** It is what was there before, fitted again: the new one was fitted in error. */
  @IsOptional() @IsBoolean() again?: boolean;
}

/** The float’s height below the flange at both stops, now and of a sound one. */
export class ArmMeasuredBody {
  /** Id of the part. */
  @IsString() @Length(1, 60) part!: string;
  /** mm at empty. */
  @IsNumber() @Min(0) @Max(1200) empty!: number;
  /** mm at full. */
  @IsNumber() @Min(0) @Max(1200) full!: number;
  /** mm at empty, of the one beside it or the file’s. */
  @IsNumber() @Min(0) @Max(1200) wasEmpty!: number;
  /** mm at full. */
  @IsNumber() @Min(0) @Max(1200) wasFull!: number;
}

/** The old sender goes into another tank. */
export class SenderKeptBody {
  /** L it holds. */
  @IsNumber() @Min(1) @Max(1000) litres!: number;
  /** mm from its opening to its floor. */
  @IsNumber() @Min(20) @Max(1200) toFloor!: number;
  /** mm the float hangs below the flange at empty. */
  @IsNumber() @Min(0) @Max(1200) empty!: number;
  /** mm at full. */
  @IsNumber() @Min(0) @Max(1200) full!: number;
  /** mm the pick-up’s end stands above its floor. */
  @IsNumber() @Min(0) @Max(300) pickup!: number;
  /** Share of the needle at which the lamp comes on. */
  @IsOptional() @IsNumber() @Min(0) @Max(1) lamp?: number;
}

/** What the driver saw of the gauge. */
export class DriverSawBody {
  /** What. */
  @IsIn(driverSees) saw!: DriverSees;
  /** Where on the needle, 0 empty to 1 full; of a jump. */
  @IsOptional() @IsNumber() @Min(0) @Max(1) where?: number;
}

/** A rung was tried. */
export class RingTriedBody {
  /** Which. */
  @IsIn(rungIds) rung!: RungId;
}

/** A step of putting the unit together. */
export class BuiltBody {
  /** `groove`, or the id of a part. */
  @IsString() @Length(1, 60) step!: string;
}
