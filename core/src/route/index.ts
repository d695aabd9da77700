export { seek, type Sought } from './seek.ts';
export { solve, Stopped } from './solve.ts';
export {
  type Route,
  type RouteModel,
  type RouteReach,
  type RouteStop,
  type RouteThing,
  type RouteWay,
} from './types.ts';
export { usedWay } from './used.ts';
