import { commonPractice } from '../basis/index.ts';
import { mm, say } from '../quantity/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import type { RingBody } from './bodies.ts';

/** A seal so much thinner than the old one, squashed as that is, does not fill its groove; so much thicker the ring does not reach its stops. Common practice, no source. */
const THICK = { thinner: 0.9, thicker: 1.5 };

/**
 * The seal under the ring: new, as thick as its groove asks, and how it went in.
 *
 * @param screwed is it a flange with screws, rather than a ring or a collar?
 * @example judgeSeal({ newSeal: true, sealOld: 4, sealNew: 3 }, false).outcome // 'bad': thinner than the old one
 */
export function judgeSeal(
  { newSeal, school, sealOld, sealNew }: Pick<RingBody, 'newSeal' | 'school' | 'sealOld' | 'sealNew'>,
  screwed: boolean,
): Verdict {
  const found: Found[] = [
    newSeal
      ? { outcome: 'good', text: 'a new seal' }
      : { outcome: 'doubtful', text: 'the old seal once more', next: 'a new one; an exception takes a reason' },
  ];
  if (sealOld !== undefined && sealNew !== undefined) {
    const figure = say`${mm(sealNew, sealNew)} new, ${mm(sealOld, sealOld)} old`;
    if (sealNew < sealOld * THICK.thinner)
      found.push({
        outcome: 'bad',
        text: 'thinner than the old one, which is squashed already',
        figure,
        next: 'the right one: by its groove and its section, not by its diameter alone',
      });
    else if (sealNew > sealOld * THICK.thicker)
      found.push({
        outcome: 'doubtful',
        text: 'much thicker than the old one: does the ring reach its stops on every tab?',
        figure,
        next: 'lay it in its groove dry and turn the ring once without force',
      });
    else found.push({ outcome: 'good', text: 'as thick as its groove asks', figure });
  }
  if (school === 'sealant' && !screwed)
    found.push({
      outcome: 'doubtful',
      text: 'sealant under a ring that turns is wiped into the tank',
      next: 'sealant only under a screwed flange; here dry, or a trace of the oil the maker names',
    });
  if (school === 'oiled')
    found.push({ outcome: 'good', text: 'with a trace of oil: the one its maker names, never grease' });
  return verdictFrom(found, { basis: commonPractice });
}
