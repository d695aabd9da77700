export { supportsOff } from './actions.ts';
export { ascentModel, TEST, type UpView } from './ascent.ts';
export { planChanged } from './changes.ts';
export { nextStop, stepHeight, stopAt } from './down.ts';
export { endByEnd } from './endByEnd.ts';
export { actionsOf, routeDown, routePartWay } from './guide.ts';
export { makingHint, partingHint } from './hints.ts';
export { LOOKED, routeModel, type View } from './model.ts';
export { afterStop, marksAhead, planDescent } from './preview.ts';
export {
  slackFromString,
  slackReleased,
  tautLength,
  type Place,
  type StringLine,
  type StringSlack,
} from './string.ts';
export type { Action, ActionType, Plan, Stop, StopKind, UpItem, UpKind, UpStop } from './types.ts';
export { nextUp } from './up.ts';
export { routeUp, testStop, wayUp, type WayUp } from './wayUp.ts';
