import type { Estimate } from '../estimate/index.ts';
import { carriedBy, type VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { judgeJack, tankCentre, type Jack } from './support.ts';
import { judgeTwoJacks, type TwoJacks } from './twoJacks.ts';

/** A tank with so much in it on the shop's jack, and on two of them where its file says so. */
export interface OnJack {
  /** Where the middle of the pad goes, mm from the first end. */
  under: number;
  /** Does the jack carry it, and does it stay on the pad? */
  verdict: Verdict;
  /** On two: where their pads go, and what each carries; null where the file does not say so, or they would not stand apart. */
  two: (TwoJacks & { at: readonly [number, number] }) | null;
}

/**
 * The pad under the middle of the weight of a tank with so much in it; two of them under its quarters.
 *
 * @param litres what is in it, L
 * @throws InputError for a jack that is none
 * @example onJack(rail, exactly(30), { rated: 200, pad: 400 }).verdict.outcome
 */
export function onJack(file: VehicleFile, litres: Estimate, jack: Jack): OnJack {
  const { x } = tankCentre(file, litres);
  const under = (x.lo + x.hi) / 2;
  // The middle of the weight is taken half way up the shell: higher than fuel alone lies, which is the worse for a tilt.
  const over = file.tank.shape.height / 2;
  const { length } = file.tank.shape;
  const at = [length / 4, (3 * length) / 4] as const;
  const apart = carriedBy(file).by.includes('two jacks') && at[1] - at[0] > jack.pad;
  return {
    under,
    verdict: judgeJack(jack, { file, litres, under, over }),
    two: apart ? { at, ...judgeTwoJacks(jack, { file, litres, at, over }) } : null,
  };
}
