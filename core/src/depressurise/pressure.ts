import { commonPractice, measured } from '../basis/index.ts';
import { fuels, type FuelKind } from '../fluid/index.ts';
import { bar } from '../quantity/index.ts';
import type { FeedKind } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { PressureBody } from './kinds.ts';

/** Below this a joint may be opened under a rag, kPa. Common practice, no source. */
export const OPEN_BELOW = 10;

const insteadWords = {
  engineDied: 'pump off, the engine died and would not restart',
  noSpurt: 'no spurt at the port under a rag',
  capOnly: 'no pressure by design: filler cap opened',
} as const;

/**
 * Is the pressure out? Read, or what counts instead. Common practice, no source.
 *
 * @example judgePressure({ reading: 40 }, rail).outcome // 'bad'
 */
export function judgePressure(
  body: Pick<PressureBody, 'reading' | 'instead'>,
  { feed, fuel, tank }: { feed: FeedKind; fuel: FuelKind; tank?: { sealed?: boolean } },
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
      next: ['bleed it at the port: hose into the can, rag over the joint, eyes covered'],
    };
  }
  if (!body.instead)
    return {
      outcome: 'unknown',
      reasons: [{ text: 'nothing read and nothing written instead', basis: commonPractice }],
      next: ['read the gauge, or say what counts instead'],
    };
  if (tank?.sealed)
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
  if (body.instead === 'capOnly' && feed === 'injected' && fuels[fuel].flash.below <= 40)
    return {
      outcome: 'bad',
      reasons: [
        {
          text: 'an injected system holds pressure for hours; the cap alone does not take it out',
          basis: commonPractice,
        },
      ],
      next: ['pump fuse or relay out and run it until it dies, or bleed at the test port'],
    };
  return {
    outcome: 'doubtful',
    reasons: [{ text: insteadWords[body.instead], basis: commonPractice }],
    next: ['open the first joint slowly under a rag, eyes covered'],
  };
}
