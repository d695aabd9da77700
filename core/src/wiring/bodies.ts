import 'reflect-metadata';
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
import { gauges, type Gauge } from './wire.ts';

/** Needle, scan tool and ohms at one step of the refill; what was not read is left out. */
export class RefillReadBody {
  /** Share of the needle, 0 empty to 1 full. */
  @IsOptional() @IsNumber() @Min(0) @Max(1) needle?: number;
  /** % by the scan tool. */
  @IsOptional() @IsNumber() @Min(0) @Max(100) scan?: number;
  /** Ω across the sender, its plug off. */
  @IsOptional() @IsNumber() @Min(0) @Max(100_000) ohms?: number;
  /** The meter showed nothing. */
  @IsOptional() @IsBoolean() open?: boolean;
}

/** What was seen of wires beside their figures. */
export const WIRE_SEEN = {
  crimp: 'a crimp that gives when it is tugged',
  chafe: 'chafed, or lying on an edge',
  green: 'green at a terminal',
  relay: 'the relay hums or does not click',
} as const;
/** One of them. */
export type WireSeen = keyof typeof WIRE_SEEN;

/** The wire to the pump, measured and looked at. */
export class WireTriedBody {
  /** A that run through it. */
  @IsNumber() @Min(0.1) @Max(100) amps!: number;
  /** m from where it is fed to the plug. */
  @IsNumber() @Min(0.1) @Max(100) metres!: number;
  /** Its gauge. */
  @IsIn(gauges) gauge!: Gauge;
  /** How the current comes back. */
  @IsIn(['wire', 'chassis']) back!: 'wire' | 'chassis';
  /** A of its fuse. */
  @IsOptional() @IsNumber() @Min(0) @Max(200) fuse?: number;
  /** V lost in the feed, pump running. */
  @IsOptional() @IsNumber() @Min(0) @Max(20) feed?: number;
  /** V lost in the ground, pump running. */
  @IsOptional() @IsNumber() @Min(0) @Max(20) ground?: number;
  /** What is wrong with it by eye and hand; empty: looked at, tugged, nothing. */
  @IsOptional() @IsArray() @IsIn(Object.keys(WIRE_SEEN), { each: true }) seen?: WireSeen[];
}

/** Ohms from the neck to the body. */
export class BondReadBody {
  /** Ω, leads nulled. */
  @IsNumber() @Min(0) @Max(1_000_000) ohms!: number;
}

/** How a wire that was cut was joined. */
export const JOINTS = ['sleeve', 'solder', 'plug', 'twisted'] as const;

/** A wire that was cut on the way is joined again. */
export class WireJoinedBody {
  /** Id of the cut. */
  @IsString() @Length(3, 200) cut!: string;
  /** How. */
  @IsIn(JOINTS) how!: (typeof JOINTS)[number];
  /** Tugged, and it held. */
  @IsBoolean() tugged!: boolean;
  /** What hangs on it was switched on, and works. */
  @IsBoolean() tried!: boolean;
  /** In words. */
  @IsOptional() @IsString() @MaxLength(300) words?: string;
  /** Which of its wires; left out: all of them. */
  @IsOptional() @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) colours?: string[];
}
