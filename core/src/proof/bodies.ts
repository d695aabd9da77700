import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsDefined,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';

/** Litres, from the least to the most. */
class AboardBody {
  /** Least. */
  @IsNumber() @Min(0) @Max(2000) lo!: number;
  /** Most. */
  @IsNumber() @Min(0) @Max(2000) hi!: number;
}

/** A joint looked at: wiped dry before, wet with pressure on or not, and what was seen. */
export class JointSeenBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
  /** What was seen. */
  @IsIn(['dry', 'weeps', 'drips', 'hidden']) seen!: 'dry' | 'weeps' | 'drips' | 'hidden';
  /** Things done before the look: wiped dry, wet with fuel or pressure. */
  @IsArray() @IsIn(['wiped', 'wet'], { each: true }) checks!: ('wiped' | 'wet')[];
  /** In words. */
  @IsOptional() @IsString() @MaxLength(300) words?: string;
  /** Litres that were in it, as its maker knew. */
  @IsOptional() @IsDefined() @ValidateNested() @Type(() => AboardBody) aboard?: AboardBody;
  /** Openings it answers; left out: all its maker knew. */
  @IsOptional() @IsArray() @IsString({ each: true }) openings?: string[];
}

/** From where a joint is seen: those of one place are seen at once. */
export class SeenFromBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
  /** Where the head is, in words. */
  @IsString() @Length(2, 60) place!: string;
}
