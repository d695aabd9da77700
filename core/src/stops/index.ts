export * from './types.ts';
export { nextStop, stopAt, stepHeight } from './down.ts';
export { afterStop, planDescent, marksAhead } from './preview.ts';
export { nextUp } from './up.ts';
export { wayUp, routeUp, testStop, type WayUp } from './wayUp.ts';
export { poseInWords, isLevel } from './poseWords.ts';
export { tapeAt, tapeAtHome, tapeQuestion } from './tape.ts';
export { ascentModel, TEST, type UpView } from './ascent.ts';
export { supportsOff } from './actions.ts';
export { actionsOf, routeDown, routePartWay } from './guide.ts';
export { planChanged } from './changes.ts';
export { endByEnd } from './endByEnd.ts';
export { bindings, holdersAt, samePose, surelyReaches, type Binding } from './limits.ts';
export { partingHint, makingHint } from './hints.ts';
export {
  standardMargins,
  NEARLY,
  FIST,
  GRID,
  FIRST_STOP,
  CREEP,
  gridDown,
  gridUp,
  gridNearest,
  MOVE_MINUTES,
  HELPER_MINUTES,
  type Margins,
} from './margins.ts';
export { slackFromString, slackReleased, tautLength, type Place, type StringLine, type StringSlack } from './string.ts';
export { routeModel, LOOKED, type View } from './model.ts';
