import { askChoice, askNumber } from '../questions/index.ts';

/** Does the filler cap open? */
export const CAP_OPENS = askChoice('cap opens', 'filler cap', { among: ['yes', 'no'] });

/** Is a second tank aboard, with room? */
export const SECOND_TANK = askChoice('second tank', 'second tank', { among: ['yes', 'no'] });

/** From the hose’s free end up to the fuel, m; not above zero: the end is higher than the fuel. */
export const HOSE_HEAD = askNumber('hose head', 'head at the hose', { limits: { lo: -3, hi: 3 } });

/** Which way the fuel comes out. */
export const WAY_OUT = askChoice('way out', 'way out', {
  among: ['transferPump', 'siphon', 'plug', 'ownPump', 'otherTank', 'road'],
});

/** How the sample looks. */
export const SAMPLE = askChoice('sample', 'sample', {
  among: ['clear', 'haze', 'water', 'sediment', 'crystals', 'varnish', 'slime'],
});
