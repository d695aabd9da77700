import 'reflect-metadata';
import { IsArray, IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { defineKind, defineSlice, type RecordLine, type Stamp } from '../kernel/index.ts';
import { inWords } from '../quantity/index.ts';
import { dayChecks, dayItems, type DayCheck, type DayFacts } from './items.ts';

/** The day was ended at this vehicle. */
class DayEndedBody {
  /** What was looked at and is so. */
  @IsArray() @IsIn(dayChecks, { each: true }) checks!: DayCheck[];
  /** What stood against it as its maker knew, in words. */
  @IsOptional() @IsArray() @IsString({ each: true }) @MaxLength(300, { each: true }) against?: string[];
  /** In words. */
  @IsOptional() @IsString() @MaxLength(300) words?: string;
}

/** An evening as it was left. */
interface Evening extends Stamp {
  /** Looked at. */
  checks: readonly DayCheck[];
  /** What stood against it, in words. */
  against: string;
}

/** Evenings of this job. */
interface DayEndSlice {
  /** Oldest first. */
  evenings: readonly Evening[];
}

type Facts = DayEndSlice & DayFacts;

/** Keeps how the vehicle was left each evening. */
export const dayEndSlice = defineSlice<DayEndSlice, Facts>({
  name: 'dayEnd',
  start: () => ({ evenings: [] }),
  record: ({ evenings }): RecordLine[] =>
    evenings.map(({ against, by, at }) => ({
      under: 'work',
      text: against === '' ? 'left for the night, all looked at' : `left for the night: ${against}`,
      by,
      at,
    })),
});

/** What stands against leaving it so: bad by the log, or asked and not looked at. */
const againstIt = (state: DayFacts, checks: readonly DayCheck[]): string[] =>
  dayItems(state)
    .filter(({ id, outcome }) =>
      outcome === null ? dayChecks.includes(id as DayCheck) && !checks.includes(id as DayCheck) : outcome === 'bad',
    )
    .map(({ text, outcome }) => `${inWords(text)}${outcome === null ? ': not looked at' : ''}`);

/** The day ends at this vehicle: what was looked at, and what stood against it. */
export const dayEnded = defineKind<'dayEnded', DayEndedBody, DayEndSlice, Facts>({
  kind: 'dayEnded',
  version: 1,
  Body: DayEndedBody,
  complete: (state, body) => (body.against ? body : { ...body, against: againstIt(state, body.checks) }),
  apply: (own, { checks, against = [], words }, { moment: { id, by, at } }) =>
    void own.evenings.push({ id, by, at, checks, against: [...against, ...(words ? [words] : [])].join('; ') }),
  touches: () => ({ reads: [], writes: [] }),
  words: () => 'left for the night',
  arbitrary: (f) => f.record({ checks: f.subarray([...dayChecks]) }),
});
