import { commonPractice } from '../basis/index.ts';
import type { Found } from '../verdict/index.ts';

/** Where the tank lies once its straps are hooked: dirt lines and the print of the strap show where it sat. Common practice, no source. */
export const LIES = {
  marks: 'on its old marks',
  off: 'off its old marks',
  none: 'no marks to be seen',
} as const;
/** One of them. */
export type Lies = keyof typeof LIES;

/** The strap that holds it. Common practice, no source. */
export const STRAPS = {
  same: 'the one that came off',
  shaped: 'another, bent already',
  straight: 'another, it came straight',
} as const;
/** One of them. */
export type StrapIs = keyof typeof STRAPS;

/** How a strap that arrives straight goes on; said before it is pulled. Common practice, no source. */
export const STRAIGHT_STRAP =
  'Start its bolt a few threads by hand, then bend it round the tank and hook it; only then in rounds. Never bend it by pulling the bolt.';

/**
 * What lying off its marks, or a strap of another shape, says beside a torque.
 *
 * @example seatedFindings({ lies: 'off' })[0]?.outcome // 'doubtful'
 */
export function seatedFindings({ lies, strap }: { lies?: Lies | undefined; strap?: StrapIs | undefined }): Found[] {
  return [
    ...(lies === 'off'
      ? [
          {
            outcome: 'doubtful' as const,
            text: 'it lies off its old marks',
            basis: commonPractice,
            next: 'slack off, shift it until dirt lines and old prints meet, its pads in place, then in rounds again',
          },
        ]
      : []),
    ...(lies === 'marks'
      ? [{ outcome: 'good' as const, text: 'it lies on its old marks', basis: commonPractice }]
      : []),
    ...(strap === 'straight'
      ? [
          {
            outcome: 'good' as const,
            text: 'a strap that came straight: started by hand, then bent',
            basis: commonPractice,
          },
        ]
      : []),
  ];
}
