import { commonPractice } from '../basis/index.ts';
import type { Support, VehicleFile } from './types.ts';
import type { Way } from './ways.ts';

/** Taken off from below with the tank home, by one pair of hands. Minutes: common practice, no source. */
const usual = (id: string, minutes: Way['minutes']): Way => ({
  id,
  reachFrom: { lo: 0, typ: 0, hi: 0 },
  reachTo: { lo: 0, typ: 0, hi: 0 },
  minutes,
  people: 1,
  hands: 1,
  from: 'below',
  tools: [],
  after: [],
});

/** How a support comes off. @example waysOff(strap)[0]?.id // 'strap-1-off' */
export const waysOff = ({ id, off }: Support): readonly Way[] =>
  off ?? [usual(`${id}-off`, { lo: 3, typ: 5, hi: 15, basis: commonPractice })];

/**
 * How it goes back on. What coming off waited for says nothing of going back; in which state others are then does.
 *
 * @example waysOn(strap)[0]?.id // 'strap-1-on'
 */
export const waysOn = ({ id, off, on }: Support): readonly Way[] =>
  on ??
  off?.map((way) => ({ ...way, after: [] })) ?? [usual(`${id}-on`, { lo: 4, typ: 6, hi: 12, basis: commonPractice })];

/** What a sort of support is called. */
interface SupportWords {
  /** What is undone, and may break. */
  fasteners: string;
  /** How it breaks. */
  breaks: string;
}

const heads = 'salt: heads round off or shear';
const stud = 'salt: the stud comes with its nut';
/** What holds something else. */
const fastened: SupportWords = { fasteners: 'bolts and nuts', breaks: heads };
const heldBy: Record<Support['kind'], SupportWords> = {
  strap: { fasteners: 'strap studs and nuts', breaks: stud },
  bar: { fasteners: 'bar studs and nuts', breaks: stud },
  'j-bolt': { fasteners: 'J-bolts and nuts', breaks: 'salt: the bolt turns with its nut' },
  flange: { fasteners: 'flange fasteners', breaks: heads },
  bolt: { fasteners: 'bolts', breaks: heads },
};

/**
 * What is undone there and how it breaks: by the support it holds, or of anything else. Common practice, no source.
 *
 * @param fastener its id in the file
 * @example supportWords(pads, 'pad-bolt').fasteners // 'bolts'
 */
export function supportWords({ supports }: Pick<VehicleFile, 'supports'>, fastener: string): SupportWords {
  const held = supports.find((one) => one.fastener === fastener);
  return held ? heldBy[held.kind] : fastened;
}

/** How each comes off and goes back on. Common practice, no source. */
const hands: Record<Support['kind'], { off: string; back: string }> = {
  strap: {
    off: 'to the last few threads, then off; arrow to the front',
    back: 'on its pad, arrow to the front, started by hand, tightened evenly in rounds',
  },
  bar: {
    off: 'nuts to their last few threads, turn about, then off; numbered',
    back: 'on its pad, by its number, started by hand, tightened evenly in rounds',
  },
  'j-bolt': {
    off: 'nut to its last few threads, unhooked; numbered by place',
    back: 'hooked in at its own place, nut started by hand, tightened evenly in rounds',
  },
  flange: {
    off: 'out crosswise, two opposite ones left by a few threads until it is carried',
    back: 'all of them started by hand, then crosswise in rounds',
  },
  bolt: {
    off: 'out, bagged with its washers and spacers by place',
    back: 'washers and spacers by place, started by hand, tightened evenly',
  },
};

/** How a support comes off, in one breath. @example offHint(strap) // 'to the last few threads, then off; …' */
export const offHint = ({ kind }: Pick<Support, 'kind'>): string => hands[kind].off;
/** How it goes back on. @example backHint(strap) // 'on its pad, arrow to the front, …' */
export const backHint = ({ kind }: Pick<Support, 'kind'>): string => hands[kind].back;
