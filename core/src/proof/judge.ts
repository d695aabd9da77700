import { commonPractice } from '../basis/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { JointSeenBody } from './kinds.ts';

/**
 * What a look at a joint is worth: dry counts only when it was wiped dry before and wet behind. Common practice, no source.
 *
 * @example judgeJoint({ seen: 'weeps', checks: [] }).outcome // 'bad'
 */
export function judgeJoint(body: Pick<JointSeenBody, 'seen' | 'checks'>): Verdict {
  const reason = (text: string) => ({ text, basis: commonPractice });
  if (body.seen === 'hidden')
    return {
      outcome: 'unknown',
      reasons: [reason('nobody could see it')],
      next: ['use a mirror or a borescope, or lower to the test stop'],
    };
  if (body.seen !== 'dry')
    return {
      outcome: 'bad',
      reasons: [reason(body.seen === 'weeps' ? 'it weeps' : 'it drips')],
      next: ['pressure off, make it again, look again', 'do not run it like this'],
    };
  const missing = [
    ...(body.checks.includes('wiped') ? [] : ['not wiped dry before']),
    ...(body.checks.includes('wet') ? [] : ['nothing wet behind it yet']),
  ];
  if (missing.length > 0)
    return {
      outcome: 'doubtful',
      reasons: missing.map(reason),
      next: ['wipe it dry, put fuel and pressure behind it, look again'],
    };
  return { outcome: 'good', reasons: [reason('wiped dry, wet behind, and still dry')], next: [] };
}
