import { askChoice, askNumber } from '../questions/index.ts';

/** How far down the tank is to go: all the way out, or a level drop in mm. */
export const GOAL = askNumber('how far down', 'how far down', { limits: { lo: 5, hi: 2000 }, instead: ['out'] });

/** What a tape would read at home, mm from the floor up to the tank. Asked of an end, `f` or `r`. */
export const TAPE = askNumber('tape', 'tape', { limits: { lo: 50, hi: 5000 }, instead: [], ofThing: true });

/** Is the ring of the unit in sight from above? */
export const RING_FROM_ABOVE = askChoice('ring from above', 'ring from above', { among: ['yes', 'no', 'hidden'] });

/** Does the bed come off? */
export const BED_OFF = askChoice('bed comes off', 'bed comes off', { among: ['yes', 'no', 'hidden'] });

/** A line looked shorter than its file says. Is it the file of this vehicle all the same, and only that line another? */
export const FILE_FITS = askChoice('file fits', 'whether the file is of this vehicle', { among: ['yes', 'no'] });
