import { askNumber } from '../questions/index.ts';

/** How warm it is, °C: `today`, or at the hottest of the `store`. */
export const CELSIUS = askNumber('celsius', 'temperature', { limits: { lo: -50, hi: 95 }, instead: [], ofThing: true });
