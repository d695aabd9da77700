import { STEP, type Drop, type RouteModel } from './types.ts';

/** Local drop at `x` times the length, so that only whole numbers are compared. mm² */
export const dropTimesLength = (pose: Drop, x: number, length: number): number => pose.f * (length - x) + pose.r * x;

/** Is the place no lower than `at`? */
export const isAbove = (pose: Drop, x: number, at: number, length: number): boolean =>
  dropTimesLength(pose, x, length) <= at * length;

/** Does a hand get there: is the local drop within its reach, ends included? */
export const inReach = (pose: Drop, x: number, from: number, to: number, length: number): boolean => {
  const d = dropTimesLength(pose, x, length);
  return d >= from * length && d <= to * length;
};

/** All tilts (second end minus first, mm) that are allowed, the level ones first. */
export function tilts({ tilt, clear }: Pick<RouteModel, 'tilt' | 'clear'>): number[] {
  const most = (mm: number) => Math.floor(Math.min(mm, clear) / STEP) * STEP;
  const list = [0];
  for (let t = STEP; t <= Math.max(most(tilt.second), most(tilt.first)); t += STEP) {
    if (t <= most(tilt.second)) list.push(t);
    if (t <= most(tilt.first)) list.push(-t);
  }
  return list;
}
