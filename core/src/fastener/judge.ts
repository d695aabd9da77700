import { commonPractice } from '../basis/index.ts';
import { newtonMetres } from '../quantity/index.ts';
import type { Range } from '../vehicle/index.ts';
import { worst, type Verdict } from '../verdict/index.ts';
import { boltFindings, withLubricant } from './bolt.ts';
import type { TorqueBody } from './kinds.ts';
import { seatedFindings } from './seated.ts';

/** What stands for a number where the file has none: a strap, its hook and a plastic tank give way long before a bolt. Common practice, no source. */
export const SNUG = {
  snug: 'snug, by hand',
  pads: 'pads evenly pressed',
  threads: 'as much thread shows on each',
  stands: 'the tank does not shift',
} as const;
/** One of them. */
export type Snug = keyof typeof SNUG;
const snugs = Object.keys(SNUG) as Snug[];

/** What a torque is judged by. */
type Written = Pick<
  TorqueBody,
  'lo' | 'hi' | 'asWritten' | 'snug' | 'lubricant' | 'thread' | 'grade' | 'lies' | 'strap'
>;

/**
 * A torque beside the file's range, corrected to what lies on the thread; what it does to the bolt is said beside it, where its thread and class are
 * known. Without a figure in the file no number counts, but whether it is snug, even and stands.
 *
 * @param range N·m of the file for a dry thread, null when not known
 * @example judgeTorque({ lo: 18, hi: 22, asWritten: '20 N·m' }, null).outcome // 'unknown'
 */
export function judgeTorque(body: Written, range: Range | null): Verdict {
  const beside = body.lo === undefined || body.hi === undefined ? [] : besideIt(body, { lo: body.lo, hi: body.hi });
  const seated = seatedFindings(body);
  const main = mainOf(body, range);
  const weighs = [...beside.filter(({ outcome }) => outcome === 'bad'), ...seated];
  return {
    outcome: worst([main.outcome, ...weighs.map(({ outcome }) => outcome)]),
    reasons: [
      ...main.reasons,
      ...[...beside, ...seated].map(({ outcome: _, next: __, basis, ...reason }) => ({
        ...reason,
        basis: basis ?? commonPractice,
      })),
    ],
    next: [...main.next, ...[...beside, ...seated].flatMap(({ next }) => (next ? [next] : []))],
  };
}

/** The file’s figure counts; what is computed stands beside it, and only a halt weighs more. */
const besideIt = ({ thread, grade, lubricant }: Written, torque: { lo: number; hi: number }) =>
  thread && grade ? boltFindings(torque, { thread, grade, lubricant: lubricant ?? 'dry' }) : [];

function mainOf(body: Written, given: Range | null): Verdict {
  const { lubricant } = body;
  const turned = (nm: number) => (lubricant ? withLubricant(nm, 'dry', lubricant) : nm);
  const range = given ? { ...given, lo: turned(given.lo), hi: turned(given.hi) } : null;
  const reason = (text: string) => ({
    text,
    figure: body.asWritten,
    basis: commonPractice,
    ...(range ? { limit: [newtonMetres(range.lo, range.hi)] } : {}),
  });
  if (body.snug && !range) {
    const open = snugs.filter((one) => !body.snug!.includes(one));
    return open.length === 0
      ? {
          outcome: 'good',
          reasons: [{ text: 'no figure in the file: snug, even, and it stands', basis: commonPractice }],
          next: [],
        }
      : {
          outcome: 'doubtful',
          reasons: [{ text: `not said: ${open.map((one) => SNUG[one]).join(', ')}`, basis: commonPractice }],
          next: ['look along it: pads, threads, and push the tank'],
        };
  }
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
    return {
      outcome: 'good',
      reasons: [
        reason(
          lubricant && lubricant !== 'dry'
            ? 'within the file’s range, turned to what lies on the thread'
            : 'within the file’s range',
        ),
      ],
      next: [],
    };
  const part = body.hi >= range.lo && body.lo <= range.hi;
  return {
    outcome: part ? 'doubtful' : 'bad',
    reasons: [reason(part ? 'partly outside the file’s range' : 'outside the file’s range')],
    next: ['check against the service information, then go over it again'],
  };
}
