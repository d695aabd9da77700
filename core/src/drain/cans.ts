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
  const pick = fewest(cans, wanted);
  let left = wanted;
  const used = pick
    .sort((a, b) => cans[b]! - cans[a]!)
    .map((i) => {
      const put = Math.min(cans[i]!, left);
      left -= put;
      return { capacity: capacities[i]!, litres: put };
    });
  return { cans: used, over: Math.max(0, litres - total) };
}

/**
 * The fewest cans that hold so much, and of those the least room left over: as many as the largest ones need, then each
 * sum that so many cans can make, in decilitres.
 */
function fewest(cans: readonly number[], wanted: number): number[] {
  const large = [...cans.keys()].sort((a, b) => cans[b]! - cans[a]! || a - b);
  let count = 0;
  for (let sum = 0; sum + 1e-9 < wanted && count < large.length; count++) sum += cans[large[count]!]!;
  // By number of cans and by what they hold together: which ones.
  const reached = Array.from({ length: count + 1 }, () => new Map<number, number[]>());
  reached[0]!.set(0, []);
  for (const i of cans.keys())
    for (let n = count - 1; n >= 0; n--)
      for (const [sum, pick] of reached[n]!) {
        const next = sum + Math.round(cans[i]! * 100);
        if (!reached[n + 1]!.has(next)) reached[n + 1]!.set(next, [...pick, i]);
      }
  const least = Math.round(wanted * 100) - 1;
  const enough = [...reached[count]!].filter(([sum]) => sum >= least).sort(([a], [b]) => a - b);
  return enough[0]?.[1] ?? large.slice(0, count);
}
