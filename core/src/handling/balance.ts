import { mm, say } from '../quantity/index.ts';
import { computed } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { roundTo, type Estimate } from '../estimate/index.ts';
import type { Verdict } from '../verdict/index.ts';

interface Axles {
  /** kg on the ground, tank as it is now. */
  front: number;
  rear: number;
  /** mm */
  wheelbase: number;
  /** Middle of the lift's arms behind the front axle, mm. */
  posts: number;
  /** Tank's middle behind the front axle, mm. */
  tank: number;
  /** Half the distance between the arms along the vehicle, mm. */
  arms: number;
}

interface PostBalance {
  /** Centre of the vehicle behind the middle of the arms, mm; less than zero: towards the front. */
  before: number;
  after: number;
  verdict: Verdict;
}

/**
 * Balance on a two-post lift before and after the tank leaves.
 *
 * @param tank kg that leave
 * @throws InputError for axle weights or distances that do not add up
 * @example postBalance({ front: 1100, rear: 1000, wheelbase: 3000, posts: 1500, tank: 2300, arms: 500 }, exactly(60)).after
 */
export function postBalance(axles: Axles, tank: Estimate): PostBalance {
  const { front, rear, wheelbase, posts, arms } = axles;
  for (const field of ['front', 'rear', 'wheelbase', 'arms'] as const)
    if (!(axles[field] > 0)) throw new InputError(`axles.${field}`, String(axles[field]), 'above zero');
  if (!(wheelbase >= 1000 && wheelbase <= 7000))
    throw new InputError('axles.wheelbase', `${wheelbase} mm`, '1000 to 7000 mm');
  if (!(posts > 0 && posts < wheelbase))
    throw new InputError('axles.posts', `${posts} mm`, `the lift between the axles, 0 to ${wheelbase} mm`);
  if (!(axles.tank > -1500 && axles.tank < wheelbase + 2500))
    throw new InputError('axles.tank', `${axles.tank} mm`, 'the tank somewhere along the vehicle');
  const total = front + rear;
  if (!(total > tank.hi * 3))
    throw new InputError(
      'axles',
      `${front} + ${rear} kg`,
      `axle weights that add up to a vehicle, far above the ${Math.round(tank.hi)} kg of its tank`,
    );
  const before = (rear * wheelbase) / total - posts;
  const left = (kg: number) => (rear * wheelbase - kg * axles.tank) / (total - kg) - posts;
  const after = left(tank.hi);
  // Half way to the arms: beyond it one arm carries most. Common practice, no source.
  const limit = arms / 2;
  const words = (by: number) => say`${mm(roundTo(Math.abs(by), 5))} to the ${by < 0 ? 'front' : 'rear'}`;
  const reasons = [
    {
      text: say`balance ${words(before)} of the arms now, ${words(after)} once the tank is out`,
      limit: say`${mm(roundTo(limit, 5))}, half way to the arms`,
      basis: computed('moments of the axle weights, less the tank'),
    },
  ];
  const far = after < 0 ? 'front' : 'rear';
  if (Math.max(Math.abs(before), Math.abs(after)) > arms)
    return {
      before,
      after,
      verdict: {
        outcome: 'bad',
        reasons,
        next: ['the weight lies outside the arms: lower it and set it again by the service information'],
      },
    };
  if (Math.abs(after) > limit || Math.abs(after - before) > limit)
    return {
      before,
      after,
      verdict: { outcome: 'doubtful', reasons, next: [`a tall stand under the ${far} end before the tank leaves`] },
    };
  return { before, after, verdict: { outcome: 'good', reasons, next: [`a stand under the ${far} end all the same`] } };
}
