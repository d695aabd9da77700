import { lengthIn, lengthText, mm, say, type Sentence, type UnitSystem } from '../quantity/index.ts';
import { isLevel, type Pose } from './pose.ts';

/**
 * Where the tank hangs, as one says it: one height, or one for each end.
 *
 * @example poseInWords({ f: 40, r: 75 }, ['front', 'rear']) // 'front 40, rear 75 mm'
 */
export function poseInWords(
  pose: Pose,
  [first, second]: readonly [string, string],
  units: UnitSystem = 'metric',
): string {
  if (isLevel(pose)) return lengthText(pose.f, units);
  return `${first} ${lengthIn(pose.f, units).figure}, ${second} ${lengthText(pose.r, units)}`;
}

/**
 * Where the tank hangs, for a sentence that is written later.
 *
 * @example inWords(poseSaid({ f: 40, r: 75 }, ['front', 'rear'])) // 'front 40 mm, rear 75 mm'
 */
export const poseSaid = (pose: Pose, [first, second]: readonly [string, string]): Sentence =>
  isLevel(pose) ? say`${mm(pose.f)}` : say`${first} ${mm(pose.f)}, ${second} ${mm(pose.r)}`;
