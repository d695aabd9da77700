import { IsIn, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { InputError } from '../errors/index.ts';
import { defineKind, defineSlice } from '../kernel/index.ts';

/** Residual pressure read, or what counts instead. */
export class PressureBody {
  /** kPa gauge */
  @IsOptional() @IsNumber() @Min(0) @Max(2000) reading?: number;
  /** What counts instead. */
  @IsOptional() @IsIn(['engineDied', 'noSpurt', 'capOnly']) instead?: 'engineDied' | 'noSpurt' | 'capOnly';
}

/** The pressure as it was last read or said. */
interface Pressure extends PressureBody {
  /** Id of the entry. */
  id: string;
}

/** What is known of the pressure in the lines. */
export interface PressureSlice {
  /** Read, or what counts instead; null where nobody said, and again once the key was turned. */
  pressure: Pressure | null;
  /** What ended it; null while it counts. */
  pressureEnded: string | null;
}

/** Holds the pressure. It ends with its condition: the key was turned on. */
export const pressureSlice = defineSlice<PressureSlice>({
  name: 'pressure',
  start: () => ({ pressure: null, pressureEnded: null }),
  hears: {
    keyOn: (own) => {
      if (own.pressure) own.pressureEnded = 'the key was turned on since';
      own.pressure = null;
    },
  },
});

/** The pressure, read or said. */
export const pressure = defineKind<'pressure', PressureBody, PressureSlice>({
  kind: 'pressure',
  version: 1,
  Body: PressureBody,
  check: ({ reading, instead }) => {
    if (reading === undefined && instead === undefined)
      throw new InputError('body.reading', '', 'what the gauge reads, zero or more, or what counts instead');
  },
  apply: (own, body, { moment: { id } }) => {
    own.pressure = { ...body, id };
    own.pressureEnded = null;
  },
  touches: () => ({ reads: [], writes: ['pressure'] }),
  words: ({ reading }, speech) =>
    reading === undefined ? 'pressure: read otherwise' : `pressure ${speech.bar(reading / 100)}`,
  arbitrary: (f) => f.record({ reading: f.integer({ min: 0, max: 400 }) }),
});
