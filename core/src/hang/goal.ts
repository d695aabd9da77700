import type { Pose } from '../pose/index.ts';

/**
 * A goal as it is answered: a level drop on the 5 mm grid above the floor of the well, or null for all the way out.
 *
 * @example goalOf(150, 320) // 150
 */
export const goalOf = (value: unknown, clear: number): number | null =>
  typeof value === 'number' && Number.isInteger(value) && value > 0 && value < clear && value % 5 === 0 ? value : null;

/** Does its top hang at the height where it is to be worked on? @example atGoal({ goal: 150, pose: { f: 150, r: 150 } }) // true */
export const atGoal = ({ goal, pose }: { goal: number | null; pose: Pose }): boolean =>
  goal !== null && Math.min(pose.f, pose.r) >= goal;
