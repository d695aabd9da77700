import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';

/** Something found, and what it means. */
export class FindingBody {
  /** What. */
  @IsString() @Length(1, 120) what!: string;
  /** Where. */
  @IsString() @Length(1, 80) where!: string;
  /** What it means. */
  @IsIn(['good', 'doubtful', 'bad', 'unknown']) verdict!: 'good' | 'doubtful' | 'bad' | 'unknown';
  /** In words. */
  @IsOptional() @IsString() @MaxLength(600) note?: string;
}

/** Somebody asks whether a spark may be made now. */
export class SparkBody {
  /** What makes it. */
  @IsIn(['drill', 'grind', 'heat', 'weld']) act!: 'drill' | 'grind' | 'heat' | 'weld';
  /** On the tank itself, or on the vehicle. */
  @IsIn(['tank', 'vehicle']) at!: 'tank' | 'vehicle';
  /** What it held. */
  @IsIn(['fuelled', 'neverFuelled', 'certified']) tank!: 'fuelled' | 'neverFuelled' | 'certified';
  /** Does the air move? */
  @IsBoolean() air!: boolean;
  /** Do tank and cans stand away, or in another room? */
  @IsBoolean() away!: boolean;
  /** Is nothing spilt, and nobody rinsing with petrol? */
  @IsBoolean() dry!: boolean;
  /** Gas meter at floor height, % of the lower limit. */
  @IsOptional() @IsNumber() @Min(0) @Max(100) gas?: number;
  /** Wet ends its maker knew to be open and not capped. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(60)
  @IsString({ each: true })
  @MaxLength(120, { each: true })
  wetEnds?: string[];
}
