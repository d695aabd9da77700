export { solve, Stopped, type SolveOptions } from './solve.ts';
export {
  type Route,
  type RouteLimit,
  type RouteModel,
  type RouteReach,
  type RouteStop,
  type RouteThing,
  type RouteWay,
  type Solved,
} from './types.ts';
