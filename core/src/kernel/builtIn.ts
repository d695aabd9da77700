import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { defineKind } from './kind.ts';

/** Names the entry that is taken back. */
class TakeBackBody {
  /** Id of the entry. */
  @IsString() @Length(1, 60) entry!: string;
}

/** Takes any entry back; which ones count follows from the ids alone, so the fold resolves it first. */
export const takeBack = defineKind({
  kind: 'takeBack',
  version: 1,
  Body: TakeBackBody,
  // It writes what its entry wrote: the fold knows that, the body does not.
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'taken back',
  arbitrary: (f) => f.record({ entry: f.constant('') }),
});

class SettledPose {
  /** The first end, mm. */
  @IsInt() @Min(0) @Max(2000) f!: number;
  /** The second end, mm. */
  @IsInt() @Min(0) @Max(2000) r!: number;
}

/** What is true where two devices said different things; or that a late entry stands beside what was signed. */
class SettledBody {
  /** The resource: `pose`, `line:feed`, `fuel`; `late` for late entries. */
  @IsString() @Length(2, 90) key!: string;
  /** Ids of the entries it was between. */
  @IsArray() @IsString({ each: true }) entries!: string[];
  /** Where the tank hangs. */
  @IsOptional() @ValidateNested() @Type(() => SettledPose) pose?: SettledPose;
  /** Is the thing on its place, made? */
  @IsOptional() @IsBoolean() on?: boolean;
  /** Litres aboard. */
  @IsOptional() @IsNumber() @Min(0) @Max(1000) litres?: number;
}

/** Answers a question of two devices. */
export const settled = defineKind({
  kind: 'settled',
  version: 1,
  Body: SettledBody,
  afterClosing: true,
  apply: (_own: object, body, { tell }) =>
    tell('settled', {
      key: body.key,
      entries: body.entries,
      ...(body.pose ? { pose: { f: body.pose.f, r: body.pose.r } } : {}),
      ...(body.on === undefined ? {} : { on: body.on }),
      ...(body.litres === undefined ? {} : { litres: body.litres }),
    }),
  touches: (body) => ({ reads: [], writes: body.key === 'late' ? [] : [body.key] }),
  words: (body, speech) => (body.key === 'late' ? 'what came late stands' : `settled: ${speech.name(body.key)}`),
  arbitrary: (f) =>
    f.record({ key: f.constantFrom('pose', 'line:feed', 'fuel'), entries: f.constant([]), on: f.boolean() }),
});
