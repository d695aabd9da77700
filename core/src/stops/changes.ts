import type { Stop } from './types.ts';

/**
 * What changed between two plans, in words; empty when the next stop is the same.
 *
 * @example planChanged(before, after) // ['vent hose holds now', 'next stop 40 mm instead of 60']
 */
export function planChanged(before: Stop, after: Stop): string[] {
  const words: string[] = [];
  const [was, is] = [before.holders[0], after.holders[0]];
  if (is && is.key !== was?.key) words.push(`${is.name} holds it now`);
  else if (is && was && is.room.lo !== was.room.lo) words.push(`${is.name} leaves ${Math.round(is.room.lo)} mm, not ${Math.round(was.room.lo)}`);
  if (after.kind === 'held' && before.kind !== 'held') words.push('nothing lets it go further: free what holds');
  else if (after.pose.f !== before.pose.f) words.push(`next stop ${after.pose.f} mm instead of ${before.pose.f}`);
  const names = (stop: Stop) => stop.actions.map((a) => a.name);
  const more = names(after).filter((n) => !names(before).includes(n));
  const less = names(before).filter((n) => !names(after).includes(n));
  if (more.length > 0) words.push(`now also: ${more.join(', ')}`);
  if (less.length > 0) words.push(`no longer: ${less.join(', ')}`);
  return words;
}
