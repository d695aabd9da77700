import { commonPractice, fromMemory } from '../basis/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import type { SparkBody } from './bodies.ts';

/** What makes a spark or a heat, as people call it. */
export const sparkActs = {
  drill: 'drill',
  grind: 'grinder or wire wheel',
  heat: 'heat on a bolt',
  weld: 'welding',
} as const;
/** One of them. */
export type SparkAct = keyof typeof sparkActs;

/** Share of the lower limit above which the air is hazardous, %. */
export const HAZARDOUS = 10;
/** m between hot work and what burns. */
export const HOT_WORK_METRES = 11;
const hotWork = fromMemory('29 CFR 1910.252(a)(2): 35 ft');
const atmosphere = fromMemory('29 CFR 1910.146: 10 % of the lower flammable limit');

const cold = 'by hand: scraper, hacksaw with a drop of oil, penetrating oil and time';

/**
 * May a spark be made here now? It follows from the state: wet ends, spill, vapour in the air, distance; on the tank itself only
 * where it never held fuel or somebody certified it gas-free, and then a licensed shop does it. What nobody said is not allowed.
 *
 * @example judgeSpark({ act: 'grind', at: 'tank', tank: 'fuelled', wetEnds: [], air: true, away: true, dry: true }).outcome // 'bad'
 */
export function judgeSpark({ act, at, tank, wetEnds = [], air, away, dry, gas }: SparkBody): Verdict {
  const found: Found[] = [];
  if (at === 'tank') {
    if (tank === 'fuelled')
      found.push({
        outcome: 'bad',
        text: 'it has held fuel: vapour stays in seams and in the plastic, washed or not',
        next: `${cold}; or a licensed shop`,
      });
    else
      found.push({
        outcome: 'doubtful',
        text: tank === 'certified' ? 'certified gas-free' : 'it never held fuel',
        next:
          act === 'weld' || act === 'heat'
            ? 'a licensed shop does it; the certificate is of this day'
            : 'chips and tools counted in and out; nothing of another tank stands open near',
      });
  }
  if (wetEnds.length > 0)
    found.push({
      outcome: 'bad',
      text: `open and not capped: ${wetEnds.slice(0, 3).join(', ')}${wetEnds.length > 3 ? ' …' : ''}`,
      next: 'cap every wet end first',
    });
  if (!dry)
    found.push({
      outcome: 'bad',
      text: 'fuel is spilt, or petrol is used to rinse: that is wet work',
      next: 'wipe it up, carry the rags out, air the place, then ask again',
    });
  if (!away)
    found.push({
      outcome: 'bad',
      text: at === 'tank' ? 'another tank or can stands near' : 'tank and cans stand near',
      limit: `${HOT_WORK_METRES} m, or another room`,
      next: 'carry tank and cans away and cap them, or work cold',
      basis: hotWork,
    });
  if (!air)
    found.push({
      outcome: 'bad',
      text: 'the air does not move; vapour is heavier than air and lies in pits',
      next: 'doors open or extraction on, then wait',
    });
  if (gas === undefined)
    found.push({
      outcome: 'doubtful',
      text: 'nobody measured the air',
      next: 'a gas meter at floor height and in the pit says it; a nose does not',
    });
  else
    found.push({
      outcome: gas > HAZARDOUS ? 'bad' : 'good',
      text: gas > HAZARDOUS ? 'the air would be hazardous' : 'the air was measured',
      figure: `${gas} %`,
      limit: `${HAZARDOUS} % of the lower limit`,
      ...(gas > HAZARDOUS ? { next: 'air the bay, measure again at floor height' } : {}),
      basis: atmosphere,
    });
  return verdictFrom(found, {
    basis: commonPractice,
    next: ['an extinguisher and a second pair of eyes stand by; local codes and the service information come first'],
  });
}
