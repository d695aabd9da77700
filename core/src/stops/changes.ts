import { mm, say, type Sentence } from '../quantity/index.ts';
import { poseSaid, samePose } from '../pose/index.ts';
import type { Stop } from './types.ts';

/**
 * What changed between two plans, in words; empty when the next stop is the same.
 *
 * @example planChanged(before, after, ['front', 'rear']) // ['vent hose holds it at 50 mm', 'next stop 40 mm instead of 60']
 */
export function planChanged(before: Stop, after: Stop, ends: readonly [string, string]): Sentence[] {
  const words: Sentence[] = [];
  const [was, is] = [before.holders[0], after.holders[0]];
  if (is && (is.key !== was?.key || is.limit.lo !== was.limit.lo))
    words.push(say`${is.name} holds it at ${mm(is.limit.lo)}`);
  if (after.kind === 'held' && before.kind !== 'held') words.push('nothing lets it go further: free what holds');
  else if (!samePose(after.pose, before.pose))
    words.push(say`next stop ${poseSaid(after.pose, ends)} instead of ${poseSaid(before.pose, ends)}`);
  const names = (stop: Stop) => stop.actions.map((a) => a.name);
  const more = names(after).filter((n) => !names(before).includes(n));
  const less = names(before).filter((n) => !names(after).includes(n));
  if (more.length > 0) words.push(`now also: ${more.join(', ')}`);
  if (less.length > 0) words.push(`no longer: ${less.join(', ')}`);
  return words;
}
