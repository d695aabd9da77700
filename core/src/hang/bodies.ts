import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { ClearedBody } from '../ledger/index.ts';

/** How far the two ends hang below the installed position, mm. */
class PoseBody {
  /** The first end. */
  @IsInt() @Min(0) @Max(2000) f!: number;
  /** The second end. */
  @IsInt() @Min(0) @Max(2000) r!: number;
}

/** Something planned that was left. */
class NotDoneBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
  /** Why. */
  @IsOptional() @IsString() @MaxLength(300) reason?: string;
}

/** What the look on top told. Lines not named had more than two fingers of play, if they could be seen. */
class LookBody {
  /** Was it asked? */
  @IsBoolean() asked!: boolean;
  /** Ids of lines that look tight. */
  @IsArray() @IsString({ each: true }) tight!: string[];
  /** Ids of lines with less than two fingers of play. */
  @IsArray() @IsString({ each: true }) nearly!: string[];
  /** All have more than a fist. */
  @IsBoolean() allFist!: boolean;
  /** Lines a hand reaches here, though the file was not sure. */
  @IsArray() @IsString({ each: true }) reachable!: string[];
  /** Lines that could not be seen, whatever the file says: the look tells nothing of them. */
  @IsOptional() @IsArray() @IsString({ each: true }) unseen?: string[];
  /** None of them could be seen. */
  @IsOptional() @IsBoolean() blind?: boolean;
}

/** A whole stop in one entry: pose reached, what came off, what was capped, what the look told. */
export class StopDoneBody {
  /** Where the tank hangs. */
  @IsDefined() @ValidateNested() @Type(() => PoseBody) to!: PoseBody;
  /** What came off. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => ClearedBody) off!: ClearedBody[];
  /** Line keys of which both open ends were capped. */
  @IsArray() @IsString({ each: true }) capped!: string[];
  /** The look on top. */
  @IsDefined() @ValidateNested() @Type(() => LookBody) look!: LookBody;
  /** What was left. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => NotDoneBody) notDone!: NotDoneBody[];
}

/** A creep: at most 10 mm with hand and eye on the line, then as a stop; `taut` names the line that ended it. */
export class CreptBody extends StopDoneBody {
  /** Ledger key. */
  @IsOptional() @IsString() @MaxLength(90) taut?: string;
}

/** The tank moved without a stop's work: raised, or brought to another height. */
export class MovedBody {
  /** Where the tank hangs. */
  @IsDefined() @ValidateNested() @Type(() => PoseBody) to!: PoseBody;
  /** Which way. */
  @IsOptional() @IsIn(['raised', 'lowered', 'out', 'in']) why?: 'raised' | 'lowered' | 'out' | 'in';
}

/** Something holds at `lets` mm, is new, or was freed elsewhere by `more` mm. */
export class SurpriseBody {
  /** Which. */
  @IsIn(['holds', 'freed']) what!: 'holds' | 'freed';
  /** `line:vent`, `obstruction:exhaust`, or `new:` and a number for what no file lists. */
  @IsString() @Length(3, 90) key!: string;
  /** What people call it. */
  @IsOptional() @IsString() @MaxLength(80) name?: string;
  /** mm */
  @IsOptional() @IsInt() @Min(0) @Max(2000) lets?: number;
  /** mm */
  @IsOptional() @IsInt() @Min(1) @Max(2000) more?: number;
}

/** A line went past its slack outside a creep. */
export class PulledBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
}

/** A line that was pulled was looked at. */
export class InspectedBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
  /** How it looks. */
  @IsIn(['good', 'doubtful', 'bad']) outcome!: 'good' | 'doubtful' | 'bad';
  /** In words. */
  @IsOptional() @IsString() @MaxLength(300) words?: string;
  /** Ids of the pulls it answers; left out: all its maker knew. */
  @IsOptional() @IsArray() @IsString({ each: true }) openings?: string[];
}
