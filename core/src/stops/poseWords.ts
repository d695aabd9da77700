import type { Pose } from '../job/types.ts';

/** Does the tank hang level? */
export const isLevel = (pose: Pose): boolean => pose.f === pose.r;

/**
 * Where the tank hangs, as one says it: one height, or one for each end.
 *
 * @example poseInWords({ f: 40, r: 75 }, ['front', 'rear']) // 'front 40, rear 75 mm'
 */
export const poseInWords = (pose: Pose, [first, second]: readonly [string, string]): string =>
  isLevel(pose) ? `${pose.f} mm` : `${first} ${pose.f}, ${second} ${pose.r} mm`;
