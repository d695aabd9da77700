import { commonPractice, type Basis } from '../basis/index.ts';
import type { Span } from '../estimate/index.ts';

/** What can be done about something found on the bench. */
export const remedyIds = ['clean', 'treat', 'coat', 'replace', 'sendOut'] as const;
/** One of them. */
export type RemedyId = (typeof remedyIds)[number];

/** What can be done, what it takes of hands and of time. */
export interface Remedy {
  /** Its id. */
  id: RemedyId;
  /** As it is offered. */
  name: string;
  /** What was done, as it is written down. */
  done: string;
  /** How. */
  how: string;
  /** Minutes of hands. */
  hands: Span;
  /** Minutes that use no hands, and what they are called; null: none, or nobody can say. */
  wait: (Span & { what: string }) | null;
  /** Does the bay stay taken while it waits? */
  bay: boolean;
  /** Where its minutes come from. */
  basis: Basis;
}

/** What can be done. Minutes: common practice, no source; a licensed shop names its own days. */
export const remedies: Readonly<Record<RemedyId, Remedy>> = {
  clean: {
    id: 'clean',
    name: 'Wash it out',
    done: 'cleaned',
    how: 'Detergent and water, siphoned out, rinsed until clear, dried with air, a last rinse with fresh fuel: that rinse is wet work. A cleaner by its instructions. Chips: vacuum, then a magnet with a little oil.',
    hands: { lo: 30, typ: 60, hi: 120 },
    wait: { lo: 60, typ: 180, hi: 1440, what: 'washed tank dries' },
    bay: false,
    basis: commonPractice,
  },
  treat: {
    id: 'treat',
    name: 'Treat the rust',
    done: 'rust treated',
    how: 'By hand to bright metal, then the treatment by its instructions; no wire wheel where fuel was.',
    hands: { lo: 20, typ: 40, hi: 90 },
    wait: { lo: 30, typ: 120, hi: 1440, what: 'treatment works' },
    bay: false,
    basis: commonPractice,
  },
  coat: {
    id: 'coat',
    name: 'Prime and coat',
    done: 'primed and coated',
    how: 'Threads and sealing faces masked; primer, then a top coat that fuel does not lift.',
    hands: { lo: 20, typ: 35, hi: 60 },
    wait: { lo: 120, typ: 240, hi: 720, what: 'coating dries' },
    bay: false,
    basis: commonPractice,
  },
  replace: {
    id: 'replace',
    name: 'Replace it',
    done: 'replaced',
    how: 'The new one is held against the old one before the old one leaves.',
    hands: { lo: 10, typ: 30, hi: 90 },
    wait: null,
    bay: false,
    basis: commonPractice,
  },
  sendOut: {
    id: 'sendOut',
    name: 'Send it out',
    done: 'back from the shop that cleans and welds tanks',
    how: 'Only a licensed shop heats, grinds or welds a tank that held fuel. Drained, capped, labelled with what was in it.',
    hands: { lo: 15, typ: 30, hi: 60 },
    wait: { lo: 1440, typ: 4320, hi: 14400, what: 'tank is at the tank shop' },
    bay: false,
    basis: commonPractice,
  },
};
