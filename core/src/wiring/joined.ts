import { commonPractice } from '../basis/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import type { WireJoinedBody } from './bodies.ts';

/**
 * A wire that was cut and joined again: by a sealed sleeve, a plug, or solder held so that it cannot bend; tugged; and what hangs on it tried.
 * Common practice, no source.
 *
 * @example judgeJoined({ how: 'twisted', tugged: true, tried: true }).outcome // 'bad'
 */
export function judgeJoined({ how, tugged, tried }: Pick<WireJoinedBody, 'how' | 'tugged' | 'tried'>): Verdict {
  const found: Found[] = [
    how === 'twisted'
      ? {
          outcome: 'bad',
          text: 'twisted and taped: it comes apart under a vehicle',
          next: 'a sealed crimp sleeve, or a plug',
        }
      : how === 'solder'
        ? {
            outcome: 'good',
            text: 'soldered, away from the tank and held so that it cannot bend',
          }
        : { outcome: 'good', text: how === 'plug' ? 'on a plug of its own' : 'in a sealed crimp sleeve' },
    ...(tugged ? [] : [{ outcome: 'bad' as const, text: 'not tugged yet', next: 'tug each wire at its joint' }]),
    ...(tried
      ? []
      : [
          {
            outcome: 'bad' as const,
            text: 'what hangs on it was not tried yet',
            next: 'switch it on: lamps, trailer socket, camera',
          },
        ]),
  ];
  return verdictFrom(found, { basis: commonPractice });
}
