import { cutKinds, type CutKind } from '../cuts.ts';
import { IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Max, MaxLength, Min } from './shared.ts';

/** Something was put in that must come out again: a rag, a plug, a lamp. */
export class PutInBody {
  @IsString() @Length(1, 60) name!: string;
  @IsOptional() @IsInt() @Min(1) tag?: number;
  /** Before what it must be out, in words. */
  @IsOptional() @IsString() @MaxLength(80) before?: string;
}

export class TakenOutBody {
  @IsString() @Length(3, 90) key!: string;
}

/** A joint made, singly: click, pull, look. */
export class MadeBody {
  @IsString() @Length(3, 90) key!: string;
  @IsOptional() @IsString() @MaxLength(60) way?: string;
}

/** An obstruction, support or clip back in its place. */
export class RestoredBody {
  @IsString() @Length(3, 90) key!: string;
  @IsOptional() @IsString() @MaxLength(60) way?: string;
}

/** Loose on purpose, until something. */
export class LoosenedBody {
  @IsString() @Length(1, 80) name!: string;
  @IsOptional() @IsInt() @Min(1) tag?: number;
  @IsString() @Length(1, 80) until!: string;
}

export class DeferredBody {
  @IsString() @Length(3, 90) key!: string;
  @IsString() @Length(1, 120) until!: string;
}

/** Left off or temporary, agreed by somebody, due some time. Printed on the record. */
export class DeviationBody {
  @IsString() @Length(3, 90) key!: string;
  @IsString() @Length(3, 300) reason!: string;
  @IsString() @Length(1, 80) who!: string;
  @IsString() @Length(1, 80) due!: string;
}

/** Torque as somebody wrote it; no number means it was not measured. */
export class TorqueBody {
  @IsString() @Length(3, 90) key!: string;
  @IsString() @Length(1, 40) asWritten!: string;
  /** N·m, read from the text. */
  @IsOptional() @IsNumber() @Min(0) @Max(2000) lo?: number;
  @IsOptional() @IsNumber() @Min(0) @Max(2000) hi?: number;
}

export class FindingBody {
  @IsString() @Length(1, 120) what!: string;
  @IsString() @Length(1, 80) where!: string;
  @IsIn(['good', 'doubtful', 'bad', 'unknown']) verdict!: 'good' | 'doubtful' | 'bad' | 'unknown';
  @IsOptional() @IsString() @MaxLength(600) note?: string;
}

/** A joint looked at: wiped dry before, wet with pressure on or not, and what was seen. */
export class JointSeenBody {
  @IsString() @Length(3, 90) key!: string;
  @IsIn(['dry', 'weeps', 'drips', 'hidden']) seen!: 'dry' | 'weeps' | 'drips' | 'hidden';
  /** Things done before the look: wiped dry, wet with fuel or pressure. */
  @IsArray() @IsIn(['wiped', 'wet'], { each: true }) checks!: ('wiped' | 'wet')[];
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}

/** Something was cut that can’t be made whole: what had been tried before. */
export class CutBody {
  @IsIn(cutKinds) what!: CutKind;
  @IsString() @Length(1, 80) where!: string;
  /** The line it belongs to, where there is one. */
  @IsOptional() @IsString() @MaxLength(90) key?: string;
  @IsOptional() @IsInt() @Min(1) tag?: number;
  @IsArray() @IsString({ each: true }) @MaxLength(80, { each: true }) tried!: string[];
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}
