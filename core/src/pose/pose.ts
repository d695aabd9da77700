/** How far the two ends hang below the installed position, mm. */
export interface Pose {
  /** The first end. */
  f: number;
  /** The second end. */
  r: number;
}

/** Where the tank is installed. */
export const HOME: Pose = { f: 0, r: 0 };

/** Both ends at the same drop, mm. @example level(40) // { f: 40, r: 40 } */
export const level = (mm: number): Pose => ({ f: mm, r: mm });

/**
 * Local drop at a place along the tank, mm.
 *
 * @param x mm from the first end
 * @param length mm from end to end
 * @example dropAt({ f: 40, r: 80 }, 250, 1000) // 50
 */
export const dropAt = (pose: Pose, x: number, length: number): number => pose.f + ((pose.r - pose.f) * x) / length;

/** Local drop times the length, so that only whole numbers are compared. mm² @example dropTimesLength({ f: 40, r: 80 }, 250, 1000) // 50000 */
export const dropTimesLength = (pose: Pose, x: number, length: number): number => pose.f * (length - x) + pose.r * x;

/** Is the place no lower than `at`, mm? @example isAbove({ f: 40, r: 80 }, { x: 250, at: 50, length: 1000 }) // true */
export const isAbove = (pose: Pose, { x, at, length }: { x: number; at: number; length: number }): boolean =>
  dropTimesLength(pose, x, length) <= at * length;

/** Does a hand get there: is the local drop within its reach (mm, ends included)? @example inReach({ f: 40, r: 80 }, { x: 250, from: 45, to: 60, length: 1000 }) // true */
export const inReach = (
  pose: Pose,
  { x, from, to, length }: { x: number; from: number; to: number; length: number },
): boolean => {
  const d = dropTimesLength(pose, x, length);
  return d >= from * length && d <= to * length;
};

/** How far the lower end hangs, mm. @example deepest({ f: 40, r: 80 }) // 80 */
export const deepest = (pose: Pose): number => Math.max(pose.f, pose.r);

/** End by end the lower of two. @example lowerOf({ f: 40, r: 0 }, { f: 25, r: 25 }) // { f: 40, r: 25 } */
export const lowerOf = (a: Pose, b: Pose): Pose => ({ f: Math.max(a.f, b.f), r: Math.max(a.r, b.r) });

/** Do both hang alike? @example samePose(HOME, { f: 0, r: 0 }) // true */
export const samePose = (a: Pose, b: Pose): boolean => a.f === b.f && a.r === b.r;

/** Does the tank hang level? @example isLevel({ f: 40, r: 40 }) // true */
export const isLevel = (pose: Pose): boolean => pose.f === pose.r;

/** Is the tank installed? @example isHome({ f: 0, r: 5 }) // false */
export const isHome = (pose: Pose): boolean => pose.f === 0 && pose.r === 0;
