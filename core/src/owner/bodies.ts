import {
  ArrayMaxSize,
  IsArray,
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
import { Written } from '../checked/index.ts';
import { remedyIds, type RemedyId } from '../condition/index.ts';

/** Something the owner is asked about. */
export class ProposedBody {
  /** To mend what was found, or cheap now and dear later. */
  @IsIn(['mend', 'whileDown']) why!: 'mend' | 'whileDown';
  /** What was found, or what would be done. */
  @IsString() @Length(1, 120) @Written('a few words about it') what!: string;
  /** Where. */
  @IsOptional() @IsString() @MaxLength(80) where?: string;
  /** What would be done about it. */
  @IsOptional() @IsIn(remedyIds) remedy?: RemedyId;
  /** What it costs, in the shop’s currency. */
  @IsOptional() @IsNumber() @Min(0) @Max(1_000_000) price?: number;
  /** Minutes of hands. */
  @IsOptional() @IsInt() @Min(1) @Max(20_160) minutes?: number;
  /** What another drop of this vehicle costs, as its maker knew: least. */
  @IsOptional() @IsNumber() @Min(0) @Max(10_000_000) dropLo?: number;
  /** Most. */
  @IsOptional() @IsNumber() @Min(0) @Max(10_000_000) dropHi?: number;
}

/** What the owner said about what was proposed. */
export class OwnerSaidBody {
  /** Ids of the proposals with a yes. */
  @IsArray() @ArrayMaxSize(40) @IsString({ each: true }) @MaxLength(60, { each: true }) yes!: string[];
  /** Ids of the proposals with a no. */
  @IsArray() @ArrayMaxSize(40) @IsString({ each: true }) @MaxLength(60, { each: true }) no!: string[];
  /** Who said it. */
  @IsString() @Length(1, 80) @Written('a name') who!: string;
  /** How: by telephone, at the counter, in writing. */
  @IsString() @Length(1, 80) @Written('how it was said') how!: string;
}

/** What was agreed is done, or what was proposed is taken off the list again. */
export class ProposalClosedBody {
  /** Id of the proposal. */
  @IsString() @Length(1, 60) proposal!: string;
  /** Which. */
  @IsIn(['done', 'dropped']) as!: 'done' | 'dropped';
  /** In words. */
  @IsOptional() @IsString() @MaxLength(300) note?: string;
}
