import type { PartKind } from '../vehicle/index.ts';

/** What is found at each kind of part, and what it means; common practice, no source. The usual first. */
export const foundOf: Record<PartKind, readonly { words: string; outcome: 'doubtful' | 'bad' }[]> = {
  ring: [
    { words: 'thin or rusted', outcome: 'bad' },
    { words: 'tab bent', outcome: 'bad' },
    { words: 'light rust', outcome: 'doubtful' },
  ],
  collar: [
    { words: 'thread worn', outcome: 'bad' },
    { words: 'cracked', outcome: 'bad' },
  ],
  screws: [
    { words: 'a thread stripped', outcome: 'bad' },
    { words: 'washers missing', outcome: 'bad' },
  ],
  seal: [
    { words: 'old one, has taken a set', outcome: 'bad' },
    { words: 'wrong thickness', outcome: 'bad' },
  ],
  flange: [
    { words: 'off its mark: which year?', outcome: 'doubtful' },
    { words: 'port cracked', outcome: 'bad' },
    { words: 'pin corroded', outcome: 'doubtful' },
  ],
  hose: [
    { words: 'split at the clamp', outcome: 'bad' },
    { words: 'slipped off', outcome: 'bad' },
    { words: 'not for submersion', outcome: 'bad' },
    { words: 'hard or swollen', outcome: 'doubtful' },
  ],
  pump: [
    { words: 'loud', outcome: 'doubtful' },
    { words: 'does not turn', outcome: 'bad' },
  ],
  strainer: [
    { words: 'blocked', outcome: 'bad' },
    { words: 'torn', outcome: 'bad' },
    { words: 'swollen', outcome: 'bad' },
    { words: 'in the way of the float', outcome: 'doubtful' },
  ],
  sender: [
    { words: 'float takes in fuel', outcome: 'bad' },
    { words: 'arm bent', outcome: 'doubtful' },
    { words: 'track worn through', outcome: 'bad' },
  ],
  pickup: [
    { words: 'cracked', outcome: 'bad' },
    { words: 'off the floor', outcome: 'doubtful' },
    { words: 'blocked', outcome: 'bad' },
  ],
  footValve: [
    { words: 'does not hold', outcome: 'bad' },
    { words: 'missing', outcome: 'bad' },
  ],
  filter: [
    { words: 'dirty at both ends', outcome: 'bad' },
    { words: 'dirty at its inlet only', outcome: 'doubtful' },
  ],
};
