import { askChoice, askNumber } from '../questions/index.ts';

/** How warm it is, °C: `today`, or at the hottest of the `store`. */
export const CELSIUS = askNumber('celsius', 'temperature', { limits: { lo: -50, hi: 95 }, instead: [], ofThing: true });

/** The drain plug: does fuel come, is it silent, is there none? */
export const DRAIN_PLUG = askChoice('drain plug', 'drain plug', { among: ['there', 'silent', 'none'] });
