import { commonPractice } from '../basis/index.ts';
import { newtonMetres } from '../quantity/index.ts';
import type { Range } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { TorqueBody } from './kinds.ts';

/**
 * A torque beside the file's range. What was not measured, or has no figure in the file, stays unknown.
 *
 * @param range N·m of the file, null when not known
 * @example judgeTorque({ lo: 18, hi: 22, asWritten: '20 N·m' }, null).outcome // 'unknown'
 */
export function judgeTorque(body: Pick<TorqueBody, 'lo' | 'hi' | 'asWritten'>, range: Range | null): Verdict {
  const reason = (text: string) => ({
    text,
    figure: body.asWritten,
    basis: commonPractice,
    ...(range ? { limit: [newtonMetres(range.lo, range.hi)] } : {}),
  });
  if (body.lo === undefined || body.hi === undefined)
    return {
      outcome: 'unknown',
      reasons: [reason('not measured')],
      next: ['go over it with a torque wrench by the service information'],
    };
  if (!range)
    return {
      outcome: 'unknown',
      reasons: [reason('the file has no figure for this fastener')],
      next: ['read the figure in the service information for this vehicle'],
    };
  if (body.lo >= range.lo && body.hi <= range.hi)
    return { outcome: 'good', reasons: [reason('within the file’s range')], next: [] };
  const part = body.hi >= range.lo && body.lo <= range.hi;
  return {
    outcome: part ? 'doubtful' : 'bad',
    reasons: [reason(part ? 'partly outside the file’s range' : 'outside the file’s range')],
    next: ['check against the service information, then go over it again'],
  };
}
