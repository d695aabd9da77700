import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { cutKinds, type CutKind } from './cuts.ts';

/** A thing that came off by a way. */
export class ClearedBody {
  /** Ledger key, as `line:feed` or `support:strap-1`. */
  @IsString() @Length(3, 90) key!: string;
  /** Id of the way; left out where nobody said. */
  @IsOptional() @IsString() @MaxLength(60) way?: string;
  /** Number painted on it, where another than the file's was. */
  @IsOptional() @IsInt() @Min(1) tag?: number;
}

/** Open ends that were capped after all. */
export class CappedBody {
  /** Ledger keys of the lines. */
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(60)
  @IsString({ each: true })
  @MaxLength(90, { each: true })
  keys!: string[];
}

/** A thing that is back, with the openings of it that its maker knew. */
export class BackBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
  /** Id of the way; left out where nobody said. */
  @IsOptional() @IsString() @MaxLength(60) way?: string;
  /** Openings it closes; left out: all its maker knew. */
  @IsOptional() @IsArray() @IsString({ each: true }) openings?: string[];
}

/** What is stuffed into the neck on the vehicle must be out before this; what is put into the tank, before the ring closes. */
export const BEFORE_FILLER = 'the filler is made';

/** Something was put in that must come out again: a rag, a plug, a lamp. */
export class PutInBody {
  /** What people call it. */
  @IsString() @Length(1, 60) name!: string;
  /** Number painted on it. */
  @IsOptional() @IsInt() @Min(1) tag?: number;
  /** Before what it must be out, in words. */
  @IsOptional() @IsString() @MaxLength(80) before?: string;
}

/** Loose on purpose, until something. */
export class LoosenedBody {
  /** What people call it. */
  @IsString() @Length(1, 80) name!: string;
  /** Number painted on it. */
  @IsOptional() @IsInt() @Min(1) tag?: number;
  /** Until when, in words. */
  @IsString() @Length(1, 80) until!: string;
}

/** Put off until a stop or an event. */
export class DeferredBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
  /** Until when, in words. */
  @IsString() @Length(1, 120) until!: string;
}

/** Left off or temporary: settles the one debt it names. */
export class DeviationBody {
  /** Id of the debt. */
  @IsString() @Length(3, 200) debt!: string;
  /** What the debt said. */
  @IsString() @Length(1, 300) what!: string;
  /** Why. */
  @IsString() @Length(3, 300) reason!: string;
  /** Who agreed. */
  @IsString() @Length(1, 80) who!: string;
  /** When it is due. */
  @IsString() @Length(1, 80) due!: string;
}

/** Something was cut that can’t be made whole: what had been tried before. */
export class CutBody {
  /** What was cut. */
  @IsIn(cutKinds) what!: CutKind;
  /** Where. */
  @IsString() @Length(1, 80) where!: string;
  /** The line it belongs to, where there is one. */
  @IsOptional() @IsString() @MaxLength(90) key?: string;
  /** Number painted on its ends. */
  @IsOptional() @IsInt() @Min(1) tag?: number;
  /** What had been tried. */
  @IsArray() @IsString({ each: true }) @MaxLength(80, { each: true }) tried!: string[];
  /** In words. */
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}

/** A new hose or line in place of the old: its slack overrides the file for this job. */
export class ReplacedBody {
  /** Ledger key, or the id of a cut. */
  @IsString() @Length(3, 90) key!: string;
  /** mm */
  @IsOptional() @IsNumber() @Min(0) @Max(2000) slack?: number;
  /** What went in, in words. */
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}

/** Schools of how a seal goes in: dry, with a trace of the right oil, or with fuel-proof sealant under a screwed flange. */
export const SEAL_SCHOOLS = ['dry', 'oiled', 'sealant'] as const;
/** One of them. */
export type SealSchool = (typeof SEAL_SCHOOLS)[number];

/** The ring over the unit was opened, or closed on its new seal. */
export class RingBody {
  /** Which. */
  @IsIn(['opened', 'closed']) state!: 'opened' | 'closed';
  /** A new seal lies under it. */
  @IsOptional() @IsBoolean() newSeal?: boolean;
  /** What lies on the seal. */
  @IsOptional() @IsIn(SEAL_SCHOOLS) school?: SealSchool;
  /** mm thick, the old seal. */
  @IsOptional() @IsNumber() @Min(0.5) @Max(20) sealOld?: number;
  /** mm thick, the new seal. */
  @IsOptional() @IsNumber() @Min(0.5) @Max(20) sealNew?: number;
}
