import { commonPractice } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';

/** What a pin of the plug is for. */
export const pinUses = ['pump', 'sender', 'ground', 'signal', 'none'] as const;
/** One of them. */
export type PinUse = (typeof pinUses)[number];

/** What each is called. */
export const pinWord: Record<PinUse, string> = {
  pump: 'the pump’s plus',
  sender: 'the sender',
  ground: 'ground',
  signal: 'another signal',
  none: 'nothing',
};

/** A plug read pin by pin, in the order of its cavities; the same end of it first. */
export interface Pins {
  /** Of the old part. */
  old: readonly PinUse[];
  /** Of the new one. */
  now: readonly PinUse[];
  /** By the meter at each pin, or by the colours of its wires alone. */
  how: 'meter' | 'colour';
}

/**
 * Plug and pins, position before colour: what sits in which cavity, old against new. A pump's plus on the sender burns it.
 *
 * @throws InputError where they have not the same number of cavities
 * @example judgePins({ old: ['pump', 'ground', 'sender'], now: ['pump', 'sender', 'ground'], how: 'meter' }).outcome // 'doubtful': two change places
 */
export function judgePins({ old, now, how }: Pins): Verdict {
  if (old.length !== now.length)
    throw new InputError('now', `${now.length} pins`, `${old.length} cavities, as the old plug has`);
  const basis = commonPractice;
  const apart = old.flatMap((use, i) => (use === now[i] ? [] : [{ pin: i + 1, use, is: now[i]! }]));
  const lacks = old.filter((use, i) => use !== 'none' && count(old.slice(0, i + 1), use) > count(now, use));
  const found: Found[] = lacks.map((use) => ({
    outcome: 'bad',
    text: `the new part brings no pin for ${pinWord[use]}`,
    next: 'stop: another part, or the one for this year',
  }));
  if (lacks.length === 0)
    for (const { pin, use, is } of apart)
      found.push({
        outcome: 'doubtful',
        text: `pin ${pin}: ${pinWord[is]}, where the old one has ${pinWord[use]}${burns(use, is) ? ': plugged in so, it burns' : ''}`,
        next: 'move the pins in the plug, then read each one with the meter before anything gets current',
      });
  if (how === 'colour')
    found.push({
      outcome: 'unknown',
      text: 'read by colour alone: colours change with the years, positions decide',
      next: 'read each pin with the meter: sender in ohms, pump below a few ohms, ground against the flange',
    });
  if (found.length === 0)
    return {
      outcome: 'good',
      reasons: [{ text: `plug: ${old.length} pins in the same places`, basis }],
      next: [],
    };
  return verdictFrom(found, { basis });
}

const count = (list: readonly PinUse[], use: PinUse): number => list.filter((one) => one === use).length;

/** Full current where none belongs. */
const burns = (use: PinUse, is: PinUse): boolean => use === 'pump' && is !== 'none';
