export {
  deepest,
  dropAt,
  dropTimesLength,
  HOME,
  inReach,
  isAbove,
  isHome,
  isLevel,
  level,
  lowerOf,
  samePose,
  type Pose,
} from './pose.ts';
export { GRID, gridDown, gridNearest, gridUp } from './grid.ts';
export { poseInWords, poseSaid } from './words.ts';
