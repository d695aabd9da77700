import { computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { Span } from '../estimate/index.ts';
import { litres, rounded, say } from '../quantity/index.ts';
import { shareAt } from '../shape/index.ts';
import { estimateOf, type VehicleFile } from '../vehicle/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';

/** Another tank under the sender that was there. */
export interface OtherTank {
  /** L it holds. */
  litres: number;
  /** mm from its opening’s face to its floor. */
  toFloor: number;
  /** mm the float’s middle hangs below the flange at its empty stop. */
  empty: number;
  /** mm at its full stop. */
  full: number;
  /** mm the pick-up’s end stands above its floor. */
  pickup: number;
  /** Share of the needle at which the lamp comes on; left out: nobody knows. */
  lamp?: number;
}

/** What needle and lamp mean in it. */
export interface NeedleMeans {
  /** By share of the needle, 0 to 1: litres that are in it then. */
  places: { needle: number; litres: Span }[];
  /** L below the needle’s empty that the pick-up still reaches; below zero: so much too early it runs dry. */
  reserve: Span;
  /** L in it when the lamp comes on; null where nobody knows at which share. */
  lamp: Span | null;
  /** Whether that can be driven with. */
  verdict: Verdict;
}

/** Places of the needle that are said. */
const NEEDLE = [0, 0.25, 0.5, 0.75, 1];
/** Needle and litres may part by so much of what it holds before a driver is misled; common practice, no source. */
const MISLEADS = 0.1;

/**
 * The sender that was there in another tank: its float swings the same way under the flange, and what its stops mean in litres is
 * another thing. Its profile is taken as the old one’s, stretched to the new depth, and the litres as it is sold.
 *
 * @throws InputError for heights that make no sense
 * @example needleIn(file, { litres: 130, toFloor: 330, empty: 240, full: 40, pickup: 10 }).reserve.typ // 33: shown as empty, still there
 */
export function needleIn(file: VehicleFile, other: OtherTank): NeedleMeans {
  const { toFloor, empty, full, pickup } = other;
  if (!(empty > full && full >= 0 && toFloor > full))
    throw new InputError(
      'empty',
      `${empty} and ${full}`,
      'at empty lower below the flange than at full, both inside the tank',
    );
  if (!(pickup >= 0 && pickup < toFloor)) throw new InputError('pickup', String(pickup), 'inside the tank');
  const { shape } = file.tank;
  const rated = estimateOf(file, file.tank.litres);
  // What a tank of the file is sold as errs, and so does the new one: by as much of its litres.
  const spread = { lo: rated.lo / rated.typ, hi: rated.hi / rated.typ };
  const below = (above: number): Span => {
    const share = shareAt(shape, (Math.max(0, above) / toFloor) * shape.height);
    const typ = share * other.litres;
    return { lo: typ * spread.lo, typ, hi: typ * spread.hi };
  };
  // The float can’t hang below the floor: the needle then stops above its empty.
  const heightAt = (needle: number): number => toFloor - (empty - needle * (empty - full));
  const places = NEEDLE.map((needle) => ({ needle, litres: below(heightAt(needle)) }));
  const [dry, low] = [below(pickup), below(heightAt(0))];
  const reserve = { lo: low.lo - dry.hi, typ: low.typ - dry.typ, hi: low.hi - dry.lo };
  const neverEmpty = heightAt(0) < pickup;
  const lamp = other.lamp === undefined ? null : below(heightAt(other.lamp));
  const most = Math.max(...places.map(({ needle, litres: span }) => Math.abs(span.typ - needle * other.litres)));
  const found: Found[] = [
    neverEmpty
      ? {
          outcome: 'bad',
          text: 'it runs dry before the needle comes to empty: the float strikes the floor, or hangs below the pick-up',
          next: 'another sender, or its arm set to this depth: a driver trusts the needle',
        }
      : {
          outcome: reserve.typ > MISLEADS * other.litres ? 'doubtful' : 'good',
          text: say`at empty ${rounded(litres, { lo: Math.max(0, reserve.lo), hi: reserve.hi }, 1)} are still there`,
          ...(reserve.typ > MISLEADS * other.litres
            ? { next: 'write it on the fuel flap: shown empty, still so much there' }
            : {}),
        },
    {
      outcome: most > 2 * MISLEADS * other.litres ? 'bad' : most > MISLEADS * other.litres ? 'doubtful' : 'good',
      text: say`the needle and the litres part by ${rounded(litres, { lo: most, hi: most }, 1)} at most`,
      ...(most > MISLEADS * other.litres ? { next: 'a sender of this tank’s depth' } : {}),
    },
    ...(lamp
      ? [
          {
            outcome: lamp.lo <= dry.hi ? ('bad' as const) : ('good' as const),
            text: say`the lamp comes on with ${rounded(litres, lamp, 1)} in it`,
            ...(lamp.lo <= dry.hi ? { next: 'the lamp comes too late here' } : {}),
          },
        ]
      : []),
  ];
  return {
    places,
    reserve,
    lamp,
    verdict: verdictFrom(found, { basis: computed('float’s heights in the new depth, the old profile stretched') }),
  };
}
