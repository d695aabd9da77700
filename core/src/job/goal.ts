import type { JobState } from './types.ts';

/** How far down the tank is to go: the answer that says so. */
export const GOAL = 'how far down';

/**
 * A goal as it is answered: a level drop on the 5 mm grid above the floor of the well, or null for all the way out.
 *
 * @example goalOf('150', 320) // 150
 */
export function goalOf(value: string, clear: number): number | null {
  const mm = Number(value);
  return Number.isInteger(mm) && mm > 0 && mm < clear && mm % 5 === 0 ? mm : null;
}

/** Does its top hang at the height where it is to be worked on? */
export const atGoal = ({ goal, pose }: Pick<JobState, 'goal' | 'pose'>): boolean =>
  goal !== null && Math.min(pose.f, pose.r) >= goal;

/** Is the way down over: the tank out, or part-way where it was to go, or already on its way back from there? */
export const descended = (state: Pick<JobState, 'goal' | 'pose' | 'out' | 'gates'>): boolean =>
  state.out || (state.goal !== null && (atGoal(state) || state.gates[3].passed !== null));
