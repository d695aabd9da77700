import { askChoice, askNumber, askText } from '../questions/index.ts';
import { pumpKinds } from './types.ts';

/** How far a line gives, by eye or with a string, mm. Asked of a line. */
export const SLACK = askNumber('slack', 'slack', {
  limits: { lo: 0, hi: 2000 },
  instead: ['short', 'long', 'hidden'],
  ofThing: true,
});

/** Is it in the way at all? Asked of an obstruction. */
export const BLOCKS = askChoice('blocks', 'in the way', { among: ['yes', 'no', 'hidden'], ofThing: true });

/** A longer extension, a wheel off: one way is reached so many mm sooner and later. Asked of a way. */
export const REACH = askNumber('reach', 'longer reach', { limits: { lo: 1, hi: 500 }, instead: [], ofThing: true });

/** Drained further, the tank may hang so many mm steeper from end to end. */
export const MORE_TILT = askNumber('more tilt', 'more tilt', { limits: { lo: 1, hi: 500 } });

/** Which vehicle of the model it is. Asked of a variant; the answer is the label of a choice. */
export const VARIANT = askText('variant', 'which vehicle', true);

/** Is the tank sealed and under pressure by design? Then only its own procedure lets it go. */
export const SEALED = askChoice('sealed tank', 'sealed tank', { among: ['yes', 'no'] });

/** What pushes or draws the fuel: depressurising, draining and priming follow it. */
export const PUMP = askChoice('pump', 'what pushes the fuel', { among: pumpKinds });
