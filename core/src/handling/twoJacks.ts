import { computed, measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo, type Estimate } from '../estimate/index.ts';
import { GRID, gridDown } from '../pose/index.ts';
import { kilograms, mm, rounded, say } from '../quantity/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { degreesOf, FRICTION, FRICTION_WET, SPARE, tankCentre, type Jack } from './support.ts';

interface OnTwo {
  file: VehicleFile;
  litres: Estimate;
  /** Where the two pads are, mm from the first end. */
  at: readonly [number, number];
  /** How high the middle of the weight is over the pads, mm: tilted, it leans to the low end. */
  over: number;
}

/** A tank on two jacks. */
export interface TwoJacks {
  /** kg on each, level. */
  loads: readonly [Estimate, Estimate];
  /** How far one end may hang below the other before the next is lowered, mm on the grid; zero where not at all. */
  step: number;
  /** Which end is lowered first: the one that then evens out the loads; 0 the first end, 1 the second. */
  first: 0 | 1;
  /** Whether it may be done so. */
  verdict: Verdict;
}

/**
 * What each of two jacks carries, how far one may be lowered before the other, and which goes first. The fuel runs to the low
 * end with every step, and takes load with it: the lighter end goes first. Both must carry at every tilt of the step and at
 * 3° more, and nothing may slide: a tank that comes down is wet.
 *
 * @param jack each of the two
 * @throws InputError for pads that are not apart, or not under the tank
 * @example judgeTwoJacks({ rated: 200, pad: 300 }, { file: rail, litres: exactly(10), at: [275, 825], over: 140 }).step // 75
 */
export function judgeTwoJacks(jack: Jack, { file, litres, at, over }: OnTwo): TwoJacks {
  const [one, two] = at;
  const { length } = file.tank.shape;
  if (!(jack.rated > 0)) throw new InputError('jack.rated', String(jack.rated), 'kilograms above zero');
  if (!(one >= 0 && two <= length && two - one > jack.pad))
    throw new InputError('pads', `${one}, ${two} mm`, `two places under the tank, 0 to ${length} mm, a pad apart`);
  const span = two - one;
  /** kg on each with the second end lower by so many degrees. */
  const loadsAt = (degrees: number): readonly [Estimate, Estimate] => {
    const { x: centre, mass } = tankCentre(file, litres, { tilt: { x: degrees, y: 0 } });
    const lean = over * Math.tan((degrees * Math.PI) / 180);
    const [lo, typ, hi] = [centre.lo + lean, centre.typ + lean, centre.hi + lean];
    const share = (kg: number, mm: number) => (kg * mm) / span;
    const basis = computed('moments about the other pad');
    return [
      { lo: share(mass.lo, two - hi), typ: share(mass.typ, two - typ), hi: share(mass.hi, two - lo), basis },
      { lo: share(mass.lo, lo - one), typ: share(mass.typ, typ - one), hi: share(mass.hi, hi - one), basis },
    ];
  };
  const loads = loadsAt(0);
  const carries = (degrees: number): boolean => loadsAt(degrees).every((load) => load.lo > 0 && load.hi <= jack.rated);
  const bothWays = (degrees: number): boolean => [-1, 1].every((way) => carries(way * degrees));
  const reason = (text: string, limit: Verdict['reasons'][number]['limit']): Verdict['reasons'][number] => ({
    text,
    figure: say`${rounded(kilograms, loads[0], 1)} at the ${file.ends[0]} pad, ${rounded(kilograms, loads[1], 1)} at the ${file.ends[1]}`,
    ...(limit ? { limit } : {}),
    basis: computed(
      'moments of shell and fuel, the fuel running to the low end; friction wet 0.2, common practice; less 3°',
    ),
  });
  const first: 0 | 1 = loads[0].typ <= loads[1].typ ? 0 : 1;
  const never = (why: Verdict['reasons'][number], next: Verdict['next'][number]): TwoJacks => ({
    loads,
    step: 0,
    first,
    verdict: { outcome: 'bad', reasons: [why], next: [next] },
  });
  if (loads.some((load) => load.hi > jack.rated))
    return never(
      { ...reason('a jack is too small for its end', say`${kilograms(jack.rated)} rated`), basis: measured },
      'take fuel out first, or move the pads apart',
    );
  if (!bothWays(0))
    return never(
      reason('the middle of the weight may lie outside the two pads', undefined),
      say`a pad to each side of ${mm(roundTo(tankCentre(file, litres).x.typ, 10))} from the ${file.ends[0]} end`,
    );
  const slides = degreesOf(FRICTION_WET);
  let degrees = 0;
  while (degrees + 1 + SPARE <= slides && bothWays(degrees + 1 + SPARE)) degrees += 1;
  // Never further than the file lets it tilt.
  const step = Math.max(0, Math.min(gridDown(span * Math.tan((degrees * Math.PI) / 180)), gridDown(file.tiltLimit)));
  const guessed = file.basis !== 'measured' && file.basis !== 'learned';
  const words = `the ${file.ends[first]} end first`;
  return {
    loads,
    step,
    first,
    verdict: {
      outcome: step < GRID ? 'bad' : guessed ? 'doubtful' : 'good',
      reasons: [
        reason(
          step < GRID
            ? 'no end may be lowered before the other: the weight leaves a pad or slides'
            : `${words}: fuel runs there and evens the load; dry it would slide from ${Math.floor(degreesOf(FRICTION))}°, wet from ${Math.floor(slides)}°`,
          say`${mm(step)} between the two`,
        ),
        ...(guessed
          ? [
              {
                text: 'length and mass of this tank are only guessed: so is this',
                basis: { kind: file.basis } as const,
              },
            ]
          : []),
      ],
      next: [
        step < GRID
          ? 'take more out, or use one jack with a board of two thirds of the tank'
          : say`lower ${mm(step)} at most, then the other; two people as it lets go`,
      ],
    },
  };
}
