import { IsDefined, IsObject } from 'class-validator';
import type { VehicleFile } from '../../vehicle/index.ts';
import { IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Max, MaxLength, Min } from './shared.ts';

export const complaints = ['pump', 'level', 'leak', 'rust', 'badFuel', 'hose', 'biggerTank'] as const;
export type Complaint = (typeof complaints)[number];

/** Opens the job and carries the snapshot of its vehicle file, so that the log stands alone. */
export class OpenedBody {
  @IsString() @Length(1, 80) name!: string;
  @IsIn(complaints) complaint!: Complaint;
  @IsOptional() @IsInt() @Min(1) @Max(20) bay?: number;
  @IsDefined() @IsObject() vehicle!: VehicleFile;
  /** Share of full the gauge shows; left out when the gauge lies. */
  @IsOptional() @IsNumber() @Min(0) @Max(1) gauge?: number;
  /** What it costs this shop to call a second pair of hands, minutes. */
  @IsOptional() @IsNumber() @Min(0) @Max(120) helperMinutes?: number;
}

export class IdentityBody {
  @IsString() @Length(1, 20) plate!: string;
  @IsInt() @Min(0) @Max(9_999_999) mileage!: number;
  @IsIn(['km', 'mi']) unit!: 'km' | 'mi';
}

/** The test that shows the complaint, run before the work. */
export class ComplaintTestBody {
  @IsString() @Length(1, 200) test!: string;
  @IsIn(['shown', 'notShown', 'notRun']) result!: 'shown' | 'notShown' | 'notRun';
  @IsOptional() @IsString() @MaxLength(400) words?: string;
}

/** The same test after the work. */
export class ComplaintAgainBody {
  @IsIn(['passed', 'unchanged', 'worse']) result!: 'passed' | 'unchanged' | 'worse';
  @IsOptional() @IsString() @MaxLength(400) words?: string;
}

/** The answer to a question that matters. */
export class AnswerBody {
  @IsString() @Length(1, 80) question!: string;
  @IsString() @Length(1, 80) value!: string;
}

export class ApprovalBody {
  @IsIn(['yes', 'no', 'call']) answer!: 'yes' | 'no' | 'call';
  @IsString() @Length(1, 80) who!: string;
  @IsString() @Length(1, 80) how!: string;
}

export class NoteBody {
  @IsString() @Length(1, 2000) text!: string;
  @IsOptional() @IsString() @MaxLength(90) key?: string;
}

export class PhotoBody {
  @IsString() @Length(1, 100) file!: string;
  @IsOptional() @IsString() @MaxLength(90) key?: string;
}

/** Starts a wait that uses no hands, or ends it. */
export class WaitBody {
  @IsString() @Length(1, 80) what!: string;
  @IsIn(['start', 'end']) state!: 'start' | 'end';
  @IsOptional() @IsInt() @Min(1) @Max(20160) minutes?: number;
}

/** The job rests outside until something happens; `reason` left out takes it up again. */
export class ParkedBody {
  @IsOptional() @IsString() @MaxLength(200) reason?: string;
}

export class TakeBackBody {
  @IsString() @Length(1, 60) entry!: string;
}

export class SignedBody {
  @IsOptional() @IsArray() @IsString({ each: true }) alsoSeen?: string[];
}

export class AddendumBody {
  @IsString() @Length(1, 2000) text!: string;
}
