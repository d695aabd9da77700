import { bestTilt, type Point3, type TankShape, type Tilt } from '@iron-cradle/core/shape';
import { answering } from './answering.ts';

/** The tank, its outlet, and how far it may be tipped. */
export interface TiltAsk {
  /** The tank. */
  shape: TankShape;
  /** Where the fuel leaves it, mm. */
  outlet: Point3;
  /** How far it tips either way, degrees. */
  reach: Tilt;
}

// The search for the best tilt, out of the way of the hand.
answering(({ shape, outlet, reach }: TiltAsk, progress) => bestTilt(shape, { outlet, reach, progress }));
