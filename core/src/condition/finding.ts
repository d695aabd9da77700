import { IsIn, IsOptional, IsString, Length, MaxLength } from 'class-validator';
import { defineKind, defineSlice, type Stamp } from '../kernel/index.ts';

/** Something found, and what it means. */
class FindingBody {
  /** What. */
  @IsString() @Length(1, 120) what!: string;
  /** Where. */
  @IsString() @Length(1, 80) where!: string;
  /** What it means. */
  @IsIn(['good', 'doubtful', 'bad', 'unknown']) verdict!: 'good' | 'doubtful' | 'bad' | 'unknown';
  /** In words. */
  @IsOptional() @IsString() @MaxLength(600) note?: string;
}

/** Something found, by whom and when. */
type Finding = FindingBody & Stamp;

/** What was found. */
export interface ConditionSlice {
  /** Oldest first. */
  findings: readonly Finding[];
}

/** What the look at the joints with the key on is called among the findings. */
export const TEST_STOP = 'test stop';

/** Holds what was found. */
export const conditionSlice = defineSlice<ConditionSlice>({ name: 'condition', start: () => ({ findings: [] }) });

/** Something is found. */
export const finding = defineKind<'finding', FindingBody, ConditionSlice>({
  kind: 'finding',
  version: 1,
  Body: FindingBody,
  apply: (own, body, { moment: { id, by, at } }) => void own.findings.push({ ...body, id, by, at }),
  touches: ({ what }, id) =>
    what === TEST_STOP ? { reads: ['key'], writes: ['test stop'] } : { reads: [], writes: [`finding:${id}`] },
  words: ({ what }) => what,
  arbitrary: (f) => f.constant({ what: 'light film', where: 'floor', verdict: 'good' as const }),
});
