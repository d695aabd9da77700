import { InputError } from '../errors/index.ts';

/** What is known of the air inside, L. */
export interface FreeVolume {
  /** Least. */
  lo: number;
  /** Most. */
  hi: number;
}

/** Air in known measure pushed into the closed tank, and what the gauge rose by once it stood. */
export interface Push {
  /** mL, at the pressure outside. */
  millilitres: number;
  /** Pa */
  rise: number;
}

/** A syringe is read to a fiftieth; common practice, no source. */
const SYRINGE = 0.02;

/**
 * Free volume by a known push, V = p · ΔV / Δp: read it only when it stands, for squeezed air is warm at first and 50 L look like
 * 36. What a plastic wall gives is in it, as it is in the hold.
 *
 * @param step of the gauge, Pa; `outside` Pa
 * @throws InputError for a rise no gauge could tell from its own step
 * @example pushedVolume({ millilitres: 100, rise: 203 }, { step: 1, outside: 101_325 }) // about 50 L
 */
export function pushedVolume(
  { millilitres, rise }: Push,
  { step, outside }: { step: number; outside: number },
): FreeVolume {
  if (!(millilitres > 0)) throw new InputError('pushed in', String(millilitres), 'more than no millilitres');
  if (!(rise >= 4 * step)) throw new InputError('rise', String(rise), 'at least four steps of the gauge: push more in');
  const at = (part: number, by: number) => (outside * part * millilitres) / by / 1000;
  return { lo: at(1 - SYRINGE, rise + step / 2), hi: at(1 + SYRINGE, rise - step / 2) };
}

/** Above its rated fill a tank has room for vapour, at most so much of it; common practice, no source. */
const VAPOUR_ROOM = 0.15;

/**
 * Free volume of a tank whose rated litres are known and in which so much stands, L.
 *
 * @throws InputError where more may stand in it than it holds
 * @example emptyVolume({ rated: { lo: 50, hi: 55 }, aboard: { lo: 0, hi: 1 } }) // 49 to 63.25
 */
export function emptyVolume({ rated, aboard }: { rated: FreeVolume; aboard: FreeVolume }): FreeVolume {
  const lo = rated.lo - aboard.hi;
  if (!(lo > 0)) throw new InputError('litres', String(aboard.hi), `less than ${rated.lo} L still in it`);
  return { lo, hi: rated.hi * (1 + VAPOUR_ROOM) - aboard.lo };
}
