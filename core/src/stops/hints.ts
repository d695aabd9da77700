import type { Connection, Fitting } from '../vehicle/index.ts';

/** How a fitting lets go, in one breath. Common practice, no source. */
const parting: Record<Fitting, string> = {
  'push-tab': 'second clip off first; press both tabs, push towards the joint',
  'slide-collar': 'push the line towards the joint while seating the split tool',
  hairpin: 'hairpin out with a pick, catch it',
  twist: 'twist to its mark, then pull',
  'spring-clamp': 'squeeze and slide the clamp back; break the seal with a twist',
  'worm-clamp': 'slack the clamp, break the seal with a twist',
  'ear-clamp': 'cut the ear; a new clamp goes back',
  'lock-plug': 'catch across first, then press and pull the plug, not the wire',
  bolt: 'bag the bolt by its number',
  flare: 'second spanner holds the fitting',
  other: 'look first how it lets go',
};

const making: Record<Fitting, string> = {
  'push-tab': 'click, pull, look; second clip back on',
  'slide-collar': 'push home until it clicks, pull',
  hairpin: 'push home, hairpin in, pull',
  twist: 'twist to its stop, pull',
  'spring-clamp': 'past the bead, clamp behind it, pull',
  'worm-clamp': 'past the bead, clamp behind it, snug: no more on plastic',
  'ear-clamp': 'past the bead, new ear clamp, crimp',
  'lock-plug': 'click, pull, catch across',
  bolt: 'bright metal to bright metal',
  flare: 'start by hand, second spanner holds',
  other: 'pull on it, look at it',
};

/** How a line comes off, by its fitting. @example partingHint(line) // 'twist to its mark, then pull' */
export const partingHint = (line: Connection): string => parting[line.fitting];
/** How a line goes on, by its fitting. @example makingHint(line) // 'twist to its stop, pull' */
export const makingHint = (line: Connection): string => making[line.fitting];
