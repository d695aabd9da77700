import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { Written } from '../checked/index.ts';
import { startingFigures } from '../order/index.ts';

/** What a bay has under a vehicle. */
export const bayKinds = ['two-post', 'flat', 'pit'] as const;

/** A place where a vehicle is worked on. */
export class Bay {
  /** As it is called. */
  @IsString() @Length(1, 40) @Written('a name') name!: string;
  /** What it has. */
  @IsIn(bayKinds) kind!: (typeof bayKinds)[number];
}

/** What the shop takes; a price it has not set is null, and none is made up. */
export class Prices {
  /** As it is written. */
  @IsString() @Length(0, 6) currency!: string;
  /** For an hour. */
  @IsOptional() @IsNumber() @Min(0) @Max(100_000) hour!: number | null;
  /** For a litre of fuel. */
  @IsOptional() @IsNumber() @Min(0) @Max(10_000) disposal!: number | null;
}

/** What the shop drains with and stands it on. */
export class Kit {
  /** L/min; null where there is none. */
  @IsOptional() @IsNumber() @Min(0.2) @Max(100) transferPump!: number | null;
  /** Bore in mm; null where there is none. */
  @IsOptional() @IsNumber() @Min(3) @Max(40) siphonBore!: number | null;
  /** m */
  @IsNumber() @Min(0.3) @Max(10) siphonLength!: number;
  /** Capacities of the cans at hand, L. */
  @IsArray()
  @ArrayMaxSize(12)
  @IsNumber({}, { each: true })
  @Min(1, { each: true })
  @Max(250, { each: true })
  cans!: number[];
  /** kg */
  @IsNumber() @Min(10) @Max(3000) jackRated!: number;
  /** Width of its padded head, mm. */
  @IsNumber() @Min(50) @Max(1500) jackPad!: number;
  /** Height when lowered, mm. */
  @IsNumber() @Min(50) @Max(1500) jackLowered!: number;
}

/** Two can do at least what one can. */
const AtLeastAlone = () =>
  ValidateBy({
    name: 'atLeastAlone',
    validator: {
      validate: (two, args) => !(Number(two) < Number((args?.object as Shop | undefined)?.alone)),
      defaultMessage: (args) => `must be at least the ${(args?.object as Shop | undefined)?.alone} of one`,
    },
  });

/** What a shop sets for itself. */
export class Shop {
  /** As it stands over the door. */
  @IsString() @Length(1, 60) @Written('a name') name!: string;
  /** Most that one person takes off a jack, kg. */
  @IsNumber() @Min(5) @Max(60) alone!: number;
  /** Most that two people do, kg. */
  @IsNumber() @Min(5) @Max(120) @AtLeastAlone() two!: number;
  /** Most that one person holds lying or kneeling under it, kg. */
  @IsNumber() @Min(5) @Max(60) lying!: number;
  /** What it costs to call a second pair of hands from their own work, minutes. */
  @IsNumber() @Min(0) @Max(120) helper!: number;
  /** Minutes after which a device that nobody touches asks for the PIN; null: never. */
  @IsOptional() @IsNumber() @Min(1) @Max(480) lockAfter?: number | null;
  /** How many times its weight a bump makes of a tank; null: not set, and no support is judged by it. */
  @IsOptional() @IsNumber() @Min(1) @Max(20) shock?: number | null;
  /** What it takes. */
  @IsDefined() @ValidateNested() @Type(() => Prices) prices!: Prices;
  /** What it works with. */
  @IsDefined() @ValidateNested() @Type(() => Kit) kit!: Kit;
  /** Its bays. */
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(4) @ValidateNested({ each: true }) @Type(() => Bay) bays!: Bay[];
}

/** Bore of the usual siphon hose, mm: what is reckoned with where a shop has not said; common practice, no source. */
export const USUAL_BORE = 10;

/** What a shop starts with; common practice, no source. */
export const startingShop: Shop = {
  name: 'The shop',
  alone: startingFigures.alone,
  two: startingFigures.two,
  lying: startingFigures.lying ?? startingFigures.alone,
  helper: startingFigures.helperMinutes,
  lockAfter: null,
  shock: null,
  prices: { currency: '', hour: null, disposal: null },
  kit: {
    transferPump: 7,
    siphonBore: USUAL_BORE,
    siphonLength: 2,
    cans: [20, 20, 20, 20, 10, 10],
    jackRated: 200,
    jackPad: 400,
    jackLowered: 150,
  },
  bays: [
    { name: 'Bay 1', kind: 'two-post' },
    { name: 'Bay 2', kind: 'flat' },
  ],
};
