import { IsDefined } from 'class-validator';
import {
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  LookBody,
  Max,
  MaxLength,
  Min,
  NotDoneBody,
  OffBody,
  PoseBody,
  Type,
  ValidateNested,
} from './shared.ts';

/** A whole stop in one entry: pose reached, what came off, what was capped, what the look told. */
export class StopDoneBody {
  @IsDefined() @ValidateNested() @Type(() => PoseBody) to!: PoseBody;
  @IsArray() @ValidateNested({ each: true }) @Type(() => OffBody) off!: OffBody[];
  /** Line keys of which both open ends were capped. */
  @IsArray() @IsString({ each: true }) capped!: string[];
  @IsDefined() @ValidateNested() @Type(() => LookBody) look!: LookBody;
  @IsArray() @ValidateNested({ each: true }) @Type(() => NotDoneBody) notDone!: NotDoneBody[];
}

/** A creep: at most 10 mm with hand and eye on the line, then as a stop; `taut` names the line that ended it. */
export class CreptBody extends StopDoneBody {
  @IsOptional() @IsString() @MaxLength(90) taut?: string;
}

/** The tank moved without a stop's work: raised, or brought to another height. */
export class MovedBody {
  @IsDefined() @ValidateNested() @Type(() => PoseBody) to!: PoseBody;
  @IsOptional() @IsIn(['raised', 'lowered', 'out', 'in']) why?: 'raised' | 'lowered' | 'out' | 'in';
}

/** Something holds at `lets` mm, is new, or was freed elsewhere by `more` mm. */
export class SurpriseBody {
  @IsIn(['holds', 'freed']) what!: 'holds' | 'freed';
  /** `line:vent`, `obstruction:exhaust`, or `new:` and a number for what no file lists. */
  @IsString() @Length(3, 90) key!: string;
  @IsOptional() @IsString() @MaxLength(80) name?: string;
  @IsOptional() @IsInt() @Min(0) @Max(2000) lets?: number;
  @IsOptional() @IsInt() @Min(1) @Max(2000) more?: number;
}

/** A line went past its slack outside a creep. */
export class PulledBody {
  @IsString() @Length(3, 90) key!: string;
}

export class InspectedBody {
  @IsString() @Length(3, 90) key!: string;
  @IsIn(['good', 'doubtful', 'bad']) outcome!: 'good' | 'doubtful' | 'bad';
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}

export class ClearedBody extends OffBody {}

/** A new hose or line in place of the old: its slack overrides the file for this job. */
export class ReplacedBody {
  @IsString() @Length(3, 90) key!: string;
  @IsOptional() @IsNumber() @Min(0) @Max(2000) slack?: number;
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}
