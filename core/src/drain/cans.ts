import { InputError } from '../errors/index.ts';

interface CanPlan {
  /** Capacity and litres of each can used, as filled. */
  cans: { capacity: number; litres: number }[];
  /** Litres that found no room. */
  over: number;
}

/**
 * Shares litres out over the cans a shop has, none above its safe fill: the fewest cans, and of those the least room left
 * over. Never mixes products: give it one product at a time.
 *
 * @param litres to take out
 * @param capacities of the cans at hand, L
 * @param fill share of its capacity a can may hold
 * @example shareOut(30, [20, 20, 10], 0.95).cans.length // 2
 */
export function shareOut(litres: number, capacities: readonly number[], fill: number): CanPlan {
  if (!(litres >= 0)) throw new InputError('litres', String(litres), 'zero or more');
  if (!(fill > 0 && fill <= 1)) throw new InputError('fill', String(fill), 'above 0, at most 1');
  const cans = capacities.map((c) => c * fill);
  const total = cans.reduce((a, b) => a + b, 0);
  const wanted = Math.min(litres, total);
  let best: { pick: number[]; room: number } | null = null;
  // A shop has a handful of cans: every choice can be looked at.
  const many = Math.min(cans.length, 12);
  for (let mask = 0; mask < 1 << many; mask++) {
    const pick = [...Array(many).keys()].filter((i) => mask & (1 << i));
    const room = pick.reduce((sum, i) => sum + cans[i]!, 0);
    if (room + 1e-9 < wanted) continue;
    if (!best || pick.length < best.pick.length || (pick.length === best.pick.length && room < best.room))
      best = { pick, room };
  }
  let left = wanted;
  const used = (best?.pick ?? [])
    .sort((a, b) => cans[b]! - cans[a]!)
    .map((i) => {
      const put = Math.min(cans[i]!, left);
      left -= put;
      return { capacity: capacities[i]!, litres: put };
    });
  return { cans: used, over: Math.max(0, litres - total) };
}
