import { commonPractice } from '../basis/index.ts';
import type { Fitting } from '../vehicle/index.ts';
import type { Span } from '../estimate/index.ts';
import { litres, say, type Sentence } from '../quantity/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { JointSeenBody } from './bodies.ts';
import type { Wets } from './wets.ts';

/** What stood behind a joint when it was looked at. */
export interface Behind {
  /** What wets it. */
  wets: Pick<Wets, 'text' | 'perhaps'>;
  /** L that were in it. */
  aboard: Pick<Span, 'lo' | 'hi'>;
}

/** A wet joint, by how it is held together: what to do about it first. Common practice, no source. */
const MEND: Partial<Record<Fitting, string>> = {
  'push-tab': 'part it, look at its O-rings and the bead, push until both tabs click, pull',
  'slide-collar': 'part it, look at its O-rings and the teeth, push until it clicks, pull',
  hairpin: 'part it, a new O-ring, the pin all the way in, pull',
  twist: 'part it, look at its seal, turn it to its stop',
  'spring-clamp': 'clamp off the bead? Move it over the barb, onto a dry hose; tired: a new one',
  'worm-clamp': 'once more with the key, no more than its torque; still wet: hose end cut back, clamp new',
  'ear-clamp': 'never squeezed twice: cut it, a new one',
  flare: 'loosen, look at both cones, turn it up again to its torque; never tighter and tighter',
  bolt: 'its washer new, then to its torque',
};

/**
 * What a look at a joint is worth: dry counts only when it was wiped dry before and fuel stood or was pumped behind it. Common practice, no
 * source.
 *
 * @param behind what stood behind it, where that is known; `fitting` how it is held together
 * @example judgeJoint({ seen: 'weeps', checks: [] }).outcome // 'bad'
 */
export function judgeJoint(
  body: Pick<JointSeenBody, 'seen' | 'checks'>,
  { behind, fitting }: { behind?: Behind | undefined; fitting?: Fitting | undefined } = {},
): Verdict {
  const reason = (text: Sentence) => ({ text, basis: commonPractice });
  if (body.seen === 'hidden')
    return {
      outcome: 'unknown',
      reasons: [reason('nobody could see it')],
      next: ['a mirror, a borescope, white paper on a rod, or dye; or back to the test stop'],
    };
  if (body.seen !== 'dry')
    return {
      outcome: 'bad',
      reasons: [reason(body.seen === 'weeps' ? 'it weeps' : 'it drips')],
      next: [
        `pressure off: ${(fitting && MEND[fitting]) ?? 'make it again'}; then look again`,
        'do not run it like this',
      ],
    };
  const missing = [
    ...(body.checks.includes('wiped') ? [] : ['not wiped dry before']),
    ...(!body.checks.includes('wet')
      ? ['nothing wet behind it yet']
      : behind && !behind.wets.perhaps
        ? [
            say`nothing stood behind it: ${behind.wets.text}, and ${litres(behind.aboard.lo, behind.aboard.hi)} were in it`,
          ]
        : []),
  ];
  if (missing.length > 0)
    return {
      outcome: 'doubtful',
      reasons: missing.map(reason),
      next: ['wipe it dry, put fuel and pressure behind it, look again'],
    };
  return { outcome: 'good', reasons: [reason('wiped dry, wet behind, and still dry')], next: [] };
}
