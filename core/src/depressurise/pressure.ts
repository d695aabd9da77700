import { commonPractice, measured } from '../basis/index.ts';
import { bar } from '../quantity/index.ts';
import { answerTo } from '../questions/index.ts';
import { isLight, isSealed } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { PressureBody } from './kinds.ts';
import { judgeSchool, SCHOOL, schoolsFor } from './schools.ts';

/** Below this a joint may be opened under a rag, kPa. Common practice, no source. */
export const OPEN_BELOW = 10;

const insteadWords = {
  engineDied: 'pump off, the engine died and would not restart',
  noSpurt: 'no spurt at the port under a rag',
  capOnly: 'no pressure by design: filler cap opened',
} as const;

/**
 * Is the pressure out? Read, or what counts instead: that only as the proof of the way it was taken out by. Common
 * practice, no source.
 *
 * @example judgePressure({ reading: 40 }, state).outcome // 'bad'
 */
export function judgePressure(
  body: Pick<PressureBody, 'reading' | 'instead'>,
  state: Parameters<typeof judgeSchool>[0],
): Verdict {
  if (body.reading !== undefined) {
    const reason = { figure: [bar(body.reading / 100)], limit: [bar(OPEN_BELOW / 100)], basis: measured };
    if (body.reading <= OPEN_BELOW)
      return {
        outcome: 'good',
        reasons: [{ text: 'read, and low enough to open', ...reason }],
        next: ['rag over the joint, eyes covered all the same'],
      };
    return {
      outcome: 'bad',
      reasons: [{ text: 'still under pressure', ...reason }],
      next: [
        isLight(state.vehicle)
          ? 'bleed it at the port: hose into the can, rag over the joint, eyes covered'
          : 'let it stand longer; nothing is cracked open at the engine',
      ],
    };
  }
  if (!body.instead)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'nothing read and nothing written instead', basis: commonPractice }],
      next: ['read the gauge, or say what counts instead'],
    };
  if (isSealed(state.vehicle))
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'a sealed tank holds pressure by design: only its own procedure and a reading count',
          basis: commonPractice,
        },
      ],
      next: ['follow the procedure in the service information, then read the gauge'],
    };
  const school = judgeSchool(state);
  if (school.outcome !== 'good') return school;
  const chosen = schoolsFor(state).find((s) => s.id === answerTo(state, SCHOOL));
  if (chosen?.proof.instead !== body.instead)
    return {
      outcome: 'unknown',
      reasons: [
        { text: `${insteadWords[body.instead]}: that proves another way than the one chosen`, basis: commonPractice },
      ],
      next: [`what counts here: ${chosen?.proof.words ?? 'a reading'}`],
    };
  return {
    outcome: 'doubtful',
    reasons: [{ text: insteadWords[body.instead], basis: commonPractice }],
    next: ['open the first joint slowly under a rag, eyes covered'],
  };
}
